import type { z } from 'zod';
import { CoreFailure, type FailureCode } from './CoreFailure.ts';
import { reasonNamed } from './FailureReason.ts';

type Issue = z.core.$ZodIssue;

/** Turns the first issue of a failed Zod check into a tagged failure with the field's dotted path. */
export const failureFromZod = (error: z.ZodError, input: unknown): CoreFailure => failureOf(error.issues[0] as Issue, input);

/** Turns every issue of a failed Zod check into a tagged failure. */
export const failuresFromZod = (error: z.ZodError, input: unknown): readonly CoreFailure[] =>
  error.issues.flatMap(oneKeyEach).map((issue) => failureOf(issue, input));

/** Several misspelt fields in one place are several mistakes. */
const oneKeyEach = (issue: Issue): Issue[] =>
  issue.code === 'unrecognized_keys' ? issue.keys.map((key) => ({ ...issue, keys: [key] })) : [issue];

function failureOf(nested: Issue, input: unknown): CoreFailure {
  const issue = deepest(nested);
  const reason = reasonNamed(issue.message);
  const failure = failureByCode(issue, input);
  return reason === undefined ? failure : new CoreFailure({ ...failure, detail: { ...failure.detail, reason } });
}

function failureByCode(issue: Issue, input: unknown): CoreFailure {
  const path = issue.path.map(String);
  const given = printable(at(input, path));
  switch (issue.code) {
    case 'unrecognized_keys':
      return new CoreFailure({
        code: 'unknownField',
        path: [...path, issue.keys[0] ?? ''].join('.'),
        detail: { given: issue.keys[0] ?? '' },
      });
    case 'invalid_type':
      if (at(input, path) === undefined) return new CoreFailure({ code: 'missing', path: path.join('.') });
      return new CoreFailure({
        code: issue.expected === 'int' ? 'notWhole' : 'wrongType',
        path: path.join('.'),
        detail: { wanted: issue.expected, given },
      });
    case 'too_small':
      return new CoreFailure({ code: tooSmall(issue), path: path.join('.'), detail: { minimum: Number(issue.minimum), given } });
    case 'too_big':
      return new CoreFailure({
        code: tooBig(issue),
        path: path.join('.'),
        detail: { maximum: Number(issue.maximum), ...(issue.origin !== 'array' && issue.origin !== 'string' && { given }) },
      });
    case 'invalid_value':
      return new CoreFailure({
        code: at(input, path) === undefined ? 'missing' : 'wrongType',
        path: path.join('.'),
        detail: { oneOf: issue.values.map(String).join(', '), given },
      });
    case 'invalid_union':
      return new CoreFailure({
        code: given === 'undefined' ? 'missing' : 'wrongType',
        path: path.join('.'),
        detail: {
          ...('options' in issue ? { oneOf: [...(issue.options ?? [])].map(String).join(', ') } : { wanted: 'kind' }),
          given,
        },
      });
    default:
      return new CoreFailure({
        code: 'invalid',
        path: path.join('.'),
        detail: { given },
      });
  }
}

function tooSmall(issue: z.core.$ZodIssueTooSmall): FailureCode {
  if (issue.origin === 'array') return 'nothingGiven';
  return Number(issue.minimum) === 0 && !issue.inclusive ? 'notPositive' : 'outOfRange';
}

function tooBig({ origin }: z.core.$ZodIssueTooBig): FailureCode {
  if (origin === 'array') return 'tooMany';
  return origin === 'string' ? 'tooLong' : 'outOfRange';
}

/** A union reports one list per branch; the branch that got furthest in names the real culprit. */
function deepest(issue: Issue): Issue {
  if (issue.code !== 'invalid_union' || issue.errors.length === 0) return issue;
  const inner = issue.errors.flat().map((each) => deepest({ ...each, path: [...issue.path, ...each.path] }));
  if (inner.length === 0) return issue;
  return inner.reduce((best, each) => (each.path.length > best.path.length ? each : best));
}

function at(input: unknown, path: readonly string[]): unknown {
  return path.reduce<unknown>(
    (value, key) => (value !== null && typeof value === 'object' ? (value as Record<string, unknown>)[key] : undefined),
    input,
  );
}

function printable(value: unknown): string | number | boolean {
  if (typeof value === 'number' && !Number.isFinite(value)) return String(value);
  if (typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean') return value;
  return value === null ? 'null' : typeof value;
}
