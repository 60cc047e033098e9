import { AccessModel, openNow } from './state.ts';
import { closingStep, step } from './step.ts';

const at = (id: string, minutes: number, more: object = {}) => step.parse({ id, name: id, how: id, minutes, ...more });
const family = {
  states: [{ id: 'bar-on' }, { id: 'supply' }],
  steps: [
    at('cover-off', 1),
    at('bar-off', 2, { needs: ['cover-off'], takes: ['bar-on'] }),
    at('pump-out', 5, { needs: ['bar-off'] }),
    at('unit-out', 4, { takes: ['supply'] }),
    at('bench-supply', 1, { needs: ['unit-out'], gives: ['supply'] }),
    at('through-hatch', 3),
    at('in-sight', 0.5, { ways: [['through-hatch'], ['bar-off']] }),
  ],
  closing: [
    closingStep.parse({ id: 'bar-on', name: 'Bar on', how: 'On.', minutes: 3, closes: ['bar-off'] }),
    closingStep.parse({ id: 'all-on', name: 'Unit in', how: 'In.', minutes: 8, closes: ['unit-out', 'bench-supply'] }),
  ],
};
const reach = new AccessModel(family);
const way = (needs: string[], states: string[], reached: string[], blocked: string[] = []) => {
  const found = reach.approachOf({ needs, while: states }, reached, blocked);
  return found && { undo: found.undo.map(({ id }) => id), steps: found.steps.map(({ id }) => id), minutes: found.minutes };
};

test('what a step took is put back, with everything that stands on it, latest first', () => {
  expect(way([], ['bar-on'], ['cover-off', 'bar-off', 'pump-out'])).toEqual({ undo: ['pump-out', 'bar-off'], steps: [], minutes: 5 + 3 });
  expect(way([], ['bar-on'], ['cover-off'])).toEqual({ undo: [], steps: [], minutes: 0 });
});

test('a state is given back where that is shorter than undoing', () => {
  // Undoing costs half of the piece that closes both; the bench supply one minute.
  expect(way([], ['supply'], ['unit-out'])).toEqual({ undo: [], steps: ['bench-supply'], minutes: 1 });
  expect(reach.holds('supply', reach.maskOf(['unit-out']))).toBe(false);
  expect(reach.holds('supply', reach.maskOf(['unit-out', 'bench-supply']))).toBe(true);
});

test('a way that ends what is wanted is no way; another is taken, or none is left', () => {
  expect(way(['in-sight'], ['bar-on'], [])).toEqual({ undo: [], steps: ['through-hatch', 'in-sight'], minutes: 3.5 });
  expect(way(['in-sight'], [], ['cover-off', 'bar-off'])).toEqual({ undo: [], steps: ['in-sight'], minutes: 0.5 });
  expect(way(['pump-out'], ['bar-on'], [])).toBeNull();
  expect(way(['in-sight'], ['bar-on'], [], ['through-hatch'])).toBeNull();
});

test('what lies before a done step is done, whether anybody said so or not', () => {
  expect(way(['pump-out'], [], ['bar-off'])).toEqual({ undo: [], steps: ['pump-out'], minutes: 5 });
});

test('open is what was done and not put back since; opened again it is open again', () => {
  const done = (id: string) => ({ done: id });
  const back = (id: string) => ({ back: id });
  expect(openNow(family, [done('cover-off'), done('bar-off'), back('bar-on')])).toEqual(['cover-off']);
  expect(openNow(family, [done('cover-off'), done('bar-off'), back('bar-on'), done('bar-off')])).toEqual(['cover-off', 'bar-off']);
  // A step without a piece of its own is put back under its own name.
  expect(openNow(family, [done('pump-out'), back('pump-out')])).toEqual([]);
});
