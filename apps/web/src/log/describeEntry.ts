import type { EntryPayload, Pack } from '@patient-badger/core';
import { WORM_WORDS } from '../gear/quantities.ts';
import { readingText } from '../instrument/readingText.ts';
import { resultName } from '../trace/Trail.tsx';

const nameIn = (list: readonly { readonly id: string; readonly name: string }[], id: string) =>
  list.find((each) => each.id === id)?.name ?? id;

/** One entry as a line of the log. */
export function describeEntry(payload: EntryPayload, pack: Pack): string {
  switch (payload.kind) {
    case 'takenIn':
      return `Taken in: “${payload.complaint}”`;
    case 'lookRecorded':
      return `${nameIn(pack.looks, payload.look)}: ${resultName(pack, payload.look, payload.result)}${payload.reading ? ` (${readingText(payload.reading)})` : ''}`;
    case 'stepDone':
      return `Opened: ${nameIn(pack.steps, payload.step)}`;
    case 'cautionAcknowledged':
      return `Caution confirmed: ${pack.cautions.find(({ id }) => id === payload.caution)?.text ?? payload.caution}`;
    case 'dimensionRead':
      return `${WORM_WORDS[payload.quantity].name}: ${payload.entered}${payload.over === undefined ? '' : ` over ${payload.over}`}`;
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
    case 'partFitted':
      return `Part fitted: ${payload.partNumber}`;
    case 'closingDone':
      return `Closed up: ${nameIn(pack.closing, payload.step)}`;
    case 'proofDone':
      return `${nameIn(pack.proofs, payload.proof)}: ${payload.passed ? 'yes' : 'no'}`;
    case 'secondChecked':
      return `Second check done${payload.note ? `: ${payload.note}` : ''}`;
    case 'remark':
      return payload.text;
    case 'closed':
      return `Job closed: ${payload.found}`;
    case 'reopened':
      return 'Job opened again';
    case 'withdrawn':
      return 'Taken back';
  }
}
