import { t } from '@patient-badger/wording/gear';
import { t as shared } from '@patient-badger/wording/shared';
import { formatLength, type LengthUnit } from '@patient-badger/core';
import type { Comparison, GearQuantity } from '@patient-badger/core/gear';
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
  const off = difference === undefined ? '' : `${show(Math.abs(difference))} ${difference > 0 ? shared.more : shared.less}`;
  const verdicts = {
    same: t.theSameAsFarAs,
    differs: kind === 'count' ? t.notTheSameCount(off) : t.differs(off),
    tooCloseToTell: t.withMeasureBothAgain(off, plusMinus === undefined ? '' : show(plusMinus)),
    notRead: first === undefined && second === undefined ? t.notMeasured : t.measuredOnOneOnly,
  };
  return {
    key,
    quantity,
    over: over === undefined ? undefined : Number(over),
    name: `${words[quantity]?.short ?? quantity}${over === undefined ? '' : shared.over(over)}`,
    first: first === undefined ? NOT_READ : show(first),
    second: second === undefined ? NOT_READ : show(second),
    verdict: verdicts[state],
    clear: state === 'differs',
  };
}
