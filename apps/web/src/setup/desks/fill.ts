import { t } from '@patient-badger/wording/setup';
import type { Lubricant, LubricantReason, LubricantWarning, MaterialId, OperationInput } from '@patient-badger/core';
import { runOperation } from '../../data/runOperation.ts';
import { textOf } from '../../desk/deskInput.ts';
import type { DeskSpec } from '../../desk/DeskSpec.ts';
import type { Setup } from './setup.ts';

const LUBRICANTS: Readonly<Record<Lubricant, string>> = {
  gearOilEp: t.gearOilWithExtremePressure,
  wormOil: t.wormGearOilThatIs,
  greaseEp: t.gearGreaseWithExtremePressure,
  greaseWorm: t.greaseWithoutActiveSulphurFor,
  greasePlastic: t.plasticSafeGreaseSyntheticOil,
  instrumentOil: t.instrumentOilOneDrop,
  chainOil: t.chainOilForTheSeason,
  engineOil: t.engineOilOfThePlate,
};
type Fluid = NonNullable<OperationInput<'setup.lubricant'>['contains']>;
const FLUIDS: Readonly<Record<Fluid, string>> = {
  gearOil: t.gearOil,
  grease: t.grease,
  chainOil: t.chainOil,
  engineOil: t.engineOil,
  hydrostaticFluid: t.hydrostaticFluid,
  hydraulicFluid: t.hydraulicFluid,
  brakeFluid: t.brakeFluid,
  instrumentOil: t.aDrop,
  dry: t.runsDry,
};
/** Why nothing is named. */
const NO_ANSWER: Readonly<Record<LubricantReason, string>> = {
  pair: t.onlyThePlateSays,
  contains: t.onlyThePlateSays,
  plateOnly: t.onlyThePlateSays,
  runsDry: t.nothingGoesIn,
};
const WARNINGS: Readonly<Record<LubricantWarning, string>> = {
  activeSulphur: t.neverAnAdditiveWithActive,
  mineralOnPlastic: t.noMineralOilUnlessThe,
  solventOnPlastic: t.noBrakeCleanerOrSolvent,
  mixedThickeners: t.neverOnTopOfAn,
  engineOilInWorm: t.noEngineOilItIs,
};

/** What goes in by what runs on what, what never, and whether what was in there is washed out first. */
export const FILL: DeskSpec<Setup> = {
  id: 'fill',
  prefix: 'fill',
  fields: [
    { kind: 'material', name: 'first', label: t.oneOfThemIs, start: 'steel' },
    { kind: 'material', name: 'second', label: t.itRunsOn, start: 'bronze' },
    {
      kind: 'choice',
      name: 'contains',
      label: t.whatThePlaceHolds,
      start: 'gearOil',
      options: (Object.keys(FLUIDS) as Fluid[]).map((fluid) => [fluid, FLUIDS[fluid]] as const),
    },
    {
      kind: 'choice',
      name: 'slides',
      label: t.howTheTeethRun,
      start: 'no',
      options: [
        ['yes', t.teethSlideWormScrew],
        ['no', t.teethRoll],
      ],
    },
    {
      kind: 'choice',
      name: 'before',
      label: t.inThereBefore,
      start: 'other',
      options: [
        ['other', t.somethingElseWasInIt],
        ['same', t.theSameWasInIt],
      ],
    },
    ['speed', t.pitchLineSpeedMS],
    { kind: 'text', name: 'source', label: t.whatWentInAndWhose },
  ],
  known: ({ view, row }) => {
    const [first, second] = row?.materials ?? ['steel', 'bronze'];
    const joint = view?.pack.driveline.joints.find(({ id }) => id === row?.at);
    const spaces = view?.pack.spaces ?? [];
    const space = spaces.find(({ id }) => id === row?.at) ?? (spaces.length === 1 ? spaces[0] : undefined);
    return {
      first,
      second,
      slides: joint?.type === 'worm' || second === 'bronze' ? 'yes' : 'no',
      ...(space && { contains: space.contains }),
    };
  },
  answer: (typed) => {
    const { texts, figures } = typed;
    const { speed = NaN } = figures;
    const worked = runOperation('setup.lubricant', {
      materials: [texts.first as MaterialId, texts.second as MaterialId],
      contains: texts.contains as Fluid,
      slides: texts.slides === 'yes',
      otherBefore: texts.before === 'other',
      ...(speed > 0 && { speedMs: speed }),
    });
    if (!worked.ok) return { problem: worked.sentence };
    const { lubricant, grade, because, nevers, washFirst } = worked.output;
    return {
      lines: [
        {
          text: lubricant === null ? NO_ANSWER[because] : [LUBRICANTS[lubricant], grade].filter(Boolean).join(', '),
          variant: 'strong',
          testID: 'fill-found',
        },
        ...(grade === null ? [] : [{ text: t.aGuideWhatThePlate, variant: 'soft' } as const]),
        ...nevers.map((never) => ({ text: WARNINGS[never], variant: 'danger' }) as const),
        ...(washFirst ? [{ text: t.washOutWhatWasIn }] : []),
      ],
      entry: {
        label: t.itIsIn,
        testID: 'fill-set',
        isPrimary: true,
        wants: { source: t.sayWhatWentIn },
        written: { figures: t.filled(textOf(typed, 'source')), source: grade === null ? t.byThePlate : t.byThePairGuide(grade) },
      },
    };
  },
};
