import { draftOptions as drafted, guideLife, type DraftFacts } from '@patient-badger/core/parts';
import { runOperation } from '../data/runOperation.ts';
import { inOrder, optionsOf, optionsQuestion, worded, type OptionDraft, type Use } from './decision.ts';

const fault = { name: 'Wheel brittle', remedy: { kind: 'replace', text: 'Fit a new wheel.', minutes: 40, part: 'wheel' } };
const offer = { supplier: 'Hobdray Stores', priceMinor: 1800, leadDays: 4, stock: 0 };
const given = { faults: [fault], offers: [offer], donors: 1, safetyCritical: false, isPlastic: true, canBeMade: true, unit: 'km' } as const;
const draftOptions = (facts: DraftFacts) => drafted(facts).map(worded);
const drafts = draftOptions(given);
const kinds = (list: readonly OptionDraft[]) => list.map(({ kind }) => kind);
const use: Use = { perYear: 5000, unit: 'km', horizonYears: 5, costPerDownDayMinor: 0 };
const nothing = { options: [], droppedOptions: [] };

test('every school is there with why, and what has no price is said', () => {
  expect(kinds(drafts)).toEqual([
    'replace',
    'donor',
    'save',
    'make',
    'upgrade',
    'overhauledUnit',
    'wholeAssembly',
    'bypass',
    'scrap',
    'stop',
  ]);
  expect(drafts.every(({ why }) => why.length > 10)).toBe(true);
  expect(drafts.find(({ kind }) => kind === 'replace')).toMatchObject({ partsMinor: 1800, leadDays: 4 });
  expect(drafts.filter(({ partsMinor }) => partsMinor === null).map(({ kind }) => kind)).toEqual([
    'make',
    'upgrade',
    'overhauledUnit',
    'wholeAssembly',
    'bypass',
    'scrap',
  ]);
  expect(guideLife('replace', 'km')).toBe(150 * guideLife('replace', 'hours'));
});

test('where somebody can be hurt nothing is saved, made, upgraded or gone without', () => {
  expect(kinds(draftOptions({ ...given, safetyCritical: true }))).toEqual([
    'replace',
    'donor',
    'overhauledUnit',
    'wholeAssembly',
    'scrap',
    'stop',
  ]);
});

test('a fault that needs no part is cleaned or adjusted; a second one beside it is not forgotten', () => {
  const chips = { name: 'Chips', remedy: { kind: 'clean', text: 'Clean it out.', minutes: 20 } };
  expect(kinds(draftOptions({ ...given, faults: [chips] }))).toEqual(['clean', 'bypass', 'scrap', 'stop']);
  expect(draftOptions({ ...given, faults: [chips, fault] })[0]).toMatchObject({ kind: 'clean', leaves: 'Wheel brittle' });
});

test('what somebody wrote stands in the place of the draft, what was dropped is gone, what was added is last', () => {
  const { option: _, kind, ...rest } = drafts[0] as OptionDraft;
  const kept = { kind: 'optionKept', optionKind: kind, ...rest, partsMinor: 99 } as const;
  const list = optionsOf(
    drafts,
    {
      options: [
        { ...kept, option: 'replace' },
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
  ).toEqual(['donor', 'replace', 'save']);
  expect(order.at(-1)?.draft.kind).toBe('stop');
  expect(optionsQuestion([], use, 6000)).toBeNull();
});
