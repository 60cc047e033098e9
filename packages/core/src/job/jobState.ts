import type { RunningWait } from '../access/waits.ts';
import type { GearQuantity } from '../gear/quantities.ts';
import type { Readings } from '../gear/readings.ts';
import type { PlainQuantity } from '../match/plainParts.ts';
import type { InstrumentReading } from '../instrument/reading.ts';
import type { Facts } from '../trace/hypotheses.ts';
import type { Entry, Payload, Piece } from './entry.ts';

export type GearReadings = Readings<GearQuantity>;

/** An order for a gear, as far as it has come. */
export interface Order extends Payload<'partOrdered'> {
  readonly id: string;
  readonly at: string;
  readonly state: 'ordered' | 'arrived' | 'accepted' | 'refused';
  readonly refusal?: Payload<'partRefused'>;
}

/** A line item of the job that is no gear of the family, as far as it has come. */
export interface Item extends Omit<Payload<'itemAdded'>, 'state'> {
  readonly id: string;
  readonly at: string;
  readonly state: 'needed' | 'ordered' | 'arrived' | 'accepted' | 'refused' | 'inHand' | 'fitted';
  readonly readings: Readings<PlainQuantity>;
  readonly refusal?: Payload<'itemRefused'>;
}

/** Something to be looked at again, or asked, after the job. */
export interface FollowUp extends Payload<'followUpSet'> {
  readonly id: string;
  readonly done: (Payload<'followUpDone'> & { readonly at: string }) | null;
}

export interface GearState {
  /** Oldest first. */
  readonly orders?: readonly Order[];
  readonly readings: GearReadings;
  /** Of other gears laid beside it. */
  readonly beside?: Readonly<Partial<Record<Piece, GearReadings>>>;
  readonly limit?: Payload<'limitNoted'>;
  readonly seat?: Payload<'seatRead'>;
  readonly arcs?: Payload<'arcsNoted'>;
  readonly hand?: 'right' | 'left';
  /** Of what lies beside it. */
  readonly handsBeside?: Readonly<Partial<Record<Piece, 'right' | 'left'>>>;
  /** Counts on photos, oldest first; one for each photo, the last. */
  readonly scans?: readonly Payload<'teethScanned'>[];
  readonly chosen?: Payload<'partChosen'>;
  readonly fitted?: Payload<'partFitted'>;
}

/** What a job is now. Nobody edits it: it is always the fold of the job's entries. */
export interface JobState {
  readonly jobId: string;
  readonly takenIn: Payload<'takenIn'> | null;
  readonly takenInAt: string | null;
  /** The day it was promised for. */
  readonly promisedOn: string | null;
  readonly facts: Facts;
  readonly observations: readonly {
    readonly look: string;
    readonly result: string;
    readonly entryId: string;
    readonly reading?: InstrumentReading;
  }[];
  /** Seen besides what the family foresees. */
  readonly ownLooks: readonly (Payload<'ownLookRecorded'> & { readonly entryId: string })[];
  /** Findings that nothing explains and that somebody left at that. */
  readonly left: readonly { readonly look: string; readonly reason: string }[];
  /** Steps done and pieces of the way back done, in their order: what is open now follows from them. */
  readonly handled: readonly ({ readonly done: string } | { readonly back: string })[];
  /** Faults found for sure while the tracing went on. */
  readonly found: readonly string[];
  readonly reached: readonly string[];
  readonly acknowledged: readonly string[];
  /** Steps passed over; they count as reached, and brought nothing off. */
  readonly skipped: readonly Payload<'stepSkipped'>[];
  /** Steps that will not come, until they are done after all. */
  readonly stuck: readonly Payload<'stepStuck'>[];
  readonly captures: readonly Payload<'captured'>[];
  readonly confirmed: readonly Payload<'captureConfirmed'>[];
  readonly looseNotes: readonly Payload<'looseNoted'>[];
  /** Figures from the maker's sheet, the last for each kind of part. */
  readonly torques: readonly Payload<'torqueNoted'>[];
  readonly short: NonNullable<Payload<'closingDone'>['short']>;
  readonly waits: readonly RunningWait[];
  readonly waitsCut: readonly Payload<'waitCut'>[];
  readonly extras: readonly string[];
  /** Lines on a photo, by its hash; the last drawing counts. */
  readonly photoMarks: Readonly<Record<string, Payload<'photoMarked'>['strokes']>>;
  readonly gears: Readonly<Record<string, GearState>>;
  readonly items: readonly Item[];
  readonly labour: readonly Payload<'labourNoted'>[];
  /** What was asked of a seller, the last for each part and seller. */
  readonly prices: readonly (Payload<'priceAsked'> & { readonly at: string })[];
  /** Ways to go on that somebody wrote down or changed, in the order in which they came; the rest is drafted. */
  readonly options: readonly Payload<'optionKept'>[];
  readonly droppedOptions: readonly string[];
  readonly use: Payload<'useAssumed'> | null;
  readonly quote: (Payload<'quoteMade'> & { readonly at: string; readonly by: string }) | null;
  /** What the owner answered last. */
  readonly answer: (Payload<'quoteAnswered'> & { readonly at: string }) | null;
  /** Trials of an eccentric sleeve, in the order in which they were made. */
  readonly sleeveTrials: readonly (Payload<'sleeveTried'> & { readonly entryId: string })[];
  readonly settings: readonly (Payload<'settingMade'> & { readonly at: string })[];
  readonly saved: readonly (Payload<'partSaved'> & { readonly entryId: string; readonly at: string })[];
  readonly made: readonly (Payload<'gearMade'> & { readonly at: string })[];
  /** What the family does not know of and this job added, each under `own-` and the id of its entry. */
  readonly own: {
    readonly loose: readonly (Payload<'ownLooseAdded'> & { readonly id: string })[];
    readonly captures: readonly (Payload<'ownCaptureAdded'> & { readonly id: string })[];
    readonly steps: readonly (Payload<'ownStepAdded'> & { readonly id: string })[];
  };
  readonly decided: Payload<'decided'> | null;
  readonly closingDone: readonly string[];
  readonly proofs: readonly (Payload<'proofDone'> & { readonly at: string })[];
  /** Oldest first; `done` once somebody did. */
  readonly followUps: readonly FollowUp[];
  /** The last for each thing. */
  readonly intervals: readonly (Payload<'intervalSet'> & { readonly at: string })[];
  readonly photos: readonly Payload<'photoTaken'>[];
  readonly ratioChosen: Payload<'ratioChosen'> | null;
  readonly odometerCorrected: (Payload<'odometerCorrected'> & { readonly at: string; readonly by: string }) | null;
  /** Part numbers read off the machine, each with where its plate is. */
  readonly plates: readonly Payload<'plateRead'>[];
  readonly remarks: readonly Payload<'remark'>[];
  readonly closed: (Payload<'closed'> & { readonly at: string; readonly by: string }) | null;
  /** Everything that was ever written, oldest first: also what was taken back, and the takings back. */
  readonly written: readonly Entry[];
  /** Entries that nobody took back, oldest first. */
  readonly active: readonly Entry[];
  /** Entries that were taken back; their withdrawals are in neither list. */
  readonly withdrawn: readonly Entry[];
}

/** A job of which nothing is known yet; each time anew, for a fold writes into its lists. */
export const emptyJob = (): Omit<JobState, 'jobId' | 'written' | 'active' | 'withdrawn'> => ({
  takenIn: null,
  takenInAt: null,
  promisedOn: null,
  facts: {},
  observations: [],
  ownLooks: [],
  left: [],
  handled: [],
  found: [],
  reached: [],
  acknowledged: [],
  skipped: [],
  stuck: [],
  captures: [],
  confirmed: [],
  looseNotes: [],
  torques: [],
  short: [],
  waits: [],
  waitsCut: [],
  extras: [],
  photoMarks: {},
  gears: {},
  items: [],
  labour: [],
  prices: [],
  options: [],
  droppedOptions: [],
  use: null,
  quote: null,
  answer: null,
  sleeveTrials: [],
  settings: [],
  saved: [],
  made: [],
  own: { loose: [], captures: [], steps: [] },
  decided: null,
  closingDone: [],
  proofs: [],
  followUps: [],
  intervals: [],
  photos: [],
  ratioChosen: null,
  odometerCorrected: null,
  plates: [],
  remarks: [],
  closed: null,
});
