import type { GearKindView } from '../GearKindView.ts';
import { ScrewCard } from './ScrewCard.tsx';
import { SCREW_WORDS } from './words.ts';

export const screwView: GearKindView = { id: 'screw', words: SCREW_WORDS, Card: ScrewCard };
