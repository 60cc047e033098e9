import { z } from 'zod';

const tableOf = z.looseObject({
  results: z.array(z.looseObject({ id: z.string() })),
  likelihoods: z.record(z.string(), z.unknown()),
});
const byResult = z.record(z.string(), z.number());

/**
 * A family file whose chances may be written by result, `{ "gone": 0.99 }`, in the order of the results:
 * what a row does not name shares what is left to 1 in equal parts. Rows written as lists stay as they are.
 */
export function withRowsInOrder(raw: unknown): unknown {
  const parsed = z.looseObject({ looks: z.array(z.unknown()) }).safeParse(raw);
  return parsed.success ? { ...parsed.data, looks: parsed.data.looks.map(withRows) } : raw;
}

function withRows(look: unknown): unknown {
  const parsed = tableOf.safeParse(look);
  if (!parsed.success || !rowsOf(parsed.data).some((row) => byResult.safeParse(row).success)) return look;
  const { results, likelihoods, ...rest } = parsed.data;
  const ids = results.map(({ id }) => id);
  const row = (value: unknown) => {
    const named = byResult.safeParse(value);
    return named.success ? inOrder(named.data, ids) : value;
  };
  return {
    ...rest,
    results,
    likelihoods: Object.fromEntries(Object.entries(likelihoods).map(([fault, value]) => [fault, row(value)])),
    ...('otherwise' in rest && { otherwise: row(rest.otherwise) }),
    ...('sound' in rest && { sound: row(rest.sound) }),
    ...('noneOfThese' in rest && { noneOfThese: row(rest.noneOfThese) }),
  };
}

const rowsOf = ({ likelihoods, otherwise, sound, noneOfThese }: z.infer<typeof tableOf>): readonly unknown[] => [
  ...Object.values(likelihoods),
  otherwise,
  sound,
  noneOfThese,
];

/** A result that the look does not have stays as a mistake for the checks to find: the row has one figure too many. */
function inOrder(named: Readonly<Record<string, number>>, ids: readonly string[]): readonly number[] {
  const strangers = Object.keys(named).filter((id) => !ids.includes(id));
  const left = 1 - Object.values(named).reduce((sum, chance) => sum + chance, 0);
  const unnamed = ids.filter((id) => !Object.hasOwn(named, id));
  return [
    ...ids.map((id) => (Object.hasOwn(named, id) ? (named[id] as number) : left / unnamed.length)),
    ...strangers.map((id) => named[id] as number),
  ];
}
