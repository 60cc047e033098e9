/** Parts of sellers, and what is chosen among them. */
export { draftOptions, guideLife, lifeIn, type DraftFacts, type OptionRefusal, type OptionDraft } from '../decide/draft.ts';
export { seatStrength } from '../decide/holding.ts';
export { madeTooth, type ToothFacts } from '../decide/madeTooth.ts';
export { OPTION_KINDS, type OptionKind, type RankedOption } from '../decide/options.ts';
export type { Remedy } from '../work/remedy.ts';
export { fit } from '../match/fit.ts';
export {
  PART_COLUMNS,
  PART_FIELDS,
  guessMapping,
  readPartRow,
  writePartRow,
  type CellCode,
  type CellProblem,
  type ColumnMapping,
  type PartDraft,
  type PartField,
  type PartLengthUnit,
} from '../match/partRow.ts';
export { nearMisses } from '../match/nearMisses.ts';
export { missingForOrder, orderedAs, type OrderedDimension } from '../match/orderedAs.ts';
export { partSizeMm } from '../match/partSize.ts';
export { dimensionsOf, type PlainQuantity } from '../match/plainParts.ts';
export {
  GEAR_TYPES,
  PART_TYPES,
  PLAIN_TYPES,
  partAttributes,
  type PlainType,
  matchFitInput,
  matchFitOutput,
  type AttributeFit,
  type PartAttributes,
  type MatchFit,
} from '../match/schema.ts';
export { isOneGear } from '../match/standsIn.ts';
