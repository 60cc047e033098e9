import { fail } from '../failure/CoreFailure.ts';
import { NONE_OF_THESE } from '../trace/hypotheses.ts';
import { CANNOT_TELL } from '../trace/next.ts';
import { inEveryVariant } from '../trace/overrides.ts';
import type { Pack } from '../trace/pack.ts';
import { packModel } from '../trace/packModel.ts';
import type { Entry, EntryKind, EntryPayload, Payload } from './entry.ts';
import { changeIn, changeOrder, gearOf, lookAgain, putInPlace, type JobDraft } from './jobDraft.ts';
import { isOwnId, ownId } from './withOwn.ts';

type EntryHead = Omit<Entry, 'payload'>;
type IdList = readonly { readonly id: string }[];
/** Refuses an id that the list does not have. */
type Need = (list: IdList, given: string, path: string) => void;

/** Everything that one kind of entry means, in one row. */
export interface EntryRule<P extends EntryPayload = EntryPayload> {
  /** Written at the counter: it says of nobody that they had a hand in the machine. */
  readonly isDesk?: true;
  /** Work on the machine: a check that came before it has not seen it. */
  readonly isWork?: true;
  /** No work, and yet a check that came before it saw something else: a step left out, a wait cut short, a part lost. */
  readonly changesWhatWasSeen?: true;
  /** Somebody looked the work over: taken back, a job that was closed on it is open again. */
  readonly isCheck?: true;
  /** What lists show of the job may be otherwise after it. */
  readonly changesRow?: true;
  /** Refuses what its machine family does not have. */
  check?(payload: P, pack: Pack, need: Need): void;
  /** Makes the job what it is after it. */
  apply(draft: JobDraft, payload: P, written: EntryHead): void;
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
const placeOf = ({ step, capture }: { step: string; capture: string }) => JSON.stringify([step, capture]);
const needCapture = ({ step, capture }: { step: string; capture: string }, { steps }: Pack, need: Need) => {
  need(steps, step, 'step');
  need(steps.find(({ id }) => id === step)?.captures ?? [], capture, 'capture');
};

/** One row for each kind of entry. A kind without a row is a type error, and so is a row without a kind. */
export const ENTRY_RULES: { readonly [K in EntryKind]: EntryRule<Payload<K>> } = {
  takenIn: {
    isDesk: true,
    changesRow: true,
    check({ complaints = [] }, pack, need) {
      complaints.forEach((each, i) => need(pack.complaints, each, `complaints.${i}`));
    },
    apply(draft, takenIn, { at }) {
      draft.takenIn = takenIn;
      draft.takenInAt = at;
      draft.facts = takenIn.facts;
    },
  },
  lookRecorded: {
    check({ look, result }, pack, need) {
      need(pack.looks, look, 'look');
      const results = (packModel(pack).outcomes.get(look) ?? []).map((each) => ({ id: each.result }));
      need([...results, { id: CANNOT_TELL }], result, 'result');
    },
    apply(draft, { look, result, reading }, { id }) {
      draft.observations.push({ look, result, entryId: id, ...(reading && { reading }) });
    },
  },
  ownLookRecorded: {
    check: ({ fault }, { faults }, need) => need(faults, fault, 'fault'),
    apply: (draft, seen, { id }) => void draft.ownLooks.push({ ...seen, entryId: id }),
  },
  findingLeft: {
    check: ({ look }, { looks }, need) => need(looks, look, 'look'),
    apply: (draft, { look, reason }) => void draft.left.push({ look, reason }),
  },
  stepDone: {
    ...aboutStep,
    isWork: true,
    apply(draft, { step }) {
      draft.reached.add(step);
      draft.handled.push({ done: step });
      draft.stuck.delete(step);
    },
  },
  stepSkipped: {
    ...aboutStep,
    changesWhatWasSeen: true,
    apply(draft, skipped) {
      draft.reached.add(skipped.step);
      draft.handled.push({ done: skipped.step });
      draft.skipped.push(skipped);
    },
  },
  stepStuck: {
    ...aboutStep,
    changesWhatWasSeen: true,
    apply: (draft, stuck) => putInPlace(draft.stuck, stuck.step, stuck),
  },
  captured: {
    changesWhatWasSeen: true,
    check(payload, pack, need) {
      needCapture(payload, pack, need);
      const { text, value, skipped } = payload;
      if (text === undefined && value === undefined && skipped === undefined) throw fail('missing', 'payload.text');
    },
    apply: (draft, capture) => putInPlace(draft.captures, placeOf(capture), capture),
  },
  captureConfirmed: {
    check: needCapture,
    changesWhatWasSeen: true,
    apply: (draft, confirmed) => putInPlace(draft.confirmed, placeOf(confirmed), confirmed),
  },
  looseNoted: { ...aboutLoose, changesWhatWasSeen: true, apply: (draft, note) => void draft.looseNotes.push(note) },
  torqueNoted: {
    ...aboutLoose,
    changesWhatWasSeen: true,
    apply: (draft, torque) => putInPlace(draft.torques, JSON.stringify([torque.step, torque.item]), torque),
  },
  waitStarted: {
    ...aboutWait,
    changesWhatWasSeen: true,
    apply: (draft, { wait, minutes, source }, { at }) => void draft.waits.push({ wait, startedAt: at, minutes, source }),
  },
  waitCut: { ...aboutWait, changesWhatWasSeen: true, apply: (draft, cut) => void draft.waitsCut.push(cut) },
  extraDone: {
    isWork: true,
    check: ({ extra }, { whileOpen }, need) => need(whileOpen, extra, 'extra'),
    apply: (draft, { extra }) => void draft.extras.add(extra),
  },
  photoMarked: { apply: (draft, { hash, strokes }) => void (draft.photoMarks[hash] = strokes) },
  cautionAcknowledged: {
    check: ({ caution }, { cautions }, need) => need(cautions, caution, 'caution'),
    apply: (draft, { caution }) => void draft.acknowledged.add(caution),
  },
  dimensionRead: {
    ...aboutGear,
    apply(draft, { gear, quantity, reading, over, instrument, entered, piece }, { id }) {
      const of = gearOf(draft, gear);
      const readings = piece ? (of.beside[piece] ??= {}) : of.readings;
      (readings[quantity] ??= []).push({ entryId: id, reading, instrument, entered, ...(over !== undefined && { over }) });
    },
  },
  seatRead: { ...aboutGear, apply: (draft, seat) => void (gearOf(draft, seat.gear).seat = seat) },
  arcsNoted: { ...aboutGear, apply: (draft, arcs) => void (gearOf(draft, arcs.gear).arcs = arcs) },
  limitNoted: { ...aboutGear, apply: (draft, limit) => void (gearOf(draft, limit.gear).limit = limit) },
  teethScanned: {
    ...aboutGear,
    apply: (draft, scan) => putInPlace(gearOf(draft, scan.gear).scans, scan.hash, scan),
  },
  handNoted: { ...aboutGear, apply: (draft, { gear, hand }) => void (gearOf(draft, gear).hand = hand) },
  photoTaken: { apply: (draft, photo) => void draft.photos.push(photo) },
  faultFound: {
    check: ({ fault }, { faults }, need) => need(faults, fault, 'fault'),
    apply: (draft, { fault }) => void draft.found.add(fault),
  },
  promised: { isDesk: true, changesRow: true, apply: (draft, { on }) => void (draft.promisedOn = on) },
  decided: {
    isWork: true,
    check({ fault, note }, { faults }, need) {
      if (fault !== NONE_OF_THESE) need(faults, fault, 'fault');
      else if (!note) throw fail('missing', 'payload.note', {});
    },
    apply: (draft, decided) => void (draft.decided = decided),
  },
  partChosen: { ...aboutGear, apply: (draft, chosen) => void (gearOf(draft, chosen.gear).chosen = chosen) },
  partOrdered: {
    ...aboutGear,
    apply(draft, order, { id, at }) {
      gearOf(draft, order.gear).orders.set(id, { ...order, id, at, state: 'ordered' });
    },
  },
  partArrived: { ...aboutGear, apply: (draft, arrived) => changeOrder(draft, arrived, { state: 'arrived' }) },
  partAccepted: { ...aboutGear, apply: (draft, accepted) => changeOrder(draft, accepted, { state: 'accepted' }) },
  partRefused: {
    ...aboutGear,
    apply(draft, refusal) {
      // What was read off the refused part goes back with it: the next one is measured anew.
      delete gearOf(draft, refusal.gear).beside.new;
      changeOrder(draft, refusal, { state: 'refused', refusal });
    },
  },
  partFitted: { ...aboutGear, isWork: true, apply: (draft, fitted) => void (gearOf(draft, fitted.gear).fitted = fitted) },
  itemAdded: { apply: (draft, added, { id, at }) => void draft.items.set(id, { ...added, id, at, readings: {} }) },
  itemOrdered: {
    apply: (draft, { item, supplier, priceMinor }) =>
      changeIn(draft.items, item, { state: 'ordered', supplier, ...(priceMinor !== undefined && { priceMinor }) }),
  },
  itemArrived: { apply: (draft, { item }) => changeIn(draft.items, item, { state: 'arrived' }) },
  itemMeasured: {
    apply(draft, { item, quantity, reading, instrument, entered }, { id }) {
      const { readings } = draft.items.get(item) ?? {};
      if (readings) (readings[quantity] ??= []).push({ entryId: id, reading, instrument, entered });
    },
  },
  itemAccepted: { apply: (draft, { item }) => changeIn(draft.items, item, { state: 'accepted' }) },
  itemRefused: { apply: (draft, refusal) => changeIn(draft.items, refusal.item, { state: 'refused', refusal }) },
  itemFitted: { isWork: true, apply: (draft, { item }) => changeIn(draft.items, item, { state: 'fitted' }) },
  labourNoted: { isWork: true, apply: (draft, labour) => void draft.labour.push(labour) },
  optionKept: {
    apply(draft, kept) {
      putInPlace(draft.options, kept.option, kept);
      draft.droppedOptions.delete(kept.option);
    },
  },
  optionDropped: {
    apply(draft, { option }) {
      draft.options.delete(option);
      draft.droppedOptions.add(option);
    },
  },
  useAssumed: { isDesk: true, apply: (draft, use) => void (draft.use = use) },
  quoteMade: { isDesk: true, apply: (draft, quote, { at, by }) => void (draft.quote = { ...quote, at, by }) },
  quoteAnswered: { isDesk: true, apply: (draft, answer, { at }) => void (draft.answer = { ...answer, at }) },
  sleeveTried: { isWork: true, apply: (draft, trial, { id }) => void draft.sleeveTrials.push({ ...trial, entryId: id }) },
  settingMade: {
    isWork: true,
    check: ({ wanted }, { settings }, need) => void (wanted !== undefined && need(settings, wanted, 'wanted')),
    apply: (draft, setting, { at }) => void draft.settings.push({ ...setting, at }),
  },
  partSaved: {
    ...onlyWhereNobodyIsHurt('payload.way', 'safetyCriticalNotSaved'),
    isWork: true,
    changesRow: true,
    apply(draft, saved, { id, at }) {
      draft.saved.push({ ...saved, entryId: id, at });
      // A part that was saved and not renewed comes back on a day, like whatever else is to be looked at again.
      if (saved.lookAgainOn) draft.followUps.set(id, lookAgain(id, saved.figures, saved.lookAgainOn));
    },
  },
  gearMade: {
    ...onlyWhereNobodyIsHurt('payload.gear', 'safetyCriticalNotMade'),
    isWork: true,
    apply: (draft, made, { at }) => void draft.made.push({ ...made, at }),
  },
  ownLooseAdded: {
    ...aboutStep,
    changesWhatWasSeen: true,
    apply: (draft, loose, { id }) => void draft.own.loose.push({ ...loose, id: ownId(id) }),
  },
  ownCaptureAdded: {
    ...aboutStep,
    changesWhatWasSeen: true,
    apply: (draft, capture, { id }) => void draft.own.captures.push({ ...capture, id: ownId(id) }),
  },
  ownStepAdded: { changesWhatWasSeen: true, apply: (draft, step, { id }) => void draft.own.steps.push({ ...step, id: ownId(id) }) },
  plateRead: {
    ...perhapsAboutGear,
    apply: (draft, plate) => putInPlace(draft.plates, plate.partNumber, plate),
  },
  closingDone: {
    isWork: true,
    // A step without a reassembly of its own is put back under its own name.
    check: ({ step }, { closing, steps }, need) => need([...closing, ...steps], step, 'step'),
    apply(draft, { step, short = [] }) {
      draft.closingDone.add(step);
      draft.handled.push({ back: step });
      draft.short.push(...short);
    },
  },
  proofDone: {
    isWork: true,
    check: ({ proof }, { proofs }, need) => need(proofs, proof, 'proof'),
    apply: (draft, done, { at }) => putInPlace(draft.proofs, done.proof, { ...done, at }),
  },
  followUpSet: {
    changesRow: true,
    check: ({ proof }, { proofs }, need) => void (proof !== undefined && need(proofs, proof, 'proof')),
    apply: (draft, followUp, { id }) => void draft.followUps.set(id, { ...followUp, id, done: null }),
  },
  followUpDone: {
    changesRow: true,
    apply: (draft, done, { at }) => changeIn(draft.followUps, done.followUp, { done: { ...done, at } }),
  },
  intervalSet: {
    check({ every, unit }) {
      if (every.days === undefined && every.units === undefined) throw fail('nothingGiven', 'payload.every', { reason: 'noInterval' });
      if (every.units !== undefined && unit === undefined) throw fail('missing', 'payload.unit');
    },
    apply: (draft, interval, { at }) => putInPlace(draft.intervals, interval.what, { ...interval, at }),
  },
  secondChecked: { isDesk: true, isCheck: true, apply: () => undefined },
  outsideChecked: { isDesk: true, isCheck: true, apply: () => undefined },
  ratioChosen: { apply: (draft, ratioChosen) => void (draft.ratioChosen = ratioChosen) },
  odometerCorrected: {
    check({ before, after, missed }) {
      if (after > before && Math.abs(before + missed - after) < 0.01) return;
      throw fail('invalid', 'payload.after', { reason: 'odometerForwardOnly' });
    },
    apply: (draft, corrected, { at, by }) => void (draft.odometerCorrected = { ...corrected, at, by }),
  },
  remark: { ...perhapsAboutGear, apply: (draft, remark) => void draft.remarks.push(remark) },
  closed: { isDesk: true, changesRow: true, apply: (draft, closed, { at, by }) => void (draft.closed = { ...closed, at, by }) },
  reopened: { isDesk: true, changesRow: true, apply: (draft) => void (draft.closed = null) },
  withdrawn: { changesRow: true, apply: () => undefined },
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
