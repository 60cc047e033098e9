/** Guide values of what small gears and their shafts are made of. A maker's sheet goes before any of them. */
export interface Material {
  readonly youngsModulusMPa: number;
  readonly poissonRatio: number;
  /** Yield, 0.2 % proof, or for what breaks first its strength. */
  readonly yieldMPa: number;
  /** Thermal expansion, per kelvin. */
  readonly expansionPerK: number;
  /** Creeps and loses stiffness with warmth. */
  readonly plastic?: true;
  /** Soft enough to be upset by a punch and to stay so. */
  readonly soft?: true;
  /** Where it melts or stays soft for good, °C: above it nothing is said of a fit (guide). */
  readonly limitC: number;
  readonly source: string;
}

/**
 * Typical values at 20 °C, each as the standard named beside it has them for a common grade; plastics of no filler unless
 * named. Nylon takes up water from the air within months and is weaker and tougher then: dry as moulded, moist as it is in
 * use (ISO 1110, 23 °C and 50 % humidity). They are guides: a cheap casting has less.
 */
export const MATERIALS = {
  steel: {
    youngsModulusMPa: 206_000,
    poissonRatio: 0.3,
    yieldMPa: 370,
    expansionPerK: 11.5e-6,
    limitC: 550,
    source: 'C45, EN ISO 683-1, normalized',
  },
  stainless: {
    youngsModulusMPa: 200_000,
    poissonRatio: 0.3,
    yieldMPa: 210,
    expansionPerK: 16e-6,
    limitC: 600,
    source: '1.4301, EN 10088-3',
  },
  castIron: {
    youngsModulusMPa: 110_000,
    poissonRatio: 0.26,
    yieldMPa: 165,
    expansionPerK: 10e-6,
    limitC: 500,
    source: 'EN-GJL-250, EN 1561',
  },
  aluminium: {
    youngsModulusMPa: 70_000,
    poissonRatio: 0.33,
    yieldMPa: 250,
    expansionPerK: 23e-6,
    limitC: 200,
    soft: true,
    source: 'EN AW-6082 T6, EN 755-2',
  },
  zincAlloy: {
    youngsModulusMPa: 85_000,
    poissonRatio: 0.25,
    yieldMPa: 228,
    expansionPerK: 27e-6,
    limitC: 150,
    soft: true,
    source: 'ZP0410, EN 12844',
  },
  brass: {
    youngsModulusMPa: 97_000,
    poissonRatio: 0.35,
    yieldMPa: 250,
    expansionPerK: 21e-6,
    limitC: 250,
    soft: true,
    source: 'CW614N R430, EN 12164',
  },
  bronze: {
    youngsModulusMPa: 95_000,
    poissonRatio: 0.34,
    yieldMPa: 140,
    expansionPerK: 18.5e-6,
    limitC: 250,
    soft: true,
    source: 'CC483K, EN 1982',
  },
  acetal: {
    youngsModulusMPa: 2800,
    poissonRatio: 0.37,
    yieldMPa: 65,
    expansionPerK: 110e-6,
    limitC: 165,
    plastic: true,
    source: 'POM-C, ISO 527 data sheets',
  },
  nylon: {
    youngsModulusMPa: 3100,
    poissonRatio: 0.39,
    yieldMPa: 85,
    expansionPerK: 80e-6,
    limitC: 250,
    plastic: true,
    source: 'PA66 dry, ISO 527 data sheets',
  },
  nylonMoist: {
    youngsModulusMPa: 1600,
    poissonRatio: 0.4,
    yieldMPa: 55,
    expansionPerK: 90e-6,
    limitC: 250,
    plastic: true,
    source: 'PA66 conditioned by ISO 1110, ISO 527 data sheets',
  },
  nylonGlass: {
    youngsModulusMPa: 9500,
    poissonRatio: 0.38,
    yieldMPa: 180,
    expansionPerK: 30e-6,
    limitC: 250,
    plastic: true,
    source: 'PA66-GF30 dry, ISO 527 data sheets',
  },
  nylonGlassMoist: {
    youngsModulusMPa: 7000,
    poissonRatio: 0.38,
    yieldMPa: 125,
    expansionPerK: 30e-6,
    limitC: 250,
    plastic: true,
    source: 'PA66-GF30 conditioned by ISO 1110, ISO 527 data sheets',
  },
  pbt: {
    youngsModulusMPa: 2600,
    poissonRatio: 0.4,
    yieldMPa: 58,
    expansionPerK: 110e-6,
    limitC: 220,
    plastic: true,
    source: 'PBT, ISO 527 data sheets',
  },
} as const satisfies Readonly<Record<string, Material>>;

/** Shear strength as a share of yield (von Mises). */
export const SHEAR_OF_YIELD = 1 / Math.sqrt(3);

export type MaterialId = keyof typeof MATERIALS;
export const MATERIAL_IDS = Object.keys(MATERIALS) as readonly MaterialId[];

interface Curve {
  readonly stiffness: readonly number[];
  readonly strength: readonly number[];
}

/** Where the curves below have their points, °C. */
const CURVE_AT = [20, 40, 60, 80, 100, 120] as const;
/** Where the data sheets' curves end: beyond it nothing is known. */
export const CURVES_END_C = 120;
/**
 * What is left of stiffness and strength when it is warm, as shares of those at 20 °C: rounded off the curves that data
 * sheets of these plastics print (guide values; below 20 °C nothing is added).
 */
export const CURVES: Readonly<Partial<Record<MaterialId, Curve>>> = {
  acetal: { stiffness: [1, 0.82, 0.62, 0.46, 0.33, 0.24], strength: [1, 0.82, 0.65, 0.5, 0.37, 0.27] },
  nylon: { stiffness: [1, 0.85, 0.5, 0.3, 0.22, 0.18], strength: [1, 0.82, 0.65, 0.55, 0.47, 0.4] },
  // What is moist is half way through its softening already: it loses less from there, and when warm it dries.
  nylonMoist: { stiffness: [1, 0.75, 0.58, 0.5, 0.42, 0.35], strength: [1, 0.85, 0.75, 0.67, 0.6, 0.53] },
  nylonGlassMoist: { stiffness: [1, 0.86, 0.75, 0.68, 0.62, 0.56], strength: [1, 0.9, 0.81, 0.74, 0.68, 0.62] },
  nylonGlass: { stiffness: [1, 0.93, 0.75, 0.6, 0.52, 0.46], strength: [1, 0.9, 0.75, 0.65, 0.57, 0.5] },
  pbt: { stiffness: [1, 0.8, 0.45, 0.28, 0.21, 0.17], strength: [1, 0.8, 0.63, 0.5, 0.4, 0.32] },
};

/** The share left at a temperature, straight between the points and no further than the last. */
export function shareAt(list: readonly number[], temperatureC: number): number {
  const place = Math.min(CURVE_AT.length - 1, Math.max(0, (temperatureC - CURVE_AT[0]) / 20));
  const below = Math.min(CURVE_AT.length - 2, Math.floor(place));
  const [from, to] = [list[below] ?? 1, list[below + 1] ?? 1];
  return from + (to - from) * (place - below);
}
