import type { GearKindView } from '../GearKindView.ts';
import { BevelCard } from './BevelCard.tsx';
import { BEVEL_WORDS } from './words.ts';

export const bevelView: GearKindView = { id: 'bevel', words: BEVEL_WORDS, Card: BevelCard };
