import { t } from '@patient-badger/wording/items';
import { t as shared } from '@patient-badger/wording/shared';
import type { Item } from '@patient-badger/core/job';
import type { PlainQuantity } from '@patient-badger/core/parts';
import type { QuantityWords } from '../gear/QuantityWords.ts';
import { attributeName } from '../wording/attributeWords.ts';

export const ITEM_STATES: Readonly<Record<Item['state'], string>> = {
  needed: shared.needed,
  ordered: shared.onItsWay,
  arrived: t.arrived,
  accepted: t.accepted,
  refused: shared.goesBack,
  inHand: shared.fromTheShop,
  fitted: shared.fitted,
};

const HOW: Readonly<Record<PlainQuantity, string>> = {
  boreDiameterMm: t.insideJawsOnTheInner,
  outsideDiameterMm: t.outsideJawsRightAcross,
  shaftDiameterMm: t.whereItRunsNotWhere,
  widthMm: t.faceToFaceOffThe,
  keyWidthMm: t.acrossTheSidesThatCarry,
  heightMm: t.fromTheBottomOfThe,
  lengthMm: t.endToEndASpring,
  thicknessMm: t.withTheJawsFlatOn,
  wireDiameterMm: t.acrossOneWireInThe,
  coils: t.countTheTurnsTheClosed,
};

/** A dimension of a part that is no gear, as the number pad asks for it. */
export const plainWords = (quantity: PlainQuantity): QuantityWords => ({
  name: attributeName(quantity),
  short: attributeName(quantity),
  how: HOW[quantity],
  ...(quantity === 'coils' ? { kind: 'count', within: { least: 1, most: 1000, else: t.coilsAreCountedAWhole } } : { kind: 'length' }),
});
