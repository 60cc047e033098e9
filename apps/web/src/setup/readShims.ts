/** Shims as one writes them down. @example readShims('0.1x4, 0,2 x 2, 0.5') // three kinds, the last once; null where it cannot be read */
export function readShims(text: string): readonly { readonly thicknessMm: number; readonly count: number }[] | null {
  const parts = text
    .split(/[;\n]|,(?!\d)/)
    .map((each) => each.trim())
    .filter(Boolean);
  const read = parts.map((part) => {
    const [, thickness, count = '1'] = /^(\d+(?:[.,]\d+)?)(?:\s*[x×*]\s*(\d{1,2}))?$/.exec(part) ?? [];
    const thicknessMm = Number(thickness?.replace(',', '.'));
    return thickness !== undefined && thicknessMm > 0 ? { thicknessMm, count: Number(count) } : null;
  });
  return read.includes(null) ? null : (read as readonly { thicknessMm: number; count: number }[]);
}
