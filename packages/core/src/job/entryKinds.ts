import { fail } from '../failure/CoreFailure.ts';
import { missingForOrder } from '../match/orderedAs.ts';
import { NONE_OF_THESE } from '../trace/hypotheses.ts';
import { CANNOT_TELL } from '../trace/next.ts';
import { inEveryVariant } from '../trace/overrides.ts';
import type { Pack } from '../trace/pack.ts';
import { packModel } from '../trace/packModel.ts';
import type { EntryKind, EntryPayload, Payload } from './entry.ts';
import {
  aboutGear,
  aboutLoose,
  aboutStep,
  aboutWait,
  needCapture,
  onlyWhereNobodyIsHurt,
  perhapsAboutGear,
  placeOf,
  type EntryRule,
} from './entryRule.ts';
import { changeIn, changeOrder, gearOf, lookAgain, putInPlace } from './jobDraft.ts';
import { isOwnId, ownId } from './withOwn.ts';

/** One row for each kind of entry. A kind without a row is a type error, and so is a row without a kind. */
export const ENTRY_RULES: { readonly [K in EntryKind]: EntryRule<Payload<K>> } = {
  takenIn: {
    bearsOnMove: true,
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
    bearsOnMove: true,
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
    bearsOnMove: true,
    check: ({ fault }, { faults }, need) => need(faults, fault, 'fault'),
    apply: (draft, seen, { id }) => void draft.ownLooks.push({ ...seen, entryId: id }),
  },
  findingLeft: {
    bearsOnMove: true,
    check: ({ look }, { looks }, need) => need(looks, look, 'look'),
    apply: (draft, { look, reason }) => void draft.left.push({ look, reason }),
  },
  stepDone: {
    bearsOnMove: true,
    ...aboutStep,
    isWork: true,
    apply(draft, { step }) {
      draft.reached.add(step);
      draft.handled.push({ done: step });
      draft.stuck.delete(step);
    },
  },
  stepSkipped: {
    bearsOnMove: true,
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
    bearsOnMove: true,
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
  handNoted: {
    ...aboutGear,
    apply(draft, { gear, hand, piece }) {
      const of = gearOf(draft, gear);
      if (piece) of.handsBeside = { ...of.handsBeside, [piece]: hand };
      else of.hand = hand;
    },
  },
  photoTaken: { apply: (draft, photo) => void draft.photos.push(photo) },
  faultFound: {
    bearsOnMove: true,
    check: ({ fault }, { faults }, need) => need(faults, fault, 'fault'),
    apply: (draft, { fault }) => void draft.found.add(fault),
  },
  promised: { isDesk: true, changesRow: true, apply: (draft, { on }) => void (draft.promisedOn = on) },
  decided: {
    bearsOnMove: true,
    isWork: true,
    check({ fault, note }, { faults }, need) {
      if (fault !== NONE_OF_THESE) need(faults, fault, 'fault');
      else if (!note) throw fail('missing', 'payload.note', {});
    },
    apply: (draft, decided) => void (draft.decided = decided),
  },
  partChosen: { bearsOnMove: true, ...aboutGear, apply: (draft, chosen) => void (gearOf(draft, chosen.gear).chosen = chosen) },
  partOrdered: {
    bearsOnMove: true,
    check(order, { gears }, need) {
      need(gears, order.gear, 'gear');
      const missing = order.source === 'toDimensions' ? missingForOrder(order.attributes)[0] : undefined;
      if (missing) throw fail('missing', `payload.attributes.${missing}`);
    },
    apply(draft, order, { id, at }) {
      gearOf(draft, order.gear).orders.set(id, { ...order, id, at, state: 'ordered' });
    },
  },
  priceAsked: {
    ...perhapsAboutGear,
    apply: (draft, price, { at }) => putInPlace(draft.prices, JSON.stringify([price.what, price.supplier]), { ...price, at }),
  },
  partArrived: { bearsOnMove: true, ...aboutGear, apply: (draft, arrived) => changeOrder(draft, arrived, { state: 'arrived' }) },
  partAccepted: { bearsOnMove: true, ...aboutGear, apply: (draft, accepted) => changeOrder(draft, accepted, { state: 'accepted' }) },
  partRefused: {
    bearsOnMove: true,
    ...aboutGear,
    apply(draft, refusal) {
      // What was read off the refused part goes back with it: the next one is measured anew.
      const of = gearOf(draft, refusal.gear);
      delete of.beside.new;
      delete of.handsBeside;
      changeOrder(draft, refusal, { state: 'refused', refusal });
    },
  },
  partFitted: {
    bearsOnMove: true,
    ...aboutGear,
    isWork: true,
    apply: (draft, fitted) => void (gearOf(draft, fitted.gear).fitted = fitted),
  },
  itemAdded: { bearsOnMove: true, apply: (draft, added, { id, at }) => void draft.items.set(id, { ...added, id, at, readings: {} }) },
  itemOrdered: {
    bearsOnMove: true,
    apply: (draft, { item, supplier, priceMinor }) =>
      changeIn(draft.items, item, { state: 'ordered', supplier, ...(priceMinor !== undefined && { priceMinor }) }),
  },
  itemArrived: { bearsOnMove: true, apply: (draft, { item }) => changeIn(draft.items, item, { state: 'arrived' }) },
  itemMeasured: {
    apply(draft, { item, quantity, reading, instrument, entered }, { id }) {
      const { readings } = draft.items.get(item) ?? {};
      if (readings) (readings[quantity] ??= []).push({ entryId: id, reading, instrument, entered });
    },
  },
  itemAccepted: { bearsOnMove: true, apply: (draft, { item }) => changeIn(draft.items, item, { state: 'accepted' }) },
  itemRefused: { bearsOnMove: true, apply: (draft, refusal) => changeIn(draft.items, refusal.item, { state: 'refused', refusal }) },
  itemFitted: { bearsOnMove: true, isWork: true, apply: (draft, { item }) => changeIn(draft.items, item, { state: 'fitted' }) },
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
    bearsOnMove: true,
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
  remark: { ...perhapsAboutGear, bearsOnMove: 'ofGear', apply: (draft, remark) => void draft.remarks.push(remark) },
  closed: {
    bearsOnMove: true,
    isDesk: true,
    changesRow: true,
    apply: (draft, closed, { at, by }) => void (draft.closed = { ...closed, at, by }),
  },
  reopened: { bearsOnMove: true, isDesk: true, changesRow: true, apply: (draft) => void (draft.closed = null) },
  withdrawn: { bearsOnMove: true, changesRow: true, apply: () => undefined },
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
