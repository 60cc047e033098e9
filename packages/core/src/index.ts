export type { LedgerLine, LooseNote } from './access/ledger.ts';
export { openingTo, stepsThatFree, stepsToReach } from './access/opening.ts';
export { reachOf, type Approach } from './access/state.ts';
export { openSteps, piecesBack } from './job/standing.ts';
export { accessPlan, inReach, type AccessPlan, type Aim } from './access/plan.ts';
export { reassembly } from './access/reassembly.ts';
export { snag, type Snag } from './access/snag.ts';
export {
  TORQUE_UNITS,
  longest,
  stepsNamed,
  type ClosingStep,
  type PutBack,
  type LooseItem,
  type LooseKind,
  type Step,
  type Torque,
  type Wait,
} from './access/step.ts';
export { waitState } from './access/waits.ts';
export { runCases, type Case } from './cases.ts';
export { motion } from './driveline/motion.ts';
export { slides, type Driveline, type FaultMode, type Joint, type MotionOutput } from './driveline/schema.ts';
export { bodiesOf } from './driveline/transmission.ts';
export { CoreFailure, type FailureData, type FailureDetail } from './failure/CoreFailure.ts';
export { FAILURE_REASONS, type FailureReason } from './failure/FailureReason.ts';
export { brokenTextAt, withoutBrokenText } from './failure/brokenText.ts';
export { failureFromZod, failuresFromZod } from './failure/fromZod.ts';
export { SHAPES as SEAT_SHAPES, type BoreSeat } from './fit/bore.ts';
export type { GearKind, RankedCandidate } from './gear/GearKind.ts';
export { arrivedAttributes } from './gear/arrivedAttributes.ts';
export type { BevelCandidate } from './gear/bevel/identify.ts';
export { bevel } from './gear/bevel/kind.ts';
export type { BevelQuantity } from './gear/bevel/quantities.ts';
export { comparable } from './gear/comparable.ts';
export type { Comparison } from './gear/compare.ts';
export { cylindricalDimensions } from './gear/cylindrical/dimensions.ts';
export { identifyCylindrical } from './gear/cylindrical/identify.ts';
export { identifyInput, type Candidate, type Identification, type IdentifyInput } from './gear/cylindrical/identifySchema.ts';
export { cylindrical } from './gear/cylindrical/kind.ts';
export type { Mesh } from './gear/cylindrical/mesh.ts';
export { gearOutline } from './gear/cylindrical/outline.ts';
export { cutOf, profileOf, type Cut } from './gear/cylindrical/profile.ts';
export type { CylindricalQuantity } from './gear/cylindrical/quantities.ts';
export { cylindricalQuestion } from './gear/cylindrical/question.ts';
export { cylindricalInput } from './gear/cylindrical/schema.ts';
export { meshQuestion, wearQuestion } from './gear/cylindrical/wearQuestion.ts';
export type { NextMeasurement } from './gear/identifySchema.ts';
export { rack } from './gear/rack/kind.ts';
export type { RackCandidate } from './gear/rack/identify.ts';
export type { RackQuantity } from './gear/rack/quantities.ts';
export { screw } from './gear/screw/kind.ts';
export type { ScrewCandidate } from './gear/screw/identify.ts';
export type { ScrewQuantity } from './gear/screw/quantities.ts';
export { fullTeethOf, wormSector } from './gear/wormSector/kind.ts';
export type { WormSectorQuantity } from './gear/wormSector/quantities.ts';
export { GEAR_KINDS, gearKindOf, type MeasuredKindId } from './gear/kinds.ts';
export type { GearQuantity } from './gear/quantities.ts';
export { combined, countOf, disagreement } from './gear/readings.ts';
export { identifyWorm, type WormCandidate, type WormIdentification } from './gear/worm/identify.ts';
export { worm } from './gear/worm/kind.ts';
export type { WormQuantity } from './gear/worm/quantities.ts';
export type { WheelCandidate } from './gear/wormWheel/identify.ts';
export { wormWheel } from './gear/wormWheel/kind.ts';
export type { WormWheelQuantity } from './gear/wormWheel/quantities.ts';
export { READING_UNITS, instrumentReading, trueValue, type InstrumentReading } from './instrument/reading.ts';
export { resultOfFigure, resultOfTurns } from './instrument/resultOf.ts';
export {
  hiddenTruth,
  standInDimension,
  standInLook,
  standInPhoto,
  standInPlay,
  standInSpeed,
  type HiddenTruth,
} from './instrument/standIn.ts';
export { askedOf, bearsOnMove, benchMove, findsParts, MOVE_KINDS, nextMove, traceOfJob, type BenchMove } from './job/benchMove.ts';
export { captureAbout, captureRecords, type CaptureRecord } from './job/captures.ts';
export { PIECES, entry, entryPayload, type Entry, type EntryPayload, type Payload, type Piece } from './job/entry.ts';
export { checkEntry, ruleOf } from './job/entryKinds.ts';
export { foldJob } from './job/fold.ts';
export type { FollowUp, GearReadings, GearState, JobState, Order } from './job/jobState.ts';
export { jobSummary } from './job/summary.ts';
export {
  learnFrom,
  type Comeback,
  type FamilyVerdicts,
  type JobSummary,
  type ShopStatistics,
  type LoggedJob,
  type MeterValue,
  type PartLife,
  type Payoff,
} from './learn/shopLog.ts';
export { lifeOutput } from './learn/life.ts';
export { ownPriors, USUAL_EQUIVALENT, withOwnPriors, type FaultCount } from './learn/priors.ts';
export { intervalDue } from './learn/due.ts';
export { jobLedger, openLedger } from './job/ledger.ts';
export { failedProof, isProved, isWithin, laterLooks, openFollowUps, openSettings, proofPlan } from './job/proofPlan.ts';
export type { Lubricant, LubricantWarning } from './setup/lubricant.ts';
export { machineRecord, type MachineRecord, type PartInMachine } from './job/machineRecord.ts';
export { handsOf, secondCheckOf, SIGNED_SHEET, type CheckProof } from './job/secondCheck.ts';
export {
  checkObstacle,
  closingObstacles,
  isChangeable,
  isMakeable,
  mergeObstacle,
  type CheckObstacle,
  type ClosingObstacle,
} from './job/obstacles.ts';
export { toSetRight } from './job/toSetRight.ts';
export { fit } from './match/fit.ts';
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
} from './match/partRow.ts';
export { partSizeMm } from './match/partSize.ts';
export { dimensionsOf, isPlain, type PlainQuantity } from './match/plainParts.ts';
export {
  GEAR_TYPES,
  PART_TYPES,
  PLAIN_TYPES,
  partAttributes,
  type AttributeName,
  type PartType,
  type PlainType,
  matchFitInput,
  matchFitOutput,
  type AttributeFit,
  type PartAttributes,
  type MatchFit,
} from './match/schema.ts';
export { isOneGear } from './match/standsIn.ts';
export { checkLines } from './book/checkLines.ts';
export { learnt, type IdentifiedGear } from './book/learnt.ts';
export { bookKey, bookLine, type BookLine } from './book/line.ts';
export { differencesOf, modelBook, type GearInBook, type ModelBook, type WrittenLine } from './book/modelBook.ts';
export { weighByBook } from './book/weighByBook.ts';
export { draftOptions, guideLife, lifeIn, type DraftFacts, type OptionDraft } from './decide/draft.ts';
export { OPTION_KINDS, type OptionKind, type RankedOption } from './decide/options.ts';
export { MATERIALS, MATERIAL_IDS, SHEAR_OF_YIELD, type MaterialId } from './material/materials.ts';
export { SHEET_TORQUE_UNITS, STRENGTH_CLASSES } from './setup/torque.ts';
export { jobBill, type Bill, type BillLine } from './job/bill.ts';
export { arrivedItem, orderedItem } from './job/itemAttributes.ts';
export type { Item } from './job/jobState.ts';
export { MOST_STEPS, withOwn } from './job/withOwn.ts';
export { yearlyUse, type YearlyUse } from './job/yearlyUse.ts';
export { createOperations, type OperationInput, type OperationName, type OperationOutput } from './operations.ts';
export { LENGTH_UNITS, formatLength, fromMm, parseReading, toMm, type LengthUnit } from './quantity/length.ts';
export { wayTo } from './practice/hidden.ts';
export { PART_MINOR } from './practice/schema.ts';
export { INSTRUMENTS, plain, type InstrumentId, type Measurement } from './quantity/measured.ts';
export { HOURS_A_YEAR, USE_UNITS, inUseUnit, usualUse, type UseUnit } from './quantity/useUnit.ts';
export { seeded } from './quantity/seeded.ts';
export type { Change } from './ratio/change.ts';
export type { Takeoff } from './ratio/takeoff.ts';
export type { Tyre } from './ratio/tyre.ts';
export type { Picture } from './scan/picture.ts';
export { scanTeeth, type ScanProgress } from './scan/scanTeeth.ts';
export type { Scan, ScanCorrection, ScanRead, ScanScale } from './scan/schema.ts';
export { cautionsOn } from './trace/cautionsOn.ts';
export { checkPack } from './trace/checkPack.ts';
export { fileOutput } from './make/file.ts';
export { isCopyOf } from './trace/copyOf.ts';
export { explainPack, type PackReport } from './trace/explainPack.ts';
export {
  AT_SERVICE,
  COMPLAINT_FACT,
  NONE_OF_THESE,
  NOTHING_ELSE,
  SOUND,
  complaintChance,
  keysOf,
  priorOf,
  waysAlone,
  type Facts,
  type Hypothesis,
} from './trace/hypotheses.ts';
export { inputToSee, isLoaded, soundMovement } from './trace/lookMotion.ts';
export { settledFaults, settledOnSight } from './trace/cures.ts';
export { CANNOT_TELL, traceNext } from './trace/next.ts';
export { findByWords } from './trace/words.ts';
export { healthyMisread, sideOutcomes } from './trace/outcomes.ts';
export { lookChances } from './trace/lookChances.ts';
export { modelOverrides, type ModelOverrides } from './trace/modelOverrides.ts';
export { applyOverrides, inEveryVariant, packForFacts, VARIANT_FACT } from './trace/overrides.ts';
export {
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
  PROOF_PHASES,
  SETTINGS,
  type Proof,
  type ProofPhase,
  type Setting,
  type SettingTarget,
} from './trace/pack.ts';
export { lookWants, statesLacking } from './trace/wanted.ts';
export { likeliestResults, packModel } from './trace/packModel.ts';
export type { PackRemark, RemarkCode } from './trace/remarksOn.ts';
export { advisedLooks, facts, traceInput, type LookAdvice, SURENESS, type OwnLook, type TraceOutput } from './trace/schema.ts';
export { because, SCHEMA_REASONS } from './failure/FailureReason.ts';
