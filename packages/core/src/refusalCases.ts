import { MAKE_REFUSALS } from './make/refusalCases.ts';

const m = (value: number, plusMinus = 0.03) => ({ value, plusMinus });
const worm = { starts: 1, wheelTeeth: 40, axialModuleMm: 2 };
const span = (teeth: number, value: number) => ({ teeth, spanMm: m(value) });
const pair = { normalModuleMm: 1, pinion: { teeth: 20 }, wheel: { teeth: 30 } };
const gear = { teeth: 25, normalModuleMm: 1 };
const chain = { bodies: [{ id: 'a' }, { id: 'b' }], joints: [{ id: 'm', type: 'mesh', a: 'a', b: 'b', teethA: 12, teethB: 36 }] };
const tyre = { driveTeeth: [7], drivenTeeth: [22], axleRatio: 3.73, cableTurnsPerMile: 1000 };

const solid = (diameterMm: number) => ({ diameterMm, material: 'steel' });
const hub = (outerDiameterMm: number) => ({ outerDiameterMm, lengthMm: 20, material: 'brass' });
const trial = (sleeveDeg: number) => ({ sleeveDeg, backlashMm: m(0.2) });
const suspect = { fault: 'a', probability: 1, actMinor: 1, wrongMinor: 1 };

/** What the operation refuses, at which field, for which reason and with which figures. */
export const REFUSALS: readonly (readonly [op: string, input: object, path: string, detail: object])[] = [
  [
    'fit.bore',
    { shape: 'round', bore: { diameterMm: m(8) }, shaft: { diameterMm: m(9) } },
    'shaft.diameterMm',
    { reason: 'shaftThickerThanBore' },
  ],
  [
    'work.plan',
    { family: 'saw-oil-pump', chosen: [{ fault: 'worm-stripped', remedy: 'worm-new' }], stuck: ['clutch-off'] },
    'stuck',
    { reason: 'noWayToWork', given: 'clutch-off' },
  ],
  ['fit.limits', { nominalMm: 20 }, 'hole', { reason: 'noHoleNoShaft' }],
  ['fit.limits', { nominalMm: 20, hole: 'q7' }, 'hole', { reason: 'noSuchTolerance', code: 'q7', field: 'hole' }],
  ['fit.press', { shaft: solid(20), hub: hub(20), interferenceMm: 0.01 }, 'hub.outerDiameterMm', { reason: 'hubWithoutWall', leastMm: 20 }],
  ['fit.press', { shaft: { ...solid(20), boreMm: 20 }, hub: hub(40), interferenceMm: 0.01 }, 'shaft.boreMm', { reason: 'shaftAllBore' }],
  [
    'fit.press',
    { shaft: solid(20), hub: hub(40), interferenceMm: 0.01, wantedTorqueNm: 3 },
    'wantedTorqueNm',
    { reason: 'interferenceOrTorque' },
  ],
  [
    'fit.bond',
    { diameterMm: 10, lengthMm: 9, gapMm: 0.1, shearStrengthMPa: 20, gapRangeMm: { min: 0.2, max: 0.1 } },
    'gapRangeMm.min',
    { reason: 'rangeBackwards' },
  ],
  ...MAKE_REFUSALS,
  ['setup.eccentric', { trials: [trial(0), trial(90)], wantedMm: 0.1 }, 'trials', { reason: 'moreTrials', given: 2, least: 3 }],
  [
    'setup.eccentric',
    { trials: [trial(0), { ...trial(90), backlashMm: m(5) }], wantedMm: 0.1, eccentricityMm: 0.1 },
    'trials',
    { reason: 'trialsAgainstEccentricity' },
  ],
  [
    'prove.speedometer',
    {
      points: [
        { reference: 50, shown: 51 },
        { reference: 50, shown: 52 },
      ],
    },
    'points',
    { reason: 'oneSpeed' },
  ],
  ['learn.due', { last: { date: '2026-01-01' }, every: {}, today: '2026-01-02' }, 'every', { reason: 'noInterval' }],
  [
    'decide.worth',
    { suspects: [suspect], looks: [{ look: 'x', minutes: 1, results: [{ result: 'y', likelihood: { a: 0.5 } }] }], rateMinorPerHour: 1 },
    'looks.0.results',
    { reason: 'resultsNotOne', sum: 0.5, given: 'a' },
  ],
  [
    'decide.worth',
    { suspects: [{ ...suspect, probability: 0 }], looks: [], rateMinorPerHour: 1 },
    'suspects',
    { reason: 'noSuspectLikely' },
  ],
  ['ratio.takeoff', { ...tyre, turnsPerKm: 534, pairsAllowed: [[8, 21]] }, 'pairsAllowed', { reason: 'noPairFitsHousing' }],
  ['ratio.takeoff', { ...tyre, turnsPerKm: 534, turnsPerMile: 800 }, 'turnsPerMile', { reason: 'kmOrMile' }],
  ['ratio.takeoff', { ...tyre, turnsPerKm: 534, cableTurnsPerKm: 600 }, 'cableTurnsPerMile', { reason: 'kmOrMile' }],
  [
    'ratio.design',
    { reduction: 3, stages: 1, centreDistanceMm: 90, gears: [12, 36].map((teeth) => ({ teeth, normalModuleMm: 1 })) },
    'centreDistanceMm',
    { reason: 'noPairAtCentreDistance' },
  ],
  ['ratio.tyre', {}, 'size', { reason: 'sizeOrFigure' }],
  ['ratio.tyre', { size: 'large' }, 'size', { reason: 'noTyreSize', given: 'large' }],
  ['ratio.infer', { inputTurns: m(0), outputTurns: m(1), stages: 1 }, 'inputTurns', { reason: 'nothingTurned' }],
  ['ratio.infer', { inputTurns: m(1), outputTurns: m(0), stages: 1 }, 'outputTurns', { reason: 'nothingTurned' }],
  ['ratio.infer', { inputTurns: m(3), outputTurns: m(1), stages: 1, teethRange: [30, 12] }, 'teethRange', { reason: 'fewestFirst' }],
  ['ratio.correct', { reading: 48210, missed: -5, cableTurnsPerMile: 1000 }, 'missed', { reason: 'odometerNeverBack' }],
  ['ratio.correct', { reading: 99_990, missed: 20, cableTurnsPerMile: 1000, digits: 5 }, 'missed', { reason: 'odometerRunsOver' }],
  ['gear.worm.dimensions', { ...worm, diameterQuotient: 2 }, 'diameterQuotient', { reason: 'threadsTooDeep', least: 2.5, module: 2 }],
  ['gear.worm.dimensions', { ...worm, wormPitchDiameterMm: 5 }, 'wormPitchDiameterMm', { reason: 'threadsTooDeep', least: 5, module: 2 }],
  ['gear.worm.dimensions', { ...worm, wheelTeeth: 2, diameterQuotient: 10 }, 'wheelTeeth', { reason: 'wheelWithoutBody' }],
  [
    'gear.worm.dimensions',
    { ...worm, wheelTeeth: 4, wheelProfileShift: -1, diameterQuotient: 10 },
    'wheelProfileShift',
    { reason: 'wheelWithoutBody' },
  ],
  [
    'gear.worm.dimensions',
    { ...worm, wormPitchDiameterMm: 20, diameterQuotient: 9 },
    'diameterQuotient',
    { reason: 'diameterAgainstQuotient', diameterMm: 20, module: 2, quotient: 10, given: 9 },
  ],
  ['gear.wormWheel.identify', { teeth: 40, measurements: {} }, 'measurements', { reason: 'measureThroatFirst' }],
  ['gear.worm.identify', { measurements: {} }, 'measurements', { reason: 'measureWormFirst' }],
  [
    'gear.worm.identify',
    { measurements: { tipDiameterMm: m(15), rootDiameterMm: m(16) } },
    'measurements.rootDiameterMm',
    { reason: 'rootAsThickAsTips' },
  ],
  ['gear.cylindrical.identify', { teeth: 25, measurements: {} }, 'measurements', { reason: 'measureGearFirst' }],
  [
    'gear.cylindrical.identify',
    { teeth: 25, measurements: { tipDiameterMm: m(20), rootDiameterMm: m(20) } },
    'measurements.rootDiameterMm',
    { reason: 'rootAsThickAsTips' },
  ],
  [
    'gear.cylindrical.identify',
    {
      teeth: 25,
      measurements: {
        spans: [
          { teeth: 4, spanMm: m(7) },
          { teeth: 3, spanMm: m(7.7) },
        ],
      },
    },
    'measurements.spans.0.spanMm',
    { reason: 'longerSpanLess', teeth: 4, fewer: 3 },
  ],
  [
    'gear.cylindrical.identify',
    { teethOverArc: { teeth: 1, arcDeg: m(0.7, 0.7) }, measurements: { spans: [{ teeth: 2, spanMm: m(4.6) }] } },
    'teethOverArc.arcDeg.plusMinus',
    { reason: 'arcTooUncertain', arcDeg: 0.7 },
  ],
  [
    'gear.pair.mesh',
    { ...pair, centreDistanceMm: 20 },
    'centreDistanceMm',
    { reason: 'baseCirclesOverlap', leastMm: expect.closeTo(23.492, 3) as number },
  ],
  [
    'gear.pair.mesh',
    { normalModuleMm: 1, pinion: { teeth: 10, profileShift: -0.9 }, wheel: { teeth: 12, profileShift: -0.9 } },
    'pinion.profileShift',
    { reason: 'teethNeverMeet' },
  ],
  [
    'gear.wear',
    { gear, measured: { overPins: [{ pinDiameterMm: 1.7, overPinsMm: m(3) }] } },
    'measured.overPins.0.overPinsMm',
    { reason: 'noGearOverPins' },
  ],
  ['gear.wearBeside', { workedMm: m(1.7), freshMm: m(1.5) }, 'workedMm', { reason: 'workedThicker', workedMm: 1.7, freshMm: 1.5 }],
  ['gear.wear', { gear, measured: { tipDiameterMm: m(27) } }, 'measured', { reason: 'measureSpanFirst' }],
  // Module 1, 25 teeth: 7.73 over three and 10.68 over four teeth, 27 over the tips, 22.5 at the roots.
  ['gear.wear', { gear, measured: { spans: [span(3, 10.68)] } }, 'measured.spans.0.spanMm', { reason: 'notThisThickness' }],
  ['gear.wear', { gear, measured: { spans: [span(3, 7.73), span(4, 7.73)] } }, 'measured.spans.1.spanMm', { reason: 'notThisThickness' }],
  [
    'gear.wear',
    { gear, measured: { overPins: [{ pinDiameterMm: 1.7, overPinsMm: m(30) }] } },
    'measured.overPins.0.overPinsMm',
    { reason: 'notThisThickness' },
  ],
  [
    'gear.wear',
    { gear, measured: { spans: [span(3, 7.7)], tipDiameterMm: m(40) } },
    'measured.tipDiameterMm.value',
    { reason: 'notTheseTips', drawnMm: 27, rootMm: 22.5 },
  ],
  [
    'gear.wear',
    { gear, measured: { spans: [span(3, 7.7)], tipDiameterMm: m(22) } },
    'measured.tipDiameterMm.value',
    { reason: 'notTheseTips' },
  ],
  ['gear.wear', { gear, measured: { spans: [span(3, 7.7)] }, missingTeeth: 40 }, 'missingTeeth', { maximum: 25, given: 40 }],
  [
    'gear.cylindrical.dimensions',
    { teeth: 20, normalModuleMm: 1, pinDiameterMm: 0.4 },
    'pinDiameterMm',
    { reason: 'pinsSink', pinMm: 0.4 },
  ],
  ['gear.cylindrical.dimensions', { teeth: 4, normalModuleMm: 1, dedendumCoefficient: 2.5 }, 'teeth', { reason: 'nothingBelowRoots' }],
  [
    'gear.cylindrical.dimensions',
    { teeth: 40, normalModuleMm: 1, profileShift: -2, addendumCoefficient: 0.5 },
    'profileShift',
    { reason: 'tipsBelowBase' },
  ],
  ['gear.cylindrical.dimensions', { teeth: 20, normalModuleMm: 1, toothThinningMm: 2 }, 'toothThinningMm', { reason: 'noToothLeft' }],
  [
    'gear.cylindrical.dimensions',
    { teeth: 20, normalModuleMm: 1, diametralPitch: 20 },
    'diametralPitch',
    { reason: 'pitchAgainstModule', diametralPitch: 20, module: 1.27, given: 1 },
  ],
  ['gear.compare', { first: {}, second: {} }, 'first', { reason: 'measureBothFirst' }],
  [
    'gear.bevel.identify',
    { pinionTeeth: 9, wheelTeeth: 41, shaftOffsetMm: m(25), measurements: { wheelTipDiameterMm: m(180) } },
    'shaftOffsetMm',
    { reason: 'shaftsPassEachOther', given: 25 },
  ],
  ['gear.bevel.identify', { pinionTeeth: 12, wheelTeeth: 24, measurements: {} }, 'measurements', { reason: 'measureLargeEndFirst' }],
  [
    'gear.bevel.dimensions',
    { pinionTeeth: 10, wheelTeeth: 14, outerModuleMm: 1, faceWidthMm: 30 },
    'faceWidthMm',
    { reason: 'faceLongerThanCone', coneMm: expect.closeTo(Math.hypot(10, 14) / 2, 9) as number },
  ],
  [
    'gear.bevel.dimensions',
    { pinionTeeth: 10, wheelTeeth: 40, outerModuleMm: 1, shaftAngleDeg: 130 },
    'shaftAngleDeg',
    { reason: 'noStraightBevel' },
  ],
  ['gear.rack.identify', { measurements: {} }, 'measurements', { reason: 'measureRackFirst' }],
  ['gear.screw.dimensions', { pitchMm: 2, threadsPerInch: 12 }, 'threadsPerInch', { reason: 'pitchOrThreads' }],
  ['gear.screw.identify', { measurements: {} }, 'measurements', { reason: 'measureScrewFirst' }],
  [
    'gear.arcs',
    { teeth: 12, shape: 'sector', worked: [{ from: 9, to: 2 }], needTeeth: 4 },
    'worked.0.to',
    { reason: 'sectorCountedBack', from: 9, to: 2 },
  ],
  [
    'strength.chain',
    {
      driveline: {
        bodies: [{ id: 'a' }, { id: 'b' }, { id: 'c' }],
        joints: [
          { id: 'ab', type: 'mesh', a: 'a', b: 'b', teethA: 10, teethB: 20 },
          { id: 'bc', type: 'mesh', a: 'b', b: 'c', teethA: 20, teethB: 30 },
          { id: 'ca', type: 'mesh', a: 'c', b: 'a', teethA: 30, teethB: 10 },
        ],
      },
      drive: { body: 'a', torqueNm: 1 },
      links: [{ joint: 'ab', capacityNm: 1 }],
    },
    'driveline.joints',
    { reason: 'drivenInCircle' },
  ],
  [
    'strength.pin',
    { pinDiameterMm: 9, shaftDiameterMm: 9, wallMm: 3, torqueNm: 1, pinShearStrengthMPa: 100, seatBearingStrengthMPa: 100 },
    'pinDiameterMm',
    { reason: 'pinLeavesNoShaft', mostMm: 9 },
  ],
  [
    'setup.torque',
    { value: 4, unit: 'N·m', thread: { majorMm: 5, pitchMm: 1.6, engagedMm: 0.8 } },
    'thread.engagedMm',
    { reason: 'threadBarelyEngaged', leastMm: 0.8 },
  ],
  [
    'make.outline',
    { gear: { teeth: 6, normalModuleMm: 1, profileShift: -1 }, bore: { shape: 'none' } },
    'gear.profileShift',
    { reason: 'teethCross' },
  ],
  [
    'decide.options',
    {
      options: [{ id: 'one', kind: 'replace', partsMinor: 1, minutes: 1, life: { mean: 3 } }],
      use: { perYear: 2, unit: 'years' },
      rateMinorPerHour: 0,
    },
    'use.perYear',
    { reason: 'yearsAreOneAYear' },
  ],
  [
    'learn.due',
    { last: { date: '2026-03-01' }, every: { units: 1e6 }, perYear: 1, today: '2026-11-30' },
    'perYear',
    { reason: 'dueBeyondCalendar' },
  ],
  ['match.fit', { wanted: {}, part: { teeth: 9 } }, 'wanted', { reason: 'nothingWanted' }],
  ['match.fit', { wanted: { teeth: 9 }, part: {} }, 'part', { reason: 'nothingKnownOfPart' }],
  ['match.receive', { ordered: {}, arrived: { teeth: 9 } }, 'ordered', { reason: 'orderSaysNothing' }],
  [
    'scan.teeth',
    { width: 200, height: 200, rgba: new Uint8ClampedArray(16) },
    'rgba',
    { reason: 'pixelsMissing', width: 200, height: 200, given: 16 },
  ],
  [
    'scan.sector',
    { width: 200, height: 200, rgba: new Uint8ClampedArray(16) },
    'rgba',
    { reason: 'pixelsMissing', width: 200, height: 200, given: 16 },
  ],
  [
    'scan.worm',
    { width: 200, height: 200, rgba: new Uint8ClampedArray(16) },
    'rgba',
    { reason: 'pixelsMissing', width: 200, height: 200, given: 16 },
  ],
  ['driveline.motion', { driveline: chain, drive: [{ body: 'a', turns: 3 }], held: ['a'] }, 'held.0', { reason: 'drivenAndHeld', id: 'a' }],
  [
    'driveline.motion',
    { driveline: { ...chain, joints: [{ ...chain.joints[0], b: 'a' }] }, drive: [{ body: 'a', turns: 3 }] },
    'driveline.joints.0.b',
    { reason: 'tiedToItself', id: 'm', body: 'a' },
  ],
  [
    'driveline.motion',
    {
      driveline: { bodies: chain.bodies, joints: [{ id: 's', type: 'screw', nut: 'a', screw: 'b', leadMm: 2 }] },
      drive: [{ body: 'b', turns: 3 }],
    },
    'driveline.joints.0.nut',
    { reason: 'mustBeSlider', id: 'a' },
  ],
  [
    'driveline.motion',
    {
      driveline: { bodies: [{ id: 'a', kind: 'slider' }, { id: 'b' }], joints: chain.joints },
      drive: [{ body: 'b', turns: 3 }],
    },
    'driveline.joints.0.a',
    { reason: 'mustBeRotor', id: 'a' },
  ],
];
