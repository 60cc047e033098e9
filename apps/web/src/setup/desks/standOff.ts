import { t } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
import { isWithin } from '@patient-badger/core/job';
import type { DeskSpec } from '../../desk/DeskSpec.ts';
import { limitsOf, setup, type Setup } from './setup.ts';
import { lengthText } from '../../preferences/lengthText.ts';

/** A gap by the feeler: a press-on worm from its motor, a shaft from its screw. */
export const STAND_OFF: DeskSpec<Setup> = {
  id: 'stand-off',
  prefix: 'setup',
  intro: t.theThickestFeelerThatStill,
  fields: [
    ['feeler', t.feelerGoesIn, 'mm'],
    ['least', t.wantedFromIn, 'mm'],
    ['most', t.wantedToIn, 'mm'],
    { kind: 'text', name: 'source', label: shared.whoseFigureThatIs },
  ],
  known: limitsOf,
  answer: (typed) => {
    const { feeler = NaN, least: min = NaN, most: max = NaN } = typed.figures;
    if (max < min) return { problem: t.theLeastWantedIsMore };
    if (!(feeler >= 0 && min >= 0 && max >= min)) return null;
    const within = isWithin({ min, max }, feeler);
    const isNear = feeler < min;
    const off = t.tooBy(lengthText(isNear ? min - feeler : feeler - max, 2), isNear ? t.nearDrawItOff : t.farPressItOn);
    return {
      lines: [{ text: within ? t.within : off, variant: within ? 'strong' : 'danger', testID: 'stand-off-found' }],
      entry: {
        written: setup(typed, t.byTheFeelerWanted(lengthText(feeler, 2), lengthText(min, 2), lengthText(max, 2))),
        isPrimary: within,
        testID: 'stand-off-set',
      },
    };
  },
};
