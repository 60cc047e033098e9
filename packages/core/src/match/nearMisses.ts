import type { AttributeName, MatchFit } from './schema.ts';

/** What a lathe, a file or a sleeve can put right, however far it is off; teeth, size, hand and angle nobody can. */
const WORKABLE: ReadonlySet<string> = new Set<AttributeName>([
  'boreDiameterMm',
  'boreShape',
  'dFlatMm',
  'keyWidthMm',
  'faceWidthMm',
  'hubDiameterMm',
  'hubLengthMm',
  'lengthMm',
  'material',
]);
/** A bore of another shape is work of its own, whatever its size: as much as a figure that is so many times what would pass (judgement). */
const ANOTHER_SHAPE = 20;

/** How much work lies between a part and what is wanted, in how often what would pass it is off; null where no work would do. */
export function workBetween({ attributes }: Pick<MatchFit, 'attributes'>): number | null {
  const off = attributes.filter(({ state }) => state === 'doesNotFit' || state === 'fitsAfterWork');
  if (off.some(({ name, state }) => state === 'doesNotFit' && !WORKABLE.has(name))) return null;
  return off.reduce(
    (sum, { difference, allowed }) => sum + (difference === undefined || !allowed ? ANOTHER_SHAPE : Math.abs(difference) / allowed),
    0,
  );
}

/**
 * Where nothing fits: the parts whose teeth are right and whose bore, hub or width would have to be worked further than is usual, the
 * least work first. A part whose teeth, size, hand or angle differ is none of them.
 */
export const nearMisses = <M extends { readonly fit: Pick<MatchFit, 'attributes'> }>(found: readonly M[]): readonly M[] =>
  found
    .flatMap((match) => {
      const work = workBetween(match.fit);
      return work === null || work === 0 ? [] : [{ match, work }];
    })
    .sort((p, q) => p.work - q.work)
    .map(({ match }) => match);
