import { snag, type LooseKind, type Snag } from '@patient-badger/core/machine';
import { z } from 'zod';
import file from './snags.json' with { type: 'json' };

/** What will not come off as it should, on any machine, with the usual remedies and their risk. */
export const SNAGS: readonly Snag[] = z.array(snag).parse(file);

/** Snags that can happen to these kinds of loose parts; all of them where a step brings nothing off. */
export const snagsFor = (kinds: readonly LooseKind[]): readonly Snag[] =>
  kinds.length === 0 ? SNAGS : SNAGS.filter((each) => each.kinds.some((kind) => kinds.includes(kind)));
