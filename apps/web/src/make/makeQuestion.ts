import type { MaterialId, OperationInput } from '@patient-badger/core';
import { typedNumber } from '../design/typedNumber.ts';

export const PROCESSES = ['print', 'mill', 'wire', 'laser'] as const;
export type Process = (typeof PROCESSES)[number];
export const BORE_CHOICES = ['round', 'dFlat', 'key', 'hexagon', 'square', 'none'] as const;

/** What is typed of a gear to be made, as typed. */
export interface TypedGear {
  readonly teeth: string;
  readonly moduleMm: string;
  readonly pressureAngleDeg: string;
  readonly helixAngleDeg: string;
  readonly profileShift: string;
  readonly backlashMm: string;
  readonly faceMm: string;
  readonly bore: (typeof BORE_CHOICES)[number];
  readonly boreMm: string;
  readonly flatMm: string;
  readonly keyWidthMm: string;
  readonly keyDepthMm: string;
  readonly hubMm: string;
  readonly hubLengthMm: string;
  readonly process: Process;
  readonly material: MaterialId;
  /** Empty: the guide of process and material. */
  readonly shrinkage: string;
  readonly kerf: string;
}

export const NO_GEAR: TypedGear = {
  teeth: '',
  moduleMm: '',
  pressureAngleDeg: '20',
  helixAngleDeg: '0',
  profileShift: '0',
  backlashMm: '0.05',
  faceMm: '',
  bore: 'round',
  boreMm: '',
  flatMm: '',
  keyWidthMm: '',
  keyDepthMm: '',
  hubMm: '',
  hubLengthMm: '',
  process: 'print',
  material: 'nylon',
  shrinkage: '',
  kerf: '',
};

/** Percent by which a part of it comes off a printer too small (guide values; print a try first). */
const SHRINKAGE: Readonly<Partial<Record<MaterialId, number>>> = { acetal: 2, nylon: 1.2, nylonGlass: 0.5, pbt: 1.6 };
/** How wide the tool cuts, mm (guide values). */
const KERF: Readonly<Record<Process, number>> = { print: 0, mill: 0, wire: 0.3, laser: 0.2 };

/** What the process takes or leaves, where nobody knows it better. */
export const guideAllowance = ({ process, material }: Pick<TypedGear, 'process' | 'material'>) => ({
  shrinkagePercent: process === 'print' ? (SHRINKAGE[material] ?? 0) : 0,
  kerfMm: KERF[process],
});

export type MakeInput = Omit<OperationInput<'make.file'>, 'format' | 'family'>;

/** Bore, and what the process takes or leaves, of whatever gear; a bore that was not measured yet is left out: the teeth can be looked at before. */
export function boreAndAllowance(
  typed: Pick<TypedGear, 'bore' | 'boreMm' | 'flatMm' | 'keyWidthMm' | 'keyDepthMm' | 'process' | 'material' | 'shrinkage' | 'kerf'>,
): { readonly bore: MakeInput['bore']; readonly allowance: { readonly shrinkagePercent: number; readonly kerfMm: number } } {
  const size = (name: 'boreMm' | 'flatMm' | 'keyWidthMm' | 'keyDepthMm') =>
    typedNumber(typed[name]) > 0 ? typedNumber(typed[name]) : undefined;
  const guide = guideAllowance(typed);
  const own = (text: string, usual: number) => (text.trim() === '' ? usual : typedNumber(text) || 0);
  const bore = {
    shape: typed.bore,
    sizeMm: size('boreMm'),
    ...(typed.bore === 'dFlat' && { flatMm: size('flatMm') }),
    ...(typed.bore === 'key' && { keyWidthMm: size('keyWidthMm'), keyDepthMm: size('keyDepthMm') }),
  };
  const known = typed.bore !== 'none' && bore.sizeMm !== undefined;
  return {
    bore: known
      ? (Object.fromEntries(Object.entries(bore).filter(([, value]) => value !== undefined)) as MakeInput['bore'])
      : { shape: 'none' },
    allowance: { shrinkagePercent: own(typed.shrinkage, guide.shrinkagePercent), kerfMm: own(typed.kerf, guide.kerfMm) },
  };
}

/** The gear as `make.file` takes it; null while teeth, module or face width are not known. */
export function makeQuestion(typed: TypedGear): (MakeInput & Required<Pick<MakeInput, 'gear'>>) | null {
  const [teeth, moduleMm, face] = [typedNumber(typed.teeth), typedNumber(typed.moduleMm), typedNumber(typed.faceMm)];
  if (!(teeth > 0 && moduleMm > 0 && face > 0)) return null;
  const [hub, hubLength] = [typedNumber(typed.hubMm), typedNumber(typed.hubLengthMm)];
  return {
    gear: {
      teeth,
      normalModuleMm: moduleMm,
      pressureAngleDeg: typedNumber(typed.pressureAngleDeg) || 20,
      helixAngleDeg: typedNumber(typed.helixAngleDeg) || 0,
      profileShift: typedNumber(typed.profileShift) || 0,
      toothThinningMm: Math.max(0, typedNumber(typed.backlashMm) || 0),
    },
    ...boreAndAllowance(typed),
    faceWidthMm: face,
    ...(hub > 0 && hubLength > 0 && { hub: { diameterMm: hub, lengthMm: hubLength } }),
  };
}
