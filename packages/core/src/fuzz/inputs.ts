import fc from 'fast-check';
import { z } from 'zod';
import { seeded } from '../quantity/seeded.ts';

/** What is read of a JSON Schema (draft 2020-12), as Zod writes it. */
export interface JsonSchema {
  readonly type?: string;
  readonly enum?: readonly unknown[];
  readonly const?: unknown;
  readonly pattern?: string;
  readonly minLength?: number;
  readonly maxLength?: number;
  readonly minItems?: number;
  readonly maxItems?: number;
  readonly properties?: Readonly<Record<string, JsonSchema>>;
  readonly required?: readonly string[];
  readonly items?: JsonSchema;
  readonly prefixItems?: readonly JsonSchema[];
  readonly additionalProperties?: JsonSchema | boolean;
  readonly anyOf?: readonly JsonSchema[];
  readonly oneOf?: readonly JsonSchema[];
  readonly allOf?: readonly JsonSchema[];
  readonly minimum?: number;
  readonly exclusiveMinimum?: number;
  readonly maximum?: number;
  readonly exclusiveMaximum?: number;
}

/** Names that things refer to each other by: few, so that they meet, and some that every object has. */
const NAMES = ['a', 'b', 'c', 'd', 'constructor', 'toString', '__proto__'] as const;
/** Lists as long as allowed are made by repeating one item, and no longer than this. */
const LONGEST = 3000;

/** Inputs that an operation's own schema allows, leaning to its bounds. */
export function allowedBy(input: z.ZodType, words: readonly string[]): fc.Arbitrary<unknown> {
  return arbitraryOf(z.toJSONSchema(input, { io: 'input', unrepresentable: 'any', reused: 'inline' }) as JsonSchema, words);
}

function arbitraryOf(schema: JsonSchema, words: readonly string[]): fc.Arbitrary<unknown> {
  const inner = (each: JsonSchema) => arbitraryOf(each, words);
  if (schema.const !== undefined) return fc.constant(schema.const);
  if (schema.enum) return fc.constantFrom(...schema.enum);
  const branches = schema.anyOf ?? schema.oneOf;
  if (branches) return fc.oneof(...branches.map(inner));
  switch (schema.type) {
    case 'object':
      return objectOf(schema, inner);
    case 'array':
      return schema.prefixItems ? fc.tuple(...schema.prefixItems.map(inner)) : listOf(schema, inner(schema.items ?? {}));
    case 'number':
    case 'integer':
      return numberOf(schema);
    case 'string':
      return textOf(schema, words);
    case 'boolean':
      return fc.boolean();
    default:
      return fc.constant(undefined);
  }
}

function objectOf({ properties, required = [], additionalProperties }: JsonSchema, inner: (each: JsonSchema) => fc.Arbitrary<unknown>) {
  if (properties) {
    const fields = Object.fromEntries(Object.entries(properties).map(([key, each]) => [key, inner(each)]));
    return fc.record(fields, { requiredKeys: [...required] });
  }
  if (typeof additionalProperties !== 'object') return fc.constant({});
  return fc.dictionary(fc.constantFrom(...NAMES), inner(additionalProperties), { maxKeys: 4 });
}

function listOf({ minItems = 0, maxItems = LONGEST }: JsonSchema, item: fc.Arbitrary<unknown>): fc.Arbitrary<unknown[]> {
  const few = fc.array(item, { minLength: Math.min(minItems, maxItems), maxLength: Math.min(maxItems, Math.max(minItems, 5)) });
  const full = item.map((each) => Array.from({ length: Math.min(maxItems, LONGEST) }, () => each));
  return fc.oneof({ weight: 40, arbitrary: few }, { weight: 1, arbitrary: full });
}

function numberOf({ type, minimum, exclusiveMinimum, maximum, exclusiveMaximum }: JsonSchema): fc.Arbitrary<number> {
  const whole = type === 'integer';
  const step = (bound: number) => (whole ? 1 : Math.max(1e-9, Math.abs(bound) * 1e-9));
  const low = minimum ?? (exclusiveMinimum === undefined ? -1e12 : exclusiveMinimum + step(exclusiveMinimum));
  const high = maximum ?? (exclusiveMaximum === undefined ? 1e12 : exclusiveMaximum - step(exclusiveMaximum));
  const usual = [0, 1, 2, 3, 5, 10, 14.5, 20, 24, 25, 40, 60, 90, 200].filter(
    (each) => each >= low && each <= high && (!whole || Number.isInteger(each)),
  );
  const anywhere = whole ? fc.integer({ min: low, max: high }) : fc.double({ min: low, max: high, noNaN: true });
  // From the smallest to the largest as often in each decade.
  const decades = fc
    .double({ min: Math.log(Math.max(low, 1e-6)), max: Math.log(Math.max(high, 2e-6)), noNaN: true })
    .map((log) => Math.min(high, Math.max(low, whole ? Math.round(Math.exp(log)) : Math.exp(log))));
  return fc.oneof(
    { weight: 3, arbitrary: decades },
    { weight: 1, arbitrary: anywhere },
    { weight: 1, arbitrary: fc.constantFrom(low, high) },
    ...(usual.length > 0 ? [{ weight: 5, arbitrary: fc.constantFrom(...usual) }] : []),
  );
}

function textOf({ pattern, minLength = 0, maxLength = 40 }: JsonSchema, words: readonly string[]): fc.Arbitrary<string> {
  const known = fc.constantFrom(...NAMES, ...words).filter((each) => each.length >= minLength && each.length <= maxLength);
  if (pattern !== undefined) return fc.constantFrom('a', 'b', 'c-1', 'constructor');
  return fc.oneof(
    { weight: 12, arbitrary: known },
    { weight: 1, arbitrary: fc.string({ minLength, maxLength: Math.min(maxLength, 40) }) },
    { weight: 1, arbitrary: fc.constant('x'.repeat(Math.min(maxLength, 2000))) },
  );
}

/** A sound input with some of its figures changed by up to three decades either way, or by a little. */
export const near = (sound: unknown): fc.Arbitrary<unknown> =>
  fc.nat().map((seed) => {
    const next = seeded(seed);
    const changed = (value: unknown): unknown => {
      if (Array.isArray(value)) {
        const list = value.map(changed);
        return next() < 0.02 ? [...list, ...list] : list;
      }
      if (value !== null && typeof value === 'object')
        return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, changed(each)]));
      if (typeof value !== 'number' || next() < 0.7) return value;
      const factor = next() < 0.3 ? 10 ** (6 * next() - 3) : 1 + 0.1 * (next() - 0.5);
      return Number.isInteger(value) && next() < 0.95 ? Math.round(value * factor) : value * factor;
    };
    return changed(sound);
  });

/** Made anew each time: one that is kept would be changed by the next. */
const junkAt = (at: number): unknown => {
  const all: readonly unknown[] = [
    NaN,
    Infinity,
    -Infinity,
    0,
    -0,
    -1,
    0.5,
    1e308,
    5e-324,
    '',
    'x',
    null,
    undefined,
    true,
    [],
    {},
    [[]],
    'x'.repeat(5000),
  ];
  return all[at % all.length];
};

/** An input with one place of it replaced by what does not belong there, taken away, or added to. */
export const broken = (sound: fc.Arbitrary<unknown>): fc.Arbitrary<unknown> =>
  fc
    .tuple(sound, fc.nat(1000).map(junkAt), fc.nat(10_000), fc.constantFrom('replace', 'replace', 'remove', 'add'))
    .map(([value, junk, at, how]) => {
      const whole = { value: copied(value) };
      const places = placesIn(whole, []);
      const { owner, key } = places[at % places.length] as Place;
      if (how === 'remove' && owner !== whole) Reflect.deleteProperty(owner, key);
      else if (how === 'add') Reflect.set(owner, at % 2 === 0 ? 'constructor' : 'unheardOf', junk);
      else Reflect.set(owner, key, junk);
      return whole.value;
    });

const copied = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.map(copied);
  if (value === null || typeof value !== 'object' || ArrayBuffer.isView(value)) return value;
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, copied(each)]));
};

interface Place {
  readonly owner: object;
  readonly key: string;
}

function placesIn(owner: object, found: Place[]): Place[] {
  for (const [key, value] of Object.entries(owner)) {
    if (found.length > 500) break;
    found.push({ owner, key });
    if (value !== null && typeof value === 'object' && !ArrayBuffer.isView(value)) placesIn(value as object, found);
  }
  return found;
}
