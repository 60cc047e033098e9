import { t } from '@patient-badger/wording/setup';
import { runOperation } from '../../data/runOperation.ts';
import type { DeskContext, DeskInput, DeskList, DeskSpec } from '../../desk/DeskSpec.ts';
import type { ChartProps } from '../../desk/ReadingChart.tsx';
import { setup, type Setup } from './setup.ts';
import { lengthText } from '../../preferences/lengthText.ts';

/** What the dial indicator is read to. */
const READ_TO_MM = 0.01;
const AROUND = Array.from({ length: 37 }, (_, i) => i * 10);

const trialsOf = ({ view }: DeskContext) =>
  (view?.state.sleeveTrials ?? []).map(({ sleeveDeg, backlashMm }) => ({ sleeveDeg, backlashMm }));

const TRIALS: DeskList = {
  title: t.trials,
  fields: [
    ['angle', t.sleeveAt],
    ['backlash', t.backlashThereIn, 'mm'],
  ],
  dial: 'backlash',
  play: ({ figures: { angle = NaN } }) => (Number.isFinite(angle) ? { sleeveDeg: Math.max(-360, Math.min(360, angle)) } : {}),
  kept: (context) => trialsOf(context).map(({ sleeveDeg, backlashMm }) => t.trialAt(sleeveDeg, lengthText(backlashMm.value, 2))),
  label: t.keepThisTrial,
  testID: 'keep-trial',
  entry: ({ figures: { angle = NaN, backlash = NaN } }) => {
    if (!(angle >= -360 && angle <= 360)) return t.theAngleInDegrees360;
    if (!(backlash >= 0 && backlash <= 50)) return t.theBacklashInMm;
    return { kind: 'sleeveTried', sleeveDeg: angle, backlashMm: { value: backlash, plusMinus: READ_TO_MM } };
  },
};

/** An eccentric sleeve: trials as entries, the curve through them, the angle to turn to next; the lock hole last. */
export const ECCENTRIC: DeskSpec<Setup> = {
  id: 'eccentric',
  prefix: 'setup',
  fields: [
    ['wanted', t.backlashWantedIn, 'mm'],
    ['eccentricity', t.eccentricityIn, 'mm'],
  ],
  list: TRIALS,
  foot: t.checkItOverTheWhole,
  answer: (typed, context) => {
    const { wanted = NaN, eccentricity = NaN } = typed.figures;
    const trials = trialsOf(context);
    if (trials.length < 2 || !(wanted >= 0)) return null;
    const worked = runOperation('setup.eccentric', { trials, wantedMm: wanted, ...(eccentricity > 0 && { eccentricityMm: eccentricity }) });
    return worked.ok ? said(worked.output, typed, trials.length) : { problem: worked.sentence };
  },
};

type Found = Extract<ReturnType<typeof runOperation<'setup.eccentric'>>, { ok: true }>['output'];

function said({ meanMm, amplitudeMm, tightestAtDeg, eccentricityMm, ambiguous, next }: Found, typed: DeskInput, trials: number) {
  const { wanted = NaN } = typed.figures;
  const [least, most] = [meanMm - amplitudeMm, meanMm + amplitudeMm];
  const lines = [
    { chart: curveOf({ meanMm, amplitudeMm, tightestAtDeg, wanted }) },
    { text: t.tightestAtTheSleeve(Math.round(tightestAtDeg), lengthText(least, 3), lengthText(eccentricityMm, 3)) },
    ...(ambiguous ? [{ text: t.twoTrialsFitTwoSleeves, variant: 'danger' } as const] : []),
  ];
  if (!next)
    return {
      lines: [
        ...lines,
        { text: t.thisSleeveCannotReachIt(lengthText(least, 3), lengthText(most, 3)), variant: 'danger', testID: 'not-reachable' } as const,
      ],
    };
  const { value, plusMinus } = next.backlashMm;
  const at = Math.round(next.sleeveDeg);
  return {
    lines: [
      ...lines,
      { text: t.turnToItShouldShow(at, lengthText(value, 3), lengthText(plusMinus, 3)), variant: 'strong', testID: 'next-angle' } as const,
    ],
    entry: {
      label: t.itShowsThatItIs,
      testID: 'eccentric-set',
      isPrimary: true,
      written: setup(typed, t.sleeveAtForBacklash(at, lengthText(wanted, 2), trials)),
    },
  };
}

/** Backlash over a whole turn of the sleeve, and the line that is wanted. */
const curveOf = ({
  meanMm,
  amplitudeMm,
  tightestAtDeg,
  wanted,
}: Pick<Found, 'meanMm' | 'amplitudeMm' | 'tightestAtDeg'> & { readonly wanted: number }): ChartProps => ({
  label: t.backlashOverTheSleevesAngle(Math.round(tightestAtDeg)),
  across: t.sleeveDegrees,
  up: t.backlashMm,
  zero: true,
  curves: [
    {
      name: t.throughTheTrials,
      points: AROUND.map((deg) => [deg, meanMm - amplitudeMm * Math.cos(((deg - tightestAtDeg) * Math.PI) / 180)]),
    },
    { name: t.wanted, broken: true, points: [0, 360].map((deg) => [deg, wanted] as const) },
  ],
});
