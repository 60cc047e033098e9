import { t as shared } from '@patient-badger/wording/shared';
import { attributeWords, fitText } from './attributeWords.ts';

test('what is wanted is said with its unit and its ±', () => {
  expect(attributeWords({ boreDiameterMm: { value: 12, plusMinus: 0.03 }, starts: 2, boreShape: 'dFlat' })).toEqual([
    [shared.bore, '12 ± 0.03 mm'],
    [shared.starts, '2'],
    [shared.boreShape, 'D'],
  ]);
});

test.each([
  [{ name: 'faceWidthMm', state: 'doesNotFit', difference: -2, probability: 0 }, 'does not fit: −2 mm'],
  [
    {
      name: 'boreDiameterMm',
      state: 'fitsAfterWork',
      difference: -0.5,
      work: 'openBore',
      probability: 0.8,
    },
    'open the bore by 0.50 mm, true to the teeth',
  ],
  [{ name: 'starts', state: 'fits', difference: 0, probability: 1 }, 'fits'],
  [{ name: 'boreDiameterMm', state: 'fits', difference: 0.0001, probability: 1 }, 'fits'],
  [{ name: 'hand', state: 'unknown', work: 'measure', probability: 0.8 }, 'measure it'],
] as const)('%j reads %p', (fit, words) => expect(fitText(fit)).toBe(words));
