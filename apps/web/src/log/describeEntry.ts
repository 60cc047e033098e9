import type { EntryPayload, Pack, Payload } from '@patient-badger/core';
import { SNAGS } from '@patient-badger/knowledge';
import { SEAT_WORDS } from '../wording/seatWords.ts';
import { quantityWords } from '../gear/kinds.ts';
import { attributeName } from '../wording/attributeWords.ts';
import { offText } from '../wording/ratioWords.ts';
import { countedName } from '../wording/countedName.ts';
import { OPTION_WORDS } from '../wording/optionWords.ts';
import { readingText } from '../wording/readingText.ts';
import { resultName } from '../wording/resultName.ts';
import { settingText } from '../wording/settingText.ts';
import { intervalText } from '../wording/intervalText.ts';
import { PIECE_WORDS } from '../wording/pieceWords.ts';

const nameIn = (list: readonly { readonly id: string; readonly name: string }[], id: string) =>
  list.find((each) => each.id === id)?.name ?? id;

const LOOSE_WORDS = { missingBefore: 'missing before we came', broken: 'broken', lost: 'lost', replaced: 'replaced' } as const;

const ITEM_WORDS = { needed: 'Needed', ordered: 'Ordered', inHand: 'From the shop' } as const;
const itemText = (item: Payload<'itemAdded'>) => `${countedName(item)}${item.partNumber ? ` (${item.partNumber})` : ''}`;

/** An option that was drafted bears the name of its kind. */
const optionName = (option: string): string =>
  Object.hasOwn(OPTION_WORDS, option) ? OPTION_WORDS[option as keyof typeof OPTION_WORDS].toLowerCase() : option;

const captureOf = (pack: Pack, at: { step: string; capture: string }) =>
  pack.steps.find(({ id }) => id === at.step)?.captures.find(({ id }) => id === at.capture);
const itemName = (pack: Pack, at: { step: string; item: string }) =>
  nameIn(pack.steps.find(({ id }) => id === at.step)?.loose ?? [], at.item);
const waitName = (pack: Pack, wait: string) =>
  nameIn(
    [...pack.steps, ...pack.closing].flatMap((each) => each.wait ?? []),
    wait,
  );

/** One entry as a line of the log. */
export function describeEntry(payload: EntryPayload, pack: Pack): string {
  switch (payload.kind) {
    case 'takenIn':
      return `Taken in: “${payload.complaint}”`;
    case 'lookRecorded':
      return `${nameIn(pack.looks, payload.look)}: ${resultName(pack, payload.look, payload.result)}${payload.reading ? ` (${readingText(payload.reading)})` : ''}`;
    case 'ownLookRecorded':
      return `Seen: “${payload.saw}”, ${payload.speaks} ${nameIn(pack.faults, payload.fault)}`;
    case 'findingLeft':
      return `Left at that: ${nameIn(pack.looks, payload.look)} (${payload.reason})`;
    case 'stepDone':
      return `Opened: ${nameIn(pack.steps, payload.step)}`;
    case 'stepSkipped':
      return `Passed over: ${nameIn(pack.steps, payload.step)} (${payload.reason})`;
    case 'stepStuck':
      return `Will not come: ${nameIn(pack.steps, payload.step)} (${nameIn(SNAGS, payload.snag)})`;
    case 'captured':
      return `Taken down: ${captureOf(pack, payload)?.ask ?? payload.capture} ${[payload.value, payload.text, payload.skipped && `left out: ${payload.skipped}`].filter((each) => each !== undefined).join(' ')}`.trim();
    case 'captureConfirmed':
      return `${captureOf(pack, payload)?.back ?? payload.capture}: ${payload.ok ? 'yes' : 'no'}`;
    case 'looseNoted':
      return `${payload.count} × ${itemName(pack, payload)}: ${LOOSE_WORDS[payload.what]}`;
    case 'torqueNoted':
      return `Torque noted: ${itemName(pack, payload)}, ${payload.torque.value} ${payload.torque.unit} (${payload.torque.source})`;
    case 'waitStarted':
      return `Time started: ${waitName(pack, payload.wait)}, ${payload.minutes} min by ${payload.source}`;
    case 'waitCut':
      return `Not waited for: ${waitName(pack, payload.wait)} (${payload.reason})`;
    case 'extraDone':
      return `Done while open: ${nameIn(pack.whileOpen, payload.extra)}`;
    case 'photoMarked':
      return 'Marks drawn on a photo';
    case 'cautionAcknowledged':
      return `Caution confirmed: ${pack.cautions.find(({ id }) => id === payload.caution)?.text ?? payload.caution}`;
    case 'dimensionRead':
      return `${payload.piece ? `${PIECE_WORDS[payload.piece].choice}, ` : ''}${quantityWords(payload.quantity).name}: ${payload.entered}${payload.over === undefined ? '' : ` over ${payload.over}`}`;
    case 'seatRead':
      return `Seat on the shaft measured: ${SEAT_WORDS[payload.shape]}`;
    case 'arcsNoted':
      return `Teeth that have worked: ${payload.from} to ${payload.to} of ${payload.teeth}`;
    case 'ratioChosen':
      return `Speedometer gears: drive ${payload.driveTeeth}, driven ${payload.drivenTeeth}, reads ${offText(payload.readingErrorPercent)} (${payload.basis})`;
    case 'odometerCorrected':
      return `Odometer brought forward: ${payload.before} to ${payload.after} ${payload.unit} (${payload.reason})`;
    case 'limitNoted':
      return `Limit noted: ${payload.thinningMm} mm thinner (${payload.source})`;
    case 'teethScanned':
      return `Counted on a photo: ${payload.found.teeth} teeth, ${payload.found.teethPresent} there${payload.found.corrected.length > 0 ? ', put right by hand' : ''}`;
    case 'handNoted':
      return `${payload.hand === 'right' ? 'Right' : 'Left'}-hand thread`;
    case 'photoTaken':
      return 'Photo taken';
    case 'faultFound':
      return `Found: ${nameIn(pack.faults, payload.fault)}`;
    case 'decided':
      return `Decided: ${payload.note ?? nameIn(pack.faults, payload.fault)}`;
    case 'partChosen':
      return `Part chosen: ${payload.partNumber}`;
    case 'partOrdered':
      return `Ordered: ${payload.partNumber} from ${payload.supplier}`;
    case 'partArrived':
      return 'The part arrived';
    case 'partAccepted':
      return `Accepted: ${payload.partNumber}, as ordered`;
    case 'partRefused':
      return `Refused: ${payload.partNumber}, ${attributeName(payload.deciding).toLowerCase()} (${payload.note})`;
    case 'partFitted':
      return `Part fitted: ${payload.partNumber}${payload.source === 'shelf' ? ', off the shelf' : ''}`;
    case 'promised':
      return payload.on === null ? 'Promised for no day any more' : `Promised for ${payload.on}`;
    case 'itemAdded':
      return `${ITEM_WORDS[payload.state]}: ${itemText(payload)}${payload.supplier ? `, ${payload.supplier}` : ''}`;
    case 'itemOrdered':
      return `A part that was needed is ordered from ${payload.supplier}`;
    case 'itemArrived':
      return 'A part arrived';
    case 'itemMeasured':
      return `${attributeName(payload.quantity)} of a part that came: ${payload.entered}`;
    case 'itemAccepted':
      return 'A part accepted, as ordered';
    case 'itemRefused':
      return `A part refused: ${attributeName(payload.deciding).toLowerCase()} (${payload.note})`;
    case 'itemFitted':
      return 'A part fitted';
    case 'labourNoted':
      return `Worked ${payload.minutes} min: ${payload.what}`;
    case 'optionKept':
      return `Way to go on: ${payload.name}`;
    case 'optionDropped':
      return 'A way to go on taken off';
    case 'useAssumed':
      return `Used ${payload.perYear} ${payload.unit} a year${payload.horizonYears === undefined ? '' : `, kept ${payload.horizonYears} years`}`;
    case 'quoteMade':
      return `Quote written, valid until ${payload.validUntil}`;
    case 'quoteAnswered':
      return `The owner said ${payload.by === 'paper' ? 'on paper' : 'by word'}: ${optionName(payload.option)} (to ${payload.who})`;
    case 'sleeveTried':
      return `Sleeve at ${payload.sleeveDeg}°: ${payload.backlashMm.value} mm of backlash`;
    case 'settingMade':
      return `Set: ${settingText(payload)}`;
    case 'partSaved':
      return `${nameIn(pack.gears, payload.gear)} saved: ${payload.figures}`;
    case 'gearMade':
      return `${nameIn(pack.gears, payload.gear)} drawn: ${payload.file}, ${payload.material.toLowerCase()}`;
    case 'ownLooseAdded':
      return `Comes off too: ${payload.count} × ${payload.name} (${payload.lives})`;
    case 'ownCaptureAdded':
      return `To be taken down too: ${payload.ask}`;
    case 'ownStepAdded':
      return `A step of this machine: ${payload.name}`;
    case 'plateRead':
      return `Read off the machine: ${payload.partNumber} (${payload.where})`;
    case 'closingDone':
      return `Closed up: ${nameIn([...pack.closing, ...pack.steps], payload.step)}`;
    case 'proofDone':
      return `${nameIn(pack.proofs, payload.proof)}: ${payload.passed ? 'yes' : 'no'}${proofFigures(payload, pack)}`;
    case 'followUpSet':
      return `${payload.action === 'call' ? 'To ask the owner' : 'To look at again'}, ${payload.due}: ${payload.what}`;
    case 'followUpDone':
      return `Looked at again: ${payload.passed ? 'it holds' : 'it does not hold'}${payload.note ? ` (${payload.note})` : ''}`;
    case 'intervalSet':
      return `Due again: ${payload.what}, every ${intervalText(payload)}${payload.source ? ` (${payload.source})` : ''}`;
    case 'secondChecked':
      return `Second check done${payload.note ? `: ${payload.note}` : ''}`;
    case 'outsideChecked':
      return `Looked over from outside by ${payload.checker} (${payload.licence}) on ${payload.on}${payload.note ? `: ${payload.note}` : ''}`;
    case 'remark':
      return payload.gear === undefined ? payload.text : `${nameIn(pack.gears, payload.gear)}: ${payload.text}`;
    case 'closed':
      return `Job closed: ${payload.found}`;
    case 'reopened':
      return 'Job opened again';
    case 'withdrawn':
      return 'Taken back';
  }
}

function proofFigures({ proof, figure, points, note }: Payload<'proofDone'>, { proofs }: Pack): string {
  const unit = proofs.find(({ id }) => id === proof)?.figure?.unit ?? '';
  const said = [
    ...(figure === undefined ? [] : [`${figure} ${unit}`.trim()]),
    ...(points?.map(({ reference, shown }) => `${shown} at ${reference}`) ?? []),
    ...(note ? [note] : []),
  ];
  return said.length > 0 ? ` (${said.join(', ')})` : '';
}
