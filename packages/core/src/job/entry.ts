import { because } from '../failure/FailureReason.ts';
import { z } from 'zod';
import { LOOSE_NOTES } from '../access/ledger.ts';
import { LOOSE_KINDS, torque } from '../access/step.ts';
import { OPTION_KINDS } from '../decide/options.ts';
import { section, SHAPES } from '../fit/bore.ts';
import { GEAR_QUANTITIES } from '../gear/quantities.ts';
import { PLAIN_QUANTITIES } from '../match/plainParts.ts';
import { partAttributes, PLAIN_TYPES } from '../match/schema.ts';
import { speedPoint } from '../prove/speedometer.ts';
import { positiveUpTo } from '../quantity/bounds.ts';
import { measured } from '../quantity/measured.ts';
import { USE_UNITS } from '../quantity/useUnit.ts';
import { instrumentReading } from '../instrument/reading.ts';
import { deskFigures } from '../ratio/deskFigures.ts';
import { scanCorrection, scanRead, scanScale } from '../scan/schema.ts';
import { SETTINGS } from '../trace/pack.ts';
import { facts, ownLook } from '../trace/schema.ts';

const id = z.string().min(1).max(80);
const note = z.string().max(2000);
const uuid = z.uuid();
const hash = z.string().regex(/^[0-9a-f]{64}$/);

/** A part that did not come out of the catalogue: a donor off the shelf. */
/** Where a part comes from that is not in the catalogue: off the shelf, or ordered to its dimensions from whoever makes or finds one. */
const partSource = z.enum(['shelf', 'toDimensions']);

/** Money for one, in hundredths of the currency. */
const priceMinor = z.int().min(0).max(100_000_000);
const words = z.string().trim().min(1).max(160);

export const FOLLOW_UP_ACTIONS = ['look', 'call'] as const;
/** Points of one proof: more than anybody drives. */
const MOST_POINTS = 50;

const payload = <T extends string, S extends z.ZodRawShape>(kind: T, shape: S) => z.strictObject({ kind: z.literal(kind), ...shape });

/** Another gear that is laid beside the machine's own: the new part, a donor's, or the one of the other side. */
export const PIECES = ['new', 'donor', 'otherSide'] as const;
export type Piece = (typeof PIECES)[number];

/** What an entry can say; what each kind does is a row of `entryKinds.ts`, and a kind without one is a type error. */
export const entryPayload = z.discriminatedUnion('kind', [
  payload('takenIn', {
    machineId: uuid,
    family: id,
    complaint: note.min(1),
    facts: facts.default({}),
    /** Which of the family's complaints the owner's words are; one may stand among the facts of older jobs. */
    complaints: z.array(id).max(10).optional(),
  }),
  /** The day it was promised for; null where that promise was taken back. */
  payload('promised', { on: z.iso.date().nullable() }),
  payload('lookRecorded', { look: id, result: id, note: note.optional(), reading: instrumentReading.optional() }),
  /** Something seen that the family does not foresee. */
  payload('ownLookRecorded', ownLook.shape),
  /** What was seen and nothing on the list explains, left at that. */
  payload('findingLeft', { look: id, reason: note.min(1) }),
  payload('stepDone', { step: id }),
  /** It was off already, or is not there on this machine: nothing of it came loose here. */
  payload('stepSkipped', { step: id, reason: note.min(1) }),
  /** It will not come: what is in the way. The plan goes round it where another way leads there. */
  payload('stepStuck', { step: id, snag: id, note: note.optional() }),
  /** A position taken down before a step loses it; or left, with the reason. */
  payload('captured', {
    step: id,
    capture: id,
    text: note.min(1).optional(),
    value: z.number().optional(),
    skipped: note.min(1).optional(),
    /** Put off for want of a hand: it is asked for once more before it is too late. */
    later: z.literal(true).optional(),
  }),
  payload('captureConfirmed', { step: id, capture: id, ok: z.boolean() }),
  payload('looseNoted', { step: id, item: id, what: z.enum(LOOSE_NOTES), count: z.int().min(1).max(99), note: note.optional() }),
  /** A figure from the maker's sheet for something that came off. */
  payload('torqueNoted', { step: id, item: id, torque }),
  payload('waitStarted', { wait: id, minutes: z.number().gt(0).max(20_000), source: note.min(1) }),
  payload('waitCut', { wait: id, reason: note.min(1) }),
  payload('extraDone', { extra: id }),
  /** Lines drawn on a photo; places are shares of its width and height. */
  payload('photoMarked', {
    hash,
    strokes: z
      .array(
        z
          .array(z.tuple([z.number().min(0).max(1), z.number().min(0).max(1)]))
          .min(1)
          .max(400),
      )
      .max(60),
  }),
  payload('cautionAcknowledged', { caution: id }),
  payload('dimensionRead', {
    gear: id,
    quantity: z.enum(GEAR_QUANTITIES),
    reading: measured,
    /** Pitches or teeth measured over, or teeth of the mate at the measured centre distance. */
    over: z.int().positive().optional(),
    instrument: id,
    /** What was typed, in the unit it was read in: "0.7106 in". */
    entered: z.string().max(60),
    /** Read off another gear that is compared with this one. */
    piece: z.enum(PIECES).optional(),
  }),
  /** Bore and shaft of a gear's seat, as `fit.bore` takes them. */
  payload('seatRead', { gear: id, shape: z.enum(SHAPES), bore: section, shaft: section }),
  /** Teeth that have worked, counted clockwise from a mark, and how many the travel needs. */
  payload('arcsNoted', {
    gear: id,
    teeth: z.int().min(2).max(2000),
    from: z.int().positive(),
    to: z.int().positive(),
    needTeeth: z.int().positive(),
  }),
  /** How thin a tooth may get, and whose figure that is. */
  payload('limitNoted', { gear: id, thinningMm: z.number().positive().max(10), source: note.min(1) }),
  /** Teeth counted on a photo, with what a human put right. */
  payload('teethScanned', { gear: id, hash, found: scanRead, correction: scanCorrection.optional(), scale: scanScale.optional() }),
  /** Of the gear, or of a piece that lies beside it. */
  payload('handNoted', { gear: id, hand: z.enum(['right', 'left']), piece: z.enum(PIECES).optional() }),
  payload('photoTaken', { hash, about: id, note: note.optional() }),
  /** A fault found for sure and still in the machine, while the tracing goes on: there may be a second. */
  payload('faultFound', { fault: id, probability: z.number().min(0).max(1) }),
  /** With "none of these" as the fault, the note says what it was. */
  payload('decided', { fault: id, remedy: id, probability: z.number().min(0).max(1), note: note.min(1).optional() }),
  payload('partChosen', {
    gear: id,
    partId: uuid,
    partNumber: z.string(),
    name: z.string(),
    probability: z.number().min(0).max(1),
    priceMinor: priceMinor.optional(),
    source: partSource.optional(),
  }),
  /** Ordered, with what its listing said of it on that day; the entry's own id is the order's. */
  payload('partOrdered', {
    gear: id,
    partId: uuid,
    partNumber: z.string(),
    name: z.string(),
    supplier: z.string(),
    /** The seller's own number, where it is another than the part's. */
    supplierNumber: z.string().max(80).optional(),
    priceMinor: priceMinor.optional(),
    attributes: partAttributes,
    /** The day it was promised for. */
    promisedOn: z.iso.date().optional(),
    source: z.literal('toDimensions').optional(),
  }),
  /** What somebody asks for a part of this machine: a gear by its card, or any other part by its name. */
  payload('priceAsked', {
    gear: id.optional(),
    what: words,
    supplier: words,
    priceMinor,
    leadDays: z.int().min(0).max(3650),
  }),
  payload('partArrived', { gear: id, order: uuid }),
  payload('partAccepted', { gear: id, order: uuid, partNumber: z.string() }),
  /** Sent back, with the dimension that decided it. */
  payload('partRefused', {
    gear: id,
    order: uuid,
    partNumber: z.string(),
    deciding: z.string().max(60),
    difference: z.number().optional(),
    note: note.min(1),
  }),
  payload('partFitted', { gear: id, partId: uuid, partNumber: z.string(), source: partSource.optional() }),
  /**
   * A line item of the job that is no gear of its family: a bearing, a seal, a whole unit, a tin of sealant. The entry's own
   * id is the item's. Ordered where it is on its way (by telephone too), in hand where it lay in the shop.
   */
  payload('itemAdded', {
    name: words,
    count: z.int().min(1).max(999),
    state: z.enum(['needed', 'ordered', 'inHand']),
    type: z.enum(PLAIN_TYPES).optional(),
    /** What the catalogue or the seller says of it. */
    attributes: partAttributes.optional(),
    partNumber: z.string().trim().max(80).optional(),
    partId: uuid.optional(),
    supplier: z.string().trim().max(80).optional(),
    priceMinor: priceMinor.optional(),
  }),
  /** One that was needed is on its way now. */
  payload('itemOrdered', { item: uuid, supplier: words, priceMinor: priceMinor.optional() }),
  payload('itemArrived', { item: uuid }),
  payload('itemMeasured', {
    item: uuid,
    quantity: z.enum(PLAIN_QUANTITIES),
    reading: measured,
    instrument: id,
    entered: z.string().max(60),
  }),
  payload('itemAccepted', { item: uuid }),
  payload('itemRefused', { item: uuid, deciding: z.string().max(60), difference: z.number().optional(), note: note.min(1) }),
  payload('itemFitted', { item: uuid }),
  /** Minutes worked, as somebody says them; where none are said those of the family are reckoned. */
  payload('labourNoted', { minutes: z.number().gt(0).max(6000), what: words }),
  /** A way to go on, as it is put to the owner: drafted, changed, or added by hand. The same name again stands in its place. */
  payload('optionKept', {
    option: id,
    optionKind: z.enum(OPTION_KINDS),
    name: words,
    partsMinor: priceMinor.nullable(),
    minutes: z.number().min(0).max(100_000),
    leadDays: z.number().min(0).max(3650),
    lifeMean: z.number().gt(0).max(1e8),
    /** What the life is counted in; the use of the job where it was not said. */
    lifeUnit: z.enum(USE_UNITS).optional(),
    lifeShape: z.number().min(0.3).max(20),
    comeBackRisk: z.number().min(0).max(1),
    downtimeDays: z.number().min(0).max(3650),
    leaves: note,
    why: note,
  }),
  payload('optionDropped', { option: id }),
  /** How much the owner uses it, how long they mean to keep it, and what a day without it costs. */
  payload('useAssumed', {
    perYear: z.number().gt(0).max(1e7),
    unit: z.enum(USE_UNITS),
    horizonYears: z.number().gt(0).max(200).optional(),
    costPerDownDayMinor: priceMinor.default(0),
  }),
  payload('quoteMade', { validUntil: z.iso.date(), options: z.array(id).min(1).max(20) }),
  /** What the owner answered: which, by word or on paper, and who took it. */
  payload('quoteAnswered', { option: id, by: z.enum(['word', 'paper']), who: words, note: note.optional() }),
  /** A part that was saved, how, and what that bears; with the time it has to cure and the day it is looked at again. */
  payload('partSaved', {
    gear: id,
    way: z.enum(['press', 'bond', 'boreOut', 'solder', 'stake']),
    figures: note.min(1),
    torqueNm: z.number().min(0).max(1e7).optional(),
    cureMinutes: z.number().gt(0).max(100_000).optional(),
    lookAgainOn: z.iso.date().optional(),
  }),
  /** A gear drawn for a machine of the shop or of somebody else's. */
  payload('gearMade', { gear: id, file: z.string().min(1).max(120), material: words, note: note.optional() }),
  /** An eccentric sleeve turned to an angle, and the backlash that it showed there. */
  payload('sleeveTried', { sleeveDeg: z.number().min(-360).max(360), backlashMm: measured }),
  /** Something that was set, with its figures and whose they are. */
  payload('settingMade', {
    setting: z.enum(SETTINGS),
    figures: note.min(1),
    source: note.optional(),
    /** The family's own row that it answers. */
    wanted: id.optional(),
  }),
  /** A loose part that the family does not know of; it counts in the ledger like its own. */
  payload('ownLooseAdded', { step: id, name: words, part: z.enum(LOOSE_KINDS), count: z.int().min(1).max(99), lives: words }),
  /** A position to be taken down that the family does not ask for. */
  payload('ownCaptureAdded', { step: id, ask: words, back: words }),
  /** A step of opening that the family does not have. */
  payload('ownStepAdded', { name: words, how: words, minutes: z.number().min(0).max(600) }),
  /** A part number read off the machine, and where its plate is. */
  payload('plateRead', { partNumber: z.string().trim().min(1).max(80), where: note.trim().min(1), gear: id.optional() }),
  /** What of the loose parts did not go back is said; the rest did. */
  payload('closingDone', { step: id, short: z.array(z.strictObject({ step: id, item: id, count: z.int().min(1).max(99) })).optional() }),
  payload('proofDone', {
    proof: id,
    passed: z.boolean(),
    note: note.optional(),
    /** What was read, in the unit that the family asks for. */
    figure: z.number().min(-1e6).max(1e6).optional(),
    /** A needle beside a reference; or turns counted out beside those that should come. */
    points: z.array(speedPoint).min(1).max(MOST_POINTS).optional(),
  }),
  /** To be looked at again, or the owner to be asked, on a day; kept on the bench until it is done. */
  payload('followUpSet', { action: z.enum(FOLLOW_UP_ACTIONS), what: note.min(1), due: z.iso.date(), proof: id.optional() }),
  payload('followUpDone', { followUp: z.uuid(), passed: z.boolean(), note: note.optional() }),
  /** What the machine wants again after so many days, or so much work, whichever comes first. */
  payload('intervalSet', {
    what: words,
    every: z.strictObject({ days: z.int().min(1).max(36_500).optional(), units: positiveUpTo(1e8).optional() }),
    unit: z.enum(['hours', 'km']).optional(),
    /** The machine's meter now. */
    reading: z.number().min(0).max(1e9).optional(),
    source: note.optional(),
  }),
  /** Somebody who had no hand in the work looked it over. */
  payload('secondChecked', { note: note.optional() }),
  /** Where nobody else works here: somebody from outside did, and signed the sheet, of which a photo was taken. */
  payload('outsideChecked', {
    checker: z.string().trim().min(1).max(120),
    /** Their licence, or the firm they come from. */
    licence: z.string().trim().min(1).max(120),
    on: z.iso.date(),
    note: note.optional(),
  }),
  /** Drive and driven gear of a speedometer, with how far it will read off and by what figures. */
  payload('ratioChosen', {
    driveTeeth: z.int().positive().max(300),
    drivenTeeth: z.int().positive().max(300),
    readingErrorPercent: z.number(),
    basis: note.min(1),
    figures: deskFigures.optional(),
  }),
  /** An odometer brought forward: what the disclosure sheet says. */
  payload('odometerCorrected', {
    before: z.number().min(0),
    after: z.number().min(0),
    missed: z.number().positive(),
    unit: z.enum(['km', 'mile']),
    reason: note.min(1),
  }),
  /** About a gear where one is named: what was found out by hand of it, or the part that will be fitted. */
  payload('remark', { text: note.min(1), gear: id.optional() }),
  payload('closed', {
    outcome: z.enum(['cleaned', 'repaired', 'replaced', 'returned', 'scrapped']),
    found: note,
    note: note.optional(),
    despiteLedger: note.min(1).optional(),
  }),
  payload('reopened', { reason: note.min(1) }),
  payload('withdrawn', { entry: uuid }),
]);
export type EntryPayload = z.infer<typeof entryPayload>;
export type EntryKind = EntryPayload['kind'];
export type Payload<K extends EntryKind> = Extract<EntryPayload, { kind: K }>;

/** One line of a job's history. The id is made by the device that wrote it, so sending twice is harmless. */
export const entry = z.strictObject({
  id: uuid,
  jobId: uuid,
  at: z.iso.datetime().refine((at) => /^(19[7-9]|2[01])/.test(at), because('clockUnset')),
  by: id,
  /** The place in the shop's record, counted by the server as entries arrive; missing while it waits on a device. */
  seq: z.int().positive().optional(),
  payload: entryPayload,
});
export type Entry = z.infer<typeof entry>;
