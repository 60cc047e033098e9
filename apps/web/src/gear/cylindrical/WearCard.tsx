import { wearLimitSource, wearReasons } from '@patient-badger/wording/judgements';
import { t } from '@patient-badger/wording/gear';
import { formatLength } from '@patient-badger/core';
import { cutOf, wearQuestion, type Candidate } from '@patient-badger/core/gear';
import type { GearState } from '@patient-badger/core/job';
import type { GearCard } from '@patient-badger/core/machine';
import { View } from 'react-native';
import Svg, { Polyline } from 'react-native-svg';
import { lengthUnit } from '../../preferences/preferences.ts';
import { runOperation } from '../../data/runOperation.ts';
import { Card } from '../../design/Card.tsx';
import { Text } from '../../design/Text.tsx';
import { useColours } from '../../design/useColours.ts';
import { WEAR_VERDICTS } from '../wearVerdicts.ts';
import { WearLimit } from '../WearLimit.tsx';
import { wornTeeth } from './wornOutline.ts';

interface Props {
  readonly jobId: string;
  readonly card: GearCard;
  readonly candidate: Candidate;
  readonly gear: GearState;
}

/** How worn it is against the gear it was: new outline over worn, thinning, whose limit, and the verdict with its reasons. */
export function WearCard({ jobId, card, candidate, gear }: Props) {
  const unit = lengthUnit.use();
  const question = wearQuestion(candidate, gear);
  if (!question) return null;
  const worked = runOperation('gear.wear', question);
  if (!worked.ok) return null;
  const { thinningMm, tipLossMm = 0, tipThicknessLeftMm, limitMm, verdict } = worked.output;
  return (
    <Card tone={verdict === 'replace' ? 'danger' : 'plain'}>
      <Text variant="label">{t.wearIfItWasThis}</Text>
      <Text variant="head" testID="wear-verdict">
        {WEAR_VERDICTS[verdict]}
      </Text>
      <WearDrawing candidate={candidate} thinningMm={thinningMm.value} tipLossMm={tipLossMm} />
      {wearReasons(worked.output).map((reason) => (
        <Text key={reason}>{reason}</Text>
      ))}
      <Text variant="soft">
        {t.teethThinnerByTipsLower(
          formatLength(Math.max(0, thinningMm.value), unit),
          formatLength(thinningMm.plusMinus, unit),
          formatLength(Math.max(0, tipLossMm) / 2, unit),
          formatLength(tipThicknessLeftMm, unit),
          formatLength(limitMm, unit),
          wearLimitSource(worked.output),
        )}
      </Text>
      <WearLimit jobId={jobId} gear={card.id} />
    </Card>
  );
}

const WIDTH = 300;

function WearDrawing({ candidate, thinningMm, tipLossMm }: { candidate: Candidate; thinningMm: number; tipLossMm: number }) {
  const colours = useColours();
  const cut = cutOf({ ...candidate, addendumCoefficient: 1, dedendumCoefficient: 1.25, toothThinningMm: 0 });
  const { factor, asNew, worn } = wornTeeth(cut, thinningMm, tipLossMm);
  const xs = asNew.map(([x]) => x);
  const ys = asNew.map(([, y]) => y);
  const scale = WIDTH / (Math.max(...xs) - Math.min(...xs));
  const top = Math.max(...ys);
  const height = (top - Math.min(...ys)) * scale + 8;
  const path = (points: typeof asNew) =>
    points.map(([x, y]) => `${(WIDTH / 2 + x * scale).toFixed(1)},${((top - y) * scale + 4).toFixed(1)}`).join(' ');
  return (
    <View className="items-center gap-1" role="img" aria-label={t.threeTeethNewAndWorn(factor)}>
      <Svg width={WIDTH} height={height} viewBox={`0 0 ${WIDTH} ${height}`} aria-hidden>
        <Polyline points={path(worn)} fill={colours.sunken} stroke={colours.ink} strokeWidth={2} strokeLinejoin="round" />
        <Polyline points={path(asNew)} fill="none" stroke={colours.heat} strokeWidth={2} strokeDasharray="7 5" />
      </Svg>
      <Text variant="soft">{factor === 1 ? t.brokenLineAsNewDrawn : t.brokenLineAsNewWear(factor)}</Text>
    </View>
  );
}
