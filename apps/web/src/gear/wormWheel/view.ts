import type { GearKindView } from '../GearKindView.ts';
import { WHEEL_WORDS } from './words.ts';
import { WormWheelCard } from './WormWheelCard.tsx';

export const wormWheelView: GearKindView = { id: 'wormWheel', words: WHEEL_WORDS, Card: WormWheelCard };
