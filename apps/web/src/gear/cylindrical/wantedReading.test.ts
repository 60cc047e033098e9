import { t as gearWords } from '@patient-badger/wording/gear';
import { cylindricalQuestion, identifyCylindrical, identifyInput } from '@patient-badger/core/gear';
import type { GearState } from '@patient-badger/core/job';
import type { GearCard } from '@patient-badger/core/machine';
import { wantedReading } from './wantedReading.ts';

const spur: GearCard = { id: 'gear', name: 'Gear', body: 'gear', type: 'spur' };
const read = (value: number, over?: number) => [
  {
    entryId: 'e',
    reading: { value, plusMinus: 0.03 },
    ...(over !== undefined && { over }),
    instrument: 'digitalCaliper',
    entered: `${value}`,
  },
];
const found = (gear: GearState) => identifyCylindrical(identifyInput.parse(cylindricalQuestion(gear)));

test('the count comes first, then a helix where the family has one, then the size', () => {
  expect(wantedReading(spur, { readings: {} }, undefined)?.quantity).toBe('teeth');
  expect(wantedReading({ ...spur, type: 'helical' }, { readings: { teeth: read(25) } }, undefined)?.quantity).toBe('helixAngleDeg');
  expect(wantedReading(spur, { readings: { teeth: read(25) } }, undefined)?.quantity).toBe('tipDiameterMm');
});

test('then what tells the candidates apart: a span, with the teeth to measure over', () => {
  const gear: GearState = { readings: { teeth: read(25), tipDiameterMm: read(26.95) } };
  const wanted = wantedReading(spur, gear, found(gear));
  expect(wanted?.quantity).toBe('spanMm');
  expect(wanted?.over).toBeGreaterThan(1);
  expect(wanted?.name).toBe(gearWords.spanOverTeethWithSpanTeeth(wanted?.over ?? 0));
  expect(wanted?.why).toMatch(/^It tells the candidates apart best: \d\.\d bits expected\.$/);
});

test('a piece of the rim stands for the count, and is spanned: no diameter can be taken over it', () => {
  expect(wantedReading(spur, { readings: { arcDeg: read(82, 6) } }, undefined)?.quantity).toBe('spanMm');
});

test('of a sector the angle comes first, whatever was counted: its teeth are no full round', () => {
  const sector: GearCard = { ...spur, type: 'sector' };
  expect(wantedReading(sector, { readings: { teeth: read(14) } }, undefined)?.quantity).toBe('arcDeg');
  expect(wantedReading(sector, { readings: { arcDeg: read(73, 13) } }, undefined)?.quantity).toBe('spanMm');
});
