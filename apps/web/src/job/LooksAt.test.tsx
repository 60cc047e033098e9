import { t as shared } from '@patient-badger/wording/shared';
import { traceInput, traceNext, type LookAdvice, type Pack } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { priceText, worthText } from '../wording/lookWords.ts';
import { closedMinutes } from './closedMinutes.ts';

const pack = findFamily('saw-oil-pump') as Pack;
const adviceFor = (look: string, reached: string[] = []): LookAdvice => {
  const { next, alternatives } = traceNext(traceInput.parse({ family: pack.id, reached }), pack);
  const found = [next, ...alternatives].find((each) => each?.look === look);
  if (!found) throw new Error(`${look} is not advised`);
  return found;
};

test('a look behind closed covers says how many steps and what it tells', () => {
  const closed = closedMinutes(pack, 'chips-on-worm');
  expect(priceText(adviceFor('chips-on-worm'), 0.5, closed)).toMatch(/^10 min, 7 steps to open first; tells /);
});

test('once something is open it is cheaper, and the price before is named', () => {
  const closed = closedMinutes(pack, 'chips-on-worm');
  const words = priceText(adviceFor('chips-on-worm', ['lead-off', 'cover-off', 'bar-off']), 0.5, closed);
  expect(words).toMatch(/^7 min \(10 min when it was closed\), 4 steps to open first; tells /);
  const open = priceText(
    adviceFor(
      'chips-on-worm',
      pack.steps.map(({ id }) => id),
    ),
    0.5,
    closed,
  );
  expect(open).toMatch(/^30 s \(10 min when it was closed\); tells /);
});

test('a look that tells nothing as things stand says so, and can be taken all the same', () => {
  expect(priceText(undefined, 2, 2)).toBe(shared.tellsNextToNothingAs('2 min'));
});

test.each([
  [1.2, 'tells a great deal'],
  [0.6, 'tells much'],
  [0.3, 'tells something'],
  [0.05, 'tells little'],
])('%f bits: %s', (bits, words) => expect(worthText(bits)).toBe(words));
