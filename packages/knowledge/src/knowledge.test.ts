import { packModel, traceInput, traceNext } from '@patient-badger/core';
import { FAMILIES } from './families.ts';
import { SCENARIO, scenarioEntryPayload } from './scenario.ts';

describe.each(FAMILIES)('$id', (pack) => {
  test('has enough faults and looks to be of use, each look in the textbook order', () => {
    expect(pack.faults.length).toBeGreaterThanOrEqual(9);
    expect(pack.looks.length).toBeGreaterThanOrEqual(10);
    expect([...pack.textbookOrder].sort()).toEqual(pack.looks.map(({ id }) => id).sort());
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

  test('every opening step that closing must undo has its way back', () => {
    const undone = new Set(pack.closing.map(({ closes }) => closes));
    for (const id of ['cover-off', 'bar-off', 'clutch-off', 'drum-off', 'worm-out', 'piston-held']) expect(undone).toContain(id);
  });

  test('every fact that moves a prior is asked for when the machine comes in', () => {
    const asked = new Set(pack.questions.map(({ fact }) => fact));
    expect(pack.faults.flatMap(({ shifts }) => shifts.map(({ fact }) => fact)).filter((fact) => !asked.has(fact))).toEqual([]);
  });
});

test('the demo world holds together: every machine, model, person and entry is known', () => {
  const keys = (list: readonly { readonly key: string }[]) => new Set(list.map(({ key }) => key));
  const people = new Set(SCENARIO.people.map(({ id }) => id));
  for (const { model } of SCENARIO.machines) if (model) expect(keys(SCENARIO.models)).toContain(model);
  for (const { machine, entries } of SCENARIO.jobs) {
    expect(keys(SCENARIO.machines)).toContain(machine);
    for (const { by, payload } of entries) {
      expect(people).toContain(by);
      expect(() => scenarioEntryPayload(payload, '0197a000-0000-7000-8000-000000000001', 'saw-oil-pump')).not.toThrow();
    }
  }
});
