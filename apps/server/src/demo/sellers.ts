import { type ListingRow, type PartLinkRow, type PartRow } from '../parts/entities.ts';

const SELLERS = ['Quernby Spares', 'Hobdray Stores', 'Ninefathom Small Gears', 'Vessmoor Breakers'] as const;
/** Machines that careless sellers write under anything of the same tooth count. */
const CARELESS = ['Ninefathom Wall 9', 'Tovelund T5-46', 'Dunmarrow GT-14'] as const;

/** Further sellers of every third part: other prices, other waits, and now and then a claim that no caliper bears out. */
export function demoListings(parts: readonly PartRow[]): ListingRow[] {
  return parts.flatMap((part, i) => {
    if (i % 3 !== 0) return [];
    const others = SELLERS.filter((each) => each !== part.supplier).slice(0, 1 + (i % 2));
    return others.map((supplier, k) => ({
      partId: part.id,
      supplier,
      priceMinor: Math.round(part.priceMinor * (0.82 + 0.11 * ((i + 3 * k) % 5))),
      leadDays: [1, 3, 6, 21][(i + k) % 4] ?? 6,
      stock: (i * 3 + k) % 4,
      claims: i % 51 === 0 ? [CARELESS[(i + k) % CARELESS.length] ?? CARELESS[0]] : [...part.claims],
    }));
  });
}

/** What a sheet names in place of a part: sometimes the same again, sometimes one that only looks it. */
export function demoLinks(parts: readonly PartRow[]): PartLinkRow[] {
  const named = (name: string) => parts.filter((part) => part.name === name);
  return ['Slide pinion pack', 'Slide reduction gear', 'Second-speed gear', 'Motor reduction gear'].flatMap((name): PartLinkRow[] => {
    const [old] = named(name);
    const [wide, other] = [named(`${name}, wide`)[0], named(`${name}, other material`)[0]];
    if (!old || !wide || !other) return [];
    return [
      { partId: old.id, kind: 'supersededBy', toNumber: wide.partNumber },
      { partId: old.id, kind: 'alternative', toNumber: other.partNumber },
      // Sheets name numbers that nobody has ever listed.
      { partId: wide.id, kind: 'alternative', toNumber: `${wide.partNumber}-X` },
    ];
  });
}
