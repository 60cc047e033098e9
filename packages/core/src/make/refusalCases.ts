const BEVEL = { kind: 'bevel', member: 'wheel', pinionTeeth: 20, wheelTeeth: 40, outerModuleMm: 3, faceWidthMm: 15 };
const THREAD = { starts: 1, axialModuleMm: 2, diameterQuotient: 10, profile: 'ZI', hand: 'right' };
const WHEEL = { kind: 'wormWheel', worm: THREAD, wheelTeeth: 40, faceWidthMm: 16, form: 'throated', backlashMm: 0.1 };

/** Gears that cannot be made, and pairs that do not run. */
export const MAKE_REFUSALS: readonly (readonly [op: string, input: object, path: string, detail: object])[] = [
  [
    'make.outline',
    { gear: { teeth: 20, normalModuleMm: 2 }, bore: { shape: 'square', sizeMm: 30 } },
    'bore.sizeMm',
    { reason: 'boreThroughRoots', mostMm: 35 },
  ],
  ['make.file', { part: BEVEL, bore: { shape: 'none' }, format: 'svg', family: 'none' }, 'format', { reason: 'notFlat' }],
  [
    'make.file',
    { part: { ...WHEEL, faceWidthMm: 40 }, bore: { shape: 'none' }, format: 'stl', family: 'none' },
    'part.faceWidthMm',
    { reason: 'faceBeyondThroat', given: 40 },
  ],
  [
    'make.file',
    {
      part: { ...BEVEL, member: 'pinion', pinionTeeth: 6, pressureAngleDeg: 30, toothThinningMm: 3 },
      bore: { shape: 'none' },
      format: 'stl',
      family: 'none',
    },
    'part.pressureAngleDeg',
    { reason: 'toothPointed' },
  ],
  [
    'make.file',
    {
      part: { kind: 'internal', teeth: 48, normalModuleMm: 1, faceWidthMm: 8, rimMm: 4 },
      bore: { shape: 'none' },
      format: 'stl',
      piece: 'threeTeeth',
      family: 'none',
    },
    'piece',
    { reason: 'noTryOfRing' },
  ],
  ['make.pair', { family: 'none', a: BEVEL, b: WHEEL }, 'b', { reason: 'noSuchPair' }],
  ['make.pair', { family: 'sector-steering', a: BEVEL, b: WHEEL }, 'family', { reason: 'safetyCriticalNotMade' }],
  [
    'make.file',
    { gear: { teeth: 20, normalModuleMm: 2 }, bore: { shape: 'none' }, faceWidthMm: 9, format: '3mf', family: 'sector-steering' },
    'family',
    { reason: 'safetyCriticalNotMade' },
  ],
];
