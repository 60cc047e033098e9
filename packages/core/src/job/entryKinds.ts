import { fail } from '../failure/CoreFailure.ts';
import { NONE_OF_THESE } from '../trace/hypotheses.ts';
import { CANNOT_TELL } from '../trace/next.ts';
import { inEveryVariant } from '../trace/overrides.ts';
import type { Pack } from '../trace/pack.ts';
import { packModel } from '../trace/packModel.ts';
import type { Entry, EntryKind, EntryPayload, Payload } from './entry.ts';
import type { JobState } from './jobState.ts';
import { inPlaceOf, lookAgain, once, sameCapture, withGear, withItem, withOrder, withOrders, withOwnOf } from './stateChanges.ts';
import { isOwnId, ownId } from './withOwn.ts';

type Written = Omit<Entry, 'payload'>;
type Listed = readonly { readonly id: string }[];
/** Refuses an id that the list does not have. */
type Need = (list: Listed, given: string, path: string) => void;

/** Everything that one kind of entry means, in one row. */
export interface EntryRule<P extends EntryPayload = EntryPayload> {
  /** Work on the machine: whoever did it cannot be the second pair of eyes. */
  readonly isWork?: true;
  /** Somebody looked the work over: taken back, a job that was closed on it is open again. */
  readonly isCheck?: true;
  /** What lists show of the job may be otherwise after it. */
  readonly changesRow?: true;
  /** Refuses what its machine family does not have. */
  check?(payload: P, pack: Pack, need: Need): void;
  /** What the job is after it. */
  apply(state: JobState, payload: P, written: Written): JobState;
}

const aboutGear = { check: ({ gear }: { gear: string }, { gears }: Pack, need: Need) => need(gears, gear, 'gear') };
const perhapsAboutGear = {
  check: ({ gear }: { gear?: string | undefined }, { gears }: Pack, need: Need) => void (gear !== undefined && need(gears, gear, 'gear')),
};
/** No door leads round it: what can hurt somebody is neither saved nor made here, and not written down as if it were. */
const onlyWhereNobodyIsHurt = (path: string, reason: 'safetyCriticalNotSaved' | 'safetyCriticalNotMade') => ({
  check(payload: { gear: string }, pack: Pack, need: Need) {
    aboutGear.check(payload, pack, need);
    if (pack.safetyCritical) throw fail('invalid', path, { reason, name: pack.name });
  },
});
const aboutStep = { check: ({ step }: { step: string }, { steps }: Pack, need: Need) => need(steps, step, 'step') };
const aboutWait = {
  check: ({ wait }: { wait: string }, { steps, closing }: Pack, need: Need) =>
    need(
      [...steps, ...closing].flatMap((each) => each.wait ?? []),
      wait,
      'wait',
    ),
};
const aboutLoose = {
  check({ step, item }: { step: string; item: string }, { steps }: Pack, need: Need) {
    need(steps, step, 'step');
    need(steps.find(({ id }) => id === step)?.loose ?? [], item, 'item');
  },
};
const needCapture = ({ step, capture }: { step: string; capture: string }, { steps }: Pack, need: Need) => {
  need(steps, step, 'step');
  need(steps.find(({ id }) => id === step)?.captures ?? [], capture, 'capture');
};

/** One row for each kind of entry. A kind without a row is a type error, and so is a row without a kind. */
export const ENTRY_RULES: { readonly [K in EntryKind]: EntryRule<Payload<K>> } = {
  takenIn: {
    changesRow: true,
    apply: (state, takenIn, { at }) => ({ ...state, takenIn, takenInAt: at, facts: takenIn.facts }),
  },
  lookRecorded: {
    check({ look, result }, pack, need) {
      need(pack.looks, look, 'look');
      const results = (packModel(pack).outcomes.get(look) ?? []).map((each) => ({ id: each.result }));
      need([...results, { id: CANNOT_TELL }], result, 'result');
    },
    apply: (state, { look, result, reading }, { id }) => ({
      ...state,
      observations: [...state.observations, { look, result, entryId: id, ...(reading && { reading }) }],
    }),
  },
  ownLookRecorded: {
    check: ({ fault }, { faults }, need) => need(faults, fault, 'fault'),
    apply: (state, seen, { id }) => ({ ...state, ownLooks: [...state.ownLooks, { ...seen, entryId: id }] }),
  },
  stepDone: {
    ...aboutStep,
    isWork: true,
    apply: (state, { step }) => ({
      ...state,
      reached: once(state.reached, step),
      handled: [...state.handled, { done: step }],
      stuck: state.stuck.filter((each) => each.step !== step),
    }),
  },
  stepSkipped: {
    ...aboutStep,
    apply: (state, skipped) => ({
      ...state,
      reached: once(state.reached, skipped.step),
      handled: [...state.handled, { done: skipped.step }],
      skipped: [...state.skipped, skipped],
    }),
  },
  stepStuck: {
    ...aboutStep,
    apply: (state, stuck) => ({ ...state, stuck: [...state.stuck.filter(({ step }) => step !== stuck.step), stuck] }),
  },
  captured: {
    check(payload, pack, need) {
      needCapture(payload, pack, need);
      const { text, value, skipped } = payload;
      if (text === undefined && value === undefined && skipped === undefined) throw fail('missing', 'payload.text');
    },
    apply: (state, capture) => ({ ...state, captures: inPlaceOf(state.captures, capture, sameCapture) }),
  },
  captureConfirmed: {
    check: needCapture,
    apply: (state, confirmed) => ({ ...state, confirmed: inPlaceOf(state.confirmed, confirmed, sameCapture) }),
  },
  looseNoted: { ...aboutLoose, apply: (state, note) => ({ ...state, looseNotes: [...state.looseNotes, note] }) },
  torqueNoted: {
    ...aboutLoose,
    apply: (state, torque) => ({
      ...state,
      torques: inPlaceOf(state.torques, torque, (p, q) => p.step === q.step && p.item === q.item),
    }),
  },
  waitStarted: {
    ...aboutWait,
    apply: (state, { wait, minutes, source }, { at }) => ({
      ...state,
      waits: [...state.waits, { wait, startedAt: at, minutes, source }],
    }),
  },
  waitCut: { ...aboutWait, apply: (state, cut) => ({ ...state, waitsCut: [...state.waitsCut, cut] }) },
  extraDone: {
    check: ({ extra }, { whileOpen }, need) => need(whileOpen, extra, 'extra'),
    apply: (state, { extra }) => ({ ...state, extras: once(state.extras, extra) }),
  },
  photoMarked: { apply: (state, { hash, strokes }) => ({ ...state, photoMarks: { ...state.photoMarks, [hash]: strokes } }) },
  cautionAcknowledged: {
    check: ({ caution }, { cautions }, need) => need(cautions, caution, 'caution'),
    apply: (state, { caution }) => ({ ...state, acknowledged: once(state.acknowledged, caution) }),
  },
  dimensionRead: {
    ...aboutGear,
    apply(state, { gear, quantity, reading, over, instrument, entered, piece }, { id }) {
      const { readings = {}, beside = {} } = state.gears[gear] ?? {};
      const before = (piece ? beside[piece] : readings) ?? {};
      const read = { entryId: id, reading, instrument, entered, ...(over !== undefined && { over }) };
      const now = { ...before, [quantity]: [...(before[quantity] ?? []), read] };
      return withGear(state, gear, piece ? { beside: { ...beside, [piece]: now } } : { readings: now });
    },
  },
  seatRead: { ...aboutGear, apply: (state, seat) => withGear(state, seat.gear, { seat }) },
  arcsNoted: { ...aboutGear, apply: (state, arcs) => withGear(state, arcs.gear, { arcs }) },
  limitNoted: { ...aboutGear, apply: (state, limit) => withGear(state, limit.gear, { limit }) },
  teethScanned: {
    ...aboutGear,
    apply: (state, scan) =>
      withGear(state, scan.gear, { scans: inPlaceOf(state.gears[scan.gear]?.scans ?? [], scan, (p, q) => p.hash === q.hash) }),
  },
  handNoted: { ...aboutGear, apply: (state, { gear, hand }) => withGear(state, gear, { hand }) },
  photoTaken: { apply: (state, photo) => ({ ...state, photos: [...state.photos, photo] }) },
  faultFound: {
    check: ({ fault }, { faults }, need) => need(faults, fault, 'fault'),
    apply: (state, { fault }) => ({ ...state, found: once(state.found, fault) }),
  },
  promised: { changesRow: true, apply: (state, { on }) => ({ ...state, promisedOn: on }) },
  decided: {
    isWork: true,
    check({ fault, note }, { faults }, need) {
      if (fault !== NONE_OF_THESE) need(faults, fault, 'fault');
      else if (!note) throw fail('missing', 'payload.note', {});
    },
    apply: (state, decided) => ({ ...state, decided }),
  },
  partChosen: { ...aboutGear, apply: (state, chosen) => withGear(state, chosen.gear, { chosen }) },
  partOrdered: {
    ...aboutGear,
    apply: (state, order, { id, at }) => withOrders(state, order.gear, (orders) => [...orders, { ...order, id, at, state: 'ordered' }]),
  },
  partArrived: { ...aboutGear, apply: (state, arrived) => withOrder(state, arrived, { state: 'arrived' }) },
  partAccepted: { ...aboutGear, apply: (state, accepted) => withOrder(state, accepted, { state: 'accepted' }) },
  partRefused: {
    ...aboutGear,
    apply(state, refusal) {
      // What was read off the refused part goes back with it: the next one is measured anew.
      const { new: _, ...beside } = state.gears[refusal.gear]?.beside ?? {};
      return withOrder(withGear(state, refusal.gear, { beside }), refusal, { state: 'refused', refusal });
    },
  },
  partFitted: { ...aboutGear, isWork: true, apply: (state, fitted) => withGear(state, fitted.gear, { fitted }) },
  itemAdded: {
    apply: (state, added, { id, at }) => ({ ...state, items: [...state.items, { ...added, id, at, readings: {} }] }),
  },
  itemOrdered: {
    apply: (state, { item, supplier, priceMinor }) =>
      withItem(state, item, { state: 'ordered', supplier, ...(priceMinor !== undefined && { priceMinor }) }),
  },
  itemArrived: { apply: (state, { item }) => withItem(state, item, { state: 'arrived' }) },
  itemMeasured: {
    apply(state, { item, quantity, reading, instrument, entered }, { id }) {
      const { readings = {} } = state.items.find((each) => each.id === item) ?? {};
      const read = { entryId: id, reading, instrument, entered };
      return withItem(state, item, { readings: { ...readings, [quantity]: [...(readings[quantity] ?? []), read] } });
    },
  },
  itemAccepted: { apply: (state, { item }) => withItem(state, item, { state: 'accepted' }) },
  itemRefused: { apply: (state, refusal) => withItem(state, refusal.item, { state: 'refused', refusal }) },
  itemFitted: { isWork: true, apply: (state, { item }) => withItem(state, item, { state: 'fitted' }) },
  labourNoted: { isWork: true, apply: (state, labour) => ({ ...state, labour: [...state.labour, labour] }) },
  optionKept: {
    apply: (state, kept) => ({
      ...state,
      options: inPlaceOf(state.options, kept, (p, q) => p.option === q.option),
      droppedOptions: state.droppedOptions.filter((each) => each !== kept.option),
    }),
  },
  optionDropped: {
    apply: (state, { option }) => ({
      ...state,
      options: state.options.filter((each) => each.option !== option),
      droppedOptions: once(state.droppedOptions, option),
    }),
  },
  useAssumed: { apply: (state, use) => ({ ...state, use }) },
  quoteMade: { apply: (state, quote, { at, by }) => ({ ...state, quote: { ...quote, at, by } }) },
  quoteAnswered: { apply: (state, answer, { at }) => ({ ...state, answer: { ...answer, at } }) },
  sleeveTried: {
    isWork: true,
    apply: (state, trial, { id }) => ({ ...state, sleeveTrials: [...state.sleeveTrials, { ...trial, entryId: id }] }),
  },
  settingMade: {
    isWork: true,
    check: ({ wanted }, { settings }, need) => void (wanted !== undefined && need(settings, wanted, 'wanted')),
    apply: (state, setting, { at }) => ({ ...state, settings: [...state.settings, { ...setting, at }] }),
  },
  partSaved: {
    ...onlyWhereNobodyIsHurt('payload.way', 'safetyCriticalNotSaved'),
    isWork: true,
    changesRow: true,
    // A part that was saved and not renewed comes back on a day, like whatever else is to be looked at again.
    apply: (state, saved, { id, at }) => ({
      ...state,
      saved: [...state.saved, { ...saved, entryId: id, at }],
      ...(saved.lookAgainOn && { followUps: [...state.followUps, lookAgain(id, saved.figures, saved.lookAgainOn)] }),
    }),
  },
  gearMade: {
    ...onlyWhereNobodyIsHurt('payload.gear', 'safetyCriticalNotMade'),
    isWork: true,
    apply: (state, made, { at }) => ({ ...state, made: [...state.made, { ...made, at }] }),
  },
  ownLooseAdded: {
    ...aboutStep,
    apply: (state, loose, { id }) => withOwnOf(state, { loose: [...state.own.loose, { ...loose, id: ownId(id) }] }),
  },
  ownCaptureAdded: {
    ...aboutStep,
    apply: (state, capture, { id }) => withOwnOf(state, { captures: [...state.own.captures, { ...capture, id: ownId(id) }] }),
  },
  ownStepAdded: { apply: (state, step, { id }) => withOwnOf(state, { steps: [...state.own.steps, { ...step, id: ownId(id) }] }) },
  plateRead: {
    ...perhapsAboutGear,
    apply: (state, plate) => ({ ...state, plates: inPlaceOf(state.plates, plate, (p, q) => p.partNumber === q.partNumber) }),
  },
  closingDone: {
    isWork: true,
    // A step without a reassembly of its own is put back under its own name.
    check: ({ step }, { closing, steps }, need) => need([...closing, ...steps], step, 'step'),
    apply: (state, { step, short = [] }) => ({
      ...state,
      closingDone: once(state.closingDone, step),
      handled: [...state.handled, { back: step }],
      short: [...state.short, ...short],
    }),
  },
  proofDone: {
    isWork: true,
    check: ({ proof }, { proofs }, need) => need(proofs, proof, 'proof'),
    apply: (state, done, { at }) => ({ ...state, proofs: inPlaceOf(state.proofs, { ...done, at }, (p, q) => p.proof === q.proof) }),
  },
  followUpSet: {
    changesRow: true,
    check: ({ proof }, { proofs }, need) => void (proof !== undefined && need(proofs, proof, 'proof')),
    apply: (state, followUp, { id }) => ({ ...state, followUps: [...state.followUps, { ...followUp, id, done: null }] }),
  },
  followUpDone: {
    changesRow: true,
    apply: (state, done, { at }) => ({
      ...state,
      followUps: state.followUps.map((each) => (each.id === done.followUp ? { ...each, done: { ...done, at } } : each)),
    }),
  },
  intervalSet: {
    check({ every, unit }) {
      if (every.days === undefined && every.units === undefined) throw fail('nothingGiven', 'payload.every', { reason: 'noInterval' });
      if (every.units !== undefined && unit === undefined) throw fail('missing', 'payload.unit');
    },
    apply: (state, interval, { at }) => ({
      ...state,
      intervals: inPlaceOf(state.intervals, { ...interval, at }, (p, q) => p.what === q.what),
    }),
  },
  secondChecked: { isCheck: true, apply: (state) => state },
  outsideChecked: { isCheck: true, apply: (state) => state },
  ratioChosen: { apply: (state, ratioChosen) => ({ ...state, ratioChosen }) },
  odometerCorrected: {
    check({ before, after, missed }) {
      if (after > before && Math.abs(before + missed - after) < 0.01) return;
      throw fail('invalid', 'payload.after', { reason: 'odometerForwardOnly' });
    },
    apply: (state, corrected, { at, by }) => ({ ...state, odometerCorrected: { ...corrected, at, by } }),
  },
  remark: {
    ...perhapsAboutGear,
    apply: (state, remark) => ({ ...state, remarks: [...state.remarks, remark] }),
  },
  closed: { changesRow: true, apply: (state, closed, { at, by }) => ({ ...state, closed: { ...closed, at, by } }) },
  reopened: { changesRow: true, apply: (state) => ({ ...state, closed: null }) },
  withdrawn: { changesRow: true, apply: (state) => state },
};

/** The row of an entry's kind. */
export const ruleOf = (payload: EntryPayload): EntryRule => ENTRY_RULES[payload.kind];

/**
 * Refuses an entry that names what its machine family does not have: a look, a result, a step, a
 * gear. Without this one stray entry would break every later sum of the job.
 * @throws CoreFailure with the path inside the payload
 */
export function checkEntry(payload: EntryPayload, pack: Pack): void {
  try {
    checkAgainst(payload, pack);
  } catch (error) {
    // Which variant a machine is may be told at any time: an entry may speak of any.
    if (!inEveryVariant(pack).some((each) => isKnownTo(payload, each))) throw error;
  }
}

function isKnownTo(payload: EntryPayload, pack: Pack): boolean {
  try {
    checkAgainst(payload, pack);
    return true;
  } catch {
    return false;
  }
}

function checkAgainst(payload: EntryPayload, pack: Pack): void {
  ruleOf(payload).check?.(payload, pack, (list, given, path) => {
    // What a job added itself is named by the entry that added it, and stands in no family.
    if (!isOwnId(given) && !list.some(({ id }) => id === given))
      throw fail('unknownId', `payload.${path}`, { given, known: list.map(({ id }) => id).join(', ') });
  });
}
