import { t } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
import { runOperation } from '../../data/runOperation.ts';
import type { DeskSpec } from '../../desk/DeskSpec.ts';
import { setup, type Setup } from './setup.ts';

/** Two sides of a slide: how far out of step, which is behind, and how many teeth to jump or turns at the crank. */
export const TIMING: DeskSpec<Setup> = {
  id: 'timing',
  prefix: 'setup',
  caution: t.neverUnderAnUnsupportedRoom,
  fields: [
    ['left', t.outOnTheLeftMm, 'mm'],
    ['right', t.outOnTheRightMm, 'mm'],
    ['tolerance', t.allowedApartMm, 'mm', '3'],
    ['teeth', shared.teethOfThePinion],
    ['module', shared.moduleMm],
    ['crank', t.crankTurnsForOneOf, undefined, '1'],
  ],
  answer: (typed) => {
    const { left = NaN, right = NaN, tolerance = NaN, teeth = NaN, module = NaN, crank = NaN } = typed.figures;
    if (!(left >= 0 && right >= 0 && tolerance >= 0 && teeth > 0 && module > 0)) return null;
    const worked = runOperation('setup.timing', {
      leftMm: left,
      rightMm: right,
      toleranceMm: tolerance,
      teeth,
      moduleMm: module,
      crankTurnsPerPinionTurn: crank > 0 ? crank : 1,
    });
    if (!worked.ok) return { problem: worked.sentence };
    const { within, differenceMm, behind, teeth: toJump, crankTurns, leftOverMm } = worked.output;
    const off = differenceMm.toFixed(1);
    if (within)
      return {
        lines: [{ text: t.inStepMmApart(off), variant: 'strong', testID: 'timing-found' }],
        entry: { label: t.theyAreInStep, written: setup(typed, t.twoSidesInStepMm(off)), testID: 'timing-set' },
      };
    const side = behind ?? '';
    return {
      lines: [
        {
          text: t.theSideIsMmBehind(side, off, toJump, toJump === 1 ? t.tooth : t.teeth, crankTurns.toFixed(2)),
          variant: 'strong',
          testID: 'timing-found',
        },
        { text: t.mmAreLeftOverAfter(Math.abs(leftOverMm).toFixed(1)) },
      ],
      entry: { written: setup(typed, t.theSideMmBehind(side, off)), testID: 'timing-set' },
    };
  },
};
