import { t } from '@patient-badger/wording/access';
import type { LedgerLine, LooseItem } from '@patient-badger/core/machine';

/** What a loose part is, as one would say it at the bench. */
export function looseText({ name, count, size, lengthMm, drive }: LooseItem): string {
  const long = lengthMm === undefined ? null : `${lengthMm} mm`;
  const measure = [size, long].filter(Boolean).join(' × ');
  return `${count} × ${name}${[measure, drive].filter(Boolean).length > 0 ? ` (${[measure, drive].filter(Boolean).join(', ')})` : ''}`;
}

/** Whether it is turned tight. */
export const isTurned = ({ kind }: LooseItem): boolean => kind === 'screw' || kind === 'nut' || kind === 'plug';

/** How it is tightened, and by whose word. */
export function tightText(item: LooseItem): string {
  const { torque, intoPlastic, hand, renew } = item;
  const parts = [
    hand === 'left' ? t.leftHandThread : null,
    torque ? `${torque.value} ${torque.unit} (${torque.source})` : null,
    intoPlastic ? t.snugItGoesIntoPlastic : null,
    isTurned(item) && !torque && !intoPlastic ? t.torqueFromTheMakersSheet : null,
    renew ? t.renewIt : null,
  ];
  return parts.filter(Boolean).join('; ');
}

/** How one line of the ledger stands. */
export function lineText({ item, missingBefore, broken, lost, replaced, back, onTray, wanting }: LedgerLine): string {
  const parts = [
    onTray > 0 ? t.onTheBenchWithOnTray(onTray) : null,
    back > 0 ? t.ofBack(back, item.count) : null,
    missingBefore > 0 ? t.missingBeforeWeCame(missingBefore) : null,
    broken > 0 ? t.broken(broken) : null,
    lost > 0 ? t.lost(lost) : null,
    replaced > 0 ? t.replaced(replaced) : null,
    wanting > 0 ? t.stillWanting(wanting) : null,
  ];
  return parts.filter(Boolean).join(', ') || t.nothingCameOff;
}
