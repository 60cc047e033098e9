import type { RunningWait } from '../access/waits.ts';
import type { InstrumentReading } from '../instrument/reading.ts';
import type { Measured } from '../quantity/measured.ts';
import type { Facts } from '../trace/hypotheses.ts';
import type { Entry, EntryPayload, GearQuantity, Piece } from './entry.ts';

export interface DimensionReading {
  readonly entryId: string;
  readonly reading: Measured;
  readonly over?: number;
  readonly instrument: string;
  readonly entered: string;
}

/** Readings of each quantity, oldest first. */
export type GearReadings = Readonly<Partial<Record<GearQuantity, readonly DimensionReading[]>>>;

/** An order for a gear, as far as it has come. */
export interface Order extends Payload<'partOrdered'> {
  readonly id: string;
  readonly at: string;
  readonly state: 'ordered' | 'arrived' | 'accepted' | 'refused';
  readonly refusal?: Payload<'partRefused'>;
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
  readonly facts: Facts;
  readonly observations: readonly {
    readonly look: string;
    readonly result: string;
    readonly entryId: string;
    readonly reading?: InstrumentReading;
  }[];
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
  readonly decided: Payload<'decided'> | null;
  readonly closingDone: readonly string[];
  readonly proofs: readonly Payload<'proofDone'>[];
  readonly photos: readonly Payload<'photoTaken'>[];
  readonly ratioChosen: Payload<'ratioChosen'> | null;
  readonly odometerCorrected: (Payload<'odometerCorrected'> & { readonly at: string; readonly by: string }) | null;
  /** Part numbers read off the machine, each with where its plate is. */
  readonly plates: readonly Payload<'plateRead'>[];
  readonly remarks: readonly string[];
  readonly closed: (Payload<'closed'> & { readonly at: string; readonly by: string }) | null;
  /** Entries that stand, oldest first; withdrawn ones and their withdrawals are listed apart. */
  readonly standing: readonly Entry[];
  readonly withdrawn: readonly Entry[];
}

type Payload<K extends EntryPayload['kind']> = Extract<EntryPayload, { kind: K }>;

/**
 * Entries of one job, in any order and sent any number of times → what the job is now.
 * Pure and the same everywhere: two devices that hold the same entries see the same job.
 */
export function foldJob(jobId: string, entries: readonly Entry[]): JobState {
  const ordered = inOrder(entries.filter((each) => each.jobId === jobId));
  const gone = withdrawnIds(ordered);
  const standing = ordered.filter(({ id, payload }) => !gone.has(id) && payload.kind !== 'withdrawn');
  const withdrawn = ordered.filter(({ id, payload }) => gone.has(id) && payload.kind !== 'withdrawn');
  return standing.reduce(apply, { ...EMPTY, jobId, standing, withdrawn });
}

const EMPTY: Omit<JobState, 'jobId' | 'standing' | 'withdrawn'> = {
  takenIn: null,
  takenInAt: null,
  facts: {},
  observations: [],
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
  decided: null,
  closingDone: [],
  proofs: [],
  photos: [],
  ratioChosen: null,
  odometerCorrected: null,
  plates: [],
  remarks: [],
  closed: null,
};

/** By time, ties by id, each id once: an order every device agrees on. */
export function inOrder(entries: readonly Entry[]): readonly Entry[] {
  const once = [...new Map(entries.map((each) => [each.id, each])).values()];
  return once.sort((p, q) => Date.parse(p.at) - Date.parse(q.at) || (p.id < q.id ? -1 : 1));
}

/** Taking back a withdrawal puts the first entry back; so the latest are settled first. */
function withdrawnIds(ordered: readonly Entry[]): ReadonlySet<string> {
  const gone = new Set<string>();
  for (const { id, payload } of [...ordered].reverse()) {
    if (payload.kind === 'withdrawn' && !gone.has(id)) gone.add(payload.entry);
  }
  return gone;
}

function apply(state: JobState, { id, at, by, payload }: Entry): JobState {
  switch (payload.kind) {
    case 'takenIn':
      return { ...state, takenIn: payload, takenInAt: at, facts: payload.facts };
    case 'lookRecorded':
      return { ...state, observations: [...state.observations, observed(id, payload)] };
    case 'faultFound':
      return { ...state, found: once(state.found, payload.fault) };
    case 'stepDone':
      return { ...state, reached: once(state.reached, payload.step), stuck: state.stuck.filter(({ step }) => step !== payload.step) };
    case 'stepSkipped':
      return { ...state, reached: once(state.reached, payload.step), skipped: [...state.skipped, payload] };
    case 'stepStuck':
      return { ...state, stuck: [...state.stuck.filter(({ step }) => step !== payload.step), payload] };
    case 'captured':
      return { ...state, captures: [...state.captures.filter((each) => !sameCapture(each, payload)), payload] };
    case 'captureConfirmed':
      return { ...state, confirmed: [...state.confirmed.filter((each) => !sameCapture(each, payload)), payload] };
    case 'looseNoted':
      return { ...state, looseNotes: [...state.looseNotes, payload] };
    case 'torqueNoted':
      return { ...state, torques: [...state.torques.filter((each) => each.step !== payload.step || each.item !== payload.item), payload] };
    case 'waitStarted':
      return { ...state, waits: [...state.waits, { wait: payload.wait, startedAt: at, minutes: payload.minutes, source: payload.source }] };
    case 'waitCut':
      return { ...state, waitsCut: [...state.waitsCut, payload] };
    case 'extraDone':
      return { ...state, extras: once(state.extras, payload.extra) };
    case 'photoMarked':
      return { ...state, photoMarks: { ...state.photoMarks, [payload.hash]: payload.strokes } };
    case 'cautionAcknowledged':
      return { ...state, acknowledged: once(state.acknowledged, payload.caution) };
    case 'dimensionRead': {
      const { gear, quantity, reading, over, instrument, entered, piece } = payload;
      const { readings = {}, beside = {} } = state.gears[gear] ?? {};
      const before = (piece ? beside[piece] : readings) ?? {};
      const list = [...(before[quantity] ?? []), { entryId: id, reading, over, instrument, entered }];
      const now = { ...before, [quantity]: list };
      return withGear(state, gear, piece ? { beside: { ...beside, [piece]: now } } : { readings: now });
    }
    case 'seatRead':
      return withGear(state, payload.gear, { seat: payload });
    case 'arcsNoted':
      return withGear(state, payload.gear, { arcs: payload });
    case 'limitNoted':
      return withGear(state, payload.gear, { limit: payload });
    case 'teethScanned': {
      const others = (state.gears[payload.gear]?.scans ?? []).filter(({ hash }) => hash !== payload.hash);
      return withGear(state, payload.gear, { scans: [...others, payload] });
    }
    case 'handNoted':
      return withGear(state, payload.gear, { hand: payload.hand });
    case 'photoTaken':
      return { ...state, photos: [...state.photos, payload] };
    case 'decided':
      return { ...state, decided: payload };
    case 'partChosen':
      return withGear(state, payload.gear, { chosen: payload });
    case 'partOrdered':
      return withOrders(state, payload.gear, (orders) => [...orders, { ...payload, id, at, state: 'ordered' }]);
    case 'partArrived':
      return withOrders(state, payload.gear, (orders) => moved(orders, payload.order, { state: 'arrived' }));
    case 'partAccepted':
      return withOrders(state, payload.gear, (orders) => moved(orders, payload.order, { state: 'accepted' }));
    case 'partRefused': {
      // What was read off the refused part goes back with it: the next one is measured anew.
      const { new: _, ...beside } = state.gears[payload.gear]?.beside ?? {};
      const cleared = withGear(state, payload.gear, { beside });
      return withOrders(cleared, payload.gear, (orders) => moved(orders, payload.order, { state: 'refused', refusal: payload }));
    }
    case 'partFitted':
      return withGear(state, payload.gear, { fitted: payload });
    case 'closingDone':
      return { ...state, closingDone: once(state.closingDone, payload.step), short: [...state.short, ...(payload.short ?? [])] };
    case 'proofDone':
      return { ...state, proofs: [...state.proofs.filter(({ proof }) => proof !== payload.proof), payload] };
    case 'ratioChosen':
      return { ...state, ratioChosen: payload };
    case 'odometerCorrected':
      return { ...state, odometerCorrected: { ...payload, at, by } };
    case 'plateRead':
      return { ...state, plates: [...state.plates.filter(({ partNumber }) => partNumber !== payload.partNumber), payload] };
    case 'remark':
      return { ...state, remarks: [...state.remarks, payload.text] };
    case 'closed':
      return { ...state, closed: { ...payload, at, by } };
    case 'reopened':
      return { ...state, closed: null };
    case 'secondChecked':
    case 'withdrawn':
      return state;
    default:
      return unforeseen(payload);
  }
}

const observed = (entryId: string, { look, result, reading }: Payload<'lookRecorded'>): JobState['observations'][number] => ({
  look,
  result,
  entryId,
  ...(reading && { reading }),
});

const sameCapture = (p: { step: string; capture: string }, q: { step: string; capture: string }) =>
  p.step === q.step && p.capture === q.capture;

const once = (list: readonly string[], item: string) => (list.includes(item) ? list : [...list, item]);

const withGear = (state: JobState, gear: string, change: Partial<GearState>): JobState => ({
  ...state,
  gears: { ...state.gears, [gear]: { ...(state.gears[gear] ?? { readings: {} }), ...change } },
});

const withOrders = (state: JobState, gear: string, change: (orders: readonly Order[]) => readonly Order[]): JobState =>
  withGear(state, gear, { orders: change(state.gears[gear]?.orders ?? []) });

const moved = (orders: readonly Order[], order: string, change: Partial<Order>): readonly Order[] =>
  orders.map((each) => (each.id === order ? { ...each, ...change } : each));

function unforeseen(payload: never): never {
  throw new TypeError(`no fold for ${JSON.stringify(payload)}`);
}
