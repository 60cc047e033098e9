import type { Pack } from './pack.ts';

/** For tests: a family whose faults never come two at once, so that a sheet of paper is enough. */
export const oneAtATime = (pack: Pack): Pack => ({
  ...pack,
  together: pack.faults.flatMap((first, i) =>
    pack.faults.slice(i + 1).map((second) => ({ faults: [first.id, second.id] as [string, string], share: 0, why: 'for a test' })),
  ),
});
