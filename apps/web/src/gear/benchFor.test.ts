import type { Pack } from '@patient-badger/core';
import { findFamily } from '@patient-badger/knowledge';
import { benchFor } from './benchFor.ts';

const cardOf = (family: string, gear: string) => {
  const pack = findFamily(family) as Pack;
  const card = pack.gears.find(({ id }) => id === gear);
  return card && benchFor(pack, card);
};

test.each([
  ['saw-oil-pump', 'worm', 'worm'],
  ['slide-rack-drive', 'rpinion', 'cylindrical'],
  ['trimmer-bevel-head', 'gear', 'sized'],
  ['sector-steering', 'sector', 'cylindrical'],
  ['worm-steering-box', 'sector', null],
])('%s, %s is measured on: %s', (family, gear, bench) => expect(cardOf(family, gear)).toBe(bench));
