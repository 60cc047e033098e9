export { CoreFailure, type FailureCode, type FailureData } from './failure/CoreFailure.ts';
export { failureFromZod } from './failure/fromZod.ts';
export { sentence } from './failure/sentence.ts';
export { runCases, type Case, type CaseResult } from './cases.ts';
export { createOperations, type Operation, type Operations } from './operations.ts';

export { formatLength, fromMm, LENGTH_UNITS, parseReading, toMm, type LengthUnit } from './quantity/length.ts';
export { seeded } from './quantity/seeded.ts';
export { INSTRUMENTS, measured, plain, type InstrumentId, type Measured } from './quantity/measured.ts';

export { motion } from './driveline/motion.ts';
export {
  slides,
  type Body,
  type Driveline,
  type FaultMode,
  type Joint,
  type MotionInput,
  type MotionOutput,
  type MotionState,
} from './driveline/schema.ts';
export { bodiesOf } from './driveline/transmission.ts';

export { instrumentReading, READING_UNITS, trueValue, type InstrumentReading } from './instrument/reading.ts';
export { resultOfFigure, resultOfTurns } from './instrument/resultOf.ts';
export { hiddenTruth, standInDimension, standInLook, standInPhoto, type HiddenTruth } from './instrument/standIn.ts';

export { openingTo, shortestOpening, stepsThatFree, stepsToReach, type Opening } from './access/opening.ts';
export { inReach, accessPlan, type AccessPlan, type Aim } from './access/plan.ts';
export { LOOSE_NOTES, type LedgerLine, type LooseNote } from './access/ledger.ts';
export { snag, type Snag } from './access/snag.ts';
export { tighteningOrder } from './access/tighteningOrder.ts';
export { waitState, type WaitState } from './access/waits.ts';
export { wayBack } from './access/wayBack.ts';
export {
  longest,
  stepsNamed,
  TORQUE_UNITS,
  type Torque,
  type Capture,
  type ClosingStep,
  type LooseItem,
  type LooseKind,
  type Step,
  type Tighten,
  type Wait,
  type WhileOpen,
} from './access/step.ts';

export { checkPack } from './trace/checkPack.ts';
export { explainPack, type PackNote, type PackReport } from './trace/explainPack.ts';
export { applyOverrides, modelOverrides, type ModelOverrides } from './trace/overrides.ts';
export { COMPLAINT_FACT, complaintChance, NONE_OF_THESE, NOTHING_ELSE, priorOf, type Facts } from './trace/hypotheses.ts';
export { inputToSee, soundMovement } from './trace/lookMotion.ts';
export { CANNOT_TELL, traceNext } from './trace/next.ts';
export { cautionsOn } from './trace/cautionsOn.ts';
export { healthyMisread, sideOutcomes } from './trace/outcomes.ts';
export { packModel } from './trace/packModel.ts';
export {
  INSTRUMENT_KINDS,
  packSchema,
  type Caution,
  type Complaint,
  type Fault,
  type GearCard,
  type InstrumentKind,
  type KinematicLook,
  type Look,
  type Pack,
  type TableLook,
} from './trace/pack.ts';
export { advisedLooks, facts, traceInput, traceOutput, type LookAdvice, type TraceInput, type TraceOutput } from './trace/schema.ts';

export { cylindricalDimensions, type CylindricalDimensions } from './gear/cylindrical/dimensions.ts';
export { identifyCylindrical } from './gear/cylindrical/identify.ts';
export { cutOf, profileOf, type Cut } from './gear/cylindrical/profile.ts';
export { type Wear } from './gear/cylindrical/wear.ts';
export { type Mesh } from './gear/cylindrical/mesh.ts';
export { type BevelIdentification } from './gear/bevel/identify.ts';
export { type WheelIdentification } from './gear/worm/identifyWheel.ts';
export { SHAPES as SEAT_SHAPES, type BoreSeat } from './fit/bore.ts';
export { type FitLimits } from './fit/limits.ts';
export { type Arcs } from './gear/arcs.ts';
export { type Comparison } from './gear/compare.ts';
export { gearOutline } from './gear/cylindrical/outline.ts';
export { identifyInput, type Candidate, type Identification, type IdentifyInput } from './gear/cylindrical/identifySchema.ts';
export { cylindricalInput } from './gear/cylindrical/schema.ts';
export { wormDimensions, type WormDimensions, type WormDimensionsInput } from './gear/worm/dimensions.ts';
export { identifyWorm, type WormCandidate, type WormIdentification, type WormIdentifyInput } from './gear/worm/identify.ts';

export { scanTeeth, type ScanProgress } from './scan/scanTeeth.ts';
export {
  scanCorrection,
  scanInput,
  scanOutput,
  type Scan,
  type ScanCorrection,
  type ScanScale,
  type ScanInput,
  type ScanRead,
  type ScanRefusal,
} from './scan/schema.ts';
export { type Picture } from './scan/picture.ts';

export { KM_PER_MILE } from './ratio/distance.ts';
export { type Change } from './ratio/change.ts';
export { type Correction } from './ratio/correct.ts';
export { type Swap } from './ratio/swap.ts';
export { type Takeoff } from './ratio/takeoff.ts';
export { type Tyre } from './ratio/tyre.ts';

export { fit } from './match/fit.ts';
export {
  guessMapping,
  PART_COLUMNS,
  PART_FIELDS,
  writePartRow,
  readPartRow,
  type CellProblem,
  type ColumnMapping,
  type PartDraft,
  type PartField,
  type PartLengthUnit,
} from './match/partRow.ts';
export { type Received } from './match/receive.ts';
export { standsIn, type StandsIn } from './match/standsIn.ts';
export {
  BORE_SHAPES,
  gearAttributes,
  matchFitInput,
  matchFitOutput,
  PART_TYPES,
  type AttributeFit,
  type GearAttributes,
  type MatchFit,
} from './match/schema.ts';

export {
  entry,
  entryPayload,
  PIECES,
  type Piece,
  type SizedQuantity,
  type CylindricalQuantity,
  type Entry,
  type EntryPayload,
  type GearQuantity,
  type WormQuantity,
} from './job/entry.ts';
export { checkEntry } from './job/checkEntry.ts';
export { machineRecord, type MachineRecord, type PartInMachine } from './job/machineRecord.ts';
export { foldJob, inOrder, type DimensionReading, type GearReadings, type GearState, type JobState, type Order } from './job/fold.ts';
export { cylindricalQuestion } from './job/cylindricalReadings.ts';
export { bevelQuestion, comparable, meshQuestion, wearQuestion, wheelQuestion } from './job/gearQuestions.ts';
export { combined, disagreement } from './job/readings.ts';
export { wormQuestion } from './job/wormReadings.ts';
export { captureAbout, captureRecords, type CaptureRecord } from './job/captures.ts';
export { jobLedger, openLedger } from './job/ledger.ts';
export { secondCheckedBy, workersOf } from './job/secondCheck.ts';
export { toSetRight } from './job/toSetRight.ts';
export { arrivedAttributes, wantedBevel, wantedCylindrical, wantedWheel } from './job/wantedGear.ts';
export { wantedWorm } from './job/wantedWorm.ts';
