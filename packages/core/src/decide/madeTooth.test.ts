import { findFamily } from '@patient-badger/knowledge';
import { MATERIALS } from '../material/materials.ts';
import { draftFactsOf } from '../testing.ts';
import type { Pack } from '../trace/pack.ts';
import type { Remedy } from '../work/remedy.ts';
import { draftOptions, type DraftFacts } from './draft.ts';
import { madeTooth, type ToothFacts } from './madeTooth.ts';

const SLIDE = findFamily('slide-rack-drive') as Pack;
const BROKEN = SLIDE.faults.find(({ id }) => id === 'nylon-broken') as Pack['faults'][number];
const MADE = BROKEN.remedies.find(({ kind }) => kind === 'make') as Remedy;
const GEAR: ToothFacts = { teeth: 50, normalModuleMm: 1, faceWidthMm: 8 };

test('a made gear by the printed form factor of 50 teeth of 20° (0.408), by hand: σ·b·m·Y·d/2', () => {
  const byHand = (MATERIALS.nylonMoist.yieldMPa * 8 * 1 * 0.408 * 50) / 2000;
  const found = madeTooth(MADE, GEAR)?.holdsNm ?? NaN;
  expect(Math.abs(found / byHand - 1)).toBeLessThan(0.05);
});

test('it is reckoned of what it is made, not of what the gear was', () => {
  const of = (material: ToothFacts['material']) => madeTooth(MADE, { ...GEAR, material })?.holdsNm;
  expect(of('steel')).toBe(of('acetal'));
  const unsaid = { ...MADE, checks: MADE.checks.map(({ material: _, ...rest }) => rest) };
  expect(madeTooth(unsaid, GEAR)).toMatchObject({ holdsNm: null, missing: ['material'] });
  expect(madeTooth(unsaid, { ...GEAR, material: 'acetal' })?.missing).toEqual([]);
});

test('what was not measured is named; a gear that cannot be says nothing; what is bought is not reckoned', () => {
  expect(madeTooth(MADE, undefined)).toMatchObject({ holdsNm: null, needNm: 4, missing: ['teeth', 'normalModuleMm', 'faceWidthMm'] });
  expect(madeTooth(MADE, { ...GEAR, teeth: 3 })?.holdsNm).toBeNull();
  expect(madeTooth(BROKEN.remedies.find(({ kind }) => kind === 'replace') as Remedy, GEAR)).toBeNull();
});

describe('what it does to the options', () => {
  const drafted = (family: string, fault: string, more: Partial<DraftFacts>) =>
    draftOptions(draftFactsOf(findFamily(family) as Pack, [fault], more));
  const named = (options: ReturnType<typeof draftOptions>, id: string) => options.drafts.find(({ option }) => option === id);

  test('a narrow made gear is not offered and says why; a wide one says what it holds', () => {
    const slide = (faceWidthMm: number) => drafted('slide-rack-drive', 'nylon-broken', { gear: 'nylon', tooth: { ...GEAR, faceWidthMm } });
    expect(named(slide(8), MADE.id)?.facts.holding).toMatchObject({ way: 'tooth', needNm: 4 });
    expect(named(slide(4), MADE.id)).toBeUndefined();
    expect(slide(4).notOffered).toContainEqual(expect.objectContaining({ why: 'doesNotHold', needNm: 4 }));
  });

  test('what was measured of another gear says nothing of this one', () => {
    const other = drafted('slide-rack-drive', 'nylon-broken', { gear: 'lpinion', tooth: { ...GEAR, faceWidthMm: 4 } });
    expect(named(other, MADE.id)?.facts.holding).toMatchObject({ holdsNm: null });
  });

  test('a new wheel on a worm that is worn out is not offered, the pair is; nobody having measured the worm is said', () => {
    const auger = (wear: DraftFacts['wear']) => drafted('auger-gearbox', 'wheel-points', { wear });
    expect(named(auger({}), 'wheel-only')?.facts.unmeasuredMate).toBeDefined();
    expect(named(auger({ worm: 'good' }), 'wheel-only')?.facts.unmeasuredMate).toBeUndefined();
    const worn = auger({ worm: 'replace' });
    expect(named(worn, 'wheel-only')).toBeUndefined();
    expect(worn.notOffered).toContainEqual(expect.objectContaining({ why: 'mateWorn' }));
    expect(named(worn, 'wheel-and-worm')).toBeDefined();
  });

  test('metal in the place of a fuse, a bored pin, a wall that gets thinner: what has to be worked out first is named', () => {
    const first = (family: string, fault: string, id: string) => named(drafted(family, fault, {}), id)?.facts.reckonFirst;
    expect(first('mid-drive-motor', 'nylon-stripped', 'nylon-metal')).toEqual(['weakestLink']);
    expect(first('slide-rack-drive', 'left-pin', 'pin-stronger-left')).toEqual(['pin', 'weakestLink']);
    expect(first('slide-rack-drive', 'left-pin', 'drive-pin-left')).toBeUndefined();
  });
});
