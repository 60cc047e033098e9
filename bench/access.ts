/**
 * How long the shortest opening takes: for every family, to every place and to every pair of places,
 * exact. Baseline in the same run: every set of steps tried.
 *
 *   npm run bench:access
 */
import { openingTo, stepsThatFree, type Pack } from '@patient-badger/core/machine';
import { FAMILIES } from '@patient-badger/knowledge';

const placesOf = (pack: Pack) =>
  [...pack.driveline.bodies, ...pack.driveline.joints, ...pack.auxiliaries]
    .map(({ id }) => id)
    .filter((id) => stepsThatFree(pack, id).length > 0);

/** Minutes of the cheapest set of steps that frees the places and holds what each of them needs. */
function everySet(pack: Pack, places: readonly string[]): number {
  let best = Infinity;
  for (let mask = 0; mask < 1 << pack.steps.length; mask++) {
    const chosen = new Set(pack.steps.filter((_, i) => mask & (1 << i)).map(({ id }) => id));
    const there = (id: string) => chosen.has(id);
    const sound = pack.steps.every(
      ({ id, needs, ways }) => !chosen.has(id) || (needs.every(there) && (ways.length === 0 || ways.some((way) => way.every(there)))),
    );
    if (!sound || !places.every((place) => stepsThatFree(pack, place).some(there))) continue;
    best = Math.min(
      best,
      pack.steps.filter(({ id }) => chosen.has(id)).reduce((sum, { minutes }) => sum + minutes, 0),
    );
  }
  return best;
}

const timed = <T>(work: () => T): [T, number] => {
  const start = performance.now();
  const made = work();
  return [made, performance.now() - start];
};

/** A made-up machine larger than any that ships: every third step has two ways. */
const madeUp = (count: number): Pack => ({
  ...(FAMILIES[0] as Pack),
  id: `made up, ${count} steps`,
  steps: Array.from({ length: count }, (_, i) => ({
    ...(FAMILIES[0] as Pack).steps[0],
    id: `s${i}`,
    minutes: 1 + ((i * 7) % 5),
    needs: i > 2 && i % 3 !== 0 ? [`s${i - 2}`] : [],
    ways: i > 3 && i % 3 === 0 ? [[`s${i - 1}`], [`s${i - 3}`, `s${i - 2}`]] : [],
    frees: i > count - 4 ? [(FAMILIES[0] as Pack).driveline.bodies[count - 1 - i]?.id ?? ''] : [],
  })) as Pack['steps'],
});

const table: Record<string, Record<string, string | number>> = {};
for (const pack of [...FAMILIES, madeUp(16)]) {
  const places = placesOf(pack);
  const aims = places.flatMap((one, i) => [[one], ...places.slice(i + 1).map((other) => [one, other])]);
  const exact = aims.map((aim) => timed(() => openingTo(pack, aim)?.minutes ?? Infinity));
  const brute = aims.map((aim) => timed(() => everySet(pack, aim)));
  const wrong = exact.filter(([minutes], i) => Math.abs(minutes - (brute[i]?.[0] ?? NaN)) > 1e-9).length;
  const sum = (list: readonly (readonly [number, number])[]) => list.reduce((total, [, ms]) => total + ms, 0);
  table[pack.id] = {
    steps: pack.steps.length,
    questions: aims.length,
    'other answers': wrong,
    'worst ms': Math.max(...exact.map(([, ms]) => ms)).toFixed(2),
    'of every set': `1 : ${(sum(brute) / sum(exact)).toFixed(0)}`,
  };
}
console.table(table);
