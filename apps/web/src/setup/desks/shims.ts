import { t } from '@patient-badger/wording/setup';
import { runOperation } from '../../data/runOperation.ts';
import type { DeskSpec } from '../../desk/DeskSpec.ts';
import { readShims } from '../readShims.ts';
import { isNumber, limitsOf, setup, type Setup } from './setup.ts';
import { lengthText } from '../../preferences/lengthText.ts';

const stackText = (stack: readonly { readonly thicknessMm: number; readonly count: number }[]) =>
  stack.length === 0 ? t.noShim : stack.map(({ thicknessMm, count }) => `${count} × ${thicknessMm} mm`).join(' + ');

/** End float brought into its range by the shims at hand, fewest first. */
export const SHIMS: DeskSpec<Setup> = {
  id: 'shims',
  prefix: 'setup',
  fields: [
    ['float', t.endFloatNowIn, 'mm'],
    ['least', t.wantedFromIn, 'mm'],
    ['most', t.wantedToIn, 'mm'],
    {
      kind: 'text',
      name: 'words',
      label: t.shimsAtHandMmAnd,
      example: '0.1x4, 0.2x2, 0.5',
      testID: 'setup-shims',
      problem: (words) => (words.trim() !== '' && readShims(words) === null ? t.writeThemLike01x4 : undefined),
    },
    { kind: 'text', name: 'source', label: t.whoseFigureTheRangeIs },
  ],
  known: limitsOf,
  answer: (typed) => {
    const { float = NaN, least = NaN, most = NaN } = typed.figures;
    const shims = readShims(typed.texts.words ?? '');
    if (!isNumber(float, least, most) || shims === null || shims.length === 0) return null;
    const worked = runOperation('setup.shims', {
      floatMm: { value: float, plusMinus: 0.02 },
      wanted: { minMm: least, maxMm: most },
      shims,
    });
    if (!worked.ok) return { problem: worked.sentence };
    const { stack, leftMm, plusMinusMm, sure } = worked.output;
    if (!stack) return { problem: t.noStackOfTheseBrings };
    return {
      lines: [
        { text: t.endFloatLeft(stackText(stack), lengthText(leftMm, 3)), variant: 'strong', testID: 'shim-stack' },
        sure
          ? { text: t.theRangeIsSure(lengthText(plusMinusMm, 2)), variant: 'soft' }
          : { text: t.theRangeIsNotSure(lengthText(plusMinusMm, 2)), variant: 'danger' },
      ],
      entry: {
        label: t.theyAreIn,
        isPrimary: true,
        written: setup(typed, t.endFloatIs(stackText(stack), lengthText(leftMm, 2))),
        testID: 'shims-set',
      },
    };
  },
};
