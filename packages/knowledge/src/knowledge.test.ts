import { CoreFailure } from '@patient-badger/core';
import { checkEntry, openLedger } from '@patient-badger/core/job';
import {
  applyOverrides,
  checkPack,
  isLoaded,
  motion,
  likeliestResults,
  packModel,
  packSchema,
  traceInput,
  traceNext,
  reassembly,
  type KinematicLook,
  type Pack,
} from '@patient-badger/core/machine';
import { FAMILIES, familyIds, findFamily } from './families.ts';
import { SNAGS } from './snags.ts';
import { SCENARIO, scenarioEntryPayload } from './scenario.ts';

const kinematic = (pack: Pack) => pack.looks.filter((look): look is KinematicLook => look.kind === 'kinematic');

test('the seventeen families of the trade are there', () => {
  expect(familyIds()).toEqual([
    'saw-oil-pump',
    'saw-chain-tensioner',
    'dash-odometer-motor',
    'dash-odometer-cable',
    'speedometer-takeoff',
    'fold-actuator',
    'park-brake-actuator',
    'slide-rack-drive',
    'mid-drive-motor',
    'constant-mesh-gearbox',
    'worm-steering-box',
    'sector-steering',
    'walk-drive-gearbox',
    'garden-transaxle',
    'hydro-final-drive',
    'auger-gearbox',
    'trimmer-bevel-head',
  ]);
});

test('steering and brakes are marked, and offer no shop-made gear', () => {
  const critical = FAMILIES.filter(({ safetyCritical }) => safetyCritical);
  expect(critical.map(({ id }) => id)).toEqual(['park-brake-actuator', 'worm-steering-box', 'sector-steering']);
  for (const { faults, cautions } of critical) {
    expect(cautions.map(({ id }) => id)).toEqual(expect.arrayContaining(['second-check', 'no-printed']));
    expect(faults.flatMap(({ remedies }) => remedies).filter(({ kind }) => kind === 'make')).toEqual([]);
  }
});

describe.each(FAMILIES)('$id', (pack) => {
  test('a proof that fails leads to the look that it repeats', () => {
    expect(pack.proofs.filter(({ failing }) => failing === undefined).map(({ id }) => id)).toEqual([]);
  });

  test('has enough faults, looks and wordings to be of use, and is readable on a phone', () => {
    expect(pack.faults.length).toBeGreaterThanOrEqual(6);
    expect(pack.faults.length).toBeLessThanOrEqual(24);
    expect(pack.looks.length).toBeGreaterThanOrEqual(8);
    expect(pack.driveline.bodies.length).toBeLessThanOrEqual(12);
    expect(pack.complaints.flatMap(({ says }) => says).length).toBeGreaterThanOrEqual(6);
    expect(pack.faults.filter(({ modes }) => modes.every(({ mode }) => !mode)).length).toBeGreaterThanOrEqual(2);
  });

  test('what a kinematic look shows comes from the motion of the chain, not from a table', () => {
    const model = packModel(pack);
    const { hypotheses } = model;
    const shownUnder = new Map(hypotheses.map(({ id }) => [id, likeliestResults(model, id)]));
    for (const look of kinematic(pack)) {
      expect(look).not.toHaveProperty('likelihoods');
      for (const { id, faults } of hypotheses) {
        const [{ fault, mode, dead } = {}] = faults;
        if (!fault || fault.id in look.shows || faults.length > 1 || (look.power === 'own' && dead?.includes(look.drive.body))) continue;
        const moved = motion({
          driveline: { ...pack.driveline, joints: pack.driveline.joints.filter((joint) => !look.apart.includes(joint.id)) },
          drive: [look.drive],
          held: look.held,
          faults: mode && !look.apart.includes(fault.at) ? [{ joint: fault.at, mode }] : [],
          underLoad: isLoaded(look),
          visibleDeg: 20,
          visibleMm: 2,
        });
        // Where what is driven will not go, nothing else can be seen.
        const stalled = moved.bodies[look.drive.body]?.state === 'locked';
        const state = (body: string) => (stalled ? 'locked' : (moved.bodies[body]?.state ?? 'still'));
        const shown = look.beside ? `${state(look.watch)}-${state(look.beside)}` : state(look.watch);
        expect([look.id, id, shownUnder.get(id)?.[look.id]]).toEqual([look.id, id, shown]);
      }
    }
  });

  test('the owner’s words move the suspects and the answer says so', () => {
    for (const { id } of pack.complaints) {
      const { factShifts } = traceNext(traceInput.parse({ family: pack.id, facts: { complaint: id } }), pack);
      expect(factShifts.map(({ complaint }) => complaint)).toContain(id);
    }
  });
});

describe.each(FAMILIES)('$id, opening and closing', (pack) => {
  test('every step frees something, gives a state back or stands before one that does, and what a look watches comes within reach', () => {
    const before = new Set([
      ...pack.steps.flatMap(({ needs, ways }) => [...needs, ...ways.flat()]),
      ...pack.looks.flatMap(({ needs }) => needs),
    ]);
    expect(pack.steps.filter(({ id, frees, gives }) => [...frees, ...gives].length === 0 && !before.has(id)).map(({ id }) => id)).toEqual(
      [],
    );
    const freed = new Set(pack.steps.flatMap(({ frees }) => frees));
    for (const { id, at, needs } of pack.looks) if (needs.length > 0) expect([id, freed.has(at)]).toEqual([id, true]);
  });

  test('what comes off has a count and a place, and something is captured or kept on most ways in', () => {
    const loose = pack.steps.flatMap((step) => step.loose);
    expect(loose.length).toBeGreaterThanOrEqual(3);
    expect(pack.steps.flatMap(({ captures }) => captures).length).toBeGreaterThanOrEqual(1);
    expect(pack.whileOpen.length).toBeGreaterThanOrEqual(2);
    expect(pack.closing.filter(({ kind }) => kind === 'cleanOut').length).toBeGreaterThanOrEqual(1);
  });

  test('with everything open the way back closes each step once and balances the ledger', () => {
    const opened = pack.steps.map(({ id }) => id);
    const back = reassembly(pack, opened);
    expect(back.flatMap(({ closes }) => closes).sort()).toEqual([...opened].sort());
    const own = { loose: [], captures: [], steps: [] };
    const state = { own, reached: opened, handled: [], skipped: [], looseNotes: [], short: [], torques: [] };
    expect(openLedger(pack, { ...state, closingDone: [] }).length).toBeGreaterThan(0);
    expect(openLedger(pack, { ...state, closingDone: back.map(({ id }) => id) })).toEqual([]);
  });
});

test('every kind of loose part has a snag with remedies, mildest first', () => {
  const kinds = new Set(FAMILIES.flatMap(({ steps }) => steps.flatMap(({ loose }) => loose.map(({ kind }) => kind))));
  const rescued = new Set(SNAGS.flatMap((each) => each.kinds));
  // A seal, a spring or a shim is lifted out; it does not seize.
  expect([...kinds].filter((kind) => !rescued.has(kind) && !['seal', 'spring', 'shim'].includes(kind))).toEqual([]);
  for (const { remedies } of SNAGS) expect(remedies[0]?.notNear).toEqual([]);
});

describe('the demo world', () => {
  test('covers every family, with about ten jobs on the bench', () => {
    expect(new Set(SCENARIO.machines.map(({ family }) => family))).toEqual(new Set(familyIds()));
    expect(SCENARIO.machines.length).toBeGreaterThanOrEqual(20);
    expect(SCENARIO.jobs.length).toBeGreaterThanOrEqual(10);
  });

  test.each(SCENARIO.models)('$maker $code: what it has otherwise than its family belongs to that family', ({ family, overrides }) => {
    expect(() => applyOverrides(packOf(family), overrides)).not.toThrow();
  });

  test.each(SCENARIO.machines)(
    '$label: its facts are asked for and its hidden fault is one of its family',
    ({ family, model, facts, truth }) => {
      const pack = packOf(family);
      const asked = new Set(pack.questions.map(({ fact }) => fact));
      expect(Object.keys(facts).filter((fact) => !asked.has(fact))).toEqual([]);
      expect(pack.faults.map(({ id }) => id)).toContain(truth.fault);
      expect([null, ...SCENARIO.models.filter((each) => each.family === family).map(({ key }) => key)]).toContain(model);
    },
  );

  test.each(SCENARIO.jobs)('$key: every entry says something its family knows', ({ machine, entries }) => {
    const { family = '' } = SCENARIO.machines.find(({ key }) => key === machine) ?? {};
    for (const { payload } of entries) checkEntry(scenarioEntryPayload(payload, MACHINE_ID, family), packOf(family));
  });
});

const packOf = (family: string) => findFamily(family) as Pack;
const MACHINE_ID = '0197a000-0000-7000-8000-000000000001';

test('a pack that does not hold together is refused by name', () => {
  const file = structuredClone(FAMILIES[1]) as unknown as { order: string[]; complaints: { points: { fault: string }[] }[] };
  file.order = file.order.slice(0, -1);
  expect(() => checkPack(packSchema.parse(file))).toThrow(CoreFailure);
});
