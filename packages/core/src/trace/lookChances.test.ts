import { findFamily } from '@patient-badger/knowledge';
import { createOperations } from '../operations.ts';
import { lookChances } from './lookChances.ts';
import type { Pack } from './pack.ts';

const pack = findFamily('saw-oil-pump') as Pack;
const faults = pack.faults.map(({ id }) => id);

test('for each fault the results of each look sum to one, so that its worth can be asked', () => {
  const operations = createOperations({ find: findFamily, ids: () => [] });
  for (const { id } of pack.looks) {
    const results = lookChances(pack, id, { faults });
    expect(results.length).toBeGreaterThan(1);
    for (const fault of faults) expect(results.reduce((sum, { likelihood }) => sum + (likelihood[fault] ?? 0), 0)).toBeCloseTo(1, 9);
  }
  const suspects = faults.slice(0, 3).map((fault) => ({ fault, probability: 1 / 3, actMinor: 1000, wrongMinor: 1000 }));
  const looks = pack.looks.map(({ id: look, minutes }) => ({
    look,
    minutes,
    results: lookChances(pack, look, { faults: faults.slice(0, 3) }).map((each) => ({ ...each })),
  }));
  const { looks: worth } = operations.run('decide.worth', { suspects, looks, rateMinorPerHour: 5000 });
  expect(worth).toHaveLength(pack.looks.length);
  expect(worth.some(({ worthIt }) => worthIt)).toBe(true);
});

test('a broken drive arm shows at the look that sees it', () => {
  const broken = lookChances(pack, 'drum-tabs', { faults: ['arm-broken', 'chips-packed'] }).find(
    ({ result }) => result === 'broken',
  )?.likelihood;
  expect(broken?.['arm-broken']).toBeGreaterThan(20 * (broken?.['chips-packed'] ?? 1));
});
