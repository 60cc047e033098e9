import { gearKindOf } from '../gear/kinds.ts';
import { traceNext } from '../trace/next.ts';
import { gearsOfFault, minutesOfWork } from '../trace/remedies.ts';
import type { Pack } from '../trace/pack.ts';
import { traceInput, type TraceOutput } from '../trace/schema.ts';
import { z } from 'zod';
import type { EntryKind, EntryPayload } from './entry.ts';
import { ENTRY_RULES, ruleOf } from './entryKinds.ts';
import type { JobState } from './jobState.ts';
import { openSteps } from './standing.ts';
import { toSetRight } from './toSetRight.ts';
import { remediesOfFaults } from './workOfJob.ts';

const text = z.string();

/** What can be done on a job right now, as data: screens word it. Minutes where they are known. */
export const benchMove = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('look'), name: text, minutes: z.number() }),
  z.strictObject({ kind: z.literal('verdict'), fault: text, probability: z.number() }),
  z.strictObject({ kind: z.literal('nothingElse') }),
  /** Probably nothing that the list of the family holds. */
  z.strictObject({ kind: z.literal('noneOfThese'), probability: z.number() }),
  z.strictObject({ kind: z.literal('noLookLeft') }),
  z.strictObject({ kind: z.literal('measure'), gear: text }),
  z.strictObject({ kind: z.literal('findPart'), gear: text }),
  /** Something came and is to be measured: for this gear, or an item of the job where none is named. */
  z.strictObject({ kind: z.literal('receive'), gear: text.nullable() }),
  /** Nothing to do before it is here. */
  z.strictObject({ kind: z.literal('waitForPart'), name: text }),
  z.strictObject({ kind: z.literal('setRight'), remedy: text.nullable(), minutes: z.number() }),
  z.strictObject({ kind: z.literal('finished') }),
]);
export type BenchMove = z.infer<typeof benchMove>;

/** What of a job the tracing depends on; everything else may change without its being asked again. */
export const askedOf = ({ takenIn, facts, observations, ownLooks, left, handled, found }: JobState) => ({
  facts,
  complaints: [...(takenIn?.complaints ?? [])],
  observations: observations.map(({ look, result }) => ({ look, result })),
  ownLooks: ownLooks.map(({ saw, fault, speaks, sure }) => ({ saw, fault, speaks, sure })),
  left: [...left],
  handled: [...handled],
  found: [...found],
});

/** The kinds of entry without which the move could not be worked out. */
export const MOVE_KINDS: readonly EntryKind[] = (Object.keys(ENTRY_RULES) as EntryKind[]).filter(
  (kind) => ENTRY_RULES[kind].bearsOnMove !== undefined,
);

/** Whether the next move of a job may be another after this entry. */
export function bearsOnMove(payload: EntryPayload): boolean {
  const { bearsOnMove: bears } = ruleOf(payload);
  return bears === true || (bears === 'ofGear' && 'gear' in payload && payload.gear !== undefined);
}

/** Suspects and next look of a job as it is now. */
export const traceOfJob = ({ handled, ...asked }: ReturnType<typeof askedOf>, pack: Pack): TraceOutput =>
  traceNext(traceInput.parse({ family: pack.id, ...asked, reached: [...openSteps(pack, { handled })] }), pack);

/** Whether parts are found for this gear by its dimensions: its kind is known by measuring. */
export const findsParts = (pack: Pack, gear: string | undefined): boolean =>
  pack.gears.some((card) => card.id === gear && gearKindOf(card, pack.driveline)?.identification !== undefined);

/** The next move of a job: a look, a verdict, a gear to measure, a part to find, or what sets it right. */
export function nextMove(state: JobState, pack: Pack): BenchMove {
  if (state.closed) return { kind: 'finished' };
  return state.decided ? moveAfterVerdict(state, pack) : moveOfTrace(traceOfJob(askedOf(state), pack), pack);
}

function moveAfterVerdict(state: JobState, pack: Pack): BenchMove {
  const remedies = remediesOfFaults(pack, toSetRight(pack, state), state);
  return (
    gearMove(state, pack) ?? {
      kind: 'setRight',
      remedy: remedies[0]?.name ?? null,
      minutes: remedies.reduce((sum, remedy) => sum + minutesOfWork(remedy), 0),
    }
  );
}

/** What is to be done about parts: what came is measured, the gear measured, its part found, what is on its way waited for; null where nothing is. */
export function gearMove(
  state: JobState,
  pack: Pack,
): Extract<BenchMove, { kind: 'receive' | 'measure' | 'findPart' | 'waitForPart' }> | null {
  const gear = toSetRight(pack, state)
    .flatMap((fault) => gearsOfFault(pack, fault).slice(0, 1))
    .find((each) => findsParts(pack, each) && isWanted(state, each) && !writtenDown(state, each));
  const came = moveOfOrders(state);
  if (came?.kind === 'receive') return came;
  if (gear) return { kind: Object.keys(state.gears[gear]?.readings ?? {}).length > 0 ? 'findPart' : 'measure', gear };
  return came;
}

/** No part is chosen for it, or what was chosen went back. */
function isWanted({ gears }: JobState, id: string): boolean {
  const { chosen, orders = [], fitted } = gears[id] ?? {};
  if (fitted || !chosen) return !fitted && !chosen;
  const ofChosen = orders.filter(({ partId }) => partId === chosen.partId);
  return ofChosen.length > 0 && ofChosen.every((each) => each.state === 'refused');
}

/** What came is measured first; what is on its way is waited for. */
function moveOfOrders({ gears, items }: JobState): Extract<BenchMove, { kind: 'receive' | 'waitForPart' }> | null {
  const orders = Object.entries(gears).flatMap(([gear, { orders: list = [], fitted }]) =>
    fitted ? [] : list.map((order) => ({ gear, order })),
  );
  const arrived = orders.find(({ order }) => order.state === 'arrived');
  if (arrived) return { kind: 'receive', gear: arrived.gear };
  if (items.some(({ state }) => state === 'arrived')) return { kind: 'receive', gear: null };
  const coming = orders.find(({ order }) => order.state === 'ordered')?.order ?? items.find(({ state }) => state === 'ordered');
  return coming ? { kind: 'waitForPart', name: coming.name } : null;
}

function moveOfTrace({ verdict, next, end }: TraceOutput, pack: Pack): BenchMove {
  if (end?.kind === 'nothingElse') return { kind: 'nothingElse' };
  if (end?.kind === 'noneOfThese') return { kind: 'noneOfThese', probability: end.probability };
  if (verdict) {
    const fault = pack.faults.find(({ id }) => id === verdict.fault)?.name ?? verdict.fault;
    return { kind: 'verdict', fault, probability: verdict.probability };
  }
  return next ? { kind: 'look', name: next.name, minutes: next.minutes } : { kind: 'noLookLeft' };
}

/** A part that was found by hand stands in a remark about its gear. */
const writtenDown = ({ remarks }: JobState, gear: string): boolean => remarks.some((each) => each.gear === gear);
