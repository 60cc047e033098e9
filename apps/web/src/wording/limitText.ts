import { t } from '@patient-badger/wording/shared';

/** From where to where a figure may lie. */
export function limitText({ min, max }: { readonly min?: number | undefined; readonly max?: number | undefined }): string {
  if (min !== undefined && max !== undefined) return t.fromTo(min, max);
  if (max !== undefined) return t.atMost(max);
  return min === undefined ? t.noLimitIsKnown : t.atLeast(min);
}
