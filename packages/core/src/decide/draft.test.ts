import { findFamily } from '@patient-badger/knowledge';
import { draftFactsOf } from '../testing.ts';
import type { Pack } from '../trace/pack.ts';
import { draftOptions, guideLife, type DraftFacts } from './draft.ts';
import { rankOptions, optionsInput } from './options.ts';

const drafts = (family: string, fault: string | readonly string[], more: Partial<DraftFacts> = {}) =>
  draftOptions(draftFactsOf(findFamily(family) as Pack, [fault].flat(), more));
const ids = ({ drafts: list }: ReturnType<typeof draftOptions>) => list.map(({ option }) => option);

test('what is offered for a loose soft gear are the schools of it; for a torn one none of them', () => {
  expect(ids(drafts('dash-odometer-cable', 'drum-gear-slips'))).toEqual([
    'gear-staked',
    'gear-bonded',
    'gear-soldered',
    'gear-new',
    'instrument-exchange',
    'scrap',
    'stop',
  ]);
  const torn = drafts('dash-odometer-motor', 'wheel-teeth').drafts;
  expect(torn.some(({ kind }) => kind === 'save')).toBe(false);
  expect(
    torn
      .map(({ facts }) => facts.remedy?.leaves)
      .filter(Boolean)
      .every((text) => !/Write/.test(text ?? '')),
  ).toBe(true);
});

test('minutes are of the whole plan from what is open now, not of the remedy alone', () => {
  const of = (opened: readonly string[]) =>
    drafts('saw-oil-pump', 'worm-stripped', { opened }).drafts.find(({ option }) => option === 'worm-new')?.minutes;
  // 10.5 in, 5 of work, 15.5 back, 2.5 proved: as in the plan's own test.
  expect(of([])).toBe(34);
  expect(of(['lead-off', 'cover-off', 'bar-off'])).toBe(31);
});

test('a price is a guide by the shop’s rate until somebody asks, then what is asked; off the shelf it costs nothing', () => {
  const worm = (more: Partial<DraftFacts>, option = 'worm-new') =>
    drafts('saw-oil-pump', 'worm-stripped', { gear: 'worm', ...more }).drafts.find((each) => each.option === option);
  expect(worm({})).toMatchObject({ partsMinor: 2100, facts: { isGuidePrice: true } });
  const offers = [{ supplier: 'Hobdray Stores', priceMinor: 1850, leadDays: 4, stock: 0 }];
  expect(worm({ offers })).toMatchObject({ partsMinor: 1850, leadDays: 4, downtimeDays: 4, facts: { sellers: 1, soonestDays: 4 } });
  expect(worm({ offers })?.facts.isGuidePrice).toBeUndefined();
  const asked = [
    { body: 'worm', what: 'Oil pump worm', priceMinor: 2600, leadDays: 9 },
    { body: 'worm', what: 'Oil pump worm', priceMinor: 2450, leadDays: 6 },
    { body: 'pump', what: 'Another', priceMinor: 1, leadDays: 0 },
  ];
  expect(worm({ asked })).toMatchObject({ partsMinor: 2450, leadDays: 6 });
  expect(worm({ asked })?.facts.isGuidePrice).toBeUndefined();
  expect(worm({})?.facts.unasked).toEqual([{ gear: 'worm' }]);
  expect(worm({ donors: 2 }, 'worm-donor')).toMatchObject({ partsMinor: 0, facts: { donors: 2 } });
  expect(worm({ rateMinor: 0 })?.partsMinor).toBeNull();
});

test('a life is the shop’s own where it knows one, else the family’s for the gear with its spread; a share of it where the remedy reaches less far', () => {
  const life = (more: Partial<DraftFacts>, option: string) =>
    drafts('saw-oil-pump', 'worm-stripped', { gear: 'worm', ...more }).drafts.find((each) => each.option === option);
  expect(life({}, 'worm-new')).toMatchObject({ lifeMean: 325, facts: { isFamilyLife: true } });
  expect(life({}, 'worm-donor')?.lifeMean).toBeCloseTo(130, 9);
  expect(life({ ownLife: { mean: 90, shape: 3, failures: 5 } }, 'worm-new')).toMatchObject({
    lifeMean: 90,
    lifeShape: 3,
    facts: { ownFailures: 5 },
  });
  // 150 to 500 hours as the tenth and the ninetieth of a hundred: ln(21.85)/ln(3.333).
  expect(life({}, 'worm-new')?.lifeShape).toBeCloseTo(2.56, 2);
  expect(guideLife('replace', 'km')).toBe(150 * guideLife('replace', 'hours'));
});

test('what cannot be drawn yet or cannot be reached is not offered, and says why', () => {
  const unmeasured = drafts('dash-odometer-motor', 'wheel-teeth', { canBeMade: false });
  expect(ids(unmeasured)).not.toContain('wheel-made');
  expect(unmeasured.notOffered).toEqual([{ name: 'Wheel printed or cut', why: 'measureFirst' }]);
  const stuck = drafts('saw-oil-pump', 'chips-packed', { stuck: ['clutch-off'] });
  expect(stuck.notOffered.map(({ why }) => why)).toEqual(['barred']);
  expect(ids(stuck)).toContain('blown-from-outside');
});

test('two faults are one way to go on, the second done with the first', () => {
  const [first] = drafts('saw-oil-pump', ['worm-stripped', 'filter-blocked']).drafts;
  expect(first).toMatchObject({ option: 'worm-new', facts: { besides: ['Filter washed'] } });
  expect(first?.comeBackRisk).toBeCloseTo(1 - 0.95 * 0.8, 9);
});

test('where somebody can be hurt nothing is saved, made or gone without', () => {
  for (const family of ['park-brake-actuator', 'worm-steering-box', 'sector-steering']) {
    const pack = findFamily(family) as Pack;
    for (const { id } of pack.faults)
      expect([id, drafts(family, id).drafts.filter(({ kind }) => ['save', 'make', 'bypass', 'upgrade'].includes(kind))]).toEqual([id, []]);
  }
});

test('the motorcycle gearbox goes both ways by the distance of a year', () => {
  const list = drafts('constant-mesh-gearbox', 'helical-worn', { unit: 'km', gear: 'gear' }).drafts.filter(
    ({ kind, partsMinor }) => kind !== 'stop' && partsMinor !== null,
  );
  const first = (perYear: number) =>
    rankOptions(
      optionsInput.parse({
        options: list.map(({ option, kind, partsMinor, minutes, comeBackRisk, lifeMean, lifeShape }) => ({
          id: option,
          kind,
          partsMinor,
          minutes,
          comeBackRisk,
          life: { mean: lifeMean, shape: lifeShape },
        })),
        use: { perYear, unit: 'km' },
        rateMinorPerHour: 6000,
        horizonYears: 5,
      }),
    ).ranked[0]?.id;
  expect(first(300)).toBe('pair-donor');
  expect(first(25_000)).toBe('pair-new');
});
