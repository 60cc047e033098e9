import { fail } from '../failure/CoreFailure.ts';

type IdList = readonly { readonly id: string }[];

/** @throws CoreFailure where the id is not among those known */
export function need(known: ReadonlySet<string>, given: string, path: string): void {
  if (!known.has(given)) throw fail('unknownId', path, { given, known: [...known].join(', ') });
}

export const idsOf = (list: IdList): ReadonlySet<string> => new Set(list.map(({ id }) => id));

/** The one of that id. @throws CoreFailure where there is none */
export function oneNamed<T extends { readonly id: string }>(list: readonly T[], given: string, path: string): T {
  const found = list.find(({ id }) => id === given);
  if (!found) throw fail('unknownId', path, { given, known: list.map(({ id }) => id).join(', ') });
  return found;
}

/** The ids of a list. @throws CoreFailure where one stands there twice */
export function unique(list: IdList, path: string): ReadonlySet<string> {
  const seen = new Set<string>();
  list.forEach(({ id }, i) => {
    if (seen.has(id)) throw fail('duplicateId', `${path}.${i}.id`, { given: id });
    seen.add(id);
  });
  return seen;
}
