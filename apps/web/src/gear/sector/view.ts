import { CylindricalCard } from '../cylindrical/CylindricalCard.tsx';
import { CYLINDRICAL_WORDS } from '../cylindrical/words.ts';
import type { GearKindView } from '../GearKindView.ts';

/** A piece of a round is measured like the whole, its teeth counted over an angle. */
export const sectorView: GearKindView = { id: 'sector', words: CYLINDRICAL_WORDS, Card: CylindricalCard };
