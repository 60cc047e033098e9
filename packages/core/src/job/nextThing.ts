import { stepsToReach } from '../access/opening.ts';
import type { Pack } from '../trace/pack.ts';
import type { Remedy } from '../work/remedy.ts';
import { planIfAny } from '../work/workPlan.ts';
import { gearMove } from './benchMove.ts';
import type { JobState } from './jobState.ts';
import { openSettings, proofPlan } from './proofPlan.ts';
import { openSteps, piecesBack } from './standing.ts';
import { gearInHand } from './toSetRight.ts';
import { remediesOfJob } from './workOfJob.ts';

/** Remedies whose gear is found by its dimensions. */
const BOUGHT: readonly string[] = ['adjust', 'replace', 'upgrade', 'donor'];

/** The one next thing of a job on which something is decided, as data: screens word it and know where it is done. */
export type NextThing =
  | { readonly kind: 'receive'; readonly gear: string | null }
  | { readonly kind: 'waitForPart'; readonly name: string }
  | { readonly kind: 'measure' | 'findPart' | 'save' | 'make' | 'fit'; readonly gear: string }
  | { readonly kind: 'open' | 'close'; readonly name: string; readonly left: number }
  | { readonly kind: 'set' | 'prove'; readonly name: string }
  | { readonly kind: 'end' };

/**
 * What comes next once it is decided: what came is measured; it is opened as far as the work needs; the gear is measured and its part
 * found, saved or made; then the way back with each setting in its place, the proofs, and the end. Null before the decision and after
 * the end.
 */
export function nextThing(pack: Pack, state: JobState): NextThing | null {
  if (!state.decided || state.closed) return null;
  const remedies = remediesOfJob(pack, state);
  const move = gearMove(state, pack);
  if (move?.kind === 'receive') return move;
  const goingBack = state.closingDone.length > 0;
  const left = goingBack ? [] : stepsLeft(pack, state, remedies);
  if (left[0]) return { kind: 'open', name: left[0].name, left: left.length };
  const made = madeFirst(pack, state, remedies);
  if (made) return made;
  if (move && (move.kind === 'waitForPart' || isBought(pack, remedies, move.gear))) return move;
  const toFit = Object.entries(state.gears).find(([, { chosen, fitted }]) => chosen && !fitted)?.[0];
  return toFit === undefined ? back(pack, state, remedies) : { kind: 'fit', gear: toFit };
}

/** Whether the work fits another gear there, found by its dimensions; of a file without remedies the gear that it names. */
function isBought({ gears }: Pack, remedies: readonly Remedy[], gear: string): boolean {
  const body = gears.find(({ id }) => id === gear)?.body;
  return remedies.length === 0 || remedies.some(({ kind, parts }) => BOUGHT.includes(kind) && parts.some((part) => part.gear === body));
}

/** A gear that is saved or made in the shop, before anything goes back; null where none is, or it is done. */
function madeFirst(pack: Pack, state: JobState, remedies: readonly Remedy[]): NextThing | null {
  const kind = remedies[0]?.kind;
  const gear = gearOf(pack, state, remedies);
  if ((kind !== 'save' && kind !== 'make') || gear === undefined) return null;
  const done: readonly { readonly gear: string }[] = kind === 'save' ? state.saved : state.made;
  return done.some((each) => each.gear === gear) ? null : { kind, gear };
}

const stepsLeft = (pack: Pack, state: JobState, remedies: readonly Remedy[]) =>
  stepsToReach(
    pack,
    remedies.flatMap(({ needs }) => needs),
    { reached: new Set(openSteps(pack, state)), blocked: new Set(state.stuck.map(({ step }) => step)) },
  );

/** The gear card that the work is about: the one that its fault names, or of what it fits. */
function gearOf(pack: Pack, state: JobState, remedies: readonly Remedy[]): string | undefined {
  const named = gearInHand(pack, state);
  const bodies = remedies.flatMap(({ parts }) => parts.flatMap(({ gear }) => gear ?? []));
  return named ?? pack.gears.find(({ body }) => bodies.includes(body))?.id;
}

/** The way back, the settings on it, the proofs. */
function back(pack: Pack, state: JobState, remedies: readonly Remedy[]): NextThing {
  const closed = new Set(piecesBack(pack, state));
  const unset = new Set(openSettings(pack, state).map(({ id }) => id));
  const plan = planIfAny(pack, remedies, { opened: state.reached });
  const tasks = (plan?.steps ?? []).filter(({ kind, ref }) => (kind === 'set' ? unset.has(ref) : kind === 'close' && !closed.has(ref)));
  const [first] = tasks;
  if (first?.kind === 'set') return { kind: 'set', name: first.name };
  if (first) return { kind: 'close', name: first.name, left: tasks.filter(({ kind }) => kind === 'close').length };
  const proofs = proofPlan(pack, state).flatMap((phase) => (phase.phase === 'later' ? [] : phase.proofs));
  const open = proofs.find(({ id }) => !state.proofs.some(({ proof, passed }) => proof === id && passed));
  return open ? { kind: 'prove', name: open.name } : { kind: 'end' };
}
