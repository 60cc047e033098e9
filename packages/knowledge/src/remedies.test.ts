import { createOperations } from '@patient-badger/core';
import type { Pack } from '@patient-badger/core/machine';
import { seeded } from '@patient-badger/core/testing';
import { carryOut, cheapestOpening } from '../../../bench/carryOut.ts';
import { FAMILIES, familyIds, findFamily } from './families.ts';

const { run } = createOperations({ find: findFamily, ids: familyIds });
type Remedy = Pack['faults'][number]['remedies'][number];
const each = FAMILIES.map((pack) => [pack.id, pack] as const);
const remediesOf = (pack: Pack): readonly Remedy[] => [
  ...new Map(pack.faults.flatMap(({ remedies }) => remedies.map((remedy) => [remedy.id, remedy] as const))).values(),
];

test.each(each)('%s: every fault has its remedies, each is planned and carried out, by the cheapest of every set of steps', (_, pack) => {
  for (const fault of pack.faults) {
    expect([fault.id, fault.remedies.length]).not.toEqual([fault.id, 0]);
    for (const remedy of fault.remedies) {
      const plan = run('work.plan', { family: pack.id, chosen: [{ fault: fault.id, remedy: remedy.id }] });
      expect([remedy.id, carryOut(pack, plan, { remedies: [remedy] })]).toEqual([remedy.id, []]);
      const opening = plan.steps.filter(({ kind }) => kind === 'open').reduce((sum, { minutes }) => sum + minutes, 0);
      expect([remedy.id, opening]).toEqual([remedy.id, expect.closeTo(cheapestOpening(pack, remedy.needs), 9)]);
    }
  }
});

test.each(each)('%s: several faults at once, with what is done besides and some of it open already, are carried out as one', (_, pack) => {
  const random = seeded(12);
  const all = remediesOf(pack);
  for (let i = 0; i < 12; i++) {
    const chosen = [...all].sort(() => random() - 0.5).slice(0, 2 + Math.floor(random() * 2));
    const besides = chosen.flatMap((remedy) => remedy.besides.map(({ remedy: id }) => id)).filter(() => random() < 0.5);
    const first = pack.steps.find(({ needs, ways }) => needs.length === 0 && ways.length === 0);
    const opened = random() < 0.3 && first ? [first.id] : [];
    const plan = run('work.plan', { family: pack.id, chosen: chosen.map(({ id }) => ({ remedy: id })), besides, opened });
    const done = [...new Set([...chosen, ...all.filter(({ id }) => besides.includes(id))])];
    expect([chosen.map(({ id }) => id), carryOut(pack, plan, { remedies: done, opened })]).toEqual([chosen.map(({ id }) => id), []]);
  }
});

test('the executor is no formality: a plan whose order is spoilt is found out', () => {
  const pack = findFamily('saw-oil-pump') as Pack;
  const remedy = remediesOf(pack).find(({ id }) => id === 'worm-new') as Remedy;
  const plan = run('work.plan', { family: pack.id, chosen: [{ remedy: 'worm-new' }] });
  const without = (id: string) => ({
    ...plan,
    steps: plan.steps.filter((step) => step.id !== id).map((step) => ({ ...step, after: step.after.filter(({ task }) => task !== id) })),
  });
  for (const id of ['open:bar-off', 'do:worm-new/clean', 'set:clutch', 'close:drum-on', 'prove:hand-cord'])
    expect([id, carryOut(pack, without(id), { remedies: [remedy] }).length > 0]).toEqual([id, true]);
});

/** What a fault has done to the thing itself: nothing is bonded, staked or soldered where the teeth are gone. */
const TORN = /teeth (gone|sheared|stripped|broken|torn)|stripped|gear snapped|worm ground away|worn to points/i;
test('no remedy that its fault rules out: what has lost its teeth is not bonded, staked, pressed or soldered', () => {
  for (const pack of FAMILIES) {
    for (const { name, remedies } of pack.faults.filter((fault) => TORN.test(fault.name)))
      expect([pack.id, name, remedies.filter(({ school }) => school === 'looseGear').map(({ id }) => id)]).toEqual([pack.id, name, []]);
  }
});

test('where somebody can be hurt nothing is made, saved, bypassed or printed', () => {
  for (const pack of FAMILIES.filter(({ safetyCritical }) => safetyCritical))
    expect(remediesOf(pack).filter(({ kind }) => ['make', 'save', 'bypass'].includes(kind))).toEqual([]);
});

test('every school on which practitioners differ stands somewhere, and with an answer beside it', () => {
  const schools = new Map<string, Set<string>>();
  for (const pack of FAMILIES)
    for (const { school, id } of remediesOf(pack))
      if (school) schools.set(school, (schools.get(school) ?? new Set()).add(`${pack.id} ${id}`));
  expect([...schools.keys()].sort()).toEqual([
    'eccentricByTrial',
    'frictionOrGear',
    'looseGear',
    'nearestRatio',
    'notSoldApart',
    'oldGrease',
    'plasticOrMetal',
    'sealant',
    'wornGearbox',
  ]);
  for (const [school, where] of schools) expect([school, where.size > 1]).toEqual([school, true]);
});

test('a hydrostat and a brake hold what their plate says and nothing else', () => {
  expect(findFamily('hydro-final-drive')?.spaces.map(({ contains }) => contains)).toEqual(['hydrostaticFluid']);
  for (const pack of FAMILIES) {
    const oils = remediesOf(pack).flatMap(({ parts }) => parts.flatMap(({ item = '' }) => (/\boil\b/i.test(item) ? [item] : [])));
    if (pack.spaces.some(({ contains }) => contains === 'hydrostaticFluid'))
      expect(oils.filter((item) => !/the plate names|filter|Gaskets and oil/.test(item))).toEqual([]);
  }
});
