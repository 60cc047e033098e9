import { CoreFailure, type FailureData } from '../failure/CoreFailure.ts';
import { failuresFromZod } from '../failure/fromZod.ts';
import { checkPack } from './checkPack.ts';
import { RENAMED_FIELDS } from './earlierForms.ts';
import { inEveryVariant } from './overrides.ts';
import { packSchema, type Pack } from './pack.ts';
import { remarksOn, type PackRemark } from './remarksOn.ts';

export interface PackReport {
  /** The pack where it can be used, whatever the remarks. */
  readonly pack: Pack | null;
  /** What must be mended before it can be used. */
  readonly mistakes: readonly FailureData[];
  /** What works, and would serve the mechanic better otherwise. */
  readonly remarks: readonly PackRemark[];
}

/**
 * Whether a family file can be used, and what is wrong with it: every mistake of form at
 * once, or else the first place where its pieces do not meet, or else remarks on how well it serves.
 * Never throws for what is in the file.
 */
export function explainPack(raw: unknown): PackReport {
  const parsed = packSchema.safeParse(raw);
  if (!parsed.success) return { pack: null, mistakes: failuresFromZod(parsed.error, raw), remarks: [] };
  try {
    const pack = checkPack(parsed.data);
    inEveryVariant(pack);
    return { pack, mistakes: [], remarks: [...earlierFields(raw), ...remarksOn(pack)] };
  } catch (error) {
    if (!(error instanceof CoreFailure)) throw error;
    return { pack: null, mistakes: [error], remarks: [] };
  }
}

/** Fields with names of before: read, and said. */
const earlierFields = (raw: unknown): PackRemark[] =>
  Object.entries(RENAMED_FIELDS).flatMap(([id, now]) =>
    raw !== null && typeof raw === 'object' && Object.hasOwn(raw, id) ? [{ code: 'writtenEarlier', path: id, detail: { id, now } }] : [],
  );
