import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { familyIds, findFamily } from '@patient-badger/knowledge';
import { failureSentence } from '@patient-badger/wording';
import { createOperations } from '../operations.ts';
import { speaksPlainly, tryOperation } from './campaign.ts';

const operations = createOperations({ find: findFamily, ids: familyIds });
const CASES = join(__dirname, '../../cases');
const golden = readdirSync(CASES).flatMap(
  (file) => JSON.parse(readFileSync(join(CASES, file), 'utf8')) as readonly { readonly op: string; readonly input: unknown }[],
);
const RUNS = 60;

// A short run of `npm run fuzz`, always the same one: what it finds today can be found again tomorrow.
test.each(operations.list.map(({ name }) => name))('%s answers or refuses with a sentence, whatever it is given', (name) => {
  const { trouble } = tryOperation(operations, {
    name,
    seed: 20261125,
    runs: name.startsWith('scan.') ? 10 : RUNS,
    golden: golden.filter(({ op }) => op === name).map(({ input }) => input),
    words: familyIds(),
    sentenceOf: failureSentence,
    now: () => performance.now(),
  });
  expect(trouble).toEqual([]);
});

test.each([
  ['The teeth are missing.', true],
  ['The "faceWidthMm" is not known.', true],
  ['The teeth must be one of 1, 2. You gave "pressFit".', true],
  ['The faceWidthMm is missing.', false],
  ['The span must be undefined.', false],
  ['', false],
])('whether %j speaks plainly: %s', (sentence, plainly) => expect(speaksPlainly(sentence)).toBe(plainly));

test.each([
  [{ boreDiameterMm: -0.1 }, ['impossible']],
  [{ steps: [{ minutes: 2 }, { minutes: -1 }] }, ['impossible']],
  [{ candidates: [{ probability: 1.2 }] }, ['impossible']],
  [{ share: Infinity }, ['notFinite']],
  // A difference may be below nothing, and rounding is none.
  [{ residuals: { tipDiameterMm: -0.1 }, noneOfTheseProbability: 1 + 1e-12, boreDiameterMm: 4 }, []],
] as const)('an answer of %j is trouble: %j', (answer, kinds) => {
  const given = { ...operations, runNamed: () => answer };
  const { trouble } = tryOperation(given, {
    name: 'ratio.train',
    seed: 1,
    runs: 1,
    golden: [],
    words: [],
    sentenceOf: failureSentence,
    now: () => 0,
  });
  expect(trouble.map(({ kind }) => kind)).toEqual(kinds);
});
