import { inOrder, waysToReach } from './opening.ts';
import { stepsNamed, type Step } from './step.ts';

interface Family {
  readonly steps: readonly Step[];
  readonly closing: readonly { readonly closes: readonly string[]; readonly minutes: number }[];
  readonly states: readonly { readonly id: string; readonly powers?: readonly string[] }[];
}

/** What has to be done before something can be: steps to put back, latest first, and steps to do. */
export interface Approach {
  readonly undo: readonly Step[];
  readonly steps: readonly Step[];
  readonly minutes: number;
}

/** The steps that are open once something was got to. */
export const openAfter = ({ undo, steps }: Pick<Approach, 'undo' | 'steps'>, reached: readonly string[]): readonly string[] => [
  ...reached.filter((open) => !undo.some(({ id }) => id === open)),
  ...steps.map(({ id }) => id),
];

export interface Requirements {
  /** Steps that must be done. */
  readonly needs: readonly string[];
  /** States that must hold. */
  readonly while: readonly string[];
  /** Of each of these lists one state must not hold: hands are in it, and what would start it is cut off. */
  readonly cutOff?: readonly (readonly string[])[];
}

/** Steps as bits: the first of the family is 1, the next 2. */
interface Way {
  /** Steps that are asked for themselves. */
  readonly asked: number;
  /** Steps that must be done. */
  readonly done: number;
  /** Steps that must not be done, for they end a state that is wanted. */
  readonly undone: number;
}

/** Which states hold, and what it takes to get to where something can be done; worked out once for a family. */
export class AccessModel {
  private readonly bit: ReadonlyMap<string, number>;
  private readonly minutes: Float64Array;
  private readonly back: Float64Array;
  private readonly needs: Int32Array;
  private readonly anyWay: Int32Array;
  private readonly ways: readonly (readonly number[])[];
  private readonly knownWays = new Map<string, readonly Way[]>();
  /** For each step the steps that must not be open when it is done: what brings the power back under hands, or takes props away. */
  private readonly against: Int32Array;

  constructor(private readonly family: Family) {
    this.bit = new Map(family.steps.map(({ id }, i) => [id, 1 << i]));
    this.minutes = Float64Array.from(family.steps, ({ minutes }) => minutes);
    this.back = Float64Array.from(family.steps, ({ id, minutes }) => minutesBack(family, id) ?? minutes);
    this.needs = Int32Array.from(family.steps, ({ needs }) => this.maskOf(needs));
    this.anyWay = Int32Array.from(family.steps, ({ ways }) => this.maskOf(ways.flat()));
    this.ways = family.steps.map(({ ways }) => ways.map((way) => this.maskOf(way)));
    const power = family.states.filter(({ powers = [] }) => powers.length > 0).map(({ id }) => id);
    this.against = Int32Array.from(family.steps, ({ handsAt, stands }) => {
      const ended = [...(handsAt === 'near' || handsAt === 'in' ? power : []), ...endedBy(family, stands)];
      return this.maskOf(family.steps.filter(({ gives }) => gives.some((state) => ended.includes(state))).map(({ id }) => id));
    });
  }

  /** The bits of these steps; ids that the family does not have count for nothing. */
  maskOf(ids: Iterable<string>): number {
    let mask = 0;
    for (const id of ids) mask |= this.bit.get(id) ?? 0;
    return mask;
  }

  /** Whether a state holds with these steps done: nothing ended it, or a step gave it back after. */
  holds(state: string, reached: number): boolean {
    if ((reached & this.takers(state)) === 0) return true;
    return this.givers(state).some(({ bit, later }) => (reached & bit) !== 0 && (reached & later) === 0);
  }

  /**
   * Every way to where something can be done. A state that is wanted holds because no step that ends it
   * is done, or because a step gives it back; both are ways. What was asked once is remembered: looks ask
   * at each press.
   */
  waysTo(wanted: Requirements): readonly Way[] {
    const key = JSON.stringify([wanted.needs, wanted.while, wanted.cutOff]);
    const made = this.knownWays.get(key) ?? this.worksOutWays(wanted);
    this.knownWays.set(key, made);
    return made;
  }

  private worksOutWays({ needs, while: states, cutOff = [] }: Requirements): readonly Way[] {
    const choices: readonly (readonly { give: string[]; undone: number }[])[] = [
      ...states.map((state) => [
        { give: [], undone: this.takers(state) },
        ...this.givers(state).map(({ id, later }) => ({ give: [id], undone: later })),
      ]),
      ...cutOff.map((list) => list.flatMap((state) => this.endings(state))),
    ];
    const combined = choices.reduce<readonly { give: readonly string[]; undone: number }[]>(
      (list, more) =>
        list.flatMap((one) => more.map((other) => ({ give: [...one.give, ...other.give], undone: one.undone | other.undone }))),
      [{ give: [], undone: 0 }],
    );
    return combined.flatMap(({ give, undone }) =>
      waysToReach(this.family.steps, [...needs, ...give])
        .map((way) => ({ asked: this.maskOf([...needs, ...give]), done: this.maskOf(way), undone }))
        .filter(({ done }) => (done & undone) === 0),
    );
  }

  /** The cheapest of the ways from here, as bits and minutes; null where none of them avoids what is stuck. */
  approach(
    ways: readonly Way[],
    reached: number,
    blocked = 0,
  ): { readonly undo: number; readonly steps: number; readonly minutes: number } | null {
    let best: { undo: number; steps: number; minutes: number } | null = null;
    for (const { asked, done, undone } of ways) {
      const first = this.restingOn(reached & undone, reached);
      const against = this.all(this.against, this.stillToDo(asked, done, reached & ~first)) & reached & ~first;
      const undo = against === 0 ? first : this.restingOn(reached & (undone | against), reached);
      const steps = this.stillToDo(asked, done, reached & ~undo);
      if ((steps & blocked) !== 0) continue;
      const minutes = this.sum(this.back, undo) + this.sum(this.minutes, steps);
      if (!best || minutes < best.minutes) best = { undo, steps, minutes };
    }
    return best;
  }

  /** The same for people: the steps themselves. */
  approachOf(wanted: Requirements, reached: Iterable<string>, blocked: Iterable<string> = []): Approach | null {
    const found = this.approach(this.waysTo(wanted), this.maskOf(reached), this.maskOf(blocked));
    return (
      found && {
        undo: stepsNamed(this.family.steps, [...this.idsIn(found.undo)].reverse()),
        steps: stepsNamed(this.family.steps, inOrder(this.family.steps, this.idsIn(found.steps))),
        minutes: found.minutes,
      }
    );
  }

  /** Of the steps of a way, those not done; what lies before a done step is done, whether anybody said so or not. */
  private stillToDo(asked: number, way: number, done: number): number {
    let wanted = asked & ~done;
    for (let before = 0; before !== wanted;) {
      before = wanted;
      for (let left = wanted, i = 0; left !== 0; left >>>= 1, i++) {
        if (left & 1) wanted |= ((this.needs[i] as number) | (this.anyWay[i] as number)) & way & ~done;
      }
    }
    return wanted;
  }

  /** These done steps and all done steps that cannot stay without them. */
  private restingOn(first: number, reached: number): number {
    let undo = first;
    for (let before = -1; before !== undo;) {
      before = undo;
      this.family.steps.forEach((_, i) => {
        if ((reached & ~undo & (1 << i)) === 0) return;
        const lost = ((this.needs[i] as number) & undo) !== 0;
        const ways = this.ways[i] as readonly number[];
        const noWay = ways.some((way) => way & undo) && !ways.some((way) => (way & ~(reached & ~undo)) === 0);
        if (lost || noWay) undo |= 1 << i;
      });
    }
    return undo;
  }

  /** The steps of these bits, in the order of the family. */
  private idsIn(mask: number): ReadonlySet<string> {
    return new Set(this.family.steps.filter((_, i) => mask & (1 << i)).map(({ id }) => id));
  }

  /** Each step that ends a state, with what would bring it back. */
  private endings(state: string): { give: string[]; undone: number }[] {
    const back = this.maskOf(this.givers(state).map(({ id }) => id));
    return this.family.steps.filter(({ takes }) => takes.includes(state)).map(({ id }) => ({ give: [id], undone: back }));
  }

  private givers(state: string): { id: string; bit: number; later: number }[] {
    const takers = this.takers(state);
    return this.family.steps
      .filter(({ gives }) => gives.includes(state))
      .map(({ id }) => ({ id, bit: this.bit.get(id) as number, later: this.maskOf(this.resting(id)) & takers }));
  }

  /** Whether one of two steps needs the other, so that it is clear which is done last. */
  ordered(one: string, other: string): boolean {
    return this.resting(one).includes(other) || this.resting(other).includes(one);
  }

  /** Steps that need this one, however far down. */
  private resting(id: string): readonly string[] {
    const direct = this.family.steps.filter(({ needs, ways }) => [...needs, ...ways.flat()].includes(id)).map((each) => each.id);
    return [...direct, ...direct.flatMap((each) => this.resting(each))];
  }

  /** Steps that end a state. */
  private takers(state: string): number {
    return this.maskOf(this.family.steps.filter(({ takes }) => takes.includes(state)).map(({ id }) => id));
  }

  /** Every bit of these masks, of the steps of `mask`. */
  private all(masks: Int32Array, mask: number): number {
    let all = 0;
    for (let left = mask, i = 0; left !== 0; left >>>= 1, i++) if (left & 1) all |= masks[i] as number;
    return all;
  }

  private sum(minutes: Float64Array, mask: number): number {
    let sum = 0;
    for (let left = mask, i = 0; left !== 0; left >>>= 1, i++) if (left & 1) sum += minutes[i] as number;
    return sum;
  }
}

/** States that end when it is put on props, or on stands: what is done there needs them ended. */
export function endedBy({ steps }: Pick<Family, 'steps'>, stands: Step['stands']): readonly string[] {
  if (stands !== 'props' && stands !== 'stands') return [];
  const there = steps.filter((each) => each.stands === stands);
  const isFirst = ({ needs, ways }: Step) => ![...needs, ...ways.flat()].some((id) => there.some((each) => each.id === id));
  return there.filter(isFirst).flatMap(({ takes }) => takes);
}

/** Minutes of putting one step back; a piece that closes several is shared among them. */
function minutesBack({ closing }: Pick<Family, 'closing'>, id: string): number | undefined {
  const piece = closing.find(({ closes }) => closes.includes(id));
  return piece && piece.minutes / piece.closes.length;
}

const remembered = new WeakMap<Family, AccessModel>();

export function reachOf(family: Family): AccessModel {
  const made = remembered.get(family) ?? new AccessModel(family);
  remembered.set(family, made);
  return made;
}

/** Steps that are open now: those done and not put back since, in their order. */
export function openNow(
  { closing }: { readonly closing: readonly { readonly id: string; readonly closes: readonly string[] }[] },
  handled: readonly ({ readonly done: string } | { readonly back: string })[],
): readonly string[] {
  return handled.reduce<readonly string[]>((open, step) => {
    if ('done' in step) return [...open.filter((id) => id !== step.done), step.done];
    const closes = closing.find(({ id }) => id === step.back)?.closes ?? [step.back];
    return open.filter((id) => !closes.includes(id));
  }, []);
}
