import fc from 'fast-check';
import { brokenTextAt, withoutBrokenText } from './brokenText.ts';

test.each([
  ['a NUL deep inside', { payload: { list: ['fine', 'a\0b'] } }, 'payload.list.1'],
  ['half a pair at the end', { note: 'worm \uD83D' }, 'note'],
  ['the second half alone', ['\uDE00'], '0'],
  ['a key', { facts: { 'ho\0urs': 3 } }, 'facts.ho?urs'],
  ['a bare text', '\0', ''],
])('%s is found', (_name, given, path) => expect(brokenTextAt(given)).toBe(path));

test.each([[{ text: 'grüße, 歯車, 🦡' }], [null], [undefined], [7], [[]]])('%j is sound', (given) =>
  expect(brokenTextAt(given)).toBeNull(),
);

test('what is cleaned is sound, and what was sound stays as it was', () => {
  // JSON of the same engine is the judge: it escapes exactly the lone halves of pairs (ECMA-262, well-formed JSON.stringify).
  const judge = (value: unknown) => !/\\u0000|\\ud[89a-f]/i.test(JSON.stringify(value).replaceAll('\\\\', ''));
  const anyText = fc.array(fc.constantFrom('a', '\0', '\uD83D', '\uDE00', 'é'), { maxLength: 12 }).map((list) => list.join(''));
  fc.assert(
    fc.property(fc.record({ text: anyText, list: fc.array(anyText) }), (given) => {
      expect(judge(given)).toBe(brokenTextAt(given) === null);
      const cleaned = withoutBrokenText(given);
      expect(brokenTextAt(cleaned)).toBeNull();
      if (brokenTextAt(given) === null) expect(cleaned).toEqual(given);
    }),
  );
});
