import { PREFERRED_MODULES, PREFERRED_OFTENER, PREFERRED_PITCHES } from './priors.ts';
import { moduleOfPitch } from '../quantity/length.ts';

/** Modules of ISO 54:1996 (both series) with the fine pitches of DIN 780-2, in mm. */
export const STANDARD_MODULES = [
  0.2, 0.25, 0.3, 0.35, 0.4, 0.45, 0.5, 0.55, 0.6, 0.65, 0.7, 0.75, 0.8, 0.85, 0.9, 0.95, 1, 1.125, 1.25, 1.375, 1.5, 1.75, 2, 2.25, 2.5,
  2.75, 3, 3.5, 4, 4.5, 5, 5.5, 6, 7, 8, 9, 10,
] as const;

/** Diametral pitches in common use (ANSI/AGMA 1003 fine, AGMA 201 coarse), teeth per inch of pitch diameter. */
export const DIAMETRAL_PITCHES = [
  96, 80, 72, 64, 56, 48, 44, 40, 36, 32, 30, 28, 26, 24, 22, 20, 18, 16, 14, 12, 11, 10, 9, 8, 7, 6, 5, 4, 3,
] as const;

export const GEAR_SYSTEMS = ['module', 'diametralPitch'] as const;
export type GearSystem = (typeof GEAR_SYSTEMS)[number];

export interface StandardSize {
  readonly system: GearSystem;
  /** The size as it is written: module in mm, or diametral pitch. */
  readonly size: number;
  readonly moduleMm: number;
  /** How often it is met among those asked for. */
  readonly share: number;
}

const preferred = { module: PREFERRED_MODULES, diametralPitch: PREFERRED_PITCHES };

/** Every standard size of the systems asked for, with its module in mm (m = 25.4 / DP). */
export function standardSizes(systems: readonly GearSystem[]): readonly StandardSize[] {
  const list: Omit<StandardSize, 'share'>[] = [];
  if (systems.includes('module')) {
    for (const size of STANDARD_MODULES) list.push({ system: 'module', size, moduleMm: size });
  }
  if (systems.includes('diametralPitch')) {
    for (const size of DIAMETRAL_PITCHES) list.push({ system: 'diametralPitch', size, moduleMm: moduleOfPitch(size) });
  }
  const often = list.map(({ system, size }) => (preferred[system].has(size) ? PREFERRED_OFTENER : 1));
  const all = often.reduce((sum, each) => sum + each, 0);
  return list.map((size, i) => ({ ...size, share: (often[i] ?? 0) / all }));
}
