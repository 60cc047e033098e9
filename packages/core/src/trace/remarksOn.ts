import { hypothesesOf } from './hypotheses.ts';
import type { PackNote } from './explainPack.ts';
import { inputToSee } from './lookMotion.ts';
import type { LookOutcome } from './outcomes.ts';
import type { KinematicLook, Pack } from './pack.ts';
import { packModel } from './packModel.ts';
import { traceNext } from './next.ts';
import { traceInput } from './schema.ts';

/** What holds together and would serve the mechanic better otherwise. */
export function remarksOn(pack: Pack): readonly PackNote[] {
  return [
    ...textbook(pack),
    ...innocents(pack),
    ...unusedCautions(pack),
    ...noWayBack(pack),
    ...unasked(pack),
    ...blindLooks(pack),
    ...emptyLooks(pack),
    ...unproved(pack),
  ];
}

function textbook({ looks, textbookOrder }: Pack): PackNote[] {
  return looks
    .filter(({ id }) => !textbookOrder.includes(id))
    .map(({ id }) => ({
      path: 'textbookOrder',
      sentence: `The look "${id}" is not in the textbook order, so the benchmark never takes it.`,
    }));
}

function innocents({ faults }: Pack): PackNote[] {
  if (faults.some(({ modes }) => modes.length === 0)) return [];
  return [
    { path: 'faults', sentence: 'Every fault is a gear’s. Add what can be wrong while every gear is sound: no supply, friction, dirt.' },
  ];
}

function unusedCautions({ cautions, steps, looks, closing, proofs }: Pack): PackNote[] {
  const used = new Set([...steps, ...looks, ...closing, ...proofs].flatMap((each) => each.cautions));
  return cautions
    .map(({ id }, i) => ({ path: `cautions.${i}`, id }))
    .filter(({ id }) => !used.has(id))
    .map(({ path, id }) => ({ path, sentence: `The caution "${id}" stands at no step, look or proof, so nobody reads it.` }));
}

function noWayBack({ steps, closing }: Pack): PackNote[] {
  const closed = new Set(closing.flatMap(({ closes }) => closes));
  return steps
    .map(({ id }, i) => ({ path: `steps.${i}`, id }))
    .filter(({ id }) => !closed.has(id))
    .map(({ path, id }) => ({ path, sentence: `Nothing on the way back undoes the step "${id}".` }));
}

function unasked({ faults, questions }: Pack): PackNote[] {
  const asked = new Set(questions.map(({ fact }) => fact));
  return faults.flatMap(({ shifts }, i) =>
    shifts
      .map(({ fact }, j) => ({ path: `faults.${i}.shifts.${j}`, fact }))
      .filter(({ fact }) => !asked.has(fact))
      .map(({ path, fact }) => ({ path, sentence: `The fact "${fact}" moves a fault, and no question asks for it.` })),
  );
}

function blindLooks(pack: Pack): PackNote[] {
  return pack.looks.flatMap((look, i) => (look.kind === 'kinematic' ? blindness(pack, look, i) : []));
}

function blindness(pack: Pack, look: KinematicLook, i: number): PackNote[] {
  const needed = inputToSee(pack, look);
  const given = Math.abs(look.drive.turns ?? look.drive.travelMm ?? 0);
  // Where nothing moves on a sound chain, as behind a worm that locks itself, standing still is what is looked for.
  if (needed === undefined || given >= needed) return [];
  return [
    {
      path: `looks.${i}.drive`,
      sentence: `In the look "${look.id}" a sound chain would not be seen to move: drive it ${needed.toFixed(1)} at least, not ${given}.`,
    },
  ];
}

/** Looks that most likely show the same, whatever is wrong. */
function emptyLooks(pack: Pack): PackNote[] {
  const { hypotheses, outcomes } = packModel(pack);
  return pack.looks.flatMap(({ id }, i) => {
    const shown = new Set(hypotheses.flatMap((each) => (each.fault ? [likeliest(outcomes.get(id) ?? [], each.id)] : [])));
    return shown.size > 1 ? [] : [{ path: `looks.${i}`, sentence: `The look "${id}" shows the same whatever is wrong: it tells nothing.` }];
  });
}

const likeliest = (outcomes: readonly LookOutcome[], hypothesis: string): string =>
  outcomes.reduce<LookOutcome | null>(
    (best, each) => (best && best.likelihood(hypothesis) >= each.likelihood(hypothesis) ? best : each),
    null,
  )?.result ?? '';

/** Faults that never come first, though every look shows what they would show. */
function unproved(pack: Pack): PackNote[] {
  const { outcomes } = packModel(pack);
  return pack.faults.flatMap(({ id }, i) => {
    const truth = hypothesesOf(pack).find(({ fault }) => fault?.id === id)?.id ?? '';
    const observations = pack.looks.map((look) => ({ look: look.id, result: likeliest(outcomes.get(look.id) ?? [], truth) }));
    const [first] = traceNext(traceInput.parse({ family: pack.id, observations }), pack).suspects;
    if (first?.fault === id) return [];
    return [{ path: `faults.${i}`, sentence: `"${id}" can never be told from "${first?.fault}": no look shows something else for it.` }];
  });
}
