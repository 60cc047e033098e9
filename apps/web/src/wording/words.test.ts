import { t as shared } from '@patient-badger/wording/shared';
import { bitsText, likelihoodWord, minutesText, money, percent } from './words.ts';

test.each([
  [0.97, '97 %', 'almost sure'],
  [0.6, '60 %', 'very likely'],
  [0.31, '31 %', 'likely'],
  [0.1, '10 %', 'possible'],
  [0.03, '3 %', 'unlikely'],
  [0.004, '< 1 %', 'nearly out'],
  [0.998, '> 99 %', 'almost sure'],
  [0, '0 %', 'nearly out'],
  [1, '100 %', 'almost sure'],
])('a chance of %d is %s, %s', (chance, figure, word) => {
  expect([percent(chance), likelihoodWord(chance)]).toEqual([figure, word]);
});

test.each([
  [0.5, '30 s'],
  [1, '1 min'],
  [2.5, '2.5 min'],
  [11.5, '12 min'],
])('%d minutes read %s', (minutes, words) => expect(minutesText(minutes)).toBe(words));

test('evidence is worded by size and side', () => {
  expect(bitsText(3.4)).toBe(shared.veryStrongly(shared.forIt));
  expect(bitsText(-1.7)).toBe(shared.strongly(shared.againstIt));
  expect(bitsText(0.6)).toBe(shared.speaks(shared.forIt));
  expect(bitsText(-0.1)).toBe(shared.aLittleWithWay(shared.againstIt));
});

test('money carries its currency', () => expect(money(1898, 'EUR').replace(/\s/g, ' ')).toBe('EUR 18.98'));

test('minutes beyond an hour are hours', () => {
  expect([0.5, 3, 49.7, 95, 300].map(minutesText)).toEqual(['30 s', '3 min', '50 min', '1 h 35 min', '5 h']);
});
