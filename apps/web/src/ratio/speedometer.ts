import { t } from '@patient-badger/wording/ratio';
import type { OperationInput } from '@patient-badger/core';
import { typedNumber } from '../design/typedNumber.ts';
import { readCounts } from '../wording/ratioWords.ts';

/** What is typed on the speedometer's desk, as typed: kept on the device, so that a reload loses nothing. */
export interface SpeedometerDraft {
  readonly tyre: string;
  readonly published: string;
  readonly rolledTurns: string;
  readonly rolledMetres: string;
  readonly axleRatio: string;
  readonly cable: string;
  readonly cablePer: 'mile' | 'km';
  readonly drive: string;
  readonly driven: string;
  readonly nowDrive: string;
  readonly nowDriven: string;
  /** What it is thought of changing to; what stays is left empty. */
  readonly otherTyre: string;
  readonly otherAxle: string;
  readonly topNow: string;
  readonly topOther: string;
  readonly rule: 'nearest' | 'neverLow' | 'keepDrive';
}

export const EMPTY_DRAFT: SpeedometerDraft = {
  tyre: '',
  published: '',
  rolledTurns: '',
  rolledMetres: '',
  axleRatio: '',
  cable: '1000',
  cablePer: 'mile',
  drive: '',
  driven: '',
  nowDrive: '',
  nowDriven: '',
  otherTyre: '',
  otherAxle: '',
  topNow: '',
  topOther: '',
  rule: 'nearest',
};

export type Problem = { readonly field: keyof SpeedometerDraft; readonly why: string };

/** The tyre as `ratio.tyre` takes it; null while nothing of it is typed. */
export function tyreQuestion({ tyre, published, rolledTurns, rolledMetres }: SpeedometerDraft) {
  const [turns, metres, maker] = [rolledTurns, rolledMetres, published].map(typedNumber) as [number, number, number];
  const known = {
    ...(tyre.trim() !== '' && { size: tyre }),
    ...(maker > 0 && { publishedTurnsPerKm: maker }),
    ...(turns > 0 && metres > 0 && { rolled: { turns, distanceM: metres } }),
  };
  return Object.keys(known).length === 0 ? null : known;
}

/** The pairs as `ratio.takeoff` takes them, or what still has to be said. */
export function takeoffQuestion(
  draft: SpeedometerDraft,
  turnsPerKm: number,
): { readonly input: OperationInput<'ratio.takeoff'> } | Problem {
  const [axleRatio, cable] = [typedNumber(draft.axleRatio), typedNumber(draft.cable)];
  if (!(axleRatio > 0)) return { field: 'axleRatio', why: t.axleRatioPropellerShaftTurns };
  if (!(cable > 0)) return { field: 'cable', why: t.cableTurnsWhatTheInstruments };
  const [driveTeeth, drivenTeeth] = [readCounts(draft.drive), readCounts(draft.driven)];
  if (!driveTeeth) return { field: 'drive', why: t.driveGearsThatExistCounts };
  if (!drivenTeeth) return { field: 'driven', why: t.drivenGearsThatExistFor };
  const keep = typedNumber(draft.nowDrive);
  if (draft.rule === 'keepDrive' && !(keep > 0)) return { field: 'nowDrive', why: t.whichDriveGearIsTo };
  return {
    input: {
      driveTeeth,
      drivenTeeth,
      axleRatio,
      turnsPerKm,
      ...(draft.cablePer === 'mile' ? { cableTurnsPerMile: cable } : { cableTurnsPerKm: cable }),
      rule: draft.rule,
      ...(keep > 0 && { keepDriveTeeth: keep }),
    },
  };
}

/** The pair that is in the gearbox now, worked out alone; null while it is not typed. */
export function nowQuestion(draft: SpeedometerDraft, turnsPerKm: number): OperationInput<'ratio.takeoff'> | null {
  const question = takeoffQuestion({ ...draft, rule: 'nearest', drive: draft.nowDrive, driven: draft.nowDriven }, turnsPerKm);
  return 'input' in question ? question.input : null;
}

/** Tyre, axle and top gear before and after, as `ratio.change` takes them; null while nothing is to be changed. */
export function changeQuestion(draft: SpeedometerDraft, turns: { readonly now: number; readonly other: number | null }, readsNow: number) {
  const [axle, otherAxle, top, otherTop] = [draft.axleRatio, draft.otherAxle, draft.topNow, draft.topOther].map(typedNumber) as [
    number,
    number,
    number,
    number,
  ];
  const changes = turns.other !== null || otherAxle > 0 || otherTop > 0;
  if (!(axle > 0) || !changes) return null;
  const topGearRatio = top > 0 ? top : 1;
  return {
    before: { turnsPerKm: turns.now, axleRatio: axle, topGearRatio },
    after: {
      turnsPerKm: turns.other ?? turns.now,
      axleRatio: otherAxle > 0 ? otherAxle : axle,
      topGearRatio: otherTop > 0 ? otherTop : topGearRatio,
    },
    readsNowPercent: readsNow,
  };
}
