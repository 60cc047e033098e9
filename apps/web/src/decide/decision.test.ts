import type { Pack } from '@patient-badger/core/machine';
import { draftOptions } from '@patient-badger/core/parts';
import { draftFactsOf } from '@patient-badger/core/testing';
import { findFamily } from '@patient-badger/knowledge';
import { notOfferedText, t } from '@patient-badger/wording/options';
import { runOperation } from '../data/runOperation.ts';
import { torqueText } from '../preferences/lengthText.ts';
import { inOrder, optionsOf, optionsQuestion, worded, type OptionDraft, type Use } from './decision.ts';

const pack = findFamily('dash-odometer-motor') as Pack;
const given = draftFactsOf(pack, ['wheel-teeth'], {
  gear: 'wheel',
  offers: [{ supplier: 'Hobdray Stores', priceMinor: 1800, leadDays: 4, stock: 0 }],
  donors: 1,
  unit: 'km',
});
const drafts = draftOptions(given).drafts.map(worded);
const kinds = (list: readonly OptionDraft[]) => list.map(({ kind }) => kind);
const use: Use = { perYear: 5000, unit: 'km', horizonYears: 5, costPerDownDayMinor: 0 };
const nothing = { options: [], droppedOptions: [] };

test('each way says for whom it is, what it leaves, and whose its figures are', () => {
  expect(kinds(drafts)).toEqual(['replace', 'donor', 'make', 'overhauledUnit', 'stop', 'scrap']);
  expect(drafts.every(({ why }) => why.length > 10)).toBe(true);
  expect(drafts[0]).toMatchObject({ name: 'New wheel', partsMinor: 1800, leadDays: 4, leaves: expect.stringContaining('a new wheel') });
  expect(drafts[0]?.why).toContain(t.soonestIn(t.oneSeller, 4));
  expect(drafts.find(({ kind }) => kind === 'donor')).toMatchObject({ partsMinor: 0, why: expect.stringContaining(t.oneDonor) });
  expect(drafts.find(({ kind }) => kind === 'make')).toMatchObject({ isGuidePrice: true, why: expect.stringContaining(t.guidePrice) });
});

test('what is done with it because of a second fault is in its name; what is not offered says why', () => {
  const both = draftOptions({
    ...given,
    faults: pack.faults.filter(({ id }) => id === 'wheel-teeth' || id === 'solder-cracked'),
  }).drafts.map(worded);
  expect(both[0]?.name).toBe(t.withOthers('New wheel', 'Solder joint renewed'));
  const { notOffered } = draftOptions({ ...given, canBeMade: false });
  expect(notOffered.map((each) => notOfferedText(each, torqueText))).toEqual([t.measureFirst('Wheel printed or cut')]);
});

test('what somebody wrote stands in the place of the draft, what was dropped is gone, what was added is last', () => {
  const { option: _, kind, ...rest } = drafts[0] as OptionDraft;
  const kept = { kind: 'optionKept', optionKind: kind, ...rest, partsMinor: 99 } as const;
  const list = optionsOf(
    drafts,
    {
      options: [
        { ...kept, option: 'wheel-new' },
        { ...kept, option: 'mine' },
      ],
      droppedOptions: ['scrap'],
    },
    'km',
  );
  expect(list[0]?.partsMinor).toBe(99);
  expect(list.map(({ option }) => option)).not.toContain('scrap');
  expect(list.at(-1)?.option).toBe('mine');
});

test('a life that was written in hours is told in kilometres once the use is counted so', () => {
  const { option, kind, ...rest } = drafts[0] as OptionDraft;
  const kept = { kind: 'optionKept', optionKind: kind, ...rest, option, lifeMean: 40, lifeUnit: 'hours' } as const;
  const lifeIn = (unit: Use['unit']) => optionsOf(drafts, { options: [kept], droppedOptions: [] }, unit)[0]?.lifeMean;
  expect([lifeIn('hours'), lifeIn('km')]).toEqual([40, 6000]);
  expect(optionsOf(drafts, { options: [{ ...kept, lifeUnit: undefined }], droppedOptions: [] }, 'km')[0]?.lifeMean).toBe(40);
});

test('priced options are compared, the others stand after them, and stopping is never the cheapest', () => {
  const list = optionsOf(drafts, nothing, 'km');
  const question = optionsQuestion(list, use, 6000);
  const worked = question && runOperation('decide.options', question);
  if (!worked?.ok) throw new Error('no answer');
  const order = inOrder(list, worked.output.ranked);
  expect(order).toHaveLength(list.length);
  expect(
    order
      .filter(({ rank }) => rank)
      .map(({ draft }) => draft.kind)
      .sort(),
  ).toEqual(['donor', 'make', 'overhauledUnit', 'replace']);
  expect(order.at(-1)?.draft.kind).toBe('stop');
  expect(optionsQuestion([], use, 6000)).toBeNull();
});
