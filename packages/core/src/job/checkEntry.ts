import { fail } from '../failure/CoreFailure.ts';
import { NONE_OF_THESE } from '../trace/hypotheses.ts';
import { CANNOT_TELL } from '../trace/next.ts';
import type { Pack } from '../trace/pack.ts';
import { packModel } from '../trace/packModel.ts';
import type { EntryPayload } from './entry.ts';

/**
 * Refuses an entry that names what its machine family does not have: a look, a result, a step, a
 * gear. Without this one stray entry would break every later sum of the job.
 * @throws CoreFailure with the path inside the payload
 */
export function checkEntry(payload: EntryPayload, pack: Pack): void {
  const need = (list: readonly { readonly id: string }[], given: string, path: string) => {
    if (!list.some(({ id }) => id === given))
      throw fail('unknownId', `payload.${path}`, { given, known: list.map(({ id }) => id).join(', ') });
  };
  switch (payload.kind) {
    case 'lookRecorded': {
      need(pack.looks, payload.look, 'look');
      const results =
        packModel(pack)
          .outcomes.get(payload.look)
          ?.map(({ result }) => ({ id: result })) ?? [];
      return need([...results, { id: CANNOT_TELL }], payload.result, 'result');
    }
    case 'stepDone':
    case 'stepSkipped':
    case 'stepStuck':
      return need(pack.steps, payload.step, 'step');
    case 'cautionAcknowledged':
      return need(pack.cautions, payload.caution, 'caution');
    case 'dimensionRead':
    case 'handNoted':
    case 'teethScanned':
    case 'limitNoted':
    case 'seatRead':
    case 'arcsNoted':
    case 'partChosen':
    case 'partOrdered':
    case 'partArrived':
    case 'partAccepted':
    case 'partRefused':
    case 'partFitted':
      return need(pack.gears, payload.gear, 'gear');
    case 'plateRead':
      return payload.gear === undefined ? undefined : need(pack.gears, payload.gear, 'gear');
    case 'faultFound':
      return need(pack.faults, payload.fault, 'fault');
    case 'decided':
      if (payload.fault !== NONE_OF_THESE) return need(pack.faults, payload.fault, 'fault');
      if (!payload.note) throw fail('missing', 'payload.note', {});
      return;
    case 'closingDone':
      // A step without a way back of its own is put back under its own name.
      return need([...pack.closing, ...pack.steps], payload.step, 'step');
    case 'captured':
    case 'captureConfirmed': {
      need(pack.steps, payload.step, 'step');
      const { captures = [] } = pack.steps.find(({ id }) => id === payload.step) ?? {};
      need(captures, payload.capture, 'capture');
      const empty =
        payload.kind === 'captured' && payload.text === undefined && payload.value === undefined && payload.skipped === undefined;
      if (empty) throw fail('missing', 'payload.text');
      return;
    }
    case 'torqueNoted':
    case 'looseNoted': {
      need(pack.steps, payload.step, 'step');
      return need(pack.steps.find(({ id }) => id === payload.step)?.loose ?? [], payload.item, 'item');
    }
    case 'waitStarted':
    case 'waitCut':
      return need(
        [...pack.steps, ...pack.closing].flatMap((each) => each.wait ?? []),
        payload.wait,
        'wait',
      );
    case 'extraDone':
      return need(pack.whileOpen, payload.extra, 'extra');
    case 'odometerCorrected':
      if (payload.after > payload.before && Math.abs(payload.before + payload.missed - payload.after) < 0.01) return;
      throw fail('invalid', 'payload.after', { why: 'An odometer is only ever brought forward, by the distance that it missed.' });
    case 'proofDone':
      return need(pack.proofs, payload.proof, 'proof');
    default:
      return;
  }
}
