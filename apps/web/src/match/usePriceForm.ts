import { useState } from 'react';
import type { AskedPrice } from '../data/usePrices.ts';
import { readPrice, type ReadPrice, type SaidPrice, type TypedPrice } from './readPrice.ts';

const NO_PRICE: TypedPrice = { supplier: '', price: '', days: '' };

/** What was asked before, as it stands in the fields. */
const typedOf = (asked: AskedPrice | undefined): TypedPrice =>
  asked ? { supplier: asked.supplier, price: (asked.priceMinor / 100).toFixed(2), days: String(asked.leadDays) } : NO_PRICE;

/** The three fields of a price, filled with what was asked before; `said` answers it, or null with what is wrong at its field. */
export function usePriceForm(before?: AskedPrice) {
  const [typed, setTyped] = useState(() => typedOf(before));
  const [problems, setProblems] = useState<Extract<ReadPrice, { problems: unknown }>['problems']>({});
  const said = (): SaidPrice | null => {
    const read = readPrice(typed);
    setProblems('problems' in read ? read.problems : {});
    return 'said' in read ? read.said : null;
  };
  return { fields: { typed, problems, onChange: setTyped }, said };
}
