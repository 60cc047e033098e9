import type { FailureData } from '@patient-badger/core';
import { fieldName, inWords } from './fieldName.ts';
import { REASON_WORDS } from './reasonWords.ts';

/**
 * One sentence a mechanic understands for a refusal of the core.
 * @example failureSentence({ code: 'notPositive', path: 'starts' }) // 'The number of starts must be more than zero.'
 */
export function failureSentence(failure: FailureData): string {
  const name = fieldName(failure.path);
  const detail = failure.detail ?? {};
  const given = detail.given === undefined ? '' : ` You gave ${JSON.stringify(detail.given)}.`;
  if (detail.reason !== undefined) return REASON_WORDS[detail.reason](detail);
  switch (failure.code) {
    case 'wrongType':
      return `The ${name} must be ${wantedText(detail)}.${given}`;
    case 'missing':
      return detail.or
        ? `Give the ${name} or the ${fieldName(String(detail.or))}.`
        : `The ${name} ${/([^s]s|teeth)$/.test(name) ? 'are' : 'is'} missing.`;
    case 'notPositive':
      return `The ${name} must be more than zero.${given}`;
    case 'outOfRange':
      return `The ${name} must lie ${range(detail)}.${given}`;
    case 'notWhole':
      return `The ${name} must be a whole number.${given}`;
    case 'unknownField':
      return `${JSON.stringify(detail.given)} is not a field known here. Check the spelling.`;
    case 'unknownId':
      return `There is no ${name} called ${JSON.stringify(detail.given)}${detail.known ? `. Known: ${detail.known}` : ''}.`;
    case 'duplicateId':
      return `${JSON.stringify(detail.given)} is used twice. Each needs a name of its own.`;
    case 'contradiction':
      return `The ${name} contradicts what else was given.`;
    case 'impossibleGeometry':
      return `No gear can be cut with this ${name}.`;
    case 'tooMany':
      return `Of the ${plural(name)} no more than ${detail.maximum} can be given.`;
    case 'tooLong':
      return `The ${name} must not be longer than ${detail.maximum} signs.`;
    case 'noAnswer':
      return 'These figures lead to no answer that makes sense: one of them is far too large or too small.';
    case 'nothingGiven':
      return `Give at least one ${name}.`;
    case 'invalid':
      return `The ${name} cannot be used as given.`;
  }
}

const plural = (name: string) => (/(s|teeth)$/.test(name) ? name : `${name}s`);

const TYPES: Readonly<Record<string, string>> = {
  number: 'a number',
  int: 'a whole number',
  string: 'a text',
  boolean: 'yes or no',
  array: 'a list',
  object: 'a set of fields',
  record: 'a set of fields',
  kind: 'one of the kinds known here',
};

/** What a field takes: one of a list, with names of several words taken apart, or a type. */
const wantedText = ({ oneOf, wanted = 'number' }: NonNullable<FailureData['detail']>): string =>
  oneOf === undefined ? (TYPES[String(wanted)] ?? String(wanted)) : `one of ${String(oneOf).replaceAll(/\w*[a-z][A-Z]\w*/g, inWords)}`;

/** The same for a row of a list. @example 'Row 3: The teeth must be a whole number.' */
export const rowSentence = (row: number, failure: FailureData): string => `Row ${row}: ${failureSentence(failure)}`;

function range({ minimum, maximum }: NonNullable<FailureData['detail']>): string {
  if (minimum !== undefined && maximum !== undefined) return `between ${minimum} and ${maximum}`;
  return minimum !== undefined ? `at or above ${minimum}` : `at or below ${maximum}`;
}
