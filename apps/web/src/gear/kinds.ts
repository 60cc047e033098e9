import { GEAR_KINDS, gearKindOf, type GearKind, type GearQuantity } from '@patient-badger/core/gear';
import type { GearCard, Pack } from '@patient-badger/core/machine';
import { bevelView } from './bevel/view.ts';
import { cylindricalView } from './cylindrical/view.ts';
import type { GearKindView } from './GearKindView.ts';
import type { KindWords, QuantityWords } from './QuantityWords.ts';
import { sectorView } from './sector/view.ts';
import { rackView } from './rack/view.ts';
import { screwView } from './screw/view.ts';
import { wormSectorView } from './wormSector/view.ts';
import { wormView } from './worm/view.ts';
import { wormWheelView } from './wormWheel/view.ts';

/** Every kind of gear that has a card, the one list. */
const VIEWS: readonly GearKindView[] = [
  wormView,
  cylindricalView,
  sectorView,
  wormSectorView,
  bevelView,
  wormWheelView,
  rackView,
  screwView,
];

interface Kind {
  readonly kind: GearKind;
  readonly view: GearKindView;
}

/** The kind that a gear of a family is measured as, with its card; null where the app has none. */
export function kindFor({ driveline }: Pick<Pack, 'driveline'>, card: GearCard): Kind | null {
  const kind = gearKindOf(card, driveline);
  const view = VIEWS.find(({ id }) => id === kind?.id);
  return kind && view ? { kind, view } : null;
}

/** Words for the dimensions of a gear of this type, whether it has a card or not. */
export function wordsFor(type: GearCard['type']): KindWords {
  const kind = GEAR_KINDS.find(({ types }) => types.includes(type));
  return (VIEWS.find(({ id }) => id === kind?.id) ?? cylindricalView).words;
}

/** Words for any dimension that the log may hold; of a name that kinds share, the first kind's. */
export function quantityWords(quantity: GearQuantity): QuantityWords {
  const found = VIEWS.map(({ words }) => words[quantity]).find((words) => words !== undefined);
  return found ?? { name: quantity, short: quantity, how: '', kind: 'length' };
}
