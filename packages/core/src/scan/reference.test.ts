import { seeded } from '../testing.ts';
import { scanTeeth } from './scanTeeth.ts';
import { card, coin, spur } from './scenes/solids.ts';
import { onPaper, photograph, type Patch } from './scenes/splat.ts';

/** 24 teeth of module 2: 52 mm over the tips, two millimetres thick, left of the middle. */
const GEAR = spur({ colour: [70, 70, 76], teeth: 24, moduleMm: 2, thicknessMm: 2, boreMm: 10, x: -52, turnedDeg: 7 });
const photo = (beside: readonly Patch[], leanDeg = 0) =>
  photograph(
    [...GEAR, ...beside],
    onPaper({
      width: 700,
      height: 420,
      pxPerMm: 3.4,
      leanDeg,
      towardsDeg: 80,
      distanceMm: 900,
      lightDeg: 120,
      lightUpDeg: 70,
      noise: 3,
      random: seeded(8),
    }),
  );
const CARD = card({ colour: [60, 90, 160], widthMm: 85.6, heightMm: 53.98, x: 40, turnedDeg: 25 });
const COIN = coin({ colour: [150, 90, 40], diameterMm: 23, x: 30, y: 10 });

test.each([
  ['a card beside it', CARD, { kind: 'card' }, 0],
  ['a card beside it, from a camera that leans', CARD, { kind: 'card' }, 15],
  ['a disc of known diameter', COIN, { kind: 'disc', diameterMm: 23 }, 0],
] as const)('%s tells how large a gear is', (_, beside, reference, leanDeg) => {
  const found = scanTeeth({ ...photo(beside, leanDeg), reference });
  expect(found).toMatchObject({ read: true, teeth: 24, referenceFound: true });
  if (!found.read) return;
  const { value = 0, plusMinus = 0 } = found.tipDiameterMm ?? {};
  expect(Math.abs(value - 52)).toBeLessThan(2 * plusMinus);
  expect(plusMinus).toBeLessThan(1.5);
});

test('what is not there is not found, and the count stands without a length', () => {
  const found = scanTeeth({ ...photo(COIN), reference: { kind: 'card' } });
  expect(found).toMatchObject({ read: true, teeth: 24, referenceFound: false });
  expect(found.read && found.tipDiameterMm).toBeFalsy();
});
