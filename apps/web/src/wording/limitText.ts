/** From where to where a figure may lie. */
export function limitText({ min, max }: { readonly min?: number | undefined; readonly max?: number | undefined }): string {
  if (min !== undefined && max !== undefined) return `From ${min} to ${max}`;
  if (max !== undefined) return `At most ${max}`;
  return min === undefined ? 'No limit is known' : `At least ${min}`;
}
