import { t } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
import { openSettings } from '@patient-badger/core/job';
import type { DeskContext, DeskSpec } from '../../desk/DeskSpec.ts';
import { ClutchDrawing, SealDrawing } from '../drawings.tsx';
import { setup, type Setup } from './setup.ts';

/** Something that is done or not: a sleeve locked last, codes cleared, a stop learnt; with the state of the machine in which it works. */
export const DONE: DeskSpec<Setup> = {
  id: 'done',
  prefix: 'setup',
  answer: (typed, context) => {
    const { row } = context;
    if (!row) return null;
    const before = openBefore(context);
    return {
      lines: [
        ...(row.state ? [{ text: t.withInAnotherStateIt(row.state), variant: 'strong', testID: 'machine-state' } as const] : []),
        ...(before.length > 0
          ? [
              {
                text: t.notYetBeforeIt(before.join(', '), before.length === 1 ? t.comes : t.come),
                variant: 'danger',
                testID: 'not-yet',
              } as const,
            ]
          : []),
      ],
      entry: { label: shared.itIsDone, testID: 'tick-set', isPrimary: before.length === 0, written: setup(typed, row.name) },
    };
  },
};

/** What comes before the lock and is not set yet. */
function openBefore({ view, row }: DeskContext): readonly string[] {
  if (!view || row?.desk !== 'lock') return [];
  const { pack, state } = view;
  const last = pack.settings.indexOf(row);
  return openSettings(pack, state)
    .filter((setting) => pack.settings.indexOf(setting) < last)
    .map(({ name }) => name.toLowerCase());
}

/** A lip seal the right way round: its lip and its spring to the oil. */
export const SEAL: DeskSpec<Setup> = {
  id: 'seal',
  prefix: 'setup',
  drawing: SealDrawing,
  answer: (typed) => ({
    lines: [{ text: t.lipAndGarterSpringLook }],
    entry: { label: t.theLipLooksToThe, testID: 'seal-set', isPrimary: true, written: setup(typed, t.lipSealInLipTo) },
  }),
};

/** Which way a one-way clutch drives, drawn; tried by hand before it is shut in. */
export const ONE_WAY: DeskSpec<Setup> = {
  id: 'one-way',
  prefix: 'setup',
  fields: [
    {
      kind: 'choice',
      name: 'way',
      label: t.seenFromTheSideThat,
      start: 'clockwise',
      options: [
        ['clockwise', t.clockwise],
        ['counter-clockwise', t.counterClockwise],
      ],
    },
  ],
  drawing: ({ texts }) => ClutchDrawing({ way: texts.way === 'counter-clockwise' ? 'counter-clockwise' : 'clockwise' }),
  answer: (typed) => {
    const way = typed.texts.way ?? '';
    return {
      lines: [{ text: t.byHandOuterPartHeld(way) }],
      entry: { label: t.itLocksThatWayAnd, testID: 'one-way-set', isPrimary: true, written: setup(typed, t.oneWayClutchLocksFree(way)) },
    };
  },
};
