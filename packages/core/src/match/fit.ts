import { fail } from '../failure/CoreFailure.ts';
import { normalWithin } from '../inference/normal.ts';
import { FINEST, type Measurement } from '../quantity/measured.ts';
import { checkSize, inModules } from './partSize.ts';
import { RULES, ruleFor, type Rule } from './rules.ts';
import type { AttributeFit, AttributeName, PartAttributes, MatchFit, MatchFitInput, PartWork } from './schema.ts';

/** Work on a part goes wrong now and then (judgement). */
const WORK_SUCCEEDS = 0.85;
/** Another material can do, but the weakest link moves (judgement). */
const OTHER_MATERIAL = 0.6;
/** No bench reading makes a part more certain, or more hopeless, than this. */
const CERTAIN = 0.995;

/**
 * Will this part do for the gear that is wanted? Every attribute that either side gives is judged on
 * its own: fits, fits after named work, does not fit (by how much), or not known. The probability is
 * the product of the attributes' own; the deciding attribute is the least likely one.
 * Numbers may be exact or readings with their ±; mm and degrees.
 *
 * @throws CoreFailure where nothing is wanted, its size is given twice and differently, or the part gives nothing.
 * @example wanted bore 12 mm, part bore 11.5 mm → boreDiameterMm fitsAfterWork, difference −0.5
 */
export function fit({ wanted, part, claims = [], machine }: MatchFitInput): MatchFit {
  if (Object.keys(wanted).length === 0) throw fail('nothingGiven', 'wanted', { reason: 'nothingWanted' });
  if (Object.keys(part).length === 0) throw fail('nothingGiven', 'part', { reason: 'nothingKnownOfPart' });
  checkSize(wanted, 'wanted');
  const [w, p] = inModules(wanted, part);
  // Whoever asks for no material takes any; of everything else that a part says, the wanted gear has its own.
  const names = ATTRIBUTE_ORDER.filter((name) => w[name] !== undefined || (p[name] !== undefined && name !== 'material'));
  const attributes = names.map((name) => judge({ name, wanted: w[name], part: p[name], all: w }));
  const deciding = attributes.reduce<AttributeFit | null>(
    (worst, each) => (!worst || each.probability < worst.probability ? each : worst),
    null,
  );
  const refused = attributes.filter(({ state }) => state === 'doesNotFit');
  const claimed = machine !== undefined && claims.includes(machine);
  return {
    probability: attributes.reduce((product, each) => product * each.probability, 1),
    deciding: deciding && deciding.probability < CERTAIN ? deciding.name : null,
    attributes,
    ...(claimed && refused[0] ? { contradiction: refused[0].name } : {}),
  };
}

const ATTRIBUTE_ORDER: readonly AttributeName[] = [...(Object.keys(RULES) as AttributeName[]), 'material'];

type AttributeValue = PartAttributes[AttributeName];
interface JudgeOptions {
  readonly name: AttributeName;
  readonly wanted: AttributeValue;
  readonly part: AttributeValue;
  readonly all: PartAttributes;
}

function judge({ name, wanted, part, all }: JudgeOptions): AttributeFit {
  const shown = { name, ...(wanted !== undefined && { wanted: plain(wanted) }), ...(part !== undefined && { part: plain(part) }) };
  if (name === 'material') return { ...shown, ...judgeMaterial(wanted, part) };
  const rule = ruleFor(name, all.type) as Rule;
  if (wanted === undefined || part === undefined) return { ...shown, state: 'unknown', probability: rule.need, work: 'measure' };
  if (rule.kind === 'exact') {
    const agrees = wanted === part;
    const bothCounts = typeof wanted === 'number' && typeof part === 'number';
    return {
      ...shown,
      state: agrees ? 'fits' : 'doesNotFit',
      ...(bothCounts && { difference: part - wanted }),
      probability: agrees ? CERTAIN : 1 - CERTAIN,
    };
  }
  return { ...shown, ...judgeSize(rule, { wanted: reading(wanted), part: reading(part), all }) };
}

interface JudgeSizeOptions {
  readonly wanted: Measurement;
  readonly part: Measurement;
  readonly all: PartAttributes;
}

function judgeSize(rule: Extract<Rule, { kind: 'size' }>, { wanted, part, all }: JudgeSizeOptions) {
  const difference = part.value - wanted.value;
  const error = Math.hypot(wanted.plusMinus, part.plusMinus, FINEST);
  const allowed = rule.fixed + rule.share * Math.abs(wanted.value);
  // How likely it is that the true difference is within what is allowed.
  const within = normalWithin(0, allowed, difference, error);
  const asIs = Math.min(within, CERTAIN);
  const work = workFor(rule, { difference, wanted: wanted.value, all });
  if (within >= 0.5) return { state: 'fits' as const, difference, allowed, probability: asIs };
  if (work) return { state: 'fitsAfterWork' as const, difference, allowed, work, probability: Math.max(asIs, WORK_SUCCEEDS) };
  return { state: 'doesNotFit' as const, difference, allowed, probability: Math.max(asIs, 1 - CERTAIN) };
}

interface WorkForOptions {
  readonly difference: number;
  readonly wanted: number;
  readonly all: PartAttributes;
}

function workFor(rule: Extract<Rule, { kind: 'size' }>, { difference, wanted, all }: WorkForOptions): PartWork | null {
  const work = difference > 0 ? rule.above : rule.below;
  // Splines, keys and flats cannot be opened out or sleeved like a round hole.
  const shapedBore = rule === RULES.boreDiameterMm && all.boreShape !== undefined && all.boreShape !== 'round';
  if (!work || shapedBore || Math.abs(difference) > work.fixed + work.share * Math.abs(wanted)) return null;
  return work.work(difference);
}

function judgeMaterial(wanted: AttributeValue, part: AttributeValue) {
  if (part === undefined) return { state: 'unknown' as const, probability: 0.95, work: 'lookAt' as const };
  if (wanted === part) return { state: 'fits' as const, probability: CERTAIN };
  return { state: 'fitsAfterWork' as const, probability: OTHER_MATERIAL, work: 'checkWeakestLink' as const };
}

const reading = (given: AttributeValue): Measurement => (typeof given === 'object' ? given : { value: given as number, plusMinus: 0 });

const plain = (given: NonNullable<AttributeValue>): number | string => (typeof given === 'object' ? given.value : given);
