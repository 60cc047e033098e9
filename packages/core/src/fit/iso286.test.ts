import { holeLimits, LETTERS, shaftLimits, STEPS_MM, TOLERANCES, type Letter } from './iso286.ts';

const STEPS = STEPS_MM;

/**
 * Limits in µm as printed in the tables of tolerance classes (ISO 286-2:2010, tables 2 to 32, as workshop
 * handbooks print them), upper/lower, one for each step of nominal sizes from up to 3 mm to 400 to 500 mm.
 * They were printed class by class, and not reckoned by the rule that the code follows.
 */
const HOLES: Readonly<Record<string, string>> = {
  F8: '20/6 28/10 35/13 43/16 53/20 64/25 76/30 90/36 106/43 122/50 137/56 151/62 165/68',
  G7: '12/2 16/4 20/5 24/6 28/7 34/9 40/10 47/12 54/14 61/15 69/17 75/18 83/20',
  H7: '10/0 12/0 15/0 18/0 21/0 25/0 30/0 35/0 40/0 46/0 52/0 57/0 63/0',
  H9: '25/0 30/0 36/0 43/0 52/0 62/0 74/0 87/0 100/0 115/0 130/0 140/0 155/0',
  K6: '0/-6 2/-6 2/-7 2/-9 2/-11 3/-13 4/-15 4/-18 4/-21 5/-24 5/-27 7/-29 8/-32',
  K7: '0/-10 3/-9 5/-10 6/-12 6/-15 7/-18 9/-21 10/-25 12/-28 13/-33 16/-36 17/-40 18/-45',
  K8: '0/-14 5/-13 6/-16 8/-19 10/-23 12/-27 14/-32 16/-38 20/-43 22/-50 25/-56 28/-61 29/-68',
  M6: '-2/-8 -1/-9 -3/-12 -4/-15 -4/-17 -4/-20 -5/-24 -6/-28 -8/-33 -8/-37 -9/-41 -10/-46 -10/-50',
  M7: '-2/-12 0/-12 0/-15 0/-18 0/-21 0/-25 0/-30 0/-35 0/-40 0/-46 0/-52 0/-57 0/-63',
  M8: '-2/-16 2/-16 1/-21 2/-25 4/-29 5/-34 5/-41 6/-48 8/-55 9/-63 9/-72 11/-78 11/-86',
  N6: '-4/-10 -5/-13 -7/-16 -9/-20 -11/-24 -12/-28 -14/-33 -16/-38 -20/-45 -22/-51 -25/-57 -26/-62 -27/-67',
  N7: '-4/-14 -4/-16 -4/-19 -5/-23 -7/-28 -8/-33 -9/-39 -10/-45 -12/-52 -14/-60 -14/-66 -16/-73 -17/-80',
  N8: '-4/-18 -2/-20 -3/-25 -3/-30 -3/-36 -3/-42 -4/-50 -4/-58 -4/-67 -5/-77 -5/-86 -5/-94 -6/-103',
  N9: '-4/-29 0/-30 0/-36 0/-43 0/-52 0/-62 0/-74 0/-87 0/-100 0/-115 0/-130 0/-140 0/-155',
  P6: '-6/-12 -9/-17 -12/-21 -15/-26 -18/-31 -21/-37 -26/-45 -30/-52 -36/-61 -41/-70 -47/-79 -51/-87 -55/-95',
  P7: '-6/-16 -8/-20 -9/-24 -11/-29 -14/-35 -17/-42 -21/-51 -24/-59 -28/-68 -33/-79 -36/-88 -41/-98 -45/-108',
  P9: '-6/-31 -12/-42 -15/-51 -18/-61 -22/-74 -26/-88 -32/-106 -37/-124 -43/-143 -50/-165 -56/-186 -62/-202 -68/-223',
};
const SHAFTS: Readonly<Record<string, string>> = {
  d9: '-20/-45 -30/-60 -40/-76 -50/-93 -65/-117 -80/-142 -100/-174 -120/-207 -145/-245 -170/-285 -190/-320 -210/-350 -230/-385',
  f7: '-6/-16 -10/-22 -13/-28 -16/-34 -20/-41 -25/-50 -30/-60 -36/-71 -43/-83 -50/-96 -56/-108 -62/-119 -68/-131',
  g6: '-2/-8 -4/-12 -5/-14 -6/-17 -7/-20 -9/-25 -10/-29 -12/-34 -14/-39 -15/-44 -17/-49 -18/-54 -20/-60',
  h6: '0/-6 0/-8 0/-9 0/-11 0/-13 0/-16 0/-19 0/-22 0/-25 0/-29 0/-32 0/-36 0/-40',
  h11: '0/-60 0/-75 0/-90 0/-110 0/-130 0/-160 0/-190 0/-220 0/-250 0/-290 0/-320 0/-360 0/-400',
  k6: '6/0 9/1 10/1 12/1 15/2 18/2 21/2 25/3 28/3 33/4 36/4 40/4 45/5',
  m6: '8/2 12/4 15/6 18/7 21/8 25/9 30/11 35/13 40/15 46/17 52/20 57/21 63/23',
  n6: '10/4 16/8 19/10 23/12 28/15 33/17 39/20 45/23 52/27 60/31 66/34 73/37 80/40',
  p6: '12/6 20/12 24/15 29/18 35/22 42/26 51/32 59/37 68/43 79/50 88/56 98/62 108/68',
};
/** R and S by their finer steps: nominal size, class, limits (the same tables). */
const FINE: readonly (readonly [mm: number, code: string, limits: string])[] = [
  [20, 'R7', '-20/-41'],
  [20, 'S7', '-27/-48'],
  [60, 'R7', '-30/-60'],
  [60, 'S7', '-42/-72'],
  [90, 'S7', '-58/-93'],
  [20, 'R6', '-24/-37'],
  [20, 'S6', '-31/-44'],
  [60, 's6', '72/53'],
  [70, 's6', '78/59'],
  [150, 'r6', '90/65'],
  [240, 's6', '169/140'],
  [270, 'r6', '126/94'],
  [480, 's6', '292/252'],
];
/** Grade 5 by what handbooks print for it: the step finer than any offered is in it. */
const FIVE: readonly (readonly [mm: number, code: string, limits: string])[] = [
  [5, 'K5', '0/-5'],
  [20, 'K5', '1/-8'],
  [20, 'M5', '-5/-14'],
  [20, 'N5', '-12/-21'],
  [20, 'P5', '-19/-28'],
  [40, 'K5', '2/-9'],
  [100, 'M5', '-8/-23'],
];

const limitsOf = (mm: number, code: string) => {
  const [, letters = '', grade = ''] = /^([A-Za-z]+)(\d+)$/.exec(code) ?? [];
  const letter = letters.toLowerCase() as Letter;
  const found = (letters === letters.toUpperCase() ? holeLimits : shaftLimits)(mm, letter, Number(grade));
  return found && `${Math.round(found.upperMm * 1000) + 0}/${Math.round(found.lowerMm * 1000) + 0}`;
};

test.each(Object.entries({ ...HOLES, ...SHAFTS }))('%s is as printed, from 1 to 500 mm', (code, printed) => {
  // The largest of each step, and just above the one before.
  expect(STEPS.map((most) => limitsOf(most, code)).join(' ')).toBe(printed);
  expect(STEPS.map((_, i) => limitsOf(i === 0 ? 1 : (STEPS[i - 1] ?? 0) + 0.01, code)).join(' ')).toBe(printed);
});

test.each([...FINE, ...FIVE])('%d mm %s is as printed', (mm, code, printed) => expect(limitsOf(mm, code)).toBe(printed));

test('K above grade 8 is only for 3 mm and less, and nothing is offered beyond 500 mm', () => {
  expect([limitsOf(3, 'K9'), limitsOf(3.01, 'K9'), limitsOf(20, 'K11')]).toEqual(['0/-25', null, null]);
  expect([limitsOf(501, 'H7'), limitsOf(501, 'h6')]).toEqual([null, null]);
});

test('every class is as wide as its grade, and the same letter of hole and shaft make no clearance with h and H less than none', () => {
  for (const grade of Object.keys(TOLERANCES).map(Number)) {
    for (const letter of LETTERS) {
      for (const [i, most] of STEPS.entries()) {
        const width = (TOLERANCES[grade]?.[i] ?? NaN) / 1000;
        for (const found of [holeLimits(most, letter, grade), shaftLimits(most, letter, grade)]) {
          if (found) expect(found.upperMm - found.lowerMm).toBeCloseTo(width, 9);
        }
      }
    }
  }
});
