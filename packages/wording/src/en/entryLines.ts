import type { EntryPayload, Payload, Piece } from '@patient-badger/core/job';
import type { InstrumentReading } from '@patient-badger/core/gear';
import { catalogue, type Value } from '../catalogue.ts';
import { t as shared } from './shared.ts';

/** What things of the machine and figures are called, for who knows its family file and the person's units. */
export interface EntryNames {
  look(id: string): string;
  result(look: string, result: string): string;
  reading(reading: InstrumentReading): string;
  fault(id: string): string;
  step(id: string): string;
  closing(id: string): string;
  snag(id: string): string;
  capture(at: { readonly step: string; readonly capture: string }): { readonly ask: string; readonly back: string };
  loose(at: { readonly step: string; readonly item: string }): string;
  wait(id: string): string;
  extra(id: string): string;
  caution(id: string): string;
  gear(id: string): string;
  quantity(id: Payload<'dimensionRead'>['quantity']): string;
  piece(piece: Piece): string;
  seat(shape: Payload<'seatRead'>['shape']): string;
  attribute(id: string): string;
  off(percent: number): string;
  option(id: string): string;
  interval(payload: Payload<'intervalSet'>): string;
  proof(id: string): { readonly name: string; readonly unit: string };
}

type Kind = EntryPayload['kind'];
type Lines = { readonly [K in Kind]: (payload: Payload<K>, of: EntryNames) => string };

const bracketed = (text: Value | undefined) => (text ? ` (${text})` : '');
const yes = (is: boolean) => (is ? 'yes' : 'no');
const LOOSE = { missingBefore: 'missing before we came', broken: 'broken', lost: 'lost', replaced: 'replaced' } as const;
const ITEM = { needed: shared.needed, ordered: shared.ordered, inHand: shared.fromTheShop } as const;
const BY = { paper: shared.onPaper, word: shared.byWord } as const;

function proofFigures({ figure, points, note }: Payload<'proofDone'>, unit: string): string {
  const shown = points?.map((point) => `${point.shown} at ${point.reference}`) ?? [];
  return bracketed([figure === undefined ? '' : `${figure} ${unit}`.trim(), ...shown, note ?? ''].filter(Boolean).join(', '));
}

/** Each kind of entry as a line of the log. */
const LINES: Lines = {
  takenIn: ({ complaint }) => `Taken in: “${complaint}”`,
  lookRecorded: ({ look, result, reading }, of) =>
    `${of.look(look)}: ${of.result(look, result)}${bracketed(reading && of.reading(reading))}`,
  ownLookRecorded: ({ saw, speaks, fault }, of) => `Seen: “${saw}”, ${speaks} ${of.fault(fault)}`,
  findingLeft: ({ look, reason }, of) => `Left at that: ${of.look(look)} (${reason})`,
  stepDone: ({ step }, of) => `Opened: ${of.step(step)}`,
  stepSkipped: ({ step, reason }, of) => `Passed over: ${of.step(step)} (${reason})`,
  stepStuck: ({ step, snag }, of) => `Will not come: ${of.step(step)} (${of.snag(snag)})`,
  captured: ({ value, text, skipped, ...at }, of) =>
    ['Taken down:', of.capture(at).ask, value, text, skipped && `left out: ${skipped}`]
      .filter((said) => said !== undefined && said !== '')
      .join(' '),
  captureConfirmed: ({ ok, ...at }, of) => `${of.capture(at).back}: ${yes(ok)}`,
  looseNoted: ({ count, what, ...at }, of) => `${count} × ${of.loose(at)}: ${LOOSE[what]}`,
  torqueNoted: ({ torque: { value, unit, source }, ...at }, of) => `Torque noted: ${of.loose(at)}, ${value} ${unit} (${source})`,
  waitStarted: ({ wait, minutes, source }, of) => `Time started: ${of.wait(wait)}, ${minutes} min by ${source}`,
  waitCut: ({ wait, reason }, of) => `Not waited for: ${of.wait(wait)} (${reason})`,
  extraDone: ({ extra }, of) => `Done while open: ${of.extra(extra)}`,
  photoMarked: () => 'Marks drawn on a photo',
  cautionAcknowledged: ({ caution }, of) => `Caution confirmed: ${of.caution(caution)}`,
  dimensionRead: ({ piece, quantity, entered, over }, of) =>
    `${piece ? `${of.piece(piece)}, ` : ''}${of.quantity(quantity)}: ${entered}${over === undefined ? '' : shared.over(over)}`,
  seatRead: ({ shape }, of) => `Seat on the shaft measured: ${of.seat(shape)}`,
  arcsNoted: ({ from, to, teeth }) => `Teeth that have worked: ${from} to ${to} of ${teeth}`,
  ratioChosen: ({ driveTeeth, drivenTeeth, readingErrorPercent, basis }, of) =>
    `Speedometer gears: drive ${driveTeeth}, driven ${drivenTeeth}, reads ${of.off(readingErrorPercent)} (${basis})`,
  odometerCorrected: ({ before, after, unit, reason }) => `Odometer brought forward: ${before} to ${after} ${unit} (${reason})`,
  limitNoted: ({ thinningMm, source }) => `Limit noted: ${thinningMm} mm thinner (${source})`,
  teethScanned: ({ found: { teeth, teethPresent, corrected } }) =>
    `Counted on a photo: ${teeth} teeth, ${teethPresent} there${corrected.length > 0 ? shared.putRightByHand : ''}`,
  handNoted: ({ hand, piece }) => `${hand === 'right' ? 'Right' : 'Left'}-hand thread${piece === 'new' ? ', on the part that came' : ''}`,
  photoTaken: () => 'Photo taken',
  faultFound: ({ fault }, of) => `Found: ${of.fault(fault)}`,
  decided: ({ note, fault }, of) => `Decided: ${note ?? of.fault(fault)}`,
  partChosen: ({ partNumber }) => `Part chosen: ${partNumber}`,
  partOrdered: ({ partNumber, supplier }) => `Ordered: ${partNumber} from ${supplier}`,
  priceAsked: ({ what, supplier, leadDays }) => `Price asked: ${what}, ${supplier}, ${leadDays} days`,
  partArrived: () => 'The part arrived',
  partAccepted: ({ partNumber }) => `Accepted: ${partNumber}, as ordered`,
  partRefused: ({ partNumber, deciding, note }, of) => `Refused: ${partNumber}, ${of.attribute(deciding).toLowerCase()} (${note})`,
  partFitted: ({ partNumber, source }) => `Part fitted: ${partNumber}${source === 'shelf' ? ', off the shelf' : ''}`,
  promised: ({ on }) => (on === null ? 'Promised for no day any more' : shared.promisedFor(on)),
  itemAdded: ({ state, name, count, partNumber, supplier }) =>
    `${ITEM[state]}: ${count > 1 ? `${count} × ` : ''}${name}${bracketed(partNumber)}${supplier ? `, ${supplier}` : ''}`,
  itemOrdered: ({ supplier }) => `A part that was needed is ordered from ${supplier}`,
  itemArrived: () => 'A part arrived',
  itemMeasured: ({ quantity, entered }, of) => `${of.attribute(quantity)} of a part that came: ${entered}`,
  itemAccepted: () => 'A part accepted, as ordered',
  itemRefused: ({ deciding, note }, of) => `A part refused: ${of.attribute(deciding).toLowerCase()} (${note})`,
  itemFitted: () => 'A part fitted',
  labourNoted: ({ minutes, what }) => `Worked ${minutes} min: ${what}`,
  optionKept: ({ name }) => `Way to go on: ${name}`,
  optionDropped: () => 'A way to go on taken off',
  useAssumed: ({ perYear, unit, horizonYears }) =>
    `Used ${perYear} ${unit} a year${horizonYears === undefined ? '' : `, kept ${horizonYears} years`}`,
  quoteMade: ({ validUntil }) => `Quote written, valid until ${validUntil}`,
  quoteAnswered: ({ by, option, who }, of) => `The owner said ${BY[by]}: ${of.option(option)} (to ${who})`,
  sleeveTried: ({ sleeveDeg, backlashMm }) => `Sleeve at ${sleeveDeg}°: ${backlashMm.value} mm of backlash`,
  settingMade: ({ figures, source }) => `Set: ${figures}${bracketed(source)}`,
  partSaved: ({ gear, figures }, of) => `${of.gear(gear)} saved: ${figures}`,
  gearMade: ({ gear, file, material }, of) => `${of.gear(gear)} drawn: ${file}, ${material.toLowerCase()}`,
  ownLooseAdded: ({ count, name, lives }) => `Comes off too: ${count} × ${name} (${lives})`,
  ownCaptureAdded: ({ ask }) => `To be taken down too: ${ask}`,
  ownStepAdded: ({ name }) => `A step of this machine: ${name}`,
  plateRead: ({ partNumber, where }) => `Read off the machine: ${partNumber} (${where})`,
  closingDone: ({ step }, of) => `Closed up: ${of.closing(step)}`,
  proofDone: (payload, of) => {
    const { name, unit } = of.proof(payload.proof);
    return `${name}: ${yes(payload.passed)}${proofFigures(payload, unit)}`;
  },
  followUpSet: ({ action, due, what }) => `${action === 'call' ? 'To ask the owner' : 'To look at again'}, ${due}: ${what}`,
  followUpDone: ({ passed, note }) => `Looked at again: ${passed ? 'it holds' : 'it does not hold'}${bracketed(note)}`,
  intervalSet: (payload, of) => `Due again: ${payload.what}, every ${of.interval(payload)}${bracketed(payload.source)}`,
  secondChecked: ({ note }) => `Second check done${note ? `: ${note}` : ''}`,
  outsideChecked: ({ checker, licence, on, note }) =>
    `Looked over from outside by ${checker} (${licence}) on ${on}${note ? `: ${note}` : ''}`,
  remark: ({ gear, text }, of) => (gear === undefined ? text : `${of.gear(gear)}: ${text}`),
  closed: ({ found }) => `Job closed: ${found}`,
  reopened: () => 'Job opened again',
  withdrawn: () => 'Taken back',
};

const lines: Lines = catalogue(LINES);

/** One entry as a line of the log. */
export const entryLine = <K extends Kind>(payload: Payload<K>, of: EntryNames): string => lines[payload.kind](payload, of);
