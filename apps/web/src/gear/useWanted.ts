import {
  wantedBevel,
  wantedCylindrical,
  wantedWheel,
  wantedWorm,
  type GearAttributes,
  type GearCard,
  type GearState,
} from '@patient-badger/core';
import { candidateKey, cylindricalKey, sizeKey } from './candidateKey.ts';
import { useBevel, useCylindrical, useIdentification, useWheel } from './useIdentification.ts';

export interface Wanted {
  readonly attributes: GearAttributes;
  /** How likely it is that it was this gear. */
  readonly probability: number;
}

/** The gear to look for, by the candidate that was picked or the likeliest; null while too little is measured. */
export function useWanted(gear: GearState | undefined, card: GearCard, pick: string | undefined): Wanted | null {
  const of = (...types: readonly GearCard['type'][]) => (types.includes(card.type) ? gear : undefined);
  const worm = useIdentification(of('worm')).data?.candidates ?? [];
  const cylindrical = useCylindrical(of('spur', 'helical', 'sector')).data?.candidates ?? [];
  const bevel = useBevel(of('bevel')).data?.candidates ?? [];
  const wheel = useWheel(of('wormWheel')).data?.candidates ?? [];
  if (!gear) return null;
  switch (card.type) {
    case 'worm':
      return made(worm, candidateKey, pick, (each) => wantedWorm(each, gear, card));
    case 'spur':
    case 'helical':
    case 'sector':
      return made(cylindrical, cylindricalKey, pick, (each) => wantedCylindrical(each, gear, card));
    case 'bevel':
      return made(bevel, sizeKey, pick, (each) => wantedBevel(each, gear, card));
    case 'wormWheel':
      return made(wheel, sizeKey, pick, (each) => wantedWheel(each, gear, card));
    default:
      return null;
  }
}

function made<Candidate extends { readonly probability: number }>(
  candidates: readonly Candidate[],
  key: (candidate: Candidate) => string,
  pick: string | undefined,
  wanted: (candidate: Candidate) => GearAttributes,
): Wanted | null {
  const candidate = candidates.find((each) => key(each) === pick) ?? candidates[0];
  return candidate === undefined ? null : { attributes: wanted(candidate), probability: candidate.probability };
}
