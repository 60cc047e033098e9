import type { LedgerLine, LooseItem } from '@patient-badger/core';

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
    hand === 'left' ? 'left-hand thread' : null,
    torque ? `${torque.value} ${torque.unit} (${torque.source})` : null,
    intoPlastic ? 'snug, it goes into plastic' : null,
    isTurned(item) && !torque && !intoPlastic ? 'torque from the maker’s sheet' : null,
    renew ? 'renew it' : null,
  ];
  return parts.filter(Boolean).join('; ');
}

/** How one line of the ledger stands. */
export function lineText({ item, missingBefore, broken, lost, replaced, back, onTray, wanting }: LedgerLine): string {
  const parts = [
    onTray > 0 ? `${onTray} on the bench` : null,
    back > 0 ? `${back} of ${item.count} back` : null,
    missingBefore > 0 ? `${missingBefore} missing before we came` : null,
    broken > 0 ? `${broken} broken` : null,
    lost > 0 ? `${lost} lost` : null,
    replaced > 0 ? `${replaced} replaced` : null,
    wanting > 0 ? `${wanting} still wanting` : null,
  ];
  return parts.filter(Boolean).join(', ') || 'nothing came off';
}
