import type { ShelfItem } from '@patient-badger/contract';
import { pastText } from './shelfWords.ts';

const item = { cameFrom: 'The old wall', workedHours: null, workedKm: null, condition: 'worn', note: '' } as unknown as ShelfItem;

test.each([
  [{ workedHours: 180 }, 'Came from: The old wall. It has worked 180 h; worn.'],
  [{ workedHours: 10, workedKm: 88000, note: 'Tips full.' }, 'Came from: The old wall. It has worked 10 h and 88,000 km; worn. Tips full.'],
  [{ condition: 'notMeasured' as const }, 'Came from: The old wall. Nobody knows how long it worked; not measured.'],
])('%o', (more, words) => expect(pastText({ ...item, ...more }, 'km')).toBe(words));
