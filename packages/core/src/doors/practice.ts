/** Machines with a hidden fault, and the figures that their parts would give. */
export {
  hiddenTruth,
  standInDimension,
  standInLook,
  standInPhoto,
  standInPlay,
  standInSpeed,
  type HiddenTruth,
} from '../instrument/standIn.ts';
export { wayTo } from '../practice/hidden.ts';
export { PART_MINOR } from '../practice/schema.ts';
