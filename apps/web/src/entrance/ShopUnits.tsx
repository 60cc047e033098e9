import { useEffect } from 'react';
import { useShop } from '../data/shop.ts';
import { proposeUnits } from '../preferences/preferences.ts';

/** Lets the units of the shop hold on this device, where nobody has chosen others. */
export function ShopUnits() {
  const shop = useShop().data;
  useEffect(() => {
    if (shop) proposeUnits(shop);
  }, [shop]);
  return null;
}
