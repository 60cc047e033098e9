import { t } from '@patient-badger/wording/log';
import { t as shared } from '@patient-badger/wording/shared';
import type { EntryPayload, Payload } from '@patient-badger/core/job';
import type { Pack } from '@patient-badger/core/machine';
import { SNAGS } from '@patient-badger/knowledge';
import { SEAT_WORDS } from '../wording/seatWords.ts';
import { quantityWords } from '../gear/kinds.ts';
import { attributeName } from '../wording/attributeWords.ts';
import { offText } from '../wording/ratioWords.ts';
import { countedName } from '../wording/countedName.ts';
import { OPTION_WORDS } from '../wording/optionWords.ts';
import { readingText } from '../wording/readingText.ts';
import { resultName } from '@patient-badger/wording/results';
import { settingText } from '../wording/settingText.ts';
import { intervalText } from '../wording/intervalText.ts';
import { PIECE_WORDS } from '../wording/pieceWords.ts';

const nameIn = (list: readonly { readonly id: string; readonly name: string }[], id: string) =>
  list.find((each) => each.id === id)?.name ?? id;

const LOOSE_WORDS = { missingBefore: t.missingBeforeWeCame, broken: 'broken', lost: 'lost', replaced: 'replaced' } as const;

const ITEM_WORDS = { needed: shared.needed, ordered: shared.ordered, inHand: shared.fromTheShop } as const;
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
      return t.takenIn(payload.complaint);
    case 'lookRecorded':
      return `${nameIn(pack.looks, payload.look)}: ${resultName(pack, payload.look, payload.result)}${payload.reading ? ` (${readingText(payload.reading)})` : ''}`;
    case 'ownLookRecorded':
      return t.seen(payload.saw, payload.speaks, nameIn(pack.faults, payload.fault));
    case 'findingLeft':
      return t.leftAtThat(nameIn(pack.looks, payload.look), payload.reason);
    case 'stepDone':
      return t.opened(nameIn(pack.steps, payload.step));
    case 'stepSkipped':
      return t.passedOver(nameIn(pack.steps, payload.step), payload.reason);
    case 'stepStuck':
      return t.willNotCome(nameIn(pack.steps, payload.step), nameIn(SNAGS, payload.snag));
    case 'captured':
      return t
        .takenDown(
          captureOf(pack, payload)?.ask ?? payload.capture,
          [payload.value, payload.text, payload.skipped && t.leftOut(payload.skipped)].filter((each) => each !== undefined).join(' '),
        )
        .trim();
    case 'captureConfirmed':
      return `${captureOf(pack, payload)?.back ?? payload.capture}: ${payload.ok ? 'yes' : 'no'}`;
    case 'looseNoted':
      return `${payload.count} × ${itemName(pack, payload)}: ${LOOSE_WORDS[payload.what]}`;
    case 'torqueNoted':
      return t.torqueNoted(itemName(pack, payload), payload.torque.value, payload.torque.unit, payload.torque.source);
    case 'waitStarted':
      return t.timeStartedMinBy(waitName(pack, payload.wait), payload.minutes, payload.source);
    case 'waitCut':
      return t.notWaitedFor(waitName(pack, payload.wait), payload.reason);
    case 'extraDone':
      return t.doneWhileOpen(nameIn(pack.whileOpen, payload.extra));
    case 'photoMarked':
      return t.marksDrawnOnAPhoto;
    case 'cautionAcknowledged':
      return t.cautionConfirmed(pack.cautions.find(({ id }) => id === payload.caution)?.text ?? payload.caution);
    case 'dimensionRead':
      return `${payload.piece ? `${PIECE_WORDS[payload.piece].choice}, ` : ''}${quantityWords(payload.quantity).name}: ${payload.entered}${payload.over === undefined ? '' : shared.over(payload.over)}`;
    case 'seatRead':
      return t.seatOnTheShaftMeasured(SEAT_WORDS[payload.shape]);
    case 'arcsNoted':
      return t.teethThatHaveWorkedTo(payload.from, payload.to, payload.teeth);
    case 'ratioChosen':
      return t.speedometerGearsDriveDrivenReads(
        payload.driveTeeth,
        payload.drivenTeeth,
        offText(payload.readingErrorPercent),
        payload.basis,
      );
    case 'odometerCorrected':
      return t.odometerBroughtForwardTo(payload.before, payload.after, payload.unit, payload.reason);
    case 'limitNoted':
      return t.limitNotedMmThinner(payload.thinningMm, payload.source);
    case 'teethScanned':
      return t.countedOnAPhotoTeeth(
        payload.found.teeth,
        payload.found.teethPresent,
        payload.found.corrected.length > 0 ? shared.putRightByHand : '',
      );
    case 'handNoted':
      return t.handThread(payload.hand === 'right' ? t.right : t.left);
    case 'photoTaken':
      return t.photoTaken;
    case 'faultFound':
      return t.found(nameIn(pack.faults, payload.fault));
    case 'decided':
      return t.decided(payload.note ?? nameIn(pack.faults, payload.fault));
    case 'partChosen':
      return t.partChosen(payload.partNumber);
    case 'partOrdered':
      return t.orderedFrom(payload.partNumber, payload.supplier);
    case 'partArrived':
      return t.thePartArrived;
    case 'partAccepted':
      return t.acceptedAsOrdered(payload.partNumber);
    case 'partRefused':
      return t.refused(payload.partNumber, attributeName(payload.deciding).toLowerCase(), payload.note);
    case 'partFitted':
      return t.partFitted(payload.partNumber, payload.source === 'shelf' ? t.offTheShelf : '');
    case 'promised':
      return payload.on === null ? t.promisedForNoDayAny : shared.promisedFor(payload.on);
    case 'itemAdded':
      return `${ITEM_WORDS[payload.state]}: ${itemText(payload)}${payload.supplier ? `, ${payload.supplier}` : ''}`;
    case 'itemOrdered':
      return t.aPartThatWasNeeded(payload.supplier);
    case 'itemArrived':
      return t.aPartArrived;
    case 'itemMeasured':
      return t.ofAPartThatCame(attributeName(payload.quantity), payload.entered);
    case 'itemAccepted':
      return t.aPartAcceptedAsOrdered;
    case 'itemRefused':
      return t.aPartRefused(attributeName(payload.deciding).toLowerCase(), payload.note);
    case 'itemFitted':
      return t.aPartFitted;
    case 'labourNoted':
      return t.workedMin(payload.minutes, payload.what);
    case 'optionKept':
      return t.wayToGoOn(payload.name);
    case 'optionDropped':
      return t.aWayToGoOn;
    case 'useAssumed':
      return t.usedAYear(payload.perYear, payload.unit, payload.horizonYears === undefined ? '' : t.keptYears(payload.horizonYears));
    case 'quoteMade':
      return t.quoteWrittenValidUntil(payload.validUntil);
    case 'quoteAnswered':
      return t.theOwnerSaidTo(payload.by === 'paper' ? shared.onPaper : shared.byWord, optionName(payload.option), payload.who);
    case 'sleeveTried':
      return t.sleeveAtMmOfBacklash(payload.sleeveDeg, payload.backlashMm.value);
    case 'settingMade':
      return t.set(settingText(payload));
    case 'partSaved':
      return t.saved(nameIn(pack.gears, payload.gear), payload.figures);
    case 'gearMade':
      return t.drawn(nameIn(pack.gears, payload.gear), payload.file, payload.material.toLowerCase());
    case 'ownLooseAdded':
      return t.comesOffToo(payload.count, payload.name, payload.lives);
    case 'ownCaptureAdded':
      return t.toBeTakenDownToo(payload.ask);
    case 'ownStepAdded':
      return t.aStepOfThisMachine(payload.name);
    case 'plateRead':
      return t.readOffTheMachine(payload.partNumber, payload.where);
    case 'closingDone':
      return t.closedUp(nameIn([...pack.closing, ...pack.steps], payload.step));
    case 'proofDone':
      return `${nameIn(pack.proofs, payload.proof)}: ${payload.passed ? 'yes' : 'no'}${proofFigures(payload, pack)}`;
    case 'followUpSet':
      return `${payload.action === 'call' ? t.toAskTheOwner : t.toLookAtAgain}, ${payload.due}: ${payload.what}`;
    case 'followUpDone':
      return t.lookedAtAgain(payload.passed ? t.itHolds : t.itDoesNotHold, payload.note ? ` (${payload.note})` : '');
    case 'intervalSet':
      return t.dueAgainEvery(payload.what, intervalText(payload), payload.source ? ` (${payload.source})` : '');
    case 'secondChecked':
      return t.secondCheckDone(payload.note ? `: ${payload.note}` : '');
    case 'outsideChecked':
      return t.lookedOverFromOutsideBy(payload.checker, payload.licence, payload.on, payload.note ? `: ${payload.note}` : '');
    case 'remark':
      return payload.gear === undefined ? payload.text : `${nameIn(pack.gears, payload.gear)}: ${payload.text}`;
    case 'closed':
      return t.jobClosed(payload.found);
    case 'reopened':
      return t.jobOpenedAgain;
    case 'withdrawn':
      return t.takenBack;
  }
}

function proofFigures({ proof, figure, points, note }: Payload<'proofDone'>, { proofs }: Pack): string {
  const unit = proofs.find(({ id }) => id === proof)?.figure?.unit ?? '';
  const said = [
    ...(figure === undefined ? [] : [`${figure} ${unit}`.trim()]),
    ...(points?.map(({ reference, shown }) => t.at(shown, reference)) ?? []),
    ...(note ? [note] : []),
  ];
  return said.length > 0 ? ` (${said.join(', ')})` : '';
}
