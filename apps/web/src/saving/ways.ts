import type { MaterialId, OperationInput } from '@patient-badger/core';
import { runOperation } from '../data/runOperation.ts';
import { typedNumbers } from '../design/typedNumber.ts';

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

const mm = (value: number) => `${value.toFixed(3)} mm`;
const nm = (value: number) => `${value.toPrecision(3)} N·m`;

const WARNINGS: Readonly<Record<string, string>> = {
  hubYields: 'The hub yields: less interference, or it splits.',
  looseAtTemperature: 'At this temperature it is loose.',
  plasticCreeps: 'Plastic creeps: a press fit loses about half of its hold in a year (rule of thumb). Pin it or bond it as well.',
  tooTight: 'The gap is tighter than the sheet allows: the compound is scraped off.',
  tooWide: 'The gap is wider than the sheet allows: another compound, or a sleeve.',
  noSheet: 'No gap off a sheet: look it up, the strength holds only inside of it.',
  nothingToRemove: 'The bore is as wide as that already.',
  wallTooThin: 'Too little is left below the roots.',
  oneChance: 'There is one chance only.',
  gapNotForFiller: 'The filler does not creep into this gap.',
  notSoft: 'This is too hard or too springy to be staked.',
  tooMuchToClose: 'Staking closes a tenth or so, not this much.',
  nothingToClose: 'The bore is tighter than that already.',
  closesUnevenly: 'Staking closes unevenly: turn the gear by hand on its shaft, and watch it for running out.',
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
  if (missing.length > 0) return 'Fill in the measures above.';
  const sheet = Number.isFinite(min) && Number.isFinite(max) ? { min, max } : undefined;
  const said = (names: readonly string[]) => names.flatMap((name) => WARNINGS[name] ?? []);
  switch (typed.way) {
    case 'bond': {
      const asked = { diameterMm: shaft, lengthMm: length, gapMm: Math.max(0, bore - shaft), shearStrengthMPa: strength };
      const worked = runOperation('fit.bond', { ...asked, ...(sheet && { gapRangeMm: sheet }) });
      if (!worked.ok) return worked.sentence;
      const { torqueNm, gap: judged, forceN } = worked.output;
      return {
        lines: [`Gap ${mm(bore - shaft)}`, `Carries ${nm(torqueNm)}, ${Math.round(forceN)} N along it`],
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
      return { lines: [`Gap ${mm(bore - shaft)}`, `Carries ${nm(torqueNm)}`], warnings: said(warnings), torqueNm };
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
      const lines = [`Close the bore by ${mm(closeByMm)}, to ${mm(boreDiameterMm)}`];
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
      const lines = [
        `Bore to ${mm(boreDiameterMm)}: ${mm(removeMm)} to take`,
        `Plug gauge: go ${mm(goMm)}, no-go ${mm(noGoMm)}`,
        `Wall left ${mm(wallMm)}`,
      ];
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
  if (!(interferenceMm > 0)) return 'The bore is wider than the shaft: nothing presses.';
  const input: OperationInput<'fit.press'> = {
    shaft: { diameterMm: shaft, material: 'steel' },
    hub: { outerDiameterMm: outer, lengthMm: length, material },
    interferenceMm,
  };
  const worked = runOperation('fit.press', input);
  if (!worked.ok) return worked.sentence;
  const { torqueNm, pressForceN, hubUtilisation, looseAtC, warnings } = worked.output;
  return {
    lines: [
      ...before,
      `Carries ${nm(torqueNm)}; ${Math.round(pressForceN)} N to press it on`,
      `The hub at ${Math.round(100 * hubUtilisation)} % of its yield`,
      ...(looseAtC === null ? [] : [`Loose at ${Math.round(looseAtC)} °C`]),
    ],
    warnings: warnings.flatMap((name) => WARNINGS[name] ?? []),
    torqueNm,
  };
}

/** What has to lie ready before anything is begun. */
export const LAY_OUT: Readonly<Record<Way, string>> = {
  stake: 'Pin punch, a firm mandrel in the bore, a light hammer; eye protection.',
  bond: 'Degreaser, lint-free cloth, the compound and its sheet, gloves; something to keep it square while it cures.',
  press: 'A press or a vice with soft jaws, a mandrel, something that keeps the hub square; never a hammer on teeth.',
  boreOut: 'A reamer or a lathe, a dial indicator to set it true to the teeth, plug gauges.',
  solder: 'Iron or torch, flux and filler with its sheet, a heat sink for what must stay cool, something that does not burn below it.',
};
