import { familyIds, findFamily } from '@patient-badger/knowledge';
import { z } from 'zod';
import type { JsonSchema } from './fuzz/inputs.ts';
import { createOperations } from './operations.ts';

const { list } = createOperations({ find: findFamily, ids: familyIds });

const FAR = 1e12;

/** Paths below a schema whose value has no end. */
function endless(schema: JsonSchema, path: string): string[] {
  const { properties = {}, items, prefixItems = [], additionalProperties, anyOf = [], oneOf = [], allOf = [] } = schema;
  const own = hasEnd(schema) ? [] : [path];
  return [
    ...own,
    ...Object.entries(properties).flatMap(([key, each]) => endless(each, `${path}.${key}`)),
    ...(items ? endless(items, `${path}[]`) : []),
    ...prefixItems.flatMap((each) => endless(each, `${path}[]`)),
    ...(typeof additionalProperties === 'object' ? endless(additionalProperties, `${path}{}`) : []),
    ...[...anyOf, ...oneOf, ...allOf].flatMap((each) => endless(each, path)),
  ];
}

function hasEnd(schema: JsonSchema): boolean {
  if (schema.enum !== undefined || schema.const !== undefined) return true;
  const [low, high] = [schema.minimum ?? schema.exclusiveMinimum, schema.maximum ?? schema.exclusiveMaximum];
  if (schema.type === 'number' || schema.type === 'integer') {
    return low !== undefined && high !== undefined && Math.max(-low, high) <= FAR;
  }
  if (schema.type === 'string') return schema.maxLength !== undefined;
  return schema.type !== 'array' || schema.maxItems !== undefined || schema.prefixItems !== undefined;
}

test.each(list.map(({ name, input }) => [name, input] as const))('every input of %s has a bound', (_name, input) => {
  expect([...new Set(endless(z.toJSONSchema(input, { io: 'input', unrepresentable: 'any', reused: 'inline' }) as JsonSchema, ''))]).toEqual(
    [],
  );
});
