import fc from 'fast-check';
import { CoreFailure, type FailureData } from '../failure/CoreFailure.ts';
import type { Operations } from '../operations.ts';
import { allowedBy, broken, near } from './inputs.ts';
import { pictures } from './pictures.ts';

export interface Trial {
  readonly name: string;
  readonly seed: number;
  readonly runs: number;
  /** Sound inputs of the operation from elsewhere: the golden cases. */
  readonly golden: readonly unknown[];
  /** Ids of families and the like. */
  readonly words: readonly string[];
  /** How a refusal is said to a person. */
  readonly sentenceOf: (failure: FailureData) => string;
  /** A clock in ms. */
  readonly now: () => number;
}

export interface Trouble {
  readonly kind: 'broke' | 'notFinite' | 'impossible' | 'innerName';
  readonly what: string;
  readonly input: unknown;
}

export interface TrialResult {
  readonly answered: number;
  readonly refused: number;
  readonly slowestMs: number;
  readonly slowest: unknown;
  readonly trouble: readonly Trouble[];
}

/** Puts an operation to inputs that its schema allows, to golden ones changed a little, and to broken ones. */
export function tryOperation(operations: Operations, trial: Trial): TrialResult {
  const { name, seed, runs, golden, words, now } = trial;
  const operation = operations.list.find((each) => each.name === name);
  if (!operation) throw new RangeError(`no operation ${name}`);
  const sound = [
    name.startsWith('scan.') ? pictures : allowedBy(operation.input, words),
    ...(golden.length > 0 ? [fc.constantFrom(...golden).chain(near)] : []),
  ];
  const any = fc.oneof({ weight: 3, arbitrary: fc.oneof(...sound) }, { weight: 1, arbitrary: broken(fc.oneof(...sound)) });
  let [answered, refused, slowestMs] = [0, 0, 0];
  let slowest: unknown = null;
  const trouble: Trouble[] = [];
  for (const input of fc.sample(any, { seed, numRuns: runs })) {
    const start = now();
    const said = outcome(operations, trial, input);
    const took = now() - start;
    if (took > slowestMs) [slowestMs, slowest] = [took, input];
    if (said.kind === 'answered') answered++;
    else if (said.kind === 'refused') refused++;
    else if ('what' in said) trouble.push({ kind: said.kind, what: said.what, input });
  }
  return { answered, refused, slowestMs, slowest, trouble };
}

type Outcome = { readonly kind: 'answered' | 'refused' } | { readonly kind: Trouble['kind']; readonly what: string };

function outcome(operations: Operations, { name, sentenceOf }: Trial, input: unknown): Outcome {
  try {
    const answer = operations.runNamed(name, input);
    const endless = firstNumber(answer, (value) => !Number.isFinite(value));
    if (endless !== null) return { kind: 'notFinite', what: endless };
    const impossible = firstNumber(answer, isImpossible);
    return impossible === null ? { kind: 'answered' } : { kind: 'impossible', what: impossible };
  } catch (error) {
    if (!(error instanceof CoreFailure))
      return { kind: 'broke', what: error instanceof Error ? (error.stack ?? error.message) : String(error) };
    const sentence = sentenceOf(error);
    return speaksPlainly(sentence) ? { kind: 'refused' } : { kind: 'innerName', what: sentence };
  }
}

/** What is quoted is the asker's own; everything else has to be words. */
export function speaksPlainly(sentence: string): boolean {
  const ours = sentence
    .replaceAll(/“[^”]*”/g, '')
    .replaceAll(/"(?:[^"\\]|\\.)*"/g, '')
    .replaceAll(/ Known: .*$/g, '')
    .replaceAll(/You gave .*$/g, '');
  return !/\b(undefined|NaN|Infinity|null)\b|\[object|\b[a-z]+[A-Z]\w*|^\s*$/.test(ours);
}

const ROUNDING = 1e-9;
/** What no thing can be, by what it is called: a size or a time below nothing, a chance beyond certain. */
const BOUNDS: readonly (readonly [name: RegExp, least: number, most: number])[] = [
  [/\.(?:\w*[pP]robability|share)$/, -ROUNDING, 1 + ROUNDING],
  [/\.(?:\w*(?:[dD]iameter|Width|Thickness|[pP]itch|[hH]eight|[rR]adius)Mm|\w*[mM]inutes|plusMinus)$/, -ROUNDING, Infinity],
];
/** What is said of a difference may be below nothing. */
const DIFFERENCES = /residual|difference|deviation/i;

const isImpossible = (value: number, path: string): boolean =>
  !DIFFERENCES.test(path) && BOUNDS.some(([name, least, most]) => name.test(path) && (value < least || value > most));

/** The first number of an answer that is so, with where it stands; null where none is. */
function firstNumber(value: unknown, isSo: (value: number, path: string) => boolean, path = ''): string | null {
  if (typeof value === 'number') return isSo(value, path) ? `${path}: ${value}` : null;
  if (value === null || typeof value !== 'object' || ArrayBuffer.isView(value)) return null;
  for (const [key, each] of Object.entries(value)) {
    const found = firstNumber(each, isSo, `${path}.${key}`);
    if (found !== null) return found;
  }
  return null;
}
