import { t } from '@patient-badger/wording/ratio';
import { t as shared } from '@patient-badger/wording/shared';
import type { EntryPayload } from '@patient-badger/core/job';
import { runOperation } from '../../data/runOperation.ts';
import { textOf } from '../../desk/deskInput.ts';
import type { DeskField, DeskInput, DeskSpec } from '../../desk/DeskSpec.ts';
import { minutesText } from '../../wording/words.ts';

export type Corrected = Extract<EntryPayload, { kind: 'odometerCorrected' }>;

const unitOf = ({ unit }: DeskInput['texts']) => (unit === 'mile' ? 'mile' : 'km');

/** Where it is turned: the cable's square, or with the instrument open the gear at the drums. */
const turnedFields = (texts: DeskInput['texts']): readonly DeskField[] =>
  texts.turned === 'drums'
    ? [['perUnit', t.turnsOfThatGearFor(unitOf(texts))]]
    : [
        ['cable', t.cableTurnsPerOnThe(texts.cablePer ?? 'mile')],
        {
          kind: 'choice',
          name: 'cablePer',
          label: t.cableTurnsPer,
          start: 'mile',
          options: [
            ['mile', t.perMile],
            ['km', t.perKm],
          ],
        },
      ];

/** The turns as `ratio.correct` takes them; null while they are not given. */
function turnsGiven({ texts, figures }: DeskInput) {
  const given = (texts.turned === 'drums' ? figures.perUnit : figures.cable) ?? NaN;
  if (!(given > 0)) return null;
  if (texts.turned === 'drums') return { turnsPerUnit: given };
  return texts.cablePer === 'km' ? { cableTurnsPerKm: given } : { cableTurnsPerMile: given };
}

/** An odometer that stood still, brought forward by what it missed: turns, minutes, and what goes on the sheet. */
export const ODOMETER: DeskSpec<Corrected> = {
  id: 'odometer-desk',
  prefix: 'odo',
  caution: t.settingAnOdometerIsRegulated2,
  intro: t.localLawDecidesWhetherBy,
  fields: (texts) => [
    ['reading', t.theDrumsShow],
    ['missed', t.drivenWhileItStoodStill],
    {
      kind: 'choice',
      name: 'unit',
      label: t.unitOfTheDrums,
      start: 'km',
      options: [
        ['km', 'km'],
        ['mile', shared.miles],
      ],
    },
    {
      kind: 'choice',
      name: 'turned',
      label: t.whatIsTurned,
      start: 'cable',
      options: [
        ['cable', t.theCable],
        ['drums', t.gearAtTheDrums2],
      ],
    },
    ...turnedFields(texts),
    { kind: 'text', name: 'reason', label: t.whyAndHowTheDistance, multiline: true },
  ],
  answer: (typed) => {
    const { reading = NaN, missed = NaN } = typed.figures;
    const turns = turnsGiven(typed);
    if (!(reading >= 0) || !Number.isFinite(missed) || !turns) return null;
    const unit = unitOf(typed.texts);
    const worked = runOperation('ratio.correct', { reading, missed, unit, ...turns });
    if (!worked.ok) return { problem: worked.sentence };
    const { turns: count, minutesByDrill, minutesByHand, newReading } = worked.output;
    return {
      lines: [
        {
          text: t.turnsOfThe(Math.round(count).toLocaleString('en'), typed.texts.turned === 'drums' ? t.gearAtTheDrums : t.cable),
          variant: 'head',
          testID: 'odo-turns',
        },
        { text: t.byADrillAt1(minutesText(minutesByDrill), minutesText(minutesByHand), newReading) },
      ],
      entry: {
        label: t.writeItOnTheJob,
        testID: 'keep-odometer',
        isPrimary: true,
        wants: { reason: t.theSheetNeedsTheReason },
        written: { kind: 'odometerCorrected', before: reading, after: newReading, missed, unit, reason: textOf(typed, 'reason') },
      },
    };
  },
};
