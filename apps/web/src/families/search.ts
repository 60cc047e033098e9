import { findByWords, type Pack } from '@patient-badger/core/machine';

export interface FamilyMatch {
  readonly pack: Pack;
  /** The sentence that comes nearest to the words, and which of the family's complaints it stands for. */
  readonly says?: string;
  readonly complaint?: string;
}

/** Families by the owner's own words, best first; all of them where nothing was typed. */
export function searchFamilies(packs: readonly Pack[], words: string): readonly FamilyMatch[] {
  if (words.trim() === '') return packs.map((pack) => ({ pack }));
  return findByWords(packs, words, packs.length).flatMap(({ family, complaints: [nearest] }) => {
    const pack = packs.find(({ id }) => id === family);
    return pack ? [{ pack, ...nearest }] : [];
  });
}

/** Complaints of a family that the words may mean, the nearest first; none where no word of them is known. */
export const complaintsMeant = (pack: Pack, words: string): readonly { readonly complaint: string; readonly says: string }[] =>
  findByWords([pack], words, 1)[0]?.complaints ?? [];
