import type { Driveline, FaultMode, Joint, MotionState } from './schema.ts';
import { settle, type Known } from './settle.ts';
import { bodiesOf } from './transmission.ts';
import { type Question } from './question.ts';

export interface Motion {
  readonly value: number;
  readonly state: MotionState;
}

/**
 * Motion of every body. Contacts that depend on the outcome (one-way clutches, seats that slip,
 * teeth that jump, worms that do not back-drive) start at rest and are switched one at a time until
 * none contradicts what the others do; each switches at most once, so it ends after at most one
 * round per joint.
 */
export function solve(question: Question): ReadonlyMap<string, Motion> {
  const { driveline, faults } = question;
  const modes = new Map(driveline.joints.map(({ id }) => [id, new Set(faults.filter((f) => f.joint === id).map((f) => f.mode))]));
  const has = (joint: Joint, mode: FaultMode) => modes.get(joint.id)?.has(mode) ?? false;

  const engaged = new Set<string>();
  const yielded = new Set<string>();
  const blocked = new Set<string>();
  const stuck = new Set(driveline.joints.filter((joint) => has(joint, 'jammed')).flatMap(bodiesOf));
  const isTied = (joint: Joint) => {
    if (has(joint, 'open') || yielded.has(joint.id) || blocked.has(joint.id)) return false;
    if (has(joint, 'slips') && question.underLoad) return false;
    return joint.type !== 'oneWay' || engaged.has(joint.id);
  };

  for (;;) {
    const tied = driveline.joints.filter(isTied);
    const skipping = new Set(tied.filter((joint) => has(joint, 'skips') && question.underLoad).map(({ id }) => id));
    const settled = settle({ ...question, tied, skipping, stuck });
    const giving = tied.find(
      (joint) =>
        (has(joint, 'slips') || has(joint, 'skips')) && bodiesOf(joint).every((id) => settled.locked.has(id)) && settled.stoppedDrive,
    );
    if (giving) yielded.add(giving.id);
    else if (!switchOneWay(driveline, settled.known, engaged) && !blockBackDriving(tied, settled.known, blocked, stuck)) {
      const jerking = new Set(driveline.joints.filter((joint) => has(joint, 'skips') && yielded.has(joint.id)).flatMap(bodiesOf));
      return states(driveline, settled.known, settled.locked, jerking);
    }
  }
}

/** A one-way clutch grips when its driver would outrun what it drives. */
function switchOneWay(driveline: Driveline, known: ReadonlyMap<string, Known>, engaged: Set<string>): boolean {
  for (const joint of driveline.joints) {
    if (joint.type !== 'oneWay' || engaged.has(joint.id)) continue;
    const lead = (known.get(joint.driver)?.value ?? 0) - (known.get(joint.driven)?.value ?? 0);
    if (joint.drives * lead > 1e-12) {
      engaged.add(joint.id);
      return true;
    }
  }
  return false;
}

/** A self-locking worm lets nothing back through: its wheel stands, and the worm gets no drive. */
function blockBackDriving(tied: readonly Joint[], known: ReadonlyMap<string, Known>, blocked: Set<string>, stuck: Set<string>): boolean {
  for (const joint of tied) {
    if (joint.type !== 'worm' || !joint.selfLocking) continue;
    const worm = known.get(joint.worm);
    if (worm && worm.via === joint.id && worm.value !== 0) {
      blocked.add(joint.id);
      stuck.add(joint.wheel);
      return true;
    }
  }
  return false;
}

function states(
  driveline: Driveline,
  known: ReadonlyMap<string, Known>,
  locked: ReadonlySet<string>,
  jerking: ReadonlySet<string>,
): ReadonlyMap<string, Motion> {
  return new Map(
    driveline.bodies.map(({ id }) => {
      const { value = 0, less = false } = known.get(id) ?? {};
      const slowed: MotionState = less ? 'less' : 'turns';
      const moving: MotionState = jerking.has(id) ? 'irregular' : slowed;
      const resting: MotionState = locked.has(id) ? 'locked' : 'still';
      return [id, { value, state: value === 0 ? resting : moving }];
    }),
  );
}
