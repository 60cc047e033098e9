import type { GearKindView } from '../GearKindView.ts';
import { CylindricalCard } from './CylindricalCard.tsx';
import { CYLINDRICAL_WORDS } from './words.ts';

export const cylindricalView: GearKindView = { id: 'cylindrical', words: CYLINDRICAL_WORDS, Card: CylindricalCard };
