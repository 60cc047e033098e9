import { t } from '@patient-badger/wording/ratio';
import { t as shared } from '@patient-badger/wording/shared';
import { runOperation } from '../../data/runOperation.ts';
import type { DeskSpec } from '../../desk/DeskSpec.ts';
import { readCounts } from '../../wording/ratioWords.ts';
import { trainOf } from '../knownFigures.ts';
import { readTrain } from '../readTrain.ts';
import { pairsText } from './pairsText.ts';

const SHOWN = 4;

/** A train reckoned through. */
export const TRAIN: DeskSpec = {
  id: 'train',
  prefix: 'train',
  title: t.reckonATrainThrough,
  fields: [
    {
      kind: 'text',
      name: 'chain',
      label: t.driverDrivenStageAfterStage,
      example: '10:40 1w:30',
      problem: (text) => (text.trim() !== '' && !readTrain(text) ? t.writeItLike1040 : undefined),
    },
  ],
  known: ({ view }) => {
    const chain = view ? trainOf(view.pack) : '';
    return chain ? { chain } : {};
  },
  knownFrom: t.theCountsOfThisMachines,
  answer: ({ texts: { chain = '' } }) => {
    const stages = readTrain(chain);
    if (!stages) return null;
    const worked = runOperation('ratio.train', { stages });
    if (!worked.ok) return { problem: worked.sentence };
    return { lines: [{ text: t.turnsInForOneOut(worked.output.reduction.toFixed(4)), variant: 'head', testID: 'train-reduction' }] };
  },
};

/** Trains from the gears there are for a ratio that is wanted: of one pair, then of two. */
export const TRAIN_DESIGN: DeskSpec = {
  id: 'train-design',
  prefix: 'train',
  title: t.findATrain,
  starts: { moduleMm: '1' },
  fields: [
    ['wanted', t.reductionThatIsWanted],
    { kind: 'text', name: 'gears', label: t.gearsThereAre, example: '12, 15, 18-24, 36, 48' },
    ['moduleMm', shared.moduleMm],
    ['centre', t.centreDistanceToKeepIn, 'mm'],
  ],
  answer: ({ texts: { gears = '' }, figures: { wanted = NaN, moduleMm = NaN, centre = NaN } }) => {
    const teeth = readCounts(gears);
    if (!(wanted > 0 && moduleMm > 0) || !teeth || teeth.length < 2) return null;
    const designs = ([1, 2] as const).map((stages) =>
      runOperation('ratio.design', {
        reduction: wanted,
        stages,
        gears: teeth.map((count) => ({ teeth: count, normalModuleMm: moduleMm })),
        ...(centre > 0 && { centreDistanceMm: centre }),
        most: SHOWN,
      }),
    );
    const [single] = designs;
    if (single && !single.ok) return { problem: single.sentence };
    return {
      lines: designs
        .flatMap((design) => (design.ok ? design.output.trains : []))
        .map(({ stages, reduction, errorPercent }) => ({
          candidate: pairsText(stages),
          detail: t.shaftsMmApart(
            reduction.toFixed(4),
            Math.abs(errorPercent) < 0.005 ? t.exact : `${errorPercent > 0 ? '+' : '−'}${Math.abs(errorPercent).toFixed(2)} %`,
            stages.map(({ centreDistanceMm }) => centreDistanceMm.toFixed(1)).join(shared.and2),
          ),
        })),
    };
  },
};
