import { findFamily } from '@patient-badger/knowledge';
import { stepsToReach } from '../access/opening.ts';
import { traceNext } from './next.ts';
import { modelOverrides } from './modelOverrides.ts';
import { applyOverrides } from './overrides.ts';
import type { Pack } from './pack.ts';
import { traceInput } from './schema.ts';

const pack = findFamily('speedometer-takeoff') as Pack;
const ask = (more: object = {}, of: Pack = pack) => traceNext(traceInput.parse({ family: of.id, ...more }), of);

/** Minutes of a look as the advice prices it, opening included. */
function price(look: string, more: object = {}, of: Pack = pack): number {
  const { next, alternatives } = ask(more, of);
  const found = [next, ...alternatives].find((each) => each?.look === look);
  if (!found) throw new Error(`${look} is not advised`);
  return found.minutes;
}
/** Before a hand goes under a car that stands on its wheels, the key comes out; who drives over the pit has done so there. */
const KEY_OUT = 0.3;
const own = pack.looks.find(({ id }) => id === 'driven-look')?.minutes ?? NaN;

test('a look is priced by the shorter of two ways: over the pit, not on stands', () => {
  expect(price('driven-look')).toBeCloseTo(3 + 2 + 2 + own, 9);
});

test('what is open already decides the way: on stands nobody drives over the pit', () => {
  expect(price('driven-look', { reached: ['ignition-off', 'raised'] })).toBeCloseTo(2 + 2 + own, 9);
  expect(price('driven-look', { reached: ['ignition-off', 'raised', 'cable-off'] })).toBeCloseTo(2 + own, 9);
});

test('the steps listed with the advice are those of that way', () => {
  const { next, alternatives } = ask();
  const steps = [next, ...alternatives].find((each) => each?.look === 'driven-look')?.steps.map(({ id }) => id);
  expect(steps).toEqual(['over-pit', 'cable-off', 'sleeve-out']);
});

test('a model that is spared a step of a way has that way for nothing', () => {
  const spared = applyOverrides(pack, modelOverrides.parse({ withoutSteps: ['over-pit'] }));
  expect(stepsToReach(spared, ['cable-off'], { reached: new Set() }).map(({ id }) => id)).toEqual(['cable-off']);
  expect(price('driven-look', {}, spared)).toBeCloseTo(KEY_OUT + 2 + 2 + own, 9);
});

test('in a shop without a pit, where that step is barred, the stands are taken', () => {
  const steps = stepsToReach(pack, ['sleeve-out'], { reached: new Set(), blocked: new Set(['over-pit']) }).map(({ id }) => id);
  expect(steps).toEqual(['ignition-off', 'raised', 'cable-off', 'sleeve-out']);
});

test('the plan to the verdict counts the same way once, whatever looks share it', () => {
  const closed = ask().remainingMinutesEstimate;
  const onStands = ask({ reached: ['ignition-off', 'raised'] }).remainingMinutesEstimate;
  // On stands the looks on the road want the car down first.
  const down = pack.closing.find(({ closes }) => closes.includes('raised'))?.minutes ?? 0;
  expect(onStands).toBeLessThanOrEqual(closed + down);
});
