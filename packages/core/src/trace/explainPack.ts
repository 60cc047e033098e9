import { CoreFailure } from '../failure/CoreFailure.ts';
import { failuresFromZod } from '../failure/fromZod.ts';
import { sentence } from '../failure/sentence.ts';
import { checkPack } from './checkPack.ts';
import { packSchema, type Pack } from './pack.ts';
import { remarksOn } from './remarksOn.ts';

export interface PackNote {
  /** Dotted path of the field: `looks.3.needs.0`. */
  readonly path: string;
  readonly sentence: string;
}

export interface PackReport {
  /** The pack where it can be used, whatever the remarks. */
  readonly pack: Pack | null;
  /** What must be mended before it can be used. */
  readonly mistakes: readonly PackNote[];
  /** What works, and would serve the mechanic better otherwise. */
  readonly remarks: readonly PackNote[];
}

/**
 * Whether a family file can be used, and what is wrong with it in sentences: every mistake of form at
 * once, or else the first place where its pieces do not meet, or else remarks on how well it serves.
 * Never throws for what is in the file.
 */
export function explainPack(raw: unknown): PackReport {
  const parsed = packSchema.safeParse(raw);
  if (!parsed.success) return { pack: null, mistakes: failuresFromZod(parsed.error, raw).map(noteOf), remarks: [] };
  try {
    const pack = checkPack(parsed.data);
    return { pack, mistakes: [], remarks: remarksOn(pack) };
  } catch (error) {
    if (!(error instanceof CoreFailure)) throw error;
    return { pack: null, mistakes: [noteOf(error)], remarks: [] };
  }
}

const noteOf = (failure: CoreFailure): PackNote => ({ path: failure.path, sentence: sentence(failure) });
