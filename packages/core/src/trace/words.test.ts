import { FAMILIES, findFamily } from '@patient-badger/knowledge';
import fc from 'fast-check';
import type { Pack } from './pack.ts';
import { findByWords } from './words.ts';
import { termsOf } from './wordTerms.ts';

const familyOf = (words: string) => findByWords(FAMILIES, words, 3).map(({ family }) => family);
const complaintsIn = (family: string, words: string) =>
  findByWords([findFamily(family) as Pack], words, 1)[0]?.complaints.map(({ complaint }) => complaint) ?? [];

test.each([
  ['The head won’t turn', ['head', 'not-turn']],
  ['it doesnt move and the wheel turns', ['not-move', 'wheel', 'turn']],
  ['Neither trip nor total counts', ['not-trip', 'not-total', 'not-count']],
  ['My speedo is dead', ['speedomet', 'dead']],
])('“%s” is heard as it was said: %j', (words, terms) => expect(termsOf(words)).toEqual(terms));

test.each([
  ['I cannot shift my motorbike into neutral', 'constant-mesh-gearbox'],
  ['Kilometre counter in the cluster stays at the same number', 'dash-odometer-motor'],
  ['hydrostat tractor lost its force on the hill', 'hydro-final-drive'],
  ['slide of the camper will not come in', 'slide-rack-drive'],
  ['snow thrower lost one side', 'auger-gearbox'],
])('“%s” is about %s', (words, family) => expect(familyOf(words)).toContain(family));

test.each([
  ['fold-actuator', 'not a sound from it', 'silent', 'hums'],
  ['speedometer-takeoff', 'it reads much too low', 'low', 'high'],
  ['mid-drive-motor', 'it is silent', 'silent', 'hums'],
  ['worm-steering-box', 'very stiff to turn', 'stiff', 'play'],
])('in %s “%s” means %s and never %s', (family, words, said, never) => {
  expect(complaintsIn(family, words)[0]).toBe(said);
  expect(complaintsIn(family, words)).not.toContain(never);
});

test('each half of a sentence may be a complaint of its own', () => {
  expect([...complaintsIn('auger-gearbox', 'The auger clatters, and there is oil in the snow')].sort()).toEqual(['oil', 'rocks']);
});

test('letters changed over are read as they were meant', () => {
  expect(complaintsIn('slide-rack-drive', 'it goes out crookde')).toEqual(complaintsIn('slide-rack-drive', 'it goes out crooked'));
});

test('words that nobody knows name nothing, and a machine by its name alone no complaint', () => {
  expect(findByWords(FAMILIES, 'qqqq zzzz', 3)).toEqual([]);
  expect(findByWords([findFamily('trimmer-bevel-head') as Pack], 'brush cutter', 1)[0]?.complaints).toEqual([]);
});

test('what a button says is that button’s complaint, in every family', () => {
  for (const pack of FAMILIES)
    for (const { id, says } of pack.complaints)
      for (const text of says)
        expect([pack.id, text, findByWords([pack], text, 1)[0]?.complaints[0]?.complaint]).toEqual([pack.id, text, id]);
});

test('whatever is typed, matches are few, in order, and of families and complaints that there are', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 80 }), fc.integer({ min: 1, max: 5 }), (words, most) => {
      const matches = findByWords(FAMILIES, words, most);
      expect(matches.length).toBeLessThanOrEqual(most);
      for (const [i, { family, complaints, score }] of matches.entries()) {
        expect(score).toBeLessThanOrEqual(matches[i - 1]?.score ?? Infinity);
        const ids = findFamily(family)?.complaints.map(({ id }) => id);
        expect(complaints.every(({ complaint }) => ids?.includes(complaint))).toBe(true);
      }
    }),
    { numRuns: 60 },
  );
});
