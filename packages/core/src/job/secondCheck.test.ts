import { findFamily } from '@patient-badger/knowledge';
import type { Pack } from '../trace/pack.ts';
import type { EntryPayload } from './entry.ts';
import { jobOf } from './jobOf.ts';
import { secondCheckOf, SIGNED_SHEET } from './secondCheck.ts';
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
