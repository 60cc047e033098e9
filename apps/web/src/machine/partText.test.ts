import type { PartInMachine } from '@patient-badger/core/job';
import { partText } from './partText.ts';

const part: PartInMachine = {
  jobId: 'j',
  gear: 'worm',
  partNumber: 'QB-1',
  at: '2026-03-04T12:00:00.000Z',
  state: 'fitted',
  fromShelf: false,
};

test.each([
  [{}, 'Fitted 4 Mar 2026'],
  [{ hours: 200, workedHours: 60, fromShelf: true }, 'Fitted 4 Mar 2026; off the shelf; at 200 h, 60 h since'],
  [{ state: 'accepted' as const, km: 10, workedKm: 0 }, 'Accepted 4 Mar 2026, not noted as fitted; at 10 km, 0 km since'],
])('%o: %s', (more, words) => expect(partText({ ...part, ...more }, 'km')).toBe(words));
