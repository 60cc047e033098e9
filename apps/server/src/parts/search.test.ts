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
  searchParts(server.dataSource.manager, { shopId: 'skarrow', wanted, most: 20, machineModel: 'Ninefathom Wall 9', ...more });

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
  const { parts } = await import('../entities/index.ts');
  const { fit } = await import('@patient-badger/core');
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
