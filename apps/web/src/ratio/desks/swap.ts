import { t } from '@patient-badger/wording/ratio';
import { runOperation } from '../../data/runOperation.ts';
import type { DeskInput, DeskLine, DeskSpec } from '../../desk/DeskSpec.ts';
import { readTrain } from '../readTrain.ts';

const SPEEDS = [20, 40, 60, 80, 100, 120];

/** A pair as it is typed, with what it costs and how far it lasts where that is given. */
function pair(
  name: string,
  teeth: string | undefined,
  { lifeKm = NaN, price = NaN }: { readonly lifeKm?: number; readonly price?: number },
) {
  const [stage] = readTrain(teeth ?? '') ?? [];
  if (!stage || !('driverTeeth' in stage)) return null;
  return { name, ...stage, ...(lifeKm > 0 && { lifeKm }), ...(price > 0 && { priceMinor: Math.round(100 * price) }) };
}

const swapOf = ({ texts, figures }: DeskInput) => {
  const { rest = NaN, turnsPerKm = NaN, yearly = NaN, life = NaN, price = NaN } = figures;
  const now = pair(t.inItNow, texts.now, {});
  const other = pair(t.theOtherPair, texts.other, { lifeKm: life, price });
  if (!now || !other || !(rest > 0 && turnsPerKm > 0)) return null;
  return runOperation('ratio.swap', {
    otherReduction: rest,
    turnsPerKm,
    now,
    others: [other],
    speedsKmh: SPEEDS,
    ...(yearly > 0 && { yearlyKm: yearly }),
  });
};

/** Another pair in top gear: engine speed against road speed, and what it costs by the distance it lasts. */
export const SWAP: DeskSpec = {
  id: 'swap',
  prefix: 'swap',
  fields: [
    { kind: 'text', name: 'now', label: t.inItNowDriverDriven, example: '24:25' },
    { kind: 'text', name: 'other', label: t.instead, example: '25:24' },
    ['rest', t.reductionOfAllTheRest],
    ['turnsPerKm', t.wheelTurnsIn, 'perKm'],
    ['yearly', t.kmAYear],
    ['price', t.priceOfTheOther],
    ['life', t.itLastsKm],
  ],
  answer: (typed) => {
    const worked = swapOf(typed);
    if (!worked) return null;
    if (!worked.ok) return { problem: worked.sentence };
    const { options } = worked.output;
    const [, other] = options;
    const cost: readonly DeskLine[] = other?.pricePer1000KmMinor
      ? [
          {
            text: t.forEach1000Km(
              (other.pricePer1000KmMinor / 100).toFixed(2),
              other.yearsOfLife ? t.lastsThisOwnerYears(other.yearsOfLife.toFixed(1)) : '',
            ),
          },
        ]
      : [];
    return {
      lines: [
        { text: changeText(other?.changePercent ?? 0), variant: 'head', testID: 'swap-change' },
        ...cost,
        {
          chart: {
            label: t.engineSpeedOverRoadSpeed,
            across: 'km/h',
            up: t.engineTurnsAMinute,
            curves: options.map(({ name, engineRpm }, i) => ({
              name,
              broken: i === 0,
              points: engineRpm.map(({ speedKmh, rpm }) => [speedKmh, rpm] as const),
            })),
          },
        },
        { text: t.aPairThatTurnsThe, variant: 'soft' },
      ],
    };
  },
};

const changeText = (percent: number): string =>
  Math.abs(percent) < 0.05 ? t.noChange : t.theEngineTurns(Math.abs(percent).toFixed(1), percent < 0 ? t.slower : t.faster);
