import type { GearKindView } from '../GearKindView.ts';
import { WORM_WORDS } from './words.ts';
import { WormCard } from './WormCard.tsx';

export const wormView: GearKindView = { id: 'worm', words: WORM_WORDS, Card: WormCard };
