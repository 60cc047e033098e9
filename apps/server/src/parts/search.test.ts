import { listings, parts } from './entities.ts';
import { testServer, type TestServer } from '../testing.ts';
import { searchParts } from './search.ts';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.stop());

const wanted = {
  type: 'spur',
  teeth: 11,
  normalModuleMm: 3,
  pressureAngleDeg: 20,
  boreShape: 'round',
  boreDiameterMm: 12,
  faceWidthMm: 10,
} as const;
const search = (more: object = {}) =>
  searchParts(server.dataSource.manager, { shopId: 'skarrow', wanted, limit: 20, machineModel: 'Ninefathom Wall 9', ...more });

test('the pinion that fits comes first; the same in another width hangs on its width, though its listing says that it fits', async () => {
  const found = await search();
  // Nobody asked for a material: the cheaper of the two that fit comes first.
  expect(found[0]?.row.name).toMatch(/^Slide pinion pack(, other material)?$/);
  const wide = found.find(({ row }) => row.name === 'Slide pinion pack, wide');
  expect(wide?.row.claims).toContain('Ninefathom Wall 9');
  expect(wide?.fit.deciding).toBe('faceWidthMm');
  expect(wide?.fit.probability ?? 1).toBeLessThan(found[0]?.fit.probability ?? 0);
});

test('what the index leaves out could not have been among the best: the same twenty as judging every part', async () => {
  const { fit } = await import('@patient-badger/core/parts');
  const every = await server.dataSource.getRepository(parts).findBy({ shopId: 'skarrow', type: 'spur' });
  const best = every
    .map((row) => fit({ wanted, part: row.attributes }).probability)
    .sort((p, q) => q - p)
    .slice(0, 5);
  const found = await search();
  found.slice(0, 5).forEach(({ fit: { probability } }, i) => expect(probability).toBeCloseTo(best[i] ?? NaN, 9));
});

test('a count that nobody makes still shows what comes near', async () => {
  const found = await search({ wanted: { ...wanted, teeth: 199 } });
  expect(found.length).toBeGreaterThan(0);
  expect(found[0]?.fit.probability ?? 1).toBeLessThan(0.1);
});

test('only what fits as it is, only what is in stock, only what the words name', async () => {
  const all = await search({ limit: 50 });
  const asIs = await search({ limit: 50, only: 'asIs' });
  const after = await search({ limit: 50, only: 'afterWork' });
  const states = (found: typeof all) => new Set(found.flatMap(({ fit }) => fit.attributes.map(({ state }) => state)));
  expect(states(all)).toContain('doesNotFit');
  expect(states(asIs)).not.toContain('doesNotFit');
  expect(states(asIs)).not.toContain('fitsAfterWork');
  expect(states(after)).toContain('fitsAfterWork');
  expect(states(after)).not.toContain('doesNotFit');
  expect(after.length).toBeGreaterThan(asIs.length);
  const wide = await search({ limit: 50, text: 'pinion wide' });
  expect(wide.length).toBeGreaterThan(0);
  expect(wide.every(({ row }) => /pinion.*wide/i.test(row.name))).toBe(true);
});

test('the number off the plate is answered first, however ill it fits', async () => {
  const all = await search({ limit: 50 });
  const worst = all.at(-1)?.row.partNumber ?? '';
  const found = await search({ limit: 5, only: 'asIs', numbers: [worst, 'QB-NEVER'] });
  expect(found[0]?.row.partNumber).toBe(worst);
  expect(found.slice(1).every(({ fit }) => fit.attributes.every(({ state }) => state !== 'doesNotFit'))).toBe(true);
});

test('a claim of any seller is weighed, and said to be that seller’s', async () => {
  const wide = await server.dataSource.getRepository(parts).findOneByOrFail({ name: 'Slide pinion pack, small bore' });
  await server.dataSource.getRepository(listings).delete({ partId: wide.id });
  await server.dataSource
    .getRepository(listings)
    .insert({ partId: wide.id, supplier: 'Vessmoor Breakers', priceMinor: 100, leadDays: 1, stock: 2, claims: ['Ninefathom Wall 9'] });
  const found = (await search({ limit: 50 })).find(({ row }) => row.id === wide.id);
  expect(found?.claimedBy).toEqual(['Vessmoor Breakers']);
});

test('a bearing is found by its three dimensions, its neighbours after it, and no gear among them', async () => {
  const bearing = { type: 'bearing', boreDiameterMm: 17, outsideDiameterMm: 40, widthMm: 12 } as const;
  const found = await search({ wanted: bearing });
  expect(found[0]?.row.name).toBe('Ball bearing 17 × 40 × 12');
  expect(found[0]?.fit.deciding).toBeNull();
  expect(new Set(found.map(({ row }) => row.type))).toEqual(new Set(['bearing']));
  expect(found[1]?.fit.probability ?? 1).toBeLessThan(0.1);
  const seal = await search({ wanted: { type: 'seal', shaftDiameterMm: 20, outsideDiameterMm: { value: 35.02, plusMinus: 0.05 } } });
  expect(seal[0]?.row.name).toBe('Lip seal 20 × 35 × 7');
});
