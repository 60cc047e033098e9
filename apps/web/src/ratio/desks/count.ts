import { t } from '@patient-badger/wording/ratio';
import { t as shared } from '@patient-badger/wording/shared';
import { runOperation } from '../../data/runOperation.ts';
import type { DeskSpec } from '../../desk/DeskSpec.ts';
import { pairsText } from './pairsText.ts';

const FEWEST_TEETH = 8;
const MOST_TEETH = 60;
/** A mark against a mark, by eye. */
const READ_TO_TURNS = 0.05;
const SHOWN = 8;

/** So many turns here, so many there: the tooth counts that explain it. */
export const COUNT: DeskSpec = {
  id: 'count-turns',
  prefix: 'count',
  intro: t.markBothShaftsTurnOne,
  starts: { error: String(READ_TO_TURNS), low: String(FEWEST_TEETH), high: String(MOST_TEETH) },
  fields: [
    ['input', shared.turnsPutIn],
    ['output', t.turnsThatCameOut],
    ['error', t.turns],
    ['low', t.fewestTeeth],
    ['high', t.mostTeeth],
    {
      kind: 'choice',
      name: 'kind',
      label: t.kindOfTrain,
      start: 'one',
      options: [
        ['one', t.onePair],
        ['two', t.twoPairs],
        ['worm', t.worm],
      ],
    },
  ],
  answer: ({ texts: { kind }, figures: { input = NaN, output = NaN, error = NaN, low = NaN, high = NaN } }) => {
    if (!(input > 0 && output > 0)) return null;
    const plusMinus = error >= 0 ? error : READ_TO_TURNS;
    const worked = runOperation('ratio.infer', {
      inputTurns: { value: input, plusMinus },
      outputTurns: { value: output, plusMinus },
      stages: kind === 'two' ? 2 : 1,
      worm: kind === 'worm',
      teethRange: [low || FEWEST_TEETH, high || MOST_TEETH],
      most: SHOWN,
    });
    if (!worked.ok) return { problem: worked.sentence };
    const { reduction, candidates } = worked.output;
    return {
      lines: [
        { text: t.toOne(reduction.value.toFixed(3), reduction.plusMinus.toFixed(3)), variant: 'head', testID: 'counted-reduction' },
        ...candidates.map(({ stages, probability, reduction: exact, errorSigma }) => ({
          candidate: pairsText(stages),
          chance: probability,
          detail: t.toOneOfTheCountings(exact.toFixed(3), Math.abs(errorSigma).toFixed(1)),
        })),
      ],
    };
  },
};
