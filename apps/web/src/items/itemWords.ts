import type { Item, PlainQuantity } from '@patient-badger/core';
import type { QuantityWords } from '../gear/QuantityWords.ts';
import { attributeName } from '../wording/attributeWords.ts';

export const ITEM_STATES: Readonly<Record<Item['state'], string>> = {
  needed: 'Needed',
  ordered: 'On its way',
  arrived: 'Arrived',
  accepted: 'Accepted',
  refused: 'Goes back',
  inHand: 'From the shop',
  fitted: 'Fitted',
};

const HOW: Readonly<Record<PlainQuantity, string>> = {
  boreDiameterMm: 'Inside jaws, on the inner ring.',
  outsideDiameterMm: 'Outside jaws, right across.',
  shaftDiameterMm: 'Where it runs, not where it is worn.',
  widthMm: 'Face to face, off the chamfers.',
  keyWidthMm: 'Across the sides that carry.',
  heightMm: 'From the bottom of the key to its top.',
  lengthMm: 'End to end; a spring lying free.',
  thicknessMm: 'With the jaws flat on it.',
  wireDiameterMm: 'Across one wire, in the middle of the spring.',
  coils: 'Count the turns, the closed ones at the ends too.',
};

/** A dimension of a part that is no gear, as the number pad asks for it. */
export const plainWords = (quantity: PlainQuantity): QuantityWords => ({
  name: attributeName(quantity),
  short: attributeName(quantity),
  how: HOW[quantity],
  ...(quantity === 'coils'
    ? { kind: 'count', within: { least: 1, most: 1000, else: 'Coils are counted: a whole number.' } }
    : { kind: 'length' }),
});
