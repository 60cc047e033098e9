import {
  CoreFailure,
  checkPack,
  motion,
  packModel,
  packSchema,
  traceInput,
  traceNext,
  type KinematicLook,
  type Pack,
} from '@patient-badger/core';
import { FAMILIES, familyIds } from './families.ts';
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
    for (const { remedy } of faults) expect(remedy.text).not.toMatch(/made wheel|printed gear/);
  }
});

describe.each(FAMILIES)('$id', (pack) => {
  test('has enough faults and looks to be of use, each look in the textbook order', () => {
    expect(pack.faults.length).toBeGreaterThanOrEqual(6);
    expect(pack.faults.length).toBeLessThanOrEqual(14);
    expect(pack.looks.length).toBeGreaterThanOrEqual(8);
    expect(pack.driveline.bodies.length).toBeLessThanOrEqual(12);
    expect([...pack.textbookOrder].sort()).toEqual(pack.looks.map(({ id }) => id).sort());
    expect(pack.complaints.flatMap(({ says }) => says).length).toBeGreaterThanOrEqual(6);
  });

  test('knows innocent causes: faults that leave every gear as it is', () => {
    expect(pack.faults.filter(({ modes }) => modes.length === 0).length).toBeGreaterThanOrEqual(2);
  });

  test.each(pack.faults.map(({ id }) => id))('%s becomes the first suspect when every look shows what it would show', (faultId) => {
    const { hypotheses, outcomes: all } = packModel(pack);
    const truth = hypotheses.find(({ fault }) => fault?.id === faultId)?.id ?? '';
    const observations = pack.looks.map((look) => {
      const outcomes = all.get(look.id) ?? [];
      const [likeliest] = [...outcomes].sort((p, q) => q.likelihood(truth) - p.likelihood(truth));
      return { look: look.id, result: likeliest?.result ?? '' };
    });
    const { suspects } = traceNext(traceInput.parse({ family: pack.id, observations }), pack);
    expect(suspects[0]?.fault).toBe(faultId);
  });

  test('whatever can hurt has a caution on its step, look or proof', () => {
    const used = new Set([...pack.steps, ...pack.looks, ...pack.closing, ...pack.proofs].flatMap(({ cautions }) => cautions));
    expect(pack.cautions.map(({ id }) => id).filter((id) => !used.has(id))).toEqual([]);
  });

  test('every opening step has its way back', () => {
    const undone = new Set(pack.closing.flatMap(({ closes }) => closes));
    expect(pack.steps.map(({ id }) => id).filter((id) => !undone.has(id))).toEqual([]);
  });

  test('what a kinematic look shows comes from the motion of the chain, not from a table', () => {
    const { hypotheses, outcomes } = packModel(pack);
    for (const look of kinematic(pack)) {
      expect(look).not.toHaveProperty('likelihoods');
      for (const { id, fault, mode } of hypotheses) {
        if (!fault) continue;
        const moved = motion({
          driveline: pack.driveline,
          drive: [look.drive],
          held: look.held,
          faults: mode ? [{ joint: fault.at, mode }] : [],
          underLoad: look.underLoad,
          visibleDeg: 20,
          visibleMm: 2,
        });
        const state = (body: string) => moved.bodies[body]?.state ?? 'still';
        const shown = look.beside ? `${state(look.watch)}-${state(look.beside)}` : state(look.watch);
        const [likeliest] = [...(outcomes.get(look.id) ?? [])].sort((p, q) => q.likelihood(id) - p.likelihood(id));
        expect([look.id, id, likeliest?.result]).toEqual([look.id, id, shown]);
      }
    }
  });

  test('every kinematic look can see its movement on a sound chain, and tells at least two faults apart', () => {
    for (const look of kinematic(pack)) {
      const results = packModel(pack).outcomes.get(look.id) ?? [];
      const best = packModel(pack).hypotheses.flatMap(({ id, fault }) =>
        fault ? [[...results].sort((p, q) => q.likelihood(id) - p.likelihood(id))[0]?.result] : [],
      );
      expect([look.id, new Set(best).size > 1]).toEqual([look.id, true]);
    }
  });

  test('the owner’s words move the suspects and the answer says so', () => {
    for (const { id, says } of pack.complaints) {
      const { factShifts } = traceNext(traceInput.parse({ family: pack.id, facts: { complaint: id } }), pack);
      expect(factShifts.map(({ why }) => why)).toContain(`the owner says “${says[0]}”`);
    }
  });

  test('every fact that moves a prior is asked for when the machine comes in', () => {
    const asked = new Set(pack.questions.map(({ fact }) => fact));
    expect(pack.faults.flatMap(({ shifts }) => shifts.map(({ fact }) => fact)).filter((fact) => !asked.has(fact))).toEqual([]);
  });
});

test('a pack that does not hold together is refused by name', () => {
  const file = structuredClone(FAMILIES[1]) as unknown as { order: string[]; complaints: { points: { fault: string }[] }[] };
  file.order = file.order.slice(0, -1);
  expect(() => checkPack(packSchema.parse(file))).toThrow(CoreFailure);
});
