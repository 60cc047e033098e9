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

/** What each place that is filled takes, by the trade and not by the program: the plate for a hydrostat, chain oil for a chain, a drop for an instrument. */
const FILLED: Readonly<Record<string, string | null>> = {
  'saw-oil-pump oil': 'chainOil',
  'dash-odometer-cable oil': 'instrumentOil',
  'fold-actuator grease': 'greasePlastic',
  'park-brake-actuator spindle-grease': 'greaseEp',
  'slide-rack-drive grease': 'greasePlastic',
  'mid-drive-motor grease': 'greasePlastic',
  'constant-mesh-gearbox oil': 'gearOilEp',
  'worm-steering-box oil': 'wormOil',
  'walk-drive-gearbox oil': 'wormOil',
  'garden-transaxle grease': 'greaseEp',
  'hydro-final-drive oil': null,
  'auger-gearbox oil': 'wormOil',
  'trimmer-bevel-head grease': 'greaseEp',
};
test('no place of the seventeen families gets a wrong kind: what it holds decides, and a hydrostat gets no answer', () => {
  const found = FAMILIES.flatMap((pack) =>
    pack.settings
      .filter(({ desk }) => desk === 'fill')
      .map(({ id, at, materials }) => {
        const contains = (pack.spaces.find((space) => space.id === at) ?? pack.spaces[0])?.contains;
        const slides = pack.driveline.joints.some((joint) => joint.id === at && joint.type === 'worm') || materials?.[1] === 'bronze';
        return [`${pack.id} ${id}`, run('setup.lubricant', { materials: materials ?? ['steel', 'steel'], contains, slides }).lubricant];
      }),
  );
  expect(Object.fromEntries(found)).toEqual(FILLED);
});

test('what is poured into a hydrostat is what its plate names, in every remedy', () => {
  const poured = remediesOf(findFamily('hydro-final-drive') as Pack).flatMap(({ parts }) =>
    parts.flatMap(({ item = '' }) => (/^oil\b/i.test(item) ? [item] : [])),
  );
  expect(new Set(poured.filter((item) => item !== 'Oil filter'))).toEqual(new Set(['Oil the plate names']));
});
