import { join } from 'node:path';
import { CANNOT_TELL, packModel, settledOnSight, type FaultMode, type Pack } from '@patient-badger/core/machine';
import { drawn } from '../packages/core/src/practice/hidden.ts';
import { unlistedWays } from '../packages/core/src/trace/hypotheses.ts';
import { lookMotion } from '../packages/core/src/trace/lookMotion.ts';
import { machinesIn, type Machine } from './machineRuns.ts';

/**
 * Machines with nothing of the list in them, by a world of its own: what a sound machine answers at a look is what most of the
 * told machines of its family do (`stories/machines`, written without the packs' chances), not what the engine's tables say. Six
 * in ten are wrong outside of the chain and answer so, three in ten have something in the chain that is not listed, which
 * moves as kinematics have it and shows half the time where it is, one in ten is sound. Four looks in a hundred are misread.
 */
export interface NoneMachine {
  readonly complaint: string;
  readonly shows: (look: string) => string;
}

const KINDS = new Map([
  ['outside', 0.6],
  ['unlisted', 0.3],
  ['sound', 0.1],
]);
const MISREAD = 0.04;
const SHOWS_ITSELF = 0.5;

const TOLD: readonly Machine[] = machinesIn(join(import.meta.dirname, 'stories/machines'));

/** What most told machines of the family answer at each look. */
function usualAnswers({ id }: Pack): ReadonlyMap<string, string> {
  const counts = new Map<string, Map<string, number>>();
  for (const { answers } of TOLD.filter(({ family }) => family === id)) {
    for (const [look, result] of Object.entries(answers)) {
      const count = counts.get(look) ?? new Map<string, number>();
      count.set(result, (count.get(result) ?? 0) + 1);
      counts.set(look, count);
    }
  }
  return new Map([...counts].map(([look, count]) => [look, [...count].sort(([, p], [, q]) => q - p)[0]?.[0] ?? '']));
}

export function noneMachines(pack: Pack, count: number, random: () => number): readonly NoneMachine[] {
  const usual = usualAnswers(pack);
  const any = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const complaints = pack.complaints.map(({ id }) => id);
  return Array.from({ length: count }, () => {
    const there = drawn(KINDS, random) === 'unlisted' ? any(unlistedWays(pack)) : null;
    const told = new Map<string, string>();
    const answer = (id: string): string => {
      const look = pack.looks.find((each) => each.id === id);
      const sound = usual.get(id) ?? '';
      if (!look) return sound;
      if (look.kind === 'table') {
        const others = look.results.map((each) => each.id).filter((each) => each !== sound);
        const strange = there?.joint === look.at && random() < SHOWS_ITSELF;
        const seen = strange || random() < MISREAD ? any(others) : sound;
        // Asked back whether it is that fault itself, few say yes of one that is not there.
        const isAskedBack = settledOnSight(pack, { look: id, result: seen }).length > 0;
        return isAskedBack && random() >= MISREAD ? CANNOT_TELL : seen;
      }
      const seen = there ? motionSeen(pack, look, there) : sound;
      const known = (packModel(pack).outcomes.get(id) ?? []).some(({ result }) => result === seen);
      return known && random() >= MISREAD ? seen : CANNOT_TELL;
    };
    return {
      complaint: any(complaints),
      shows: (look) => {
        const before = told.get(look) ?? answer(look);
        told.set(look, before);
        return before;
      },
    };
  });
}

function motionSeen(
  pack: Pack,
  look: Extract<Pack['looks'][number], { kind: 'kinematic' }>,
  there: { joint: string; mode: FaultMode },
): string {
  const { bodies } = lookMotion(pack, look, [there]);
  const stalled = bodies[look.drive.body]?.state === 'locked';
  const of = (body: string) => (stalled ? 'locked' : (bodies[body]?.state ?? 'still'));
  return look.beside ? `${of(look.watch)}-${of(look.beside)}` : of(look.watch);
}
