/** What a machine is: its family file, what moves in it, how it is opened, and what is thought of its faults. */
export type { LedgerLine, LooseNote } from '../access/ledger.ts';
export { openingTo, stepsThatFree, stepsToReach } from '../access/opening.ts';
export { accessPlan, inReach, type AccessPlan, type Aim } from '../access/plan.ts';
export { reassembly } from '../access/reassembly.ts';
export { snag, type Snag } from '../access/snag.ts';
export { reachOf } from '../access/state.ts';
export {
  longest,
  stepsNamed,
  type ClosingStep,
  type PutBack,
  type LooseItem,
  type LooseKind,
  type Step,
  type Torque,
  type Wait,
} from '../access/step.ts';
export { waitState } from '../access/waits.ts';
export { motion } from '../driveline/motion.ts';
export { slides, type Driveline, type FaultMode, type Joint, type MotionOutput } from '../driveline/schema.ts';
export { bodiesOf } from '../driveline/transmission.ts';
export { cautionsOn } from '../trace/cautionsOn.ts';
export { checkPack } from '../trace/checkPack.ts';
export { isCopyOf } from '../trace/copyOf.ts';
export { settledFaults, settledOnSight } from '../trace/cures.ts';
export { explainPack, type PackReport } from '../trace/explainPack.ts';
export { AT_SERVICE, COMPLAINT_FACT, NONE_OF_THESE, SOUND, keysOf, priorOf, waysAlone, type Facts } from '../trace/hypotheses.ts';
export { lookChances } from '../trace/lookChances.ts';
export { inputToSee, isLoaded, soundMovement } from '../trace/lookMotion.ts';
export { modelOverrides, type ModelOverrides } from '../trace/modelOverrides.ts';
export { CANNOT_TELL, traceNext } from '../trace/next.ts';
export { healthyMisread, sideOutcomes } from '../trace/outcomes.ts';
export { applyOverrides, packForFacts, VARIANT_FACT } from '../trace/overrides.ts';
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
  type Proof,
  type ProofPhase,
  type Setting,
  type SettingTarget,
} from '../trace/pack.ts';
export { gearsOfFault, minutesOfWork, remediesForGear, remediesOf, touches, usualRemedy } from '../trace/remedies.ts';
export { likeliestResults, packModel } from '../trace/packModel.ts';
export type { PackRemark, RemarkCode } from '../trace/remarksOn.ts';
export { advisedLooks, facts, traceInput, type LookAdvice, type OwnLook, type TraceOutput } from '../trace/schema.ts';
export { lookWants, statesLacking } from '../trace/wanted.ts';
export { findByWords } from '../trace/words.ts';
