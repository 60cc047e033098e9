import fc from 'fast-check';
import { ledgerOf, unbalanced, type LedgerFacts } from './ledger.ts';
import { accessPlan, inReach } from './plan.ts';
import { closingStep, longest, step, whileOpen } from './step.ts';
import { tighteningOrder } from './tighteningOrder.ts';
import { waitState } from './waits.ts';
import { reassembly } from './reassembly.ts';

const screws = { id: 'screws', name: 'Lid screws', kind: 'screw', count: 4, lives: 'Lid' } as const;
const make = (given: object) => step.parse({ how: 'as shown', minutes: 2, ...given });
const close = (given: object) => closingStep.parse({ how: 'as shown', minutes: 3, ...given });
const FAMILY = {
  steps: [
    make({ id: 'lid', name: 'Lid off', loose: [screws], tools: ['hex driver'], frees: ['top'] }),
    make({ id: 'belt', name: 'Belt off', needs: ['lid'], helper: true, frees: ['pulley'], atWorst: 9 }),
    make({ id: 'gear', name: 'Gear out', needs: ['belt'], tools: ['hex driver', 'puller'], frees: ['gear', 'seal'] }),
  ],
  closing: [
    close({ id: 'clean', name: 'Clean out', kind: 'cleanOut' }),
    close({ id: 'gear-in', name: 'Gear in', closes: ['gear'] }),
    close({ id: 'greased', name: 'Grease', kind: 'grease', after: ['gear'] }),
    close({ id: 'lid-on', name: 'Lid on', closes: ['lid'] }),
    close({ id: 'look', name: 'Look once round', kind: 'check' }),
  ],
  whileOpen: [whileOpen.parse({ id: 'seal', name: 'Renew the seal', at: 'seal', minutes: 5, why: 'it is out anyway' })],
};
const facts = (more: Partial<LedgerFacts> = {}): LedgerFacts => ({
  opened: ['lid'],
  skipped: [],
  closed: [],
  notes: [],
  short: [],
  ...more,
});
const line = (more: Partial<LedgerFacts>) => ledgerOf(FAMILY, facts(more))[0];

describe('the plan', () => {
  test('says what, how long, at worst, tools once, helper when, and what else lies open', () => {
    const plan = accessPlan(FAMILY, { places: ['gear'] }, { opened: [] });
    expect(plan?.steps.map(({ id }) => id)).toEqual(['lid', 'belt', 'gear']);
    expect(plan).toMatchObject({ minutes: 6, atWorst: 3 + 9 + 3, tools: ['hex driver', 'puller'], minutesBack: 3 * 5 + 2 });
    expect(plan?.helperFor.map(({ id }) => id)).toEqual(['belt']);
    expect(plan?.whileOpen.map(({ id }) => id)).toEqual(['seal']);
  });

  test('begins where it is open already, and is null where the only way is stuck', () => {
    expect(accessPlan(FAMILY, { places: ['gear'] }, { opened: ['lid', 'belt'] })?.minutes).toBe(2);
    expect(accessPlan(FAMILY, { places: ['gear'] }, { opened: [], stuck: ['belt'] })).toBeNull();
    expect(accessPlan(FAMILY, { places: ['top'] }, { opened: [], stuck: ['belt'] })?.minutes).toBe(2);
    expect(accessPlan(FAMILY, { steps: ['belt'] }, { opened: [], stuck: ['belt'] })).toBeNull();
  });

  test('a place that no step frees lies open from the start', () =>
    expect(accessPlan(FAMILY, { places: ['outside'] }, { opened: [] })?.steps).toEqual([]));
  test('nothing lies open before its step', () => expect(inReach(FAMILY, ['lid'])).toEqual([]));
  test('stuck things take half as long again where nobody said how long', () => expect(longest({ minutes: 4 })).toBe(6));
});

describe('the way back', () => {
  const names = (opened: readonly string[]) => reassembly(FAMILY, opened).map(({ id }) => id);

  test('undoes what was opened last first, with the work that exists only there in its place', () => {
    expect(names(['lid', 'belt', 'gear'])).toEqual(['clean', 'gear-in', 'greased', 'belt', 'lid-on', 'look']);
  });

  test('leaves out what was never open, and work that only an unopened step wants', () => {
    expect(names(['lid'])).toEqual(['clean', 'lid-on', 'look']);
  });

  test('a piece that closes several waits until everything opened after the first of them is closed', () => {
    const both = { ...FAMILY, closing: [close({ id: 'all-on', name: 'All on', closes: ['lid', 'gear'] })] };
    expect(reassembly(both, ['lid', 'belt', 'gear']).map(({ id }) => id)).toEqual(['belt', 'all-on']);
  });

  test('every step that was opened is closed by exactly one piece, never before one opened after it', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(['lid', 'belt', 'gear']), (opened) => {
        const order = reassembly(FAMILY, opened).filter(({ closes }) => closes.length > 0);
        expect(order.flatMap(({ closes }) => closes).filter((id) => opened.includes(id))).toEqual([...opened].reverse());
      }),
    );
  });
});

describe('the ledger', () => {
  test('what came off lies on the bench until it is back', () => {
    expect(line({})).toMatchObject({ onTray: 4, back: 0, wanting: 0 });
    expect(line({ closed: ['lid-on'] })).toMatchObject({ onTray: 0, back: 4 });
    expect(unbalanced(ledgerOf(FAMILY, facts()))).toHaveLength(1);
    expect(unbalanced(ledgerOf(FAMILY, facts({ closed: ['lid-on'] })))).toEqual([]);
  });

  test('a screw that was missing before we came is carried through and keeps nothing open', () => {
    const notes = [{ step: 'lid', item: 'screws', what: 'missingBefore', count: 1 }] as const;
    expect(line({ notes })).toMatchObject({ onTray: 3, missingBefore: 1 });
    expect(unbalanced(ledgerOf(FAMILY, facts({ notes, closed: ['lid-on'] })))).toEqual([]);
  });

  test('a broken or lost one keeps it open until it is replaced', () => {
    const broken = { step: 'lid', item: 'screws', what: 'broken', count: 1 } as const;
    expect(line({ notes: [broken], closed: ['lid-on'] })).toMatchObject({ back: 3, wanting: 1 });
    const replaced = { ...broken, what: 'replaced' } as const;
    expect(line({ notes: [broken, replaced], closed: ['lid-on'] })).toMatchObject({ back: 4, wanting: 0, onTray: 0 });
  });

  test('what was left over on the way back lies on the bench', () => {
    const short = [{ step: 'lid', item: 'screws', count: 1 }];
    expect(line({ closed: ['lid-on'], short })).toMatchObject({ back: 3, onTray: 1 });
  });

  test('a step that was passed over brought nothing off', () =>
    expect(ledgerOf(FAMILY, facts({ skipped: [{ step: 'lid' }] }))).toEqual([]));

  test('no part is ever counted twice: what came off is back, on the bench, broken, lost or was never there', () => {
    const note = fc.record({
      step: fc.constant('lid'),
      item: fc.constant('screws'),
      what: fc.constantFrom('missingBefore' as const, 'broken' as const, 'lost' as const, 'replaced' as const),
      count: fc.integer({ min: 1, max: 1 }),
    });
    fc.assert(
      fc.property(fc.array(note, { maxLength: 4 }), fc.boolean(), (notes, shut) => {
        const each = line({ notes, closed: shut ? ['lid-on'] : [] });
        if (!each) throw new Error('no line');
        expect(each.back + each.onTray).toBe(Math.max(0, 4 - each.missingBefore - each.broken - each.lost + each.replaced));
        expect(Math.min(each.back, each.onTray)).toBe(0);
      }),
    );
  });
});

describe('waits', () => {
  const run = { wait: 'glue', startedAt: '2026-11-24T10:00:00.000Z', minutes: 30, source: 'the tube' };
  const at = (time: string) => waitState('glue', { started: [run], cut: [], now: new Date(`2026-11-24T${time}Z`) });

  test('run from what was written down, not from the page', () => {
    expect(at('10:10:00')).toEqual({ state: 'running', secondsLeft: 1200, endsAt: '2026-11-24T10:30:00.000Z' });
    expect(at('10:30:00')).toEqual({ state: 'over' });
    expect(waitState('glue', { started: [], cut: [], now: new Date() })).toEqual({ state: 'notStarted' });
  });

  test('a clock that lags does not make it longer', () => expect(at('09:59:00')).toMatchObject({ secondsLeft: 1800 }));

  test('of several starts the last counts, and cutting one short says why', () => {
    const again = { ...run, startedAt: '2026-11-24T11:00:00.000Z' };
    expect(waitState('glue', { started: [run, again], cut: [], now: new Date('2026-11-24T11:10:00Z') })).toMatchObject({
      state: 'running',
    });
    expect(waitState('glue', { started: [run], cut: [{ wait: 'glue', reason: 'other glue' }], now: new Date() })).toEqual({
      state: 'cutShort',
      reason: 'other glue',
    });
  });
});

describe('tightening', () => {
  const order = (screwCount: number, pattern: 'circle' | 'rectangle', columns = 2) =>
    tighteningOrder({ screws: screwCount, pattern, columns, passes: 2 }).order;

  // Star patterns for 4 to 20 bolts as in ASME PCC-1, and a head of two rows from the middle outwards.
  test.each([
    [4, 'circle', 2, [1, 3, 2, 4]],
    [6, 'circle', 2, [1, 4, 2, 5, 3, 6]],
    [3, 'circle', 2, [1, 2, 3]],
    [8, 'circle', 2, [1, 5, 3, 7, 2, 6, 4, 8]],
    [12, 'circle', 2, [1, 7, 4, 10, 2, 8, 5, 11, 3, 9, 6, 12]],
    [16, 'circle', 2, [1, 9, 5, 13, 3, 11, 7, 15, 2, 10, 6, 14, 4, 12, 8, 16]],
    [20, 'circle', 2, [1, 11, 6, 16, 3, 13, 8, 18, 5, 15, 10, 20, 2, 12, 7, 17, 4, 14, 9, 19]],
    [4, 'rectangle', 2, [1, 4, 2, 3]],
    [6, 'rectangle', 2, [3, 4, 1, 6, 2, 5]],
  ] as const)('%i in a %s', (n, pattern, columns, wanted) => expect(order(n, pattern, columns)).toEqual(wanted));

  test('four in a circle go across, then across', () => expect(order(4, 'circle')).toEqual([1, 3, 2, 4]));
  test('six in a rectangle begin in the middle', () => expect(order(6, 'rectangle').slice(0, 2)).toEqual([3, 4]));

  test('each screw once, the second across from the first', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 40 }), fc.constantFrom('circle' as const, 'rectangle' as const), (n, pattern) => {
        const list = order(n, pattern);
        expect([...list].sort((p, q) => p - q)).toEqual(Array.from({ length: n }, (_, i) => i + 1));
        if (pattern !== 'circle') return;
        const apart = Math.abs((list[1] as number) - (list[0] as number));
        expect(Math.min(apart, n - apart)).toBe(Math.floor(n / 2));
      }),
    );
  });

  test('passes end at the full figure', () => {
    const { passes } = tighteningOrder({ screws: 4, pattern: 'circle', columns: 2, passes: 3 });
    expect(passes).toEqual([
      { pass: 1, share: 1 / 3 },
      { pass: 2, share: 2 / 3 },
      { pass: 3, share: 1 },
    ]);
  });
});
