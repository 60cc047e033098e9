import { findFamily } from '@patient-badger/knowledge';
import { stepsToReach } from '../access/opening.ts';
import { cautionsOn } from './cautionsOn.ts';
import type { Pack } from './pack.ts';

const pack = findFamily('saw-oil-pump') as Pack;
const names = (needs: readonly string[], reached: readonly string[] = []) =>
  stepsToReach(pack, needs, { reached: new Set(reached) }).map(({ id }) => id);

test('every step comes after those it needs, and each once', () => {
  const order = names(['pump-out', 'drum-off']);
  expect(new Set(order).size).toBe(order.length);
  for (const step of pack.steps.filter(({ id }) => order.includes(id))) {
    for (const before of step.needs) expect(order.indexOf(before)).toBeLessThan(order.indexOf(step.id));
  }
});

test('what is already open is not opened again, nor what lay before it', () => {
  expect(names(['drum-off'], ['clutch-off'])).toEqual(['drum-off']);
  expect(names(['drum-off'], ['drum-off'])).toEqual([]);
});

test('nothing needed, nothing opened', () => expect(names([])).toEqual([]));

test('cautions of look and steps come once each', () => {
  const steps = stepsToReach(pack, ['clutch-off'], { reached: new Set() });
  const ids = cautionsOn(pack, ['chain-covered'], steps).map(({ id }) => id);
  expect(ids).toEqual([...new Set(ids)]);
  expect(ids).toEqual(expect.arrayContaining(['plug-lead-off', 'chain-covered', 'piston-soft-stop', 'left-hand-thread']));
});
