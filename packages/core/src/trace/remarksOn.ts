import { LEAST_LIKELIHOOD } from '../inference/belief.ts';
import { own } from '../operation/own.ts';
import { waysAlone } from './hypotheses.ts';
import { inputToSee } from './lookMotion.ts';
import type { KinematicLook, Pack } from './pack.ts';
import { likeliestResults, packModel } from './packModel.ts';
import { traceNext } from './next.ts';
import { traceInput } from './schema.ts';
import { usualOf } from './tableOutcomes.ts';

/** What works in a family file, and would serve the mechanic better otherwise. The words live in the wording package. */
export type RemarkCode =
  | 'deadDriverUntold'
  | 'notSettled'
  | 'noRemedies'
  | 'nothingAtService'
  | 'oneSided'
  | 'writtenEarlier'
  | 'notInTextbook'
  | 'noInnocents'
  | 'cautionUnread'
  | 'stepNotUndone'
  | 'factUnasked'
  | 'soundChainStill'
  | 'tellsNothing'
  | 'neverTold';

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
    ...undying(pack),
    ...unsettled(pack),
    ...remediless(pack),
    ...nothingAtService(pack),
    ...oneSided(pack),
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
  if (faults.some(({ modes }) => modes.every(({ mode }) => !mode))) return [];
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

/** Looks that most likely show the same, whatever is wrong, and tell nothing of what lies outside either. */
function emptyLooks(pack: Pack): PackRemark[] {
  const model = packModel(pack);
  const alone = model.hypotheses.filter(({ faults }) => faults.length === 1).map((each) => likeliestResults(model, each.id));
  return pack.looks.flatMap((look, i) => {
    const { id } = look;
    if (look.kind === 'table' && look.noneOfThese) return [];
    const shown = new Set(alone.map((results) => results[id]));
    return shown.size > 1 ? [] : [{ code: 'tellsNothing', path: `looks.${i}`, detail: { id } }];
  });
}

/** Faults that never come first, though every look shows what they would show. */
function unproved(pack: Pack): PackRemark[] {
  const model = packModel(pack);
  return pack.faults.flatMap(({ id }, i) => {
    const truth = waysAlone(model.hypotheses, id)[0]?.id ?? '';
    const observations = Object.entries(likeliestResults(model, truth)).map(([look, result]) => ({ look, result }));
    const [first] = traceNext(traceInput.parse({ family: pack.id, observations }), pack).suspects;
    if (first?.fault === id) return [];
    return [{ code: 'neverTold', path: `faults.${i}`, detail: { id, other: first?.fault } }];
  });
}

/** Looks by own power where no fault takes it: "it stands still" would then always accuse a gear. */
function undying({ looks, faults }: Pack): PackRemark[] {
  const dead = new Set(faults.flatMap(({ modes }) => modes.flatMap((each) => each.dead)));
  return looks.flatMap((look, i) =>
    look.kind === 'kinematic' && look.power === 'own' && !dead.has(look.drive.body)
      ? [{ code: 'deadDriverUntold', path: `looks.${i}.power`, detail: { id: look.id } }]
      : [],
  );
}

/** Faults that say one thing to do and not how people go on from them. */
const remediless = ({ faults }: Pack): PackRemark[] =>
  faults.flatMap(({ id, remedies }, i) =>
    remedies.length > 0 ? [] : [{ code: 'noRemedies', path: `faults.${i}.remedies`, detail: { id } }],
  );

/** From here on a sight settles: against a sound machine and against whatever is not on the list. */
const SETTLES = 20;

/** Faults that no sight settles. A fault that has no look of its own to be seen with is told by the rest. */
function unsettled(pack: Pack): PackRemark[] {
  return pack.faults.flatMap(({ id }, i) => {
    const best = settledBy(pack, id);
    return best === null || best >= SETTLES ? [] : [{ code: 'notSettled', path: `faults.${i}`, detail: { id, best } }];
  });
}

/** How many times as likely a fault makes the best of its sights as a sound machine does; null where nothing is seen of it. */
function settledBy({ looks }: Pack, fault: string): number | null {
  const odds = looks.flatMap((look) => {
    if (look.kind !== 'table' || !look.seen) return [];
    const usual = usualOf(look);
    return (own(look.likelihoods, fault) ?? []).flatMap((chance, r) =>
      r !== usual && chance >= 0.5 ? [chance / Math.max(look.otherwise[r] ?? 0, LEAST_LIKELIHOOD)] : [],
    );
  });
  return odds.length > 0 ? Math.max(...odds) : null;
}

const nothingAtService = ({ finds }: Pack): PackRemark[] =>
  finds.length > 0 ? [] : [{ code: 'nothingAtService', path: 'finds', detail: {} }];

/** Entries of one side without their like on the other: by the mirror of the sides, or by the words left and right in their ids. */
function oneSided({ faults, looks, mirrored }: Pack): PackRemark[] {
  const of = (list: readonly { readonly id: string }[], path: string): PackRemark[] =>
    list.flatMap(({ id }, i) => {
      const other = own(mirrored, id) ?? id.replace(/left|right/, (side) => (side === 'left' ? 'right' : 'left'));
      return other === id || list.some((each) => each.id === other)
        ? []
        : [{ code: 'oneSided', path: `${path}.${i}`, detail: { id, other } }];
    });
  return [...of(faults, 'faults'), ...of(looks, 'looks')];
}
