/** For tests: one entry of each kind as a device writes it, on the auger gearbox. */
import { findFamily } from '@patient-badger/knowledge';
import type { Pack } from '../trace/pack.ts';
import type { Entry, EntryPayload, Payload } from './entry.ts';
import { foldJob } from './fold.ts';
import { emptyJob, type JobState } from './jobState.ts';

export const pack = findFamily('auger-gearbox') as Pack;
export const JOB = '0197a000-0000-7000-8000-000000000001';
export const OTHER = '0197a000-0000-7000-8000-0000000000bb';
export const id = (n: number) => `0197a000-0000-7000-8000-${String(n).padStart(12, '0')}`;
export const at = (n: number) => new Date(1_700_000_000_000 + n * 60_000).toISOString();
export const after = (...payloads: EntryPayload[]): JobState =>
  foldJob(
    JOB,
    payloads.map((payload, n): Entry => ({ id: id(n), jobId: JOB, at: at(n), by: 'tobin', payload })),
  );
export const m = { value: 20, plusMinus: 0.03 };
export const [caution, proof, closing, look] = [
  pack.cautions[0]?.id ?? '',
  pack.proofs[0]?.id ?? '',
  pack.closing[0]?.id ?? '',
  pack.looks.find(({ kind }) => kind === 'table'),
];
export const result = look?.kind === 'table' ? (look.results[0]?.id ?? '') : '';
export const hash = 'a'.repeat(64);
export const bentPlate = { kind: 'ownLookRecorded', saw: 'a bent plate', fault: 'chips-packed', speaks: 'against', sure: 'very' } as const;
export const order: Payload<'partOrdered'> = {
  kind: 'partOrdered',
  gear: 'wheel',
  partId: OTHER,
  partNumber: 'QB-1',
  name: 'Wheel',
  supplier: 'Quernby',
  attributes: { teeth: 20 },
};
export const stored = { ...order, id: id(0), at: at(0) };
export const seat: Payload<'seatRead'> = { kind: 'seatRead', gear: 'wheel', shape: 'key', bore: { diameterMm: m }, shaft: {} };
export const scan = (n: number): Payload<'teethScanned'> => ({
  kind: 'teethScanned',
  gear: 'wheel',
  hash,
  found: {
    read: true,
    teeth: n,
    teethPresent: n,
    confidence: 0.9,
    centre: { xPx: 1, yPx: 1 },
    tipRadiusPx: 9,
    rootRadiusPx: 8,
    rim: { longPx: 9, shortPx: 9, axisDeg: 0 },
    flaws: [],
    corrected: [],
    points: [],
  } as unknown as Payload<'teethScanned'>['found'],
});
export const dimension = (value: number, more: Partial<Payload<'dimensionRead'>> = {}): Payload<'dimensionRead'> => ({
  kind: 'dimensionRead',
  gear: 'wheel',
  quantity: 'tipDiameterMm',
  instrument: 'digitalCaliper',
  entered: `${value} mm`,
  reading: { value, plusMinus: 0.03 },
  ...more,
});
export const kept = (value: number, n: number, more: object = {}) => ({
  entryId: id(n),
  reading: { value, plusMinus: 0.03 },
  instrument: 'digitalCaliper',
  entered: `${value} mm`,
  ...more,
});
export const captured: Payload<'captured'> = { kind: 'captured', step: 'front-out', capture: 'sides', text: 'long one left' };
export const confirmed: Payload<'captureConfirmed'> = { kind: 'captureConfirmed', step: 'front-out', capture: 'sides', ok: true };
export const loose: Payload<'looseNoted'> = { kind: 'looseNoted', step: 'front-out', item: 'shear-pins', what: 'broken', count: 1 };
export const torque: Payload<'torqueNoted'> = {
  kind: 'torqueNoted',
  step: 'front-out',
  item: 'plate-bolts',
  torque: { value: 9, unit: 'N·m', source: 'sheet' },
};
export const ratio: Payload<'ratioChosen'> = { kind: 'ratioChosen', driveTeeth: 7, drivenTeeth: 20, readingErrorPercent: 1, basis: 'tyre' };
export const odometer: Payload<'odometerCorrected'> = {
  kind: 'odometerCorrected',
  before: 10,
  after: 15,
  missed: 5,
  unit: 'km',
  reason: 'stood',
};
export const price: Payload<'priceAsked'> = {
  kind: 'priceAsked',
  gear: 'wheel',
  what: 'Wheel',
  supplier: 'Quernby',
  priceMinor: 900,
  leadDays: 3,
};
export const chosen: Payload<'partChosen'> = {
  kind: 'partChosen',
  gear: 'wheel',
  partId: OTHER,
  partNumber: 'QB-1',
  name: 'Wheel',
  probability: 0.9,
};
export const refused: Payload<'partRefused'> = {
  kind: 'partRefused',
  gear: 'wheel',
  order: id(0),
  partNumber: 'QB-1',
  deciding: 'teeth',
  note: 'two short',
};
export const fitted: Payload<'partFitted'> = { kind: 'partFitted', gear: 'wheel', partId: OTHER, partNumber: 'QB-1' };
export const plate = (where: string): Payload<'plateRead'> => ({ kind: 'plateRead', partNumber: 'QB-1', where, gear: 'wheel' });
export const taken: Payload<'takenIn'> = { kind: 'takenIn', machineId: OTHER, family: pack.id, complaint: 'stands', facts: { hours: 12 } };
export const decided: Payload<'decided'> = { kind: 'decided', fault: pack.faults[0]?.id ?? '', remedy: 'replace', probability: 0.9 };
export const closed: Payload<'closed'> = { kind: 'closed', outcome: 'cleaned', found: 'chips' };
export const stuck = (snag: string): Payload<'stepStuck'> => ({ kind: 'stepStuck', step: 'front-out', snag });
export const added: Payload<'itemAdded'> = { kind: 'itemAdded', name: 'Bearing 6203', count: 2, state: 'needed', type: 'bearing' };
export const item = (more: object = {}) => ({ items: [{ ...added, id: id(0), at: at(0), readings: {}, ...more }] as JobState['items'] });
export const isOwn = (change: Partial<JobState['own']>) => ({ own: { ...emptyJob().own, ...change } });
export const bushing: Payload<'ownLooseAdded'> = {
  kind: 'ownLooseAdded',
  step: 'front-out',
  name: 'bushing',
  part: 'part',
  count: 1,
  lives: 'hub',
};
export const drawBar: Payload<'ownStepAdded'> = { kind: 'ownStepAdded', name: 'Draw bar off', how: 'Two nuts', minutes: 4 };
export const shimSide: Payload<'ownCaptureAdded'> = {
  kind: 'ownCaptureAdded',
  step: 'front-out',
  ask: 'Which side?',
  back: 'On its side?',
};
export const optionKept: Payload<'optionKept'> = {
  kind: 'optionKept',
  option: 'replace',
  optionKind: 'replace',
  name: 'New',
  partsMinor: 900,
  minutes: 30,
  leadDays: 2,
  lifeMean: 400,
  lifeShape: 2,
  comeBackRisk: 0.1,
  downtimeDays: 0,
  leaves: '',
  why: 'by hand',
};
export const used: Payload<'useAssumed'> = { kind: 'useAssumed', perYear: 80, unit: 'hours', horizonYears: 5, costPerDownDayMinor: 0 };
export const quote: Payload<'quoteMade'> = { kind: 'quoteMade', validUntil: '2026-12-10', options: ['replace', 'stop'] };
export const answered: Payload<'quoteAnswered'> = { kind: 'quoteAnswered', option: 'replace', by: 'word', who: 'Imke' };
export const saved: Payload<'partSaved'> = {
  kind: 'partSaved',
  gear: 'wheel',
  way: 'bond',
  figures: 'gap 0.05',
  torqueNm: 9,
  cureMinutes: 60,
};
export const tried: Payload<'sleeveTried'> = { kind: 'sleeveTried', sleeveDeg: 40, backlashMm: { value: 0.2, plusMinus: 0.01 } };
export const set: Payload<'settingMade'> = { kind: 'settingMade', setting: 'shims', figures: '0.5 mm, 0.12 left' };
export const followUp: Payload<'followUpSet'> = { kind: 'followUpSet', action: 'look', what: 'dry beneath', due: '2026-12-01' };
export const lookedAgain: Payload<'followUpDone'> = { kind: 'followUpDone', followUp: id(0), passed: true };
export const interval: Payload<'intervalSet'> = {
  kind: 'intervalSet',
  what: 'Grease',
  every: { days: 365, units: 50 },
  unit: 'hours',
  reading: 120,
};
export const comesBack = { ...saved, lookAgainOn: '2026-12-01' };
export const isComingBack = (done: JobState['followUps'][number]['done']) => ({ ...followUp, what: saved.figures, id: id(0), done });
export const isFollowed = (n: number, done: JobState['followUps'][number]['done']) => ({ ...followUp, id: id(n), done });
export const tested = (of: string, passed: boolean): Payload<'proofDone'> => ({ kind: 'proofDone', proof: of, passed });
export const isTested = (of: string, n: number) => ({ ...tested(of, true), at: at(n) });
export const made: Payload<'gearMade'> = { kind: 'gearMade', gear: 'wheel', file: 'gear-20-m2.3mf', material: 'Nylon' };
export const wheel = (state: JobState['gears'][string]) => ({ gears: { wheel: state } });
export const written = { at: at(0), by: 'tobin' };
