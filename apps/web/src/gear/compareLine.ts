import { formatLength, type Comparison, type GearQuantity, type LengthUnit } from '@patient-badger/core';
import type { KindWords } from './QuantityWords.ts';
const NOT_READ = 'measure';

/** A row of the comparison in words: both figures, and what their difference means. */
export function compareLine(
  { name: key, state, first, second, difference, plusMinus }: Comparison['attributes'][number],
  words: KindWords,
  unit: LengthUnit,
) {
  const [quantity, over] = key.split('/') as [GearQuantity, string | undefined];
  const kind = words[quantity]?.kind ?? 'length';
  const show = (value: number) => (kind === 'length' ? formatLength(value, unit) : `${value}${kind === 'angle' ? '°' : ''}`);
  const off = difference === undefined ? '' : `${show(Math.abs(difference))} ${difference > 0 ? 'more' : 'less'}`;
  const verdicts = {
    same: 'The same, as far as the readings go',
    differs: kind === 'count' ? `Not the same count: ${off}` : `Differs: ${off}`,
    tooCloseToTell: `${off}, with ± ${plusMinus === undefined ? '' : show(plusMinus)}: measure both again`,
    notRead: first === undefined && second === undefined ? 'Not measured' : 'Measured on one only',
  };
  return {
    key,
    quantity,
    over: over === undefined ? undefined : Number(over),
    name: `${words[quantity]?.short ?? quantity}${over === undefined ? '' : ` over ${over}`}`,
    first: first === undefined ? NOT_READ : show(first),
    second: second === undefined ? NOT_READ : show(second),
    verdict: verdicts[state],
    clear: state === 'differs',
  };
}
