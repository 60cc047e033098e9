import { t } from '@patient-badger/wording/shared';
import type { BookLine } from '@patient-badger/core/job';
import type { Pack } from '@patient-badger/core/machine';
import { attributeName, attributeWords } from './attributeWords.ts';

const nameIn = (list: readonly { readonly id: string; readonly name: string }[], id: string) =>
  list.find((each) => each.id === id)?.name ?? id;

/** A line of the model book in words. */
export function bookText(line: BookLine, pack: Pick<Pack, 'gears' | 'faults' | 'steps'>): string {
  switch (line.kind) {
    case 'gear':
      return `${nameIn(pack.gears, line.gear)}: ${attributeWords(line.attributes)
        .map(([name, value]) => `${name.toLowerCase()} ${value}`)
        .join(', ')}`;
    case 'partProved':
      return t.heldAs(line.partNumber, nameIn(pack.gears, line.gear).toLowerCase());
    case 'partRefused':
      return t.wasSentBack(line.partNumber, attributeName(line.deciding).toLowerCase(), line.note);
    case 'fault':
      return t.itWas(nameIn(pack.faults, line.fault));
    case 'torque':
      return t.torqueAt(nameIn(pack.steps, line.step), line.torque.value, line.torque.unit, line.torque.source);
    case 'fill':
      return `${line.place}: ${line.what} (${line.source})`;
    case 'plate':
      return t.stands(line.partNumber, line.where);
    case 'speedometer':
      return t.speedometerGearsAndOffBy(line.driveTeeth, line.drivenTeeth, line.readingErrorPercent.toFixed(1));
    case 'price':
      return t.priceAskedOf(line.gear === undefined ? line.what : nameIn(pack.gears, line.gear), line.supplier, line.leadDays);
    case 'picture':
      return t.photo(line.what);
    case 'note':
      return line.text;
  }
}
