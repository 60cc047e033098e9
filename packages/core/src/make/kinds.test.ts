import fc from 'fast-check';
import JSZip from 'jszip';
import NodeStl from 'node-stl';
import { meshInput, meshPair } from '../gear/cylindrical/mesh.ts';
import { cutOf, halfAngleAt, profileOf } from '../gear/cylindrical/profile.ts';
import { radians } from '../quantity/angle.ts';
import { refusalOf } from '../testing.ts';
import { bevelGeometry, bevelPart, sphericalInvolute } from './bevelSolid.ts';
import { holeOf } from './bore.ts';
import { fileInput, gearFile, gearSolid } from './file.ts';
import { makePair, pairInput } from './pair.ts';
import { areaOf, reachOf, type Point } from './polyline.ts';
import type { Solid } from './loft.ts';
import { isClosed, volumeOf } from './solid.ts';
import { wormSection } from './wormSolid.ts';
import { wormPart, wormThread, WORM_PROFILES } from './wormThread.ts';
import { wheelGeometry, wormWheelPart } from './wormWheel.ts';
import { ringOfSpaces } from './wheelSections.ts';

const THREAD = { starts: 2, axialModuleMm: 2, diameterQuotient: 10, profile: 'ZI', hand: 'right' } as const;
const WORM = { kind: 'worm', ...THREAD, lengthMm: 34 };
const WHEEL = { kind: 'wormWheel', worm: THREAD, wheelTeeth: 30, faceWidthMm: 16, form: 'throated', backlashMm: 0.1 };
const BEVEL = { kind: 'bevel', pinionTeeth: 20, wheelTeeth: 40, outerModuleMm: 3, faceWidthMm: 15 };
const PINION = { ...BEVEL, member: 'pinion' };
const CROWN = { ...BEVEL, member: 'wheel' };
const INTERNAL = { kind: 'internal', teeth: 48, normalModuleMm: 1, faceWidthMm: 8, rimMm: 4 };
const RACK = { kind: 'rack', teeth: 10, normalModuleMm: 2, faceWidthMm: 10, backMm: 6 };
const SECTOR = { kind: 'sector', teeth: 60, teethPresent: 20, normalModuleMm: 1, faceWidthMm: 5 };
const HELICAL = { kind: 'helical', teeth: 20, normalModuleMm: 2, helixAngleDeg: 15, faceWidthMm: 8 };
const EVERY = { WORM, WHEEL, PINION, CROWN, INTERNAL, RACK, SECTOR, HELICAL };

const asked = (part: object, more: object = {}) =>
  fileInput.parse({ part, bore: { shape: 'round', sizeMm: 8 }, format: 'stl', family: 'none', chordToleranceMm: 0.02, ...more });
const solid = (part: object, more: object = {}): Solid =>
  gearSolid(asked(part, 'backMm' in part ? { bore: { shape: 'none' }, ...more } : more));
const pair = (a: object, b: object, more: object = {}) => makePair(pairInput.parse({ family: 'none', a, b, ...more }));
const thread = (more: object = {}) => wormThread(wormPart.parse({ ...WORM, ...more }));

describe('a worm by its flank form', () => {
  test('ZA is straight in the plane through the axis, at tan α_axial = tan αₙ/cos γ', () => {
    const { halfAngleAt: half, leadMm, leadAngle } = thread({ profile: 'ZA' });
    const axial = (radius: number) => (leadMm / (2 * Math.PI)) * half(radius);
    const slope = Math.tan(radians(20)) / Math.cos(leadAngle);
    for (const radius of [8, 9, 10, 11, 12]) expect(axial(radius)).toBeCloseTo(Math.PI / 2 - (radius - 10) * slope, 9);
  });

  test('ZN is straight in the plane normal to the thread: its points, brought there along their helix, lie on one line', () => {
    const { halfAngleAt: half, leadMm, leadAngle } = thread({ profile: 'ZN' });
    const inNormalPlane = (radius: number): readonly [number, number] => {
      // Along the helix until it stands in the plane: z = −y/tan γ of that plane, found by halving.
      let [low, high] = [0, Math.PI];
      for (let i = 0; i < 60; i++) {
        const turn = (low + high) / 2;
        const [y, z] = [radius * Math.sin(turn - half(radius)), (leadMm / (2 * Math.PI)) * turn];
        if (z * Math.sin(leadAngle) + y * Math.cos(leadAngle) > 0) high = turn;
        else low = turn;
      }
      const at = low - half(radius);
      const [x, y, z] = [radius * Math.cos(at), radius * Math.sin(at), (leadMm / (2 * Math.PI)) * low];
      return [x, z * Math.cos(leadAngle) - y * Math.sin(leadAngle)];
    };
    const [[x0, h0], [x1, h1]] = [inNormalPlane(8), inNormalPlane(12)];
    for (const radius of [9, 10, 11]) {
      const [x, h] = inNormalPlane(radius);
      expect(h).toBeCloseTo(h0 + ((h1 - h0) * (x - x0)) / (x1 - x0), 6);
    }
    expect((h0 - h1) / (x1 - x0)).toBeCloseTo(Math.tan(radians(20)), 6);
  });

  test('ZI is the involute helicoid of a helical gear with as many teeth as it has starts', () => {
    const { halfAngleAt: half, leadAngle, tipRadiusMm } = thread({ profile: 'ZI' });
    const cut = cutOf({
      teeth: 2,
      normalModuleMm: 2 * Math.cos(leadAngle),
      pressureAngleDeg: 20,
      helixAngleDeg: 90 - (leadAngle * 180) / Math.PI,
      profileShift: 0,
      addendumCoefficient: 1,
      dedendumCoefficient: 1.25,
      toothThinningMm: 0,
    });
    for (const radius of [9, 10, 11, tipRadiusMm]) expect(half(radius)).toBeCloseTo(halfAngleAt(cut, profileOf(cut), 2 * radius), 9);
  });

  test('its section is as large as what is threaded through it: volume over length, the runouts aside, and counter-clockwise', () => {
    for (const profile of WORM_PROFILES) {
      const [long, longer] = [60, 72.566].map((lengthMm) =>
        volumeOf(solid({ ...WORM, profile, lengthMm }, { bore: { shape: 'none' }, chordToleranceMm: 0.005 })),
      );
      const section = areaOf(wormSection(thread({ profile }), 0.005));
      expect(((longer ?? 0) - (long ?? 0)) / 12.566 / section).toBeCloseTo(1, 3);
    }
  });

  test('a left-hand worm is the mirror image of a right-hand one', () => {
    const [right, left] = [solid(WORM), solid({ ...WORM, hand: 'left' })];
    expect(volumeOf(left) / volumeOf(right)).toBeCloseTo(1, 4);
    // A little further up, a right-hand thread's tip has gone on counter-clockwise.
    const tipAt = ({ vertices }: Solid, height: number) => {
      const near = vertices.filter(([x, y, z]) => Math.hypot(x, y) > 11.99 && Math.abs(z - height) < 0.06);
      return Math.atan2(
        near.reduce((sum, [, y]) => sum + y, 0),
        near.reduce((sum, [x]) => sum + x, 0),
      );
    };
    const single = (hand: string) => solid({ ...WORM, starts: 1, hand });
    expect(tipAt(single('right'), 17.3) - tipAt(single('right'), 17)).toBeGreaterThan(0.1);
    expect(tipAt(single('left'), 17.3) - tipAt(single('left'), 17)).toBeLessThan(-0.1);
  });
});

describe('every kind', () => {
  test.each(Object.entries(EVERY))(
    '%s: closed, its outside outward; another program reads the same volume from the file, to a thousandth',
    (_, part) => {
      const body = solid(part);
      expect(isClosed(body)).toBe(true);
      const volume = volumeOf(body);
      expect(volume).toBeGreaterThan(0);
      const bytes = Buffer.from(gearFile(asked(part, 'backMm' in part ? { bore: { shape: 'none' } } : {})).base64, 'base64');
      // It says cm³.
      expect((1000 * new NodeStl(bytes).volume) / volume).toBeCloseTo(1, 3);
    },
  );

  test.each(Object.entries(EVERY))('%s: three teeth and its seat are closed bodies too, and smaller', (_, part) => {
    const whole = volumeOf(solid(part));
    for (const piece of ['threeTeeth', 'seat']) {
      if (piece === 'threeTeeth' && 'rimMm' in part) continue;
      const few = solid(part, { piece, ...(piece === 'seat' && { bore: { shape: 'round', sizeMm: 8 } }) });
      expect([piece, isClosed(few)]).toEqual([piece, true]);
      expect(volumeOf(few)).toBeLessThan(whole);
    }
  });

  test('a 3MF holds as many corners and triangles as the body', async () => {
    const zip = await JSZip.loadAsync(Buffer.from(gearFile(asked(PINION, { format: '3mf' })).base64, 'base64'));
    const model = (await zip.file('3D/3dmodel.model')?.async('string')) ?? '';
    const { vertices, triangles } = solid(PINION);
    expect([model.split('<vertex ').length - 1, model.split('<triangle ').length - 1]).toEqual([vertices.length, triangles.length]);
  });

  test('what shrinks is drawn out in all three directions; heights are whole layers', () => {
    const grown = volumeOf(solid(WHEEL, { allowance: { shrinkagePercent: 2 } })) / volumeOf(solid(WHEEL));
    expect(grown).toBeCloseTo(1 / 0.98 ** 3, 3);
    const tall = (layerMm: number) => Math.max(...solid(SECTOR, { allowance: { layerMm } }).vertices.map(([, , z]) => z));
    expect(tall(0.3)).toBeCloseTo(5.1, 9);
  });
});

describe('a worm’s wheel', () => {
  const geometry = (more: object = {}) => wheelGeometry(wormWheelPart.parse({ ...WHEEL, ...more }));

  test('slices add up to its volume, to a thousandth', () => {
    const wheel = geometry();
    const slices = 200;
    const areas = Array.from({ length: slices + 1 }, (_, i) => areaOf(ringOfSpaces(wheel.spaceAt(16 * (i / slices - 0.5)), wheel.teeth)));
    const sum = areas.reduce((total, area, i) => total + (i === 0 || i === slices ? area / 2 : area), 0) * (16 / slices);
    expect(volumeOf(solid(WHEEL, { bore: { shape: 'none' } })) / sum).toBeCloseTo(1, 3);
  });

  test('in the middle plane of a ZA worm it is the gear that a straight rack of that pressure angle cuts', () => {
    // ISO 21771, 30 teeth: half the angle of the space at a radius.
    const { spaceAt, pitchRadiusMm, worm } = geometry({ worm: { ...THREAD, profile: 'ZA' }, backlashMm: 0 });
    const alpha = Math.atan(Math.tan(radians(20)) / Math.cos(worm.leadAngle));
    const involute = (angle: number) => Math.tan(angle) - angle;
    const { radiiMm, right } = spaceAt(0);
    radiiMm.forEach((radius, i) => {
      if (radius < pitchRadiusMm - 0.8) return;
      const at = Math.acos((pitchRadiusMm * Math.cos(alpha)) / radius);
      const halfSpace = Math.PI / 60 - involute(alpha) + involute(at);
      expect(Math.abs((right[i] ?? 0) - halfSpace) * radius).toBeLessThan(0.002);
    });
  });

  test('turned with its worm in space it has the backlash that was asked for and runs into nothing, whatever the thread', () => {
    fc.assert(
      fc.property(
        fc.record({
          starts: fc.integer({ min: 1, max: 4 }),
          profile: fc.constantFrom(...WORM_PROFILES),
          hand: fc.constantFrom('right', 'left'),
          diameterQuotient: fc.double({ min: 8, max: 14, noNaN: true }),
          teeth: fc.integer({ min: 18, max: 60 }),
          backlashMm: fc.double({ min: 0.02, max: 0.3, noNaN: true }),
          form: fc.constantFrom('throated', 'straight'),
        }),
        ({ teeth, backlashMm, form, ...more }) => {
          const worm = { ...THREAD, ...more };
          const found = pair({ ...WORM, ...worm }, { ...WHEEL, worm, wheelTeeth: teeth, backlashMm, form, faceWidthMm: 12 });
          expect(found.interferenceMm).toBeLessThan(0.01);
          expect(Math.abs(found.backlashMm - backlashMm)).toBeLessThan(0.01);
          // The surface lies within a hundredth of what the worm touches.
          expect(found.contactShare).toBeGreaterThan(0.75);
        },
      ),
      { numRuns: 25 },
    );
  });

  test('nearer together it runs into its worm, further apart it has more play', () => {
    const [near, far] = [44.8 - 5, 45.3 - 5].map((centreDistanceMm) => pair(WORM, WHEEL, { centreDistanceMm }));
    expect(near?.interferenceMm).toBeGreaterThan(0.01);
    expect(far?.backlashMm).toBeGreaterThan(0.2);
    expect(far?.contactShare).toBeLessThan(0.5);
  });

  test('a three-teeth piece is three teeth of the wheel', () => {
    const few = solid(WHEEL, { piece: 'threeTeeth' });
    const angles = few.vertices.filter(([x, y]) => Math.hypot(x, y) > 32).map(([x, y]) => Math.atan2(x, y));
    expect((Math.max(...angles) - Math.min(...angles)) / ((2 * Math.PI) / 30)).toBeGreaterThan(2);
    expect((Math.max(...angles) - Math.min(...angles)) / ((2 * Math.PI) / 30)).toBeLessThan(3.3);
  });
});

describe('a straight bevel', () => {
  const geometry = (more: object = {}) => bevelGeometry(bevelPart.parse({ ...PINION, ...more }));

  test('a spherical involute begins at its base cone, and a far apex makes it the plane one', () => {
    expect(sphericalInvolute(0.4, 0.4)).toBe(0);
    // On a small cap of a sphere: radii r and r_b, inv α with cos α = r_b/r.
    const [cone, base] = [1e-3 / Math.cos(radians(20)), 1e-3];
    expect(sphericalInvolute(cone, base)).toBeCloseTo(Math.tan(radians(20)) - radians(20), 6);
  });

  test('cones of ISO 23509, and a tooth as thick as its space on the pitch cone', () => {
    const { pitchCone, faceCone, rootCone, outerMm, halfAngleAt: half } = geometry();
    expect([pitchCone, outerMm].map((each) => Number(each.toFixed(4)))).toEqual([0.4636, 67.082]);
    expect([Math.tan(faceCone - pitchCone) * outerMm, Math.tan(pitchCone - rootCone) * outerMm]).toEqual([
      expect.closeTo(3, 9),
      expect.closeTo(3.75, 9),
    ]);
    expect(half(pitchCone)).toBeCloseTo(Math.PI / 40, 12);
    expect(half(faceCone)).toBeGreaterThan(0);
  });

  test('Tredgold’s gear on the back cone is within a few hundredths of a millimetre of it', () => {
    const { pitchCone, faceCone, outerMm, halfAngleAt: half } = geometry();
    const virtual = 20 / Math.cos(pitchCone);
    const r = (3 * virtual) / 2;
    const involute = (angle: number) => Math.tan(angle) - angle;
    const offs = [0.2, 0.5, 1].map((share) => {
      const cone = pitchCone + share * (faceCone - pitchCone);
      const radius = r + outerMm * Math.tan(cone - pitchCone);
      const at = Math.acos((r * Math.cos(radians(20))) / radius);
      const tredgold = radius * (Math.PI / (2 * virtual) + involute(radians(20)) - involute(at));
      return Math.abs(tredgold - (outerMm / Math.cos(cone - pitchCone)) * Math.sin(cone) * half(cone));
    });
    expect(Math.max(...offs)).toBeLessThan(0.03);
    expect(Math.max(...offs)).toBeGreaterThan(0.0005);
  });

  test('a pair rolls on its cones without running into each other; thinner teeth leave play', () => {
    const found = pair(PINION, CROWN);
    expect([found.interferenceMm, found.backlashMm].every((each) => each < 0.005)).toBe(true);
    const thinner = pair({ ...PINION, toothThinningMm: 0.05 }, { ...CROWN, toothThinningMm: 0.05 });
    // In the middle of the face, where everything is smaller.
    expect(Math.abs(thinner.backlashMm - (0.1 * (67.082 - 7.5)) / 67.082)).toBeLessThan(0.005);
    for (const shaftAngleDeg of [70, 110])
      expect(pair({ ...PINION, shaftAngleDeg }, { ...CROWN, shaftAngleDeg }).interferenceMm).toBeLessThan(0.01);
  });
});

describe('flat kinds', () => {
  test('spur pairs have the play of ISO 21771 at their centre distance', () => {
    const gear = (teeth: number) => ({ kind: 'spur', teeth, normalModuleMm: 2, faceWidthMm: 10, toothThinningMm: 0.06 });
    for (const centreDistanceMm of [60, 60.2]) {
      const mesh = meshPair(
        meshInput.parse({
          normalModuleMm: 2,
          pinion: { teeth: 24, profileShift: 0, toothThinningMm: 0.06 },
          wheel: { teeth: 36, profileShift: 0, toothThinningMm: 0.06 },
          centreDistanceMm,
        }),
      );
      const found = pair(gear(24), gear(36), { centreDistanceMm });
      expect(Math.abs(found.backlashMm - mesh.circumferentialBacklashMm)).toBeLessThan(0.012);
      expect(found.interferenceMm).toBe(0);
    }
    expect(
      pair({ ...gear(24), kind: 'helical', helixAngleDeg: 12 }, { ...gear(36), kind: 'helical', helixAngleDeg: -12 }).interferenceMm,
    ).toBe(0);
  });

  test('a ring’s space at the pitch circle is half a pitch, its roots 1.25 modules outside, a gear of as many teeth fills it but for the clearances', () => {
    const { vertices } = solid(INTERNAL, { bore: { shape: 'none' } });
    const radii = vertices.map(([x, y]) => Math.hypot(x, y));
    expect(Math.min(...radii)).toBeCloseTo(23, 3);
    expect(radii.some((radius) => Math.abs(radius - 25.25) < 1e-6)).toBe(true);
    expect(Math.max(...radii)).toBeCloseTo(29.25, 3);
    const ring = Math.PI * (29.25 ** 2 - 24 ** 2) * 8;
    expect(volumeOf({ ...solid(INTERNAL, { bore: { shape: 'none' } }) }) / ring).toBeGreaterThan(0.97);
  });

  test('a rack: ten teeth a pitch apart, flanks at the pressure angle, half a pitch thick on its pitch line', () => {
    const { vertices } = solid(RACK);
    const at = (y: number) => vertices.filter((each) => Math.abs(each[1] - y) < 1e-9 && each[2] === 0).map(([x]) => x);
    expect(at(2)).toHaveLength(20);
    const [tips, roots] = [at(2).sort((p, q) => p - q), at(-2.5).sort((p, q) => p - q)];
    expect((tips[1] ?? 0) - (tips[0] ?? 0)).toBeCloseTo(Math.PI - 4 * Math.tan(radians(20)), 9);
    expect((tips[2] ?? 0) - (tips[0] ?? 0)).toBeCloseTo(2 * Math.PI, 9);
    expect(roots).toHaveLength(22);
  });

  test('a sector has the teeth that are left and no others', () => {
    const { vertices } = solid(SECTOR);
    const tips = vertices
      .filter(([x, y, z]) => z === 0 && Math.hypot(x, y) > 30.99)
      .map(([x, y]) => (Math.atan2(y, x) + 2 * Math.PI - 1.4) % (2 * Math.PI));
    const spread = (Math.max(...tips) - Math.min(...tips)) / ((2 * Math.PI) / 60);
    expect(spread).toBeGreaterThan(19);
    expect(spread).toBeLessThan(20);
  });

  test('a splined seat: grooves between its two circles, each as wide as it was said, a land between', () => {
    const hole = holeOf({ shape: 'spline', teeth: 6, majorMm: 20, minorMm: 16, toothMm: 4 }, 0.005);
    const points = hole?.points ?? [];
    expect([reachOf(points).least, reachOf(points).most]).toEqual([expect.closeTo(8, 6), expect.closeTo(10, 6)]);
    const area = Math.PI * 64 + 6 * areaOf(grooveOf());
    expect(areaOf(points) / area).toBeCloseTo(1, 2);
  });
});

/** One groove of that seat beyond its inner circle, as a polygon by hand: 4 wide, from 8 to 10. */
function grooveOf(): readonly Point[] {
  const over = (radius: number, from: number, to: number) =>
    Array.from({ length: 41 }, (_, i): Point => {
      const angle = from + ((to - from) * i) / 40;
      return [radius * Math.cos(angle), radius * Math.sin(angle)];
    });
  const [out, inner] = [Math.asin(2 / 10), Math.asin(2 / 8)];
  return [...over(10, -out, out), ...over(8, inner, -inner)];
}

describe('what cannot be', () => {
  const refused = (part: object, more: object = {}) => refusalOf(() => gearSolid(asked(part, more)));

  test.each([
    ['a bore through a worm’s roots', WORM, { bore: { shape: 'round', sizeMm: 15 } }, 'bore.sizeMm'],
    ['a worm shorter than its runouts', { ...WORM, lengthMm: 5 }, {}, 'part.lengthMm'],
    ['a worm without a diameter', { ...WORM, diameterQuotient: undefined }, {}, 'part.pitchDiameterMm'],
    ['a worm with two', { ...WORM, pitchDiameterMm: 22 }, {}, 'part.diameterQuotient'],
    ['threads deeper than the worm', { ...WORM, diameterQuotient: 2 }, {}, 'part.diameterQuotient'],
    ['a wheel wider than its worm reaches round', { ...WHEEL, faceWidthMm: 30 }, {}, 'part.faceWidthMm'],
    ['a hub as wide as the roots', WHEEL, { hub: { diameterMm: 60, lengthMm: 5 } }, 'hub.diameterMm'],
    ['a face longer than the cone', { ...PINION, faceWidthMm: 80 }, {}, 'faceWidthMm'],
    ['a cone that is none', { ...PINION, wheelTeeth: 60, shaftAngleDeg: 120 }, {}, 'shaftAngleDeg'],
    ['a sector of more teeth than the gear', { ...SECTOR, teethPresent: 61 }, {}, 'part.teethPresent'],
    ['a spline that leaves no wall', HELICAL, { bore: { shape: 'spline', teeth: 6, majorMm: 38, minorMm: 30, toothMm: 4 } }, 'bore.sizeMm'],
    [
      'a spline whose grooves meet',
      HELICAL,
      { bore: { shape: 'spline', teeth: 10, majorMm: 20, minorMm: 16, toothMm: 6 } },
      'bore.toothMm',
    ],
    ['nothing to make', undefined as never, {}, 'part'],
  ])('%s is named by its field', (_, part, more, path) => {
    expect(refused(part, more).path).toBe(path);
  });

  test('a wheel that its worm cannot turn: another hand, another pitch, no worm at all', () => {
    for (const other of [{ ...WORM, hand: 'left' }, { ...WORM, axialModuleMm: 2.5 }, { ...WORM, starts: 1 }, HELICAL])
      expect(refusalOf(() => pair(other, WHEEL)).path).toBe('b');
    expect(refusalOf(() => pair(PINION, PINION)).path).toBe('b');
  });
});
