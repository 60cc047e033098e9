import { t } from '@patient-badger/wording/setup';
import type { Lubricant, LubricantWarning, MaterialId } from '@patient-badger/core';
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
      name: 'holds',
      label: t.heldBy,
      start: 'oil',
      options: [
        ['oil', t.aCaseOfOil],
        ['grease', t.grease],
        ['drop', t.aDrop],
      ],
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
    return { first, second, slides: joint?.type === 'worm' || second === 'bronze' ? 'yes' : 'no' };
  },
  answer: (typed) => {
    const { texts, figures } = typed;
    const { speed = NaN } = figures;
    const worked = runOperation('setup.lubricant', {
      materials: [texts.first as MaterialId, texts.second as MaterialId],
      holds: texts.holds as 'oil' | 'grease' | 'drop',
      slides: texts.slides === 'yes',
      otherBefore: texts.before === 'other',
      ...(speed > 0 && { speedMs: speed }),
    });
    if (!worked.ok) return { problem: worked.sentence };
    const { lubricant, grade, nevers, washFirst } = worked.output;
    return {
      lines: [
        { text: `${LUBRICANTS[lubricant]}, ${grade}`, variant: 'strong', testID: 'fill-found' },
        { text: t.aGuideWhatThePlate, variant: 'soft' },
        ...nevers.map((never) => ({ text: WARNINGS[never], variant: 'danger' }) as const),
        ...(washFirst ? [{ text: t.washOutWhatWasIn }] : []),
      ],
      entry: {
        label: t.itIsIn,
        testID: 'fill-set',
        isPrimary: true,
        wants: { source: t.sayWhatWentIn },
        written: { figures: t.filled(textOf(typed, 'source')), source: t.byThePairGuide(grade) },
      },
    };
  },
};
