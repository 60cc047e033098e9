import { hypothesesOf } from './hypotheses.ts';
import { inputToSee } from './lookMotion.ts';
import type { LookOutcome } from './outcomes.ts';
import type { KinematicLook, Pack } from './pack.ts';
import { packModel } from './packModel.ts';
import { traceNext } from './next.ts';
import { traceInput } from './schema.ts';

/** What works in a family file, and would serve the mechanic better otherwise. The words live in the wording package. */
export type RemarkCode =
  'notInTextbook' | 'noInnocents' | 'cautionUnread' | 'stepNotUndone' | 'factUnasked' | 'soundChainStill' | 'tellsNothing' | 'neverTold';

export interface PackRemark {
  readonly code: RemarkCode;
  /** Dotted path of the field: `looks.3.needs.0`. */
  readonly path: string;
  readonly detail: Readonly<Record<string, string | number | undefined>>;
}

/** What holds together and would serve the mechanic better otherwise. */
export function remarksOn(pack: Pack): readonly PackRemark[] {
  return [
    ...textbook(pack),
    ...innocents(pack),
    ...unusedCautions(pack),
    ...noReassembly(pack),
    ...unasked(pack),
    ...blindLooks(pack),
    ...emptyLooks(pack),
    ...unproved(pack),
  ];
}

function textbook({ looks, textbookOrder }: Pack): PackRemark[] {
  return looks
    .filter(({ id }) => !textbookOrder.includes(id))
    .map(({ id }) => ({
      code: 'notInTextbook',
      path: 'textbookOrder',
      detail: { id },
    }));
}

function innocents({ faults }: Pack): PackRemark[] {
  if (faults.some(({ modes }) => modes.length === 0)) return [];
  return [{ code: 'noInnocents', path: 'faults', detail: {} }];
}

function unusedCautions({ cautions, steps, looks, closing, proofs }: Pack): PackRemark[] {
  const used = new Set([...steps, ...looks, ...closing, ...proofs].flatMap((each) => each.cautions));
  return cautions
    .map(({ id }, i) => ({ path: `cautions.${i}`, id }))
    .filter(({ id }) => !used.has(id))
    .map(({ path, id }) => ({ code: 'cautionUnread', path, detail: { id } }));
}

function noReassembly({ steps, closing }: Pack): PackRemark[] {
  const closed = new Set(closing.flatMap(({ closes }) => closes));
  return steps
    .map(({ id }, i) => ({ path: `steps.${i}`, id }))
    .filter(({ id }) => !closed.has(id))
    .map(({ path, id }) => ({ code: 'stepNotUndone', path, detail: { id } }));
}

function unasked({ faults, questions }: Pack): PackRemark[] {
  const asked = new Set(questions.map(({ fact }) => fact));
  return faults.flatMap(({ shifts }, i) =>
    shifts
      .map(({ fact }, j) => ({ path: `faults.${i}.shifts.${j}`, fact }))
      .filter(({ fact }) => !asked.has(fact))
      .map(({ path, fact }): PackRemark => ({ code: 'factUnasked', path, detail: { fact } })),
  );
}

function blindLooks(pack: Pack): PackRemark[] {
  return pack.looks.flatMap((look, i) => (look.kind === 'kinematic' ? blindness(pack, look, i) : []));
}

function blindness(pack: Pack, look: KinematicLook, i: number): PackRemark[] {
  const needed = inputToSee(pack, look);
  const given = Math.abs(look.drive.turns ?? look.drive.travelMm ?? 0);
  // Where nothing moves on a sound chain, as behind a worm that locks itself, standing still is what is looked for.
  if (needed === undefined || given >= needed) return [];
  return [
    {
      code: 'soundChainStill',
      path: `looks.${i}.drive`,
      detail: { id: look.id, needed, given },
    },
  ];
}

/** Looks that most likely show the same, whatever is wrong. */
function emptyLooks(pack: Pack): PackRemark[] {
  const { hypotheses, outcomes } = packModel(pack);
  return pack.looks.flatMap(({ id }, i) => {
    const shown = new Set(hypotheses.flatMap((each) => (each.fault ? [likeliest(outcomes.get(id) ?? [], each.id)] : [])));
    return shown.size > 1 ? [] : [{ code: 'tellsNothing', path: `looks.${i}`, detail: { id } }];
  });
}

const likeliest = (outcomes: readonly LookOutcome[], hypothesis: string): string =>
  outcomes.reduce<LookOutcome | null>(
    (best, each) => (best && best.likelihood(hypothesis) >= each.likelihood(hypothesis) ? best : each),
    null,
  )?.result ?? '';

/** Faults that never come first, though every look shows what they would show. */
function unproved(pack: Pack): PackRemark[] {
  const { outcomes } = packModel(pack);
  return pack.faults.flatMap(({ id }, i) => {
    const truth = hypothesesOf(pack).find(({ fault }) => fault?.id === id)?.id ?? '';
    const observations = pack.looks.map((look) => ({ look: look.id, result: likeliest(outcomes.get(look.id) ?? [], truth) }));
    const [first] = traceNext(traceInput.parse({ family: pack.id, observations }), pack).suspects;
    if (first?.fault === id) return [];
    return [{ code: 'neverTold', path: `faults.${i}`, detail: { id, other: first?.fault } }];
  });
}
