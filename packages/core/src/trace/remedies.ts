import { stepsThatFree } from '../access/opening.ts';
import { fail } from '../failure/CoreFailure.ts';
import type { OptionKind, Remedy } from '../work/remedy.ts';
import type { RemedyName } from '../work/schema.ts';
import type { Fault, Pack } from './pack.ts';

type OneRemedy = NonNullable<Fault['remedy']>;

/** The one remedy of a file from before there were several, in the words of today. */
const KIND_OF: Readonly<Record<OneRemedy['kind'], OptionKind>> = {
  clean: 'clean',
  refill: 'clean',
  adjust: 'adjust',
  reseal: 'repair',
  free: 'repair',
  replace: 'replace',
};

/** How people go on from a fault, as its family says; of a file that says one remedy only, that one. */
export const remediesOf = (pack: Pack, fault: Fault): readonly Remedy[] =>
  fault.remedy && fault.remedies.length === 0 ? [asWritten(pack, fault, fault.remedy)] : fault.remedies;

/** The usual way to go on from a fault. */
export const usualRemedy = (pack: Pack, fault: Fault): Remedy | undefined => remediesOf(pack, fault)[0];

/** Minutes of the work of a remedy itself, once everything that it needs is open. */
export const minutesOfWork = ({ work }: Pick<Remedy, 'work'>): number => work.reduce((sum, { minutes }) => sum + minutes, 0);

/**
 * The gear cards that the usual remedy of a fault is about, by what it fits; of one that fits no gear, by what has to hold for it. No
 * card where it is about no gear.
 */
export function gearsOfFault(pack: Pack, fault: Fault): readonly string[] {
  const remedy = usualRemedy(pack, fault);
  const fitted = cardsOf(pack, remedy?.parts.flatMap(({ gear }) => gear ?? []) ?? []);
  return fitted.length > 0 ? fitted : cardsOf(pack, remedy?.checks.map(({ about }) => about) ?? []);
}

/** The cards of these bodies, and of what meets at these joints, each once. */
const cardsOf = (pack: Pack, places: readonly string[]): readonly string[] => [
  ...new Set(places.flatMap((place) => pack.gears.filter(({ body }) => body === place || touches(pack, place, body)).map(({ id }) => id))),
];

function asWritten(pack: Pack, { id, at }: Pick<Fault, 'id' | 'at'>, remedy: OneRemedy): Remedy {
  const body = pack.gears.find((each) => each.id === remedy.part)?.body;
  return {
    id: `${id}-as-written`,
    kind: KIND_OF[remedy.kind],
    name: remedy.text.slice(0, 300),
    suits: remedy.text,
    needs: stepsThatFree(pack, at).slice(0, 1),
    work: [{ id: 'work', name: remedy.text.slice(0, 300), minutes: remedy.minutes, hands: 1, tools: [], cautions: [] }],
    settings: [],
    proofs: pack.proofs.map((each) => each.id),
    captures: [],
    loose: [],
    parts: body === undefined ? [] : [{ gear: body, count: 1, guideHours: { low: 0, high: 0, basis: '—' } }],
    lifeShare: 1,
    comeBackRisk: 0.1,
    leaves: remedy.text,
    checks: [],
    besides: [],
  };
}

/** Every remedy of a family, each once. */
export const remediesIn = (pack: Pack): readonly Remedy[] => {
  const all = pack.faults.flatMap((fault) => remediesOf(pack, fault));
  return all.filter(({ id }, i) => all.findIndex((other) => other.id === id) === i);
};

/**
 * What stands in where the verdict is not on the list: the remedies of the family that have to do with this gear, by what
 * they fit and by where their fault sits.
 */
export function remediesForGear(pack: Pack, gear: string): readonly Remedy[] {
  const body = pack.gears.find((each) => each.id === gear)?.body ?? gear;
  const here = pack.faults.filter(({ at }) => at === body || touches(pack, at, body)).flatMap((fault) => remediesOf(pack, fault));
  const fitted = remediesIn(pack).filter(({ parts }) => parts.some((part) => part.gear === body));
  return [...new Map([...fitted, ...here].map((each) => [each.id, each])).values()];
}

/** Whether a joint is at this body. */
export const touches = ({ driveline }: Pick<Pack, 'driveline'>, joint: string, body: string): boolean =>
  driveline.joints.some((each) => each.id === joint && Object.values(each).includes(body));

/** The remedy that was chosen, with where it was named. @throws CoreFailure where there is none of that name */
export function remedyChosen(pack: Pack, { fault, gear, remedy }: RemedyName, path: string): Remedy {
  const of = fault === undefined ? null : pack.faults.find(({ id }) => id === fault);
  if (of === undefined) throw fail('unknownId', `${path}.fault`, { given: fault, known: pack.faults.map(({ id }) => id).join(', ') });
  const standIns = gear === undefined ? remediesIn(pack) : remediesForGear(pack, gear);
  const list = of ? remediesOf(pack, of) : standIns;
  const found = list.find(({ id }) => id === remedy);
  if (!found) throw fail('unknownId', `${path}.remedy`, { given: remedy, known: list.map(({ id }) => id).join(', ') });
  return found;
}
