import type { GearKindView } from '../GearKindView.ts';
import { RackCard } from './RackCard.tsx';
import { RACK_WORDS } from './words.ts';

export const rackView: GearKindView = { id: 'rack', words: RACK_WORDS, Card: RackCard };
