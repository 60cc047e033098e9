import { t } from '@patient-badger/wording/prove';
import { t as shared } from '@patient-badger/wording/shared';
import { runOperation } from '../data/runOperation.ts';
import type { DeskSpec } from '../desk/DeskSpec.ts';
import { trainOf } from '../ratio/knownFigures.ts';
import { readTrain } from '../ratio/readTrain.ts';

/** Turns put in against what was counted out, by the ratio of the train or one that is typed. */
export const TURNS: DeskSpec<{ readonly note: string; readonly passed: boolean }> = {
  id: 'turns',
  prefix: 'turns',
  isPart: true,
  starts: { readTo: '0.1' },
  fields: [
    ['driven', shared.turnsPutIn],
    ['counted', t.countedOut],
    ['readTo', t.readTo],
    ['ratio', t.inForOneOut],
  ],
  known: ({ view }) => {
    const ratio = view ? reductionOf(trainOf(view.pack)) : null;
    return ratio === null ? {} : { ratio: String(Number(ratio.toPrecision(6))) };
  },
  answer: ({ figures: { driven = NaN, counted = NaN, readTo = NaN, ratio = NaN } }) => {
    if (!(driven > 0 && counted >= 0 && readTo > 0 && ratio > 0)) return null;
    const worked = runOperation('prove.turns', { driven, counted, readTo, ratio });
    if (!worked.ok) return { problem: worked.sentence };
    const { agrees, enough, drivenForMore, differencePercent } = worked.output;
    const wanted = Number(worked.output.wanted.toPrecision(4));
    const off = t.too(Math.abs(differencePercent).toFixed(1), differencePercent > 0 ? t.many : t.few);
    return {
      lines: [
        {
          text: t.countedWanted(agrees ? t.asItShouldBe : off, counted, wanted),
          variant: agrees ? 'strong' : 'danger',
          testID: 'turns-found',
        },
        ...(enough ? [] : [{ text: t.tooFewTurns(drivenForMore.toLocaleString('en')), variant: 'danger' } as const]),
      ],
      entry: {
        label: t.writeTheCountDown,
        testID: 'turns-kept',
        written: { note: t.turnsInCountedWanted(driven, counted, wanted), passed: agrees && enough },
      },
    };
  },
};

/** The whole ratio of a train as it is written; null where it has none. */
function reductionOf(text: string): number | null {
  const stages = readTrain(text);
  const worked = stages && runOperation('ratio.train', { stages });
  return worked?.ok ? worked.output.reduction : null;
}
