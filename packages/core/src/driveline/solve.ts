import { jointsAt } from './chain.ts';
import type { MotionEstimate } from './known.ts';
import type { FaultMode, Joint, MotionState } from './schema.ts';
import { settle, type Solution } from './settle.ts';
import { bodiesOf } from './transmission.ts';
import { type Question } from './question.ts';

export interface Motion {
  readonly value: number;
  readonly state: MotionState;
}

type OneWay = Extract<Joint, { type: 'oneWay' }>;

/** Contacts as they stand while the chain moves. */
interface Contacts {
  /** One-way clutches that grip. */
  readonly engaged: ReadonlySet<string>;
  /** Faulty contacts that gave way to something that cannot move. */
  readonly yielded: ReadonlySet<string>;
  /** Self-locking worms that were driven from their wheel. */
  readonly blocked: ReadonlySet<string>;
  readonly stuck: ReadonlySet<string>;
}

/**
 * Motion of every body. Contacts that depend on the outcome (one-way clutches, seats that slip,
 * teeth that jump, worms that do not back-drive) start at rest and are switched one at a time until
 * none contradicts what the others do. Each yields or blocks at most once, and a clutch grips at most
 * twice, so it ends.
 */
export function solve(question: Question): ReadonlyMap<string, Motion> {
  const { driveline, drive, held, underLoad } = question;
  const { joints } = driveline;
  const modes = modesOf(question.faults);
  const has = (joint: Joint, mode: FaultMode) => modes.get(joint.id)?.has(mode) ?? false;
  const at = jointsAt(driveline);
  const faulty = joints.filter(({ id }) => modes.has(id));
  const oneWays = joints.filter((joint): joint is OneWay => joint.type === 'oneWay');

  const settleWith = ({ engaged, yielded, blocked, stuck }: Contacts): Solution =>
    settle({
      at,
      drive,
      held,
      stuck,
      isTied: (joint) => {
        if (has(joint, 'open') || yielded.has(joint.id) || blocked.has(joint.id)) return false;
        if (has(joint, 'slips') && underLoad) return false;
        return joint.type !== 'oneWay' || engaged.has(joint.id);
      },
      isSkipping: (joint) => underLoad && has(joint, 'skips'),
    });

  let contacts: Contacts = {
    engaged: new Set(),
    yielded: new Set(),
    blocked: new Set(),
    stuck: new Set(faulty.filter((joint) => has(joint, 'jammed')).flatMap(bodiesOf)),
  };
  const grips = new Map<string, number>();
  for (;;) {
    let settled = settleWith(contacts);
    const outrun = settled.bound ? outrunClutch(oneWays, contacts, settleWith) : undefined;
    if (outrun) ({ contacts, settled } = outrun);
    const { known, locked } = settled;
    const tied = (joint: Joint) => !has(joint, 'open') && !contacts.yielded.has(joint.id) && !contacts.blocked.has(joint.id);
    const giving = settled.stoppedDrive
      ? faulty.find((joint) => tied(joint) && mayGive(modes.get(joint.id)) && bodiesOf(joint).every((id) => locked.has(id)))
      : undefined;
    const gripping = giving ? [] : leading(oneWays, known, { engaged: contacts.engaged, grips });
    const worm = giving || gripping.length > 0 ? undefined : backDriven(known, joints, contacts.blocked);
    if (giving) contacts = { ...contacts, yielded: including(contacts.yielded, giving.id) };
    else if (gripping.length > 0) {
      for (const { id } of gripping) grips.set(id, (grips.get(id) ?? 0) + 1);
      contacts = { ...contacts, engaged: new Set([...contacts.engaged, ...gripping.map(({ id }) => id)]) };
    } else if (worm) {
      contacts = { ...contacts, blocked: including(contacts.blocked, worm.id), stuck: including(contacts.stuck, worm.wheel) };
    } else {
      const jerking = new Set(faulty.filter((joint) => has(joint, 'skips') && contacts.yielded.has(joint.id)).flatMap(bodiesOf));
      return new Map(driveline.bodies.map(({ id }) => [id, motionOf(known.get(id), locked.has(id), jerking.has(id))]));
    }
  }
}

const including = (set: ReadonlySet<string>, one: string): ReadonlySet<string> => new Set([...set, one]);

const mayGive = (modes?: ReadonlySet<FaultMode>) => modes !== undefined && (modes.has('slips') || modes.has('skips'));

function modesOf(faults: Question['faults']): ReadonlyMap<string, ReadonlySet<FaultMode>> {
  const modes = new Map<string, Set<FaultMode>>();
  for (const { joint, mode } of faults) modes.set(joint, (modes.get(joint) ?? new Set()).add(mode));
  return modes;
}

/** How far the driver of a clutch would outrun what it drives, in the direction in which it grips. */
const leadOf = ({ driver, driven, drives }: OneWay, known: ReadonlyMap<string, MotionEstimate>) =>
  drives * ((known.get(driver)?.value ?? 0) - (known.get(driven)?.value ?? 0));

const MOST_GRIPS = 2;

/** One-way clutches grip when their driver would outrun what they drive; of several those that lead most, alike ones at once. */
function leading(
  oneWays: readonly OneWay[],
  known: ReadonlyMap<string, MotionEstimate>,
  { engaged, grips }: { readonly engaged: ReadonlySet<string>; readonly grips: ReadonlyMap<string, number> },
): readonly OneWay[] {
  const ready = oneWays
    .filter(({ id }) => !engaged.has(id) && (grips.get(id) ?? 0) < MOST_GRIPS)
    .map((joint) => ({ joint, lead: leadOf(joint, known) }))
    .filter(({ lead }) => lead > 1e-12);
  const most = Math.max(...ready.map(({ lead }) => lead));
  return ready.filter(({ lead }) => lead >= most * (1 - 1e-9)).map(({ joint }) => joint);
}

/** Where the chain binds between clutches that grip, the one that another outruns lets go: the faster carries. */
function outrunClutch(
  oneWays: readonly OneWay[],
  contacts: Contacts,
  settleWith: (contacts: Contacts) => Solution,
): { readonly contacts: Contacts; readonly settled: Solution } | undefined {
  if (contacts.engaged.size < 2) return undefined;
  for (const joint of oneWays) {
    if (!contacts.engaged.has(joint.id)) continue;
    const without = { ...contacts, engaged: new Set([...contacts.engaged].filter((id) => id !== joint.id)) };
    const settled = settleWith(without);
    if (!settled.bound && leadOf(joint, settled.known) <= 1e-12) return { contacts: without, settled };
  }
  return undefined;
}

/** A self-locking worm lets nothing back through: its wheel stands, and the worm gets no drive. The one nearest to the drive is met first. */
function backDriven(known: ReadonlyMap<string, MotionEstimate>, joints: readonly Joint[], blocked: ReadonlySet<string>) {
  const worms = new Map(joints.flatMap((joint) => (joint.type === 'worm' && joint.selfLocking ? [[joint.id, joint] as const] : [])));
  if (worms.size === 0) return undefined;
  for (const [id, { via, value }] of known) {
    const worm = via === null ? undefined : worms.get(via);
    if (worm && worm.worm === id && value !== 0 && !blocked.has(worm.id)) return worm;
  }
  return undefined;
}

function motionOf({ value = 0, less = false }: Partial<MotionEstimate> = {}, locked: boolean, jerking: boolean): Motion {
  const slowed: MotionState = less ? 'less' : 'turns';
  const moving: MotionState = jerking ? 'irregular' : slowed;
  const resting: MotionState = locked ? 'locked' : 'still';
  return { value, state: value === 0 ? resting : moving };
}
