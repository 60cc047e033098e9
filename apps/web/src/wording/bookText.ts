import type { BookLine, Pack } from '@patient-badger/core';
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
      return `${line.partNumber} held as ${nameIn(pack.gears, line.gear).toLowerCase()}`;
    case 'partRefused':
      return `${line.partNumber} was sent back, ${attributeName(line.deciding).toLowerCase()}: ${line.note}`;
    case 'fault':
      return `It was: ${nameIn(pack.faults, line.fault)}`;
    case 'torque':
      return `Torque at “${nameIn(pack.steps, line.step)}”: ${line.torque.value} ${line.torque.unit} (${line.torque.source})`;
    case 'fill':
      return `${line.place}: ${line.what} (${line.source})`;
    case 'plate':
      return `${line.partNumber} stands ${line.where}`;
    case 'speedometer':
      return `Speedometer gears ${line.driveTeeth} and ${line.drivenTeeth}, off by ${line.readingErrorPercent.toFixed(1)} %`;
    case 'picture':
      return `Photo: ${line.what}`;
    case 'note':
      return line.text;
  }
}
