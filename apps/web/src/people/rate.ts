/** A rate as it is typed, in hundredths of the currency; nothing typed is nothing an hour; null where it is no figure. */
export function rateOf(typed: string): number | null {
  const plain = typed.trim().replace(',', '.');
  if (plain === '') return 0;
  const value = Number(plain);
  return Number.isFinite(value) && value >= 0 ? Math.round(value * 100) : null;
}
