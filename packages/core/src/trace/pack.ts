import { z } from 'zod';
import { closingStep, step, whileOpen } from '../access/step.ts';
import { drivelineSchema } from '../driveline/schema.ts';
import { id, sentence } from '../quantity/bounds.ts';
import { withFieldsOfToday } from './earlierForms.ts';
import { modelOverrides } from './modelOverrides.ts';
import {
  auxiliary,
  branch,
  caution,
  complaint,
  fault,
  gearCard,
  look,
  proof,
  question,
  serviceFind,
  settingWanted,
  state,
  together,
} from './packParts.ts';
import { space, withRemediesNamed } from '../work/remedy.ts';
import { withRowsInOrder } from './rows.ts';
import { side, withSidesWritten } from './sides.ts';

const text = sentence;

/** A machine family as data: its chain, what fails, what can be looked at, and the way in and back. */
const packFields = z.strictObject({
  id,
  name: text,
  summary: text,
  /** What owners call the machine; found by, never shown. */
  alsoCalled: z.array(text).max(30).default([]),
  safetyCritical: z.boolean().default(false),
  complaints: z.array(complaint).min(1).max(60),
  questions: z.array(question).max(30).default([]),
  states: z.array(state).max(20).default([]),
  driveline: drivelineSchema,
  /** Bodies from the driver to the output, as they are drawn. */
  order: z.array(id).min(2).max(120),
  branches: z.array(branch).max(3).default([]),
  auxiliaries: z.array(auxiliary).max(30).default([]),
  cautions: z.array(caution).max(60).default([]),
  faults: z.array(fault).min(2).max(32),
  together: z.array(together).max(60).default([]),
  finds: z.array(serviceFind).max(20).default([]),
  looks: z.array(look).min(2).max(40),
  steps: z.array(step).max(30).default([]),
  gears: z.array(gearCard).max(30).default([]),
  closing: z.array(closingStep).max(60).default([]),
  whileOpen: z.array(whileOpen).max(60).default([]),
  /** What is set after it is put together, in the right order. */
  settings: z.array(settingWanted).max(30).default([]),
  proofs: z.array(proof).min(1).max(30),
  /** What each of its places holds: grease, gear oil, what the plate says. */
  spaces: z.array(space).max(20).default([]),
  /** The fixed order of looks in a textbook, kept for comparison. */
  textbookOrder: z.array(id).max(60).default([]),
  /** Orders of parts that machines of this family come in, besides the one described. */
  variants: z
    .array(z.strictObject({ id, name: text, tell: text, overrides: modelOverrides }))
    .max(6)
    .default([]),
  /** Two sides that are one description mirrored; ids and names with `{side}` in them were written for both. */
  sides: z.tuple([side, side]).optional(),
  /** Whose like an id is on the other side; filled in where entries are written for both. */
  mirrored: z.record(id, id).default({}),
});

export const packSchema = z.preprocess((raw) => withRowsInOrder(withRemediesNamed(withSidesWritten(withFieldsOfToday(raw)))), packFields);

export type Pack = z.infer<typeof packSchema>;
export { DEAD_DRIVER, INSTRUMENT_KINDS, PROOF_PHASES, SETTINGS } from './packParts.ts';
export type {
  Caution,
  Complaint,
  Fault,
  GearCard,
  InstrumentKind,
  KinematicLook,
  Look,
  Proof,
  ProofPhase,
  Setting,
  SettingTarget,
  TableLook,
} from './packParts.ts';
