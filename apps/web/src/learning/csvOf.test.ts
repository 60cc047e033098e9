import type { Learnt } from '@patient-badger/contract';
import Papa from 'papaparse';
import { csvOf } from './csvOf.ts';

const LEARNT: Learnt = {
  jobs: 9,
  lives: [
    {
      family: 'saw-oil-pump',
      gear: 'worm',
      partNumber: null,
      unit: 'hours',
      life: {
        failures: 3,
        running: 2,
        enough: true,
        mean: 238,
        shape: 2.6,
        scale: 268,
        median: 233,
        meanInterval: { low: 120, high: 900 },
      },
    },
  ],
  comesBack: [
    {
      kind: 'machine',
      of: 'm',
      name: '=1+1, "the saw"',
      family: 'saw-oil-pump',
      what: 'worm-stripped',
      times: 2,
      among: 3,
      costMinor: 5250,
    },
  ],
  verdicts: [{ family: 'saw-oil-pump', jobs: 4, faults: [{ fault: 'chips-packed', count: 4 }] }],
  pays: { timedJobs: 0, minutesReckoned: 0, minutesTaken: 0, partsFitted: 0, partsInVain: 0, inVainMinor: 0 },
};

test('every row of what was learnt is in the table, and no cell is reckoned by a spreadsheet', () => {
  const { data } = Papa.parse<Record<string, string>>(csvOf(LEARNT), { header: true });
  expect(data).toHaveLength(3);
  expect(data[0]).toMatchObject({ row: 'life', what: 'worm', of: 'all', times: '3', running: '2', mean: '238', low: '120', high: '900' });
  expect(data[1]).toMatchObject({ row: 'back: machine', of: `'=1+1, "the saw"`, times: '2', cost: '52.5' });
  expect(data[2]).toMatchObject({ row: 'verdict', what: 'chips-packed', times: '4', among: '4' });
});
