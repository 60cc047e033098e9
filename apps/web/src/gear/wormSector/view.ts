import type { GearKindView } from '../GearKindView.ts';
import { WORM_SECTOR_WORDS } from './words.ts';
import { WormSectorCard } from './WormSectorCard.tsx';

export const wormSectorView: GearKindView = { id: 'wormSector', words: WORM_SECTOR_WORDS, Card: WormSectorCard };
