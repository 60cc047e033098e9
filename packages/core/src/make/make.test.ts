import DxfParser from 'dxf-parser';
import fc from 'fast-check';
import { XMLParser } from 'fast-xml-parser';
import JSZip from 'jszip';
import NodeStl from 'node-stl';
import svgpath from 'svgpath';
import { CoreFailure } from '../failure/CoreFailure.ts';
import { cylindricalDimensions } from '../gear/cylindrical/dimensions.ts';
import { generatedTooth } from '../gear/cylindrical/generated.ts';
import { cutOf, halfAngleAt } from '../gear/cylindrical/profile.ts';
import { cylindricalInput } from '../gear/cylindrical/schema.ts';
import { fileInput, gearFile, gearSolid } from './file.ts';
import { gearOutlineToMake, outlineInput } from './outline.ts';
import { areaOf, type Point } from './polyline.ts';
import { isClosed, volumeOf } from './solid.ts';

const gear = (more: object = {}) => ({ teeth: 20, normalModuleMm: 2, ...more });
const outline = (of: object, more: object = {}) => gearOutlineToMake(outlineInput.parse({ gear: of, bore: { shape: 'none' }, ...more }));
const made = (more: object = {}) =>
  fileInput.parse({ gear: gear(), bore: { shape: 'round', sizeMm: 10 }, faceWidthMm: 8, format: 'stl', family: 'none', ...more });
const radius = ([x, y]: Point) => Math.hypot(x, y);
const bytes = (more: object) => Buffer.from(gearFile(made(more)).base64, 'base64');

/** What flat jaws read over k teeth of a polygon: its width where its flanks are, the teeth's middle upright. */
function spanOf(points: readonly Point[], { k, teeth, from }: { k: number; teeth: number; from: number }): number {
  const turn = k % 2 === 1 ? 0 : Math.PI / teeth;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const across = points
    .filter((point) => radius(point) > from)
    .map(([x, y]): Point => [x * c - y * s, x * s + y * c])
    .filter(([x, y]) => Math.abs(Math.atan2(x, y)) < (Math.PI * k) / teeth)
    .map(([x]) => x);
  return Math.max(...across) - Math.min(...across);
}

test('jaws laid over k teeth of the outline read the span of ISO 21771, to 2 µm, whatever the gear', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 10, max: 90 }),
      fc.double({ min: 0, max: 0.5, noNaN: true }),
      fc.double({ min: 0, max: 0.1, noNaN: true }),
      (teeth, profileShift, toothThinningMm) => {
        const asked = { teeth, normalModuleMm: 1, profileShift, toothThinningMm };
        const { spanMm, spanTeeth: k, rootDiameterMm, baseDiameterMm } = cylindricalDimensions(cylindricalInput.parse(asked));
        const { outline: points } = outline(asked, { chordToleranceMm: 0.0005 });
        const from = Math.max(rootDiameterMm / 2 + 0.4, baseDiameterMm / 2 + 0.005);
        expect(Math.abs(spanOf(points, { k, teeth, from }) - spanMm)).toBeLessThan(0.002);
      },
    ),
    { numRuns: 60 },
  );
});

test('it runs once round counter-clockwise from the root circle to the tip circle, a tooth upright', () => {
  for (const teeth of [8, 17, 20, 60]) {
    const { outline: points } = outline(gear({ teeth }));
    const { tipDiameterMm, rootDiameterMm } = cylindricalDimensions(cylindricalInput.parse(gear({ teeth })));
    expect(areaOf(points)).toBeGreaterThan(0);
    expect(Math.max(...points.map(radius))).toBeCloseTo(tipDiameterMm / 2, 6);
    expect(Math.min(...points.map(radius))).toBeCloseTo(rootDiameterMm / 2, 6);
    // Mirrored it is the same, and what stands up is a tip.
    for (const [x, y] of points) expect(points.some(([x1, y1]) => Math.hypot(x + x1, y - y1) < 1e-6)).toBe(true);
    expect(points.some((point) => Math.abs(Math.atan2(point[0], point[1])) < 1 / teeth && radius(point) > tipDiameterMm / 2 - 1e-6)).toBe(
      true,
    );
    const steps = points.map((point, i) => {
      const [x1, y1] = points[(i + 1) % points.length] as Point;
      return Math.atan2(point[0] * y1 - point[1] * x1, point[0] * x1 + point[1] * y1);
    });
    expect(steps.reduce((sum, each) => sum + each, 0)).toBeCloseTo(2 * Math.PI, 9);
  }
});

test('no chord lies further off the true involute than is said, and a finer wish is kept', () => {
  const cut = cutOf({ ...cylindricalInput.parse(gear()), normalModuleMm: 2 });
  const { profile } = generatedTooth(cut);
  for (const chordToleranceMm of [0.05, 0.005, 0.0005]) {
    const { outline: points, deviationMm } = outline(gear(), { chordToleranceMm });
    expect(deviationMm).toBeLessThanOrEqual(chordToleranceMm);
    const middles = points.map(([x, y], i): Point => {
      const [x1, y1] = points[(i + 1) % points.length] as Point;
      return [(x + x1) / 2, (y + y1) / 2];
    });
    const onFlank = middles.filter((point) => radius(point) > 19.3 && radius(point) < 21.9 && point[1] > 0 && Math.abs(point[0]) < 3);
    expect(onFlank.length).toBeGreaterThan(1);
    for (const [x, y] of onFlank) {
      const r = Math.hypot(x, y);
      const off = r * Math.abs(Math.abs(Math.atan2(x, y)) - halfAngleAt(cut, profile, 2 * r));
      expect(off).toBeLessThanOrEqual(1.15 * chordToleranceMm);
    }
  }
});

test('with too few teeth the rack takes the foot of the involute away, and a shift gives it back', () => {
  const foot = (profileShift: number) => {
    const cut = cutOf({ ...cylindricalInput.parse(gear({ teeth: 8, profileShift })), normalModuleMm: 2 });
    const tooth = generatedTooth(cut);
    const lowest = Array.from({ length: 101 }, (_, i) => tooth.fillet(i / 100)).reduce((p, q) => (q.halfAngle < p.halfAngle ? q : p));
    return { narrowest: lowest.radiusMm, joins: tooth.flank(0).radiusMm, base: tooth.profile.baseDiameterMm / 2 };
  };
  const undercut = foot(0);
  expect(undercut.joins).toBeGreaterThan(undercut.base + 0.05);
  expect(undercut.narrowest).toBeLessThan(undercut.joins - 0.02);
  const whole = foot(0.6);
  expect(whole.joins).toBeCloseTo(whole.base, 1);
});

test('shrinkage draws everything out, the kerf moves the path out and the hole in by half of it', () => {
  const bore = { bore: { shape: 'round', sizeMm: 10 } };
  const [plain, shrinks, cut] = [{}, { shrinkagePercent: 2 }, { kerfMm: 0.3 }].map((allowance) => outline(gear(), { ...bore, allowance }));
  const widest = (points: readonly Point[] = []) => Math.max(...points.map(radius));
  expect(widest(shrinks?.outline) / widest(plain?.outline)).toBeCloseTo(1 / 0.98, 9);
  expect(widest(shrinks?.holes[0]) / widest(plain?.holes[0])).toBeCloseTo(1 / 0.98, 9);
  expect(widest(cut?.holes[0])).toBeCloseTo(5 - 0.15, 2);
  // Flat jaws over the path read the span and one kerf.
  const span = (points: readonly Point[] = []) => spanOf(points, { k: 3, teeth: 20, from: 19 });
  expect(span(cut?.outline) - span(plain?.outline)).toBeCloseTo(0.3, 2);
  expect(() => outline(gear({ normalModuleMm: 0.3 }), { allowance: { kerfMm: 1 } })).toThrow(CoreFailure);
});

const BORES = [
  ['round', { sizeMm: 10 }, 25 * Math.PI],
  ['square', { sizeMm: 10 }, 100],
  ['hexagon', { sizeMm: 10 }, (Math.sqrt(3) / 2) * 100],
  // A circle less the segment beyond a flat 3 mm from its centre: r² acos(h/r) − h √(r² − h²).
  ['dFlat', { sizeMm: 10, flatMm: 8 }, 25 * Math.PI - (25 * Math.acos(0.6) - 3 * 4)],
  ['key', { sizeMm: 10, keyWidthMm: 3, keyDepthMm: 1.4 }, null],
] as const;

test.each(BORES)('a %s bore has its area, and leaves a closed body of that volume', (shape, sizes, area) => {
  const input = made({ bore: { shape, ...sizes }, chordToleranceMm: 0.001 });
  const { outline: points, holes } = outline(gear(), { bore: { shape, ...sizes }, chordToleranceMm: 0.001 });
  const hole = areaOf(holes[0] ?? []);
  if (area === null) {
    // The round and the slot beyond it: more than the round, less than the round and the whole slot.
    expect(hole).toBeGreaterThan(25 * Math.PI + 3 * 1.4);
    expect(hole).toBeLessThan(25 * Math.PI + 3 * 1.9);
  } else expect(Math.abs(hole - area)).toBeLessThan(0.05);
  const solid = gearSolid(input);
  expect(isClosed(solid)).toBe(true);
  expect(volumeOf(solid)).toBeCloseTo((areaOf(points) - hole) * 8, 6);
});

test.each([
  ['a hub', { hub: { diameterMm: 18, lengthMm: 6 } }],
  ['a helix', { gear: gear({ helixAngleDeg: 18 }) }],
  ['a helix and a hub', { gear: gear({ helixAngleDeg: -12 }), hub: { diameterMm: 18, lengthMm: 6 } }],
  ['three teeth for a try', { piece: 'threeTeeth' }],
  ['its bore for a try', { piece: 'bore' }],
  ['no bore', { bore: { shape: 'none' } }],
])('with %s the body is closed and has a volume', (_name, more) => {
  const solid = gearSolid(made(more));
  expect(isClosed(solid)).toBe(true);
  expect(volumeOf(solid)).toBeGreaterThan(100);
});

test('a body with a triangle left out is not closed, and a hub that does not go with gear or bore is refused', () => {
  const solid = gearSolid(made());
  expect(isClosed({ ...solid, triangles: solid.triangles.slice(1) })).toBe(false);
  for (const diameterMm of [9, 40]) expect(() => gearSolid(made({ hub: { diameterMm, lengthMm: 5 } }))).toThrow(CoreFailure);
});

const [TIP, BORE] = [44, 10];

test('the STL read by another program has the size and the volume of the gear', () => {
  const stl = new NodeStl(bytes({ format: 'stl' }), { density: 1 });
  const [x = 0, y = 0, z = 0] = stl.boundingBox;
  expect([Math.abs(x - TIP), Math.abs(y - TIP), Math.abs(z - 8)].every((off) => off < 0.01)).toBe(true);
  // It tells cm³.
  expect(stl.volume * 1000).toBeCloseTo(volumeOf(gearSolid(made())), 0);
});

test('the 3MF unpacked and parsed by other packages is one closed mesh in millimetres', async () => {
  const zip = await JSZip.loadAsync(bytes({ format: '3mf' }));
  expect(Object.keys(zip.files)).toEqual(expect.arrayContaining(['[Content_Types].xml', '_rels/.rels', '3D/3dmodel.model']));
  const xml = (await zip.file('3D/3dmodel.model')?.async('string')) ?? '';
  type Numbers = Record<string, string>;
  const { model } = new XMLParser({ ignoreAttributes: false, attributeNamePrefix: '' }).parse(xml) as {
    model: { unit: string; resources: { object: { mesh: { vertices: { vertex: Numbers[] }; triangles: { triangle: Numbers[] } } } } };
  };
  const { vertices, triangles } = model.resources.object.mesh;
  expect(model.unit).toBe('millimeter');
  const solid = {
    vertices: vertices.vertex.map(({ x, y, z }) => [Number(x), Number(y), Number(z)] as const),
    triangles: triangles.triangle.map(({ v1, v2, v3 }) => [Number(v1), Number(v2), Number(v3)] as const),
  };
  expect(isClosed(solid)).toBe(true);
  expect(Math.max(...solid.vertices.map(([x, y]) => Math.hypot(x, y)))).toBeCloseTo(TIP / 2, 2);
  expect(volumeOf(solid)).toBeCloseTo(volumeOf(gearSolid(made())), 0);
});

test('DXF and SVG read by other packages are closed rings of the gear’s size in millimetres', () => {
  const dxf = new DxfParser().parseSync(bytes({ format: 'dxf' }).toString());
  const rings = (dxf?.entities ?? []) as unknown as { shape: boolean; vertices: { x: number; y: number }[] }[];
  expect(dxf?.header.$INSUNITS).toBe(4);
  expect(rings.map(({ shape }) => shape)).toEqual([true, true]);
  const reach = rings.map(({ vertices }) => 2 * Math.max(...vertices.map(({ x, y }) => Math.hypot(x, y))));
  expect(reach[0]).toBeCloseTo(TIP, 2);
  expect(reach[1]).toBeCloseTo(BORE, 2);

  const svg = bytes({ format: 'svg' }).toString();
  const { path, width, viewBox } = (
    new XMLParser({ ignoreAttributes: false, attributeNamePrefix: '' }).parse(svg) as {
      svg: { path: { d: string }; width: string; viewBox: string };
    }
  ).svg;
  expect(width).toBe(`${viewBox.split(' ')[2]}mm`);
  const corners: number[] = [];
  let closed = 0;
  svgpath(path.d)
    .abs()
    .iterate(([command, x, y]) => {
      if (command === 'Z' || command === 'z') closed++;
      else corners.push(Math.hypot(Number(x), Number(y)));
    });
  expect(closed).toBe(2);
  expect(2 * Math.max(...corners)).toBeCloseTo(TIP, 2);
  expect(2 * Math.min(...corners)).toBeCloseTo(BORE, 2);
});

test('the same gear gives the same file on any day', () => {
  // The DXF package counts its handles on from file to file; what is drawn is the same.
  for (const format of ['svg', 'stl', '3mf']) expect(gearFile(made({ format }))).toEqual(gearFile(made({ format })));
});

test('teeth finer than a file can hold are refused', () => {
  expect(() => outline(gear({ normalModuleMm: 0.000006 }))).toThrow(expect.objectContaining({ code: 'outOfRange' }));
  expect(outline(gear({ normalModuleMm: undefined, diametralPitch: 1000 })).outline.length).toBeGreaterThan(20);
});
