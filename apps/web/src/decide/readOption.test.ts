import type { Pack } from '@patient-badger/core/machine';
import { draftOptions } from '@patient-badger/core/parts';
import { draftFactsOf } from '@patient-badger/core/testing';
import { findFamily } from '@patient-badger/knowledge';
import { worded, type OptionDraft } from './decision.ts';
import { readOption, typedOption } from './readOption.ts';

const pack = findFamily('dash-odometer-motor') as Pack;
const { drafts } = draftOptions(draftFactsOf(pack, ['wheel-teeth'], { canBeMade: false, rateMinor: 0 }));
const draft = worded(drafts.find(({ kind }) => kind === 'overhauledUnit') as (typeof drafts)[number]);

test('typed as it stands it is the same option, and an empty price stays none', () => {
  expect(readOption(draft, typedOption(draft))).toEqual({ option: draft });
  expect(readOption(draft, { ...typedOption(draft), parts: '240,50', comeBack: '12' })).toMatchObject({
    option: { partsMinor: 24_050, comeBackRisk: 0.12 },
  });
});

test.each([
  [37_282.27, '37282'],
  [152.5, '152.5'],
])('a life of %d stands in its field as %s', (lifeMean, text) => {
  expect(typedOption({ ...draft, lifeMean }).life).toBe(text);
});

test('each field that will not do is named', () => {
  const wrong = { name: ' ', parts: '-1', minutes: 'x', leadDays: '-2', life: '0', comeBack: '130', downtime: 'x', leaves: '' };
  const read = readOption(draft, wrong);
  expect('problems' in read && Object.keys(read.problems).sort()).toEqual([
    'comeBack',
    'downtime',
    'leadDays',
    'life',
    'minutes',
    'name',
    'parts',
  ]);
});

test('going on without it has to say what is lost', () => {
  const bypass: OptionDraft = { ...draft, kind: 'bypass', leaves: '' };
  expect(readOption(bypass, { ...typedOption(bypass), leaves: '' })).toEqual({ problems: { leaves: expect.any(String) as string } });
});
