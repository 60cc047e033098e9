import { findFamily } from '@patient-badger/knowledge';
import type { Pack } from '../trace/pack.ts';
import type { EntryPayload } from './entry.ts';
import { jobOf } from './jobOf.ts';
import { handsOf, secondCheckOf, SIGNED_SHEET } from './secondCheck.ts';
import { toSetRight } from './toSetRight.ts';

const pack = findFamily('sector-steering') as Pack;
const WORK: EntryPayload = { kind: 'closingDone', step: 'closed-up' };
const SHEET = { kind: 'photoTaken', hash: 'a'.repeat(64), about: SIGNED_SHEET } as const;
const OUTSIDE: EntryPayload = { kind: 'outsideChecked', checker: 'Edda Brask', licence: 'Inspector 4411', on: '2026-03-02' };
const CHECK: EntryPayload = { kind: 'secondChecked' };

type Line = readonly [by: string, payload: EntryPayload];
const job = (...lines: readonly Line[]) => jobOf(lines);

test.each<[string, Line[], string | null]>([
  ['nobody looked', [['imke', WORK]], null],
  [
    'another looked',
    [
      ['imke', WORK],
      ['wren', CHECK],
    ],
    'wren',
  ],
  [
    'who worked on it looked',
    [
      ['imke', WORK],
      ['imke', CHECK],
    ],
    null,
  ],
  [
    'two worked, the one checks the other',
    [
      ['imke', WORK],
      ['wren', WORK],
      ['wren', CHECK],
    ],
    null,
  ],
  [
    'work went on after the check',
    [
      ['imke', WORK],
      ['wren', CHECK],
      ['imke', WORK],
    ],
    null,
  ],
  [
    'and was checked again',
    [
      ['imke', WORK],
      ['wren', CHECK],
      ['imke', WORK],
      ['tobin', CHECK],
    ],
    'tobin',
  ],
  [
    'a look after the check is no work',
    [
      ['imke', WORK],
      ['wren', CHECK],
      ['imke', { kind: 'remark', text: 'fine' }],
    ],
    'wren',
  ],
])('%s', (_name, lines, by) => expect(secondCheckOf(job(...lines))?.by ?? null).toBe(by));

test.each<[string, Line[], string | null]>([
  [
    'somebody from outside, with the sheet',
    [
      ['imke', WORK],
      ['imke', SHEET],
      ['imke', OUTSIDE],
    ],
    'Edda Brask',
  ],
  [
    'the sheet photographed after',
    [
      ['imke', WORK],
      ['imke', OUTSIDE],
      ['imke', SHEET],
    ],
    'Edda Brask',
  ],
  [
    'without the sheet',
    [
      ['imke', WORK],
      ['imke', OUTSIDE],
    ],
    null,
  ],
  [
    'a photo of something else',
    [
      ['imke', WORK],
      ['imke', { ...SHEET, about: 'sector' }],
      ['imke', OUTSIDE],
    ],
    null,
  ],
  [
    'the sheet of before the last work',
    [
      ['imke', WORK],
      ['imke', SHEET],
      ['imke', OUTSIDE],
      ['imke', WORK],
      ['imke', OUTSIDE],
    ],
    null,
  ],
])('an outside checker: %s', (_name, lines, outside) => expect(secondCheckOf(job(...lines))?.outside ?? null).toBe(outside));

const STEP = { step: 'battery-off' } as const;
const idOf = (i: number) => `0197a000-0000-7000-8000-${String(i).padStart(12, '0')}`;

test.each<[string, Line[], string | null]>([
  [
    'who took his own work back',
    [
      ['imke', WORK],
      ['imke', WORK],
      ['imke', { kind: 'withdrawn', entry: idOf(1) }],
      ['imke', CHECK],
    ],
    null,
  ],
  [
    'whose work another took back',
    [
      ['imke', WORK],
      ['wren', WORK],
      ['wren', { kind: 'withdrawn', entry: idOf(0) }],
      ['imke', CHECK],
    ],
    null,
  ],
  [
    'who only took work of another back',
    [
      ['imke', WORK],
      ['imke', WORK],
      ['wren', { kind: 'withdrawn', entry: idOf(0) }],
      ['wren', CHECK],
    ],
    null,
  ],
  [
    'who only remarked',
    [
      ['imke', WORK],
      ['wren', { kind: 'remark', text: 'held the wheel' }],
      ['wren', CHECK],
    ],
    null,
  ],
  [
    'who took the machine in and promised a day',
    [
      ['wren', { kind: 'promised', on: '2026-03-02' }],
      ['imke', WORK],
      ['wren', CHECK],
    ],
    'wren',
  ],
  [
    'who took back a check and gives it again',
    [
      ['imke', WORK],
      ['wren', CHECK],
      ['wren', { kind: 'withdrawn', entry: idOf(1) }],
      ['wren', CHECK],
    ],
    'wren',
  ],
])('fresh eyes: %s', (_name, lines, by) => expect(secondCheckOf(job(...lines))?.by ?? null).toBe(by));

test.each<[string, EntryPayload]>([
  ['a step left out', { kind: 'stepSkipped', ...STEP, reason: 'was off' }],
  ['a step that will not come', { kind: 'stepStuck', ...STEP, snag: 'rust' }],
  ['a wait begun', { kind: 'waitStarted', wait: 'cure', minutes: 10, source: 'tin' }],
  ['a wait cut short', { kind: 'waitCut', wait: 'cure', reason: 'late' }],
  ['a part lost', { kind: 'looseNoted', ...STEP, item: 'nut', what: 'lost', count: 1 }],
  ['something done while it was open', { kind: 'extraDone', extra: 'other-side' }],
  ['work taken back', { kind: 'withdrawn', entry: idOf(0) }],
])('%s after the check wants a new one', (_name, payload) => {
  const lines: Line[] = [
    ['imke', WORK],
    ['imke', WORK],
    ['wren', CHECK],
    ['imke', payload],
  ];
  expect(secondCheckOf(job(...lines))).toBeNull();
  expect(secondCheckOf(job(...lines, ['tobin', CHECK]))?.by).toBe('tobin');
});

test('what the record knows decides: a check that waits for its PIN, a person under two names, a sheet that never came', () => {
  const checked = job(['imke', WORK], ['wren', CHECK]);
  expect(secondCheckOf(checked, { isSigned: () => false })).toBeNull();
  expect(secondCheckOf(checked, { isFresh: (person) => person !== 'wren' })).toBeNull();
  const outside = job(['imke', WORK], ['imke', SHEET], ['imke', OUTSIDE]);
  expect(secondCheckOf(outside, { hasSheet: () => false })).toBeNull();
  expect(secondCheckOf(outside, { hasSheet: (hash) => hash === SHEET.hash })?.outside).toBe('Edda Brask');
});

test('everybody who ever wrote of the machine had a hand in it, the photo of the sheet apart', () => {
  const state = job(['imke', WORK], ['wren', { kind: 'withdrawn', entry: idOf(0) }], ['tobin', SHEET], ['edda', CHECK]);
  expect([...handsOf(state)]).toEqual(['imke', 'wren']);
});

test('what is to be set right: everything found on the way, and what was decided, each once', () => {
  const found = (fault: string): EntryPayload => ({ kind: 'faultFound', fault, probability: 0.9 });
  const state = job(
    ['imke', found('sector-stripped')],
    ['imke', found('pinion-worn')],
    ['imke', found('pinion-worn')],
    ['imke', { kind: 'decided', fault: 'sector-stripped', remedy: 'replace', probability: 0.9 }],
  );
  expect(state.found).toEqual(['sector-stripped', 'pinion-worn']);
  expect(toSetRight(pack, state).map(({ id }) => id)).toEqual(['sector-stripped', 'pinion-worn']);
  const other = job(['imke', { kind: 'decided', fault: 'none-of-these', remedy: 'other', probability: 0.5, note: 'a fence post' }]);
  expect(toSetRight(pack, other)).toEqual([]);
});

test('a reading stays with the look it was taken for', () => {
  const reading = { instrument: 'dialIndicator', value: 12, unit: 'deg', plusMinus: 0.2 } as const;
  const state = job(['imke', { kind: 'lookRecorded', look: 'rim-play', result: 'middle', reading }]);
  expect(state.observations[0]?.reading).toEqual(reading);
});
