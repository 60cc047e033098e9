import { t } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
import { runOperation } from '../../data/runOperation.ts';
import type { DeskSpec } from '../../desk/DeskSpec.ts';
import { setup, type Setup } from './setup.ts';
import { lengthText } from '../../preferences/lengthText.ts';

/** Two sides of a slide: how far out of step, which is behind, and how many teeth to jump or turns at the crank. */
export const TIMING: DeskSpec<Setup> = {
  id: 'timing',
  prefix: 'setup',
  caution: t.neverUnderAnUnsupportedRoom,
  starts: { tolerance: '3', crank: '1' },
  fields: [
    ['left', t.outOnTheLeftIn, 'mm'],
    ['right', t.outOnTheRightIn, 'mm'],
    ['tolerance', t.allowedApartIn, 'mm'],
    ['teeth', shared.teethOfThePinion],
    ['module', shared.moduleMm],
    ['crank', t.crankTurnsForOneOf],
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
    const off = lengthText(differenceMm, 1);
    if (within)
      return {
        lines: [{ text: t.inStepApart(off), variant: 'strong', testID: 'timing-found' }],
        entry: { label: t.theyAreInStep, written: setup(typed, t.twoSidesInStep(off)), testID: 'timing-set' },
      };
    const side = behind ?? '';
    return {
      lines: [
        {
          text: t.theSideIsBehindBy(side, off, toJump, toJump === 1 ? t.tooth : t.teeth, crankTurns.toFixed(2)),
          variant: 'strong',
          testID: 'timing-found',
        },
        { text: t.leftOverAfterTheJump(lengthText(Math.abs(leftOverMm), 1)) },
      ],
      entry: { written: setup(typed, t.theSideBehindBy(side, off)), testID: 'timing-set' },
    };
  },
};
