import { t as gear } from '@patient-badger/wording/gear';
import { t as shared } from '@patient-badger/wording/shared';
import { compareLine } from './compareLine.ts';
import { CYLINDRICAL_WORDS } from './cylindrical/words.ts';

const line = (attribute: Parameters<typeof compareLine>[0]) => compareLine(attribute, CYLINDRICAL_WORDS, 'mm');

test('a difference says how much and which way', () => {
  expect(line({ name: 'faceWidthMm', state: 'differs', first: 10, second: 12, difference: 2, plusMinus: 0.04 })).toMatchObject({
    name: shared.faceWidth,
    first: '10.00 mm',
    second: '12.00 mm',
    verdict: gear.differs('2.00 mm more'),
    clear: true,
  });
  expect(line({ name: 'teeth', state: 'differs', first: 17, second: 16, difference: -1 }).verdict).toBe(gear.notTheSameCount('1 less'));
});

test('spans keep their count, and what was not measured can be', () => {
  expect(line({ name: 'spanMm/3', state: 'notRead', first: 7.6 })).toMatchObject({
    name: gear.spanOver(3),
    over: 3,
    second: 'measure',
    verdict: gear.measuredOnOneOnly,
  });
});
