import { t } from '@patient-badger/wording/saving';
import type { MaterialId, OperationInput } from '@patient-badger/core';
import { runOperation } from '../data/runOperation.ts';
import { typedNumbers } from '../design/typedNumber.ts';
import { lengthText, torqueText } from '../preferences/lengthText.ts';

export const WAYS = ['stake', 'bond', 'press', 'boreOut', 'solder'] as const;
export type Way = (typeof WAYS)[number];

/** What is typed for saving a part, as typed. */
export interface TypedSaving {
  readonly way: Way;
  readonly shaftMm: string;
  readonly boreMm: string;
  readonly outerMm: string;
  readonly lengthMm: string;
  readonly rootMm: string;
  readonly interferenceMm: string;
  readonly gapMm: string;
  readonly strengthMPa: string;
  readonly sheetMinMm: string;
  readonly sheetMaxMm: string;
  readonly material: MaterialId;
  readonly needNm: string;
  readonly cureMinutes: string;
}
export type SavingField = Exclude<keyof TypedSaving, 'way' | 'material'>;

export const NO_SAVING: TypedSaving = {
  way: 'bond',
  shaftMm: '',
  boreMm: '',
  outerMm: '',
  lengthMm: '',
  rootMm: '',
  interferenceMm: '0.02',
  gapMm: '',
  strengthMPa: '',
  sheetMinMm: '',
  sheetMaxMm: '',
  material: 'zincAlloy',
  needNm: '',
  cureMinutes: '',
};

/** What each way has to know. */
export const FIELDS: Readonly<Record<Way, readonly SavingField[]>> = {
  stake: ['shaftMm', 'boreMm', 'interferenceMm', 'outerMm', 'lengthMm'],
  bond: ['shaftMm', 'boreMm', 'lengthMm', 'strengthMPa', 'sheetMinMm', 'sheetMaxMm', 'cureMinutes'],
  press: ['shaftMm', 'boreMm', 'outerMm', 'lengthMm'],
  boreOut: ['shaftMm', 'boreMm', 'gapMm', 'rootMm'],
  solder: ['shaftMm', 'boreMm', 'lengthMm', 'strengthMPa', 'sheetMinMm', 'sheetMaxMm'],
};

export interface Saving {
  /** In words, the figures that matter first. */
  readonly lines: readonly string[];
  readonly warnings: readonly string[];
  /** What it carries, N·m; null where this way says nothing of it. */
  readonly torqueNm: number | null;
}

const mm = (value: number) => lengthText(value, 3);

const WARNINGS: Readonly<Record<string, string>> = {
  hubYields: t.theHubYieldsLessInterference,
  shaftYields: t.theShaftYieldsLessInterference,
  torqueBeyondElastic: t.thatTorqueIsReckonedElastic,
  looseAtTemperature: t.atThisTemperatureItIs,
  plasticCreeps: t.plasticCreepsAPressFit,
  tooTight: t.theGapIsTighterThan,
  tooWide: t.theGapIsWiderThan,
  noSheet: t.noGapOffASheet,
  nothingToRemove: t.theBoreIsAsWide,
  wallTooThin: t.tooLittleIsLeftBelow,
  oneChance: t.thereIsOneChanceOnly,
  gapNotForFiller: t.theFillerDoesNotCreep,
  notSoft: t.thisIsTooHardOr,
  tooMuchToClose: t.stakingClosesATenthOr,
  nothingToClose: t.theBoreIsTighterThan,
  closesUnevenly: t.stakingClosesUnevenlyTurnThe,
};

/** The figures of a way to save a part; a string says what is wanted or refused. Strength in MPa, lengths mm on the diameter. */
export function savingOf(typed: TypedSaving): Saving | string {
  const [shaft, bore, outer, length, root] = typedNumbers(typed.shaftMm, typed.boreMm, typed.outerMm, typed.lengthMm, typed.rootMm);
  const [interference, gap, strength, min, max] = typedNumbers(
    typed.interferenceMm,
    typed.gapMm,
    typed.strengthMPa,
    typed.sheetMinMm,
    typed.sheetMaxMm,
  );
  const missing = FIELDS[typed.way].filter((field) => !OPTIONAL.has(field) && !Number.isFinite(typedNumbers(typed[field])[0]));
  if (missing.length > 0) return t.fillInTheMeasuresAbove;
  const sheet = Number.isFinite(min) && Number.isFinite(max) ? { min, max } : undefined;
  const said = (names: readonly string[]) => names.flatMap((name) => WARNINGS[name] ?? []);
  switch (typed.way) {
    case 'bond': {
      const asked = { diameterMm: shaft, lengthMm: length, gapMm: Math.max(0, bore - shaft), shearStrengthMPa: strength };
      const worked = runOperation('fit.bond', { ...asked, ...(sheet && { gapRangeMm: sheet }) });
      if (!worked.ok) return worked.sentence;
      const { torqueNm, gap: judged, forceN } = worked.output;
      return {
        lines: [
          t.gap(mm(bore - shaft)),
          ...(torqueNm === null || forceN === null ? [] : [t.carriesNAlongIt(torqueText(torqueNm), Math.round(forceN))]),
        ],
        warnings: said([judged]),
        torqueNm,
      };
    }
    case 'solder': {
      const asked = {
        diameterMm: shaft,
        lengthMm: length,
        gapMm: Math.max(0, bore - shaft),
        shearStrengthMPa: strength,
        replaceable: false,
      };
      const worked = runOperation('fit.solder', { ...asked, ...(sheet && { fillerGapMm: sheet }) });
      if (!worked.ok) return worked.sentence;
      const { torqueNm, warnings } = worked.output;
      return { lines: [t.gap(mm(bore - shaft)), t.carries(torqueText(torqueNm))], warnings: said(warnings), torqueNm };
    }
    case 'press':
      return pressed(typed, { shaft, outer, length, interferenceMm: shaft - bore }, []);
    case 'stake': {
      const worked = runOperation('fit.stake', {
        shaftDiameterMm: shaft,
        boreNowMm: bore,
        wantedInterferenceMm: interference,
        material: typed.material,
      });
      if (!worked.ok) return worked.sentence;
      const { closeByMm, boreDiameterMm, warnings } = worked.output;
      const lines = [t.closeTheBoreByTo(mm(closeByMm), mm(boreDiameterMm))];
      const held =
        Number.isFinite(outer) && Number.isFinite(length)
          ? pressed(typed, { shaft, outer, length, interferenceMm: interference }, lines)
          : null;
      if (held === null || typeof held === 'string') return { lines, warnings: said(warnings), torqueNm: null };
      return { ...held, warnings: [...said(warnings), ...held.warnings] };
    }
    case 'boreOut': {
      const worked = runOperation('fit.boreOut', { shaftDiameterMm: shaft, gapMm: gap, boreNowMm: bore, rootDiameterMm: root });
      if (!worked.ok) return worked.sentence;
      const { boreDiameterMm, removeMm, goMm, noGoMm, wallMm, warnings } = worked.output;
      const lines = [t.boreToToTake(mm(boreDiameterMm), mm(removeMm)), t.plugGaugeGoNoGo(mm(goMm), mm(noGoMm)), t.wallLeft(mm(wallMm))];
      return { lines, warnings: said(warnings), torqueNm: null };
    }
  }
}

/** These may stay empty. */
const OPTIONAL: ReadonlySet<SavingField> = new Set(['sheetMinMm', 'sheetMaxMm', 'cureMinutes', 'needNm']);

interface PressFit {
  readonly shaft: number;
  readonly outer: number;
  readonly length: number;
  readonly interferenceMm: number;
}

function pressed(
  { material }: TypedSaving,
  { shaft, outer, length, interferenceMm }: PressFit,
  before: readonly string[],
): Saving | string {
  if (!(interferenceMm > 0)) return t.theBoreIsWiderThan;
  const input: OperationInput<'fit.press'> = {
    shaft: { diameterMm: shaft, material: 'steel' },
    hub: { outerDiameterMm: outer, lengthMm: length, material },
    interferenceMm,
  };
  const worked = runOperation('fit.press', input);
  if (!worked.ok) return worked.sentence;
  const { torqueNm, pressForceN, hubUtilisation, looseAtC, looseBelowC, warnings } = worked.output;
  return {
    lines: [
      ...before,
      t.carriesNToPressIt(torqueText(torqueNm), Math.round(pressForceN)),
      t.theHubAtOfIts(Math.round(100 * hubUtilisation)),
      ...(looseAtC === null ? [] : [t.looseAtC(Math.round(looseAtC))]),
      ...(looseBelowC === null ? [] : [t.looseBelowC(Math.round(looseBelowC))]),
    ],
    warnings: warnings.flatMap((name) => WARNINGS[name] ?? []),
    torqueNm,
  };
}

/** What has to lie ready before anything is begun. */
export const LAY_OUT: Readonly<Record<Way, string>> = {
  stake: t.pinPunchAFirmMandrel,
  bond: t.degreaserLintFreeClothThe,
  press: t.aPressOrAVice,
  boreOut: t.aReamerOrALathe,
  solder: t.ironOrTorchFluxAnd,
};
