import { FAMILIES, findFamily } from '@patient-badger/knowledge';
import type { Pack } from '@patient-badger/core/machine';
import { complaintsMeant, searchFamilies } from './search.ts';

test.each([
  ['snowblower left side not throwing', 'auger-gearbox'],
  ['the saw is dry, no oil on the chain', 'saw-oil-pump'],
  ['odometer stopped counting, speedo fine', 'dash-odometer-motor'],
  ['mirror hums but does not fold', 'fold-actuator'],
  ['steering wheel turns and steers nothing', 'sector-steering'],
  ['needle reads too low on new tyres', 'speedometer-takeoff'],
  ['gearbox howls in third', 'constant-mesh-gearbox'],
  ['bike motor humming, no pull', 'mid-drive-motor'],
  ['wall goes out crooked', 'slide-rack-drive'],
  ['chain will not tighten', 'saw-chain-tensioner'],
  ['trimmer head stands while the engine revs', 'trimmer-bevel-head'],
  ['parking brake wont release', 'park-brake-actuator'],
])('“%s” finds %s among the first two', (words, family) =>
  expect(
    searchFamilies(FAMILIES, words)
      .slice(0, 2)
      .map(({ pack }) => pack.id),
  ).toContain(family),
);

test('nothing typed shows every family, nothing known shows none', () => {
  expect(searchFamilies(FAMILIES, '  ')).toHaveLength(FAMILIES.length);
  expect(searchFamilies(FAMILIES, 'qqqqzzzz')).toEqual([]);
});

test('every sentence of every family finds its own complaint', () => {
  for (const pack of FAMILIES) {
    for (const { id, says } of pack.complaints) {
      for (const each of says) expect([pack.id, each, complaintsMeant(pack, each)[0]?.complaint]).toEqual([pack.id, each, id]);
    }
  }
});

test('words said otherwise find the complaint they mean', () => {
  const auger = findFamily('auger-gearbox') as Pack;
  expect(complaintsMeant(auger, 'only one half of the augers is turning')[0]?.complaint).toBe('one-half');
  expect(complaintsMeant(auger, 'oily patch in snow')[0]?.complaint).toBe('oil');
  expect(complaintsMeant(auger, 'qqqq')).toEqual([]);
});
