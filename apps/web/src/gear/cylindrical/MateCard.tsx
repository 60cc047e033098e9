import { t } from '@patient-badger/wording/gear';
import { formatLength } from '@patient-badger/core';
import { cutOf, gearOutline, meshQuestion, profileOf, wearQuestion, type Candidate, type Mesh } from '@patient-badger/core/gear';
import type { GearState } from '@patient-badger/core/job';
import { View } from 'react-native';
import Svg, { G, Polygon } from 'react-native-svg';
import { lengthUnit } from '../../preferences/preferences.ts';
import { runOperation } from '../../data/runOperation.ts';
import { Card } from '../../design/Card.tsx';
import { Text } from '../../design/Text.tsx';
import { useColours } from '../../design/useColours.ts';

const WARNINGS: Readonly<Record<Mesh['warnings'][number], string>> = {
  undercut: t.oneOfTheTwoHas,
  noBacklash: t.noBacklashIsLeftAt,
  contactRatioBelowOne: t.aToothLetsGoBefore,
  tipsTouchRoot: t.tipsTouchTheRootsOf,
};

/** The gear with its mate at the measured centre distance: backlash, contact ratio and clearances. */
export function MateCard({ candidate, gear }: { candidate: Candidate; gear: GearState }) {
  const unit = lengthUnit.use();
  const wearing = wearQuestion(candidate, gear);
  const wear = wearing && runOperation('gear.wear', wearing);
  const thinning = wear?.ok ? wear.output.thinningMm.value : 0;
  const question = meshQuestion(candidate, gear, thinning);
  if (!question?.pinion || !question.wheel || question.centreDistanceMm === undefined) return null;
  const worked = runOperation('gear.pair.mesh', question);
  if (!worked.ok) {
    return (
      <Card tone="danger">
        <Text variant="danger">{worked.sentence}</Text>
      </Card>
    );
  }
  const {
    circumferentialBacklashMm,
    normalBacklashMm,
    backlashAtWheelDeg,
    transverseContactRatio,
    tipClearancePinionMm,
    tipClearanceWheelMm,
    warnings,
  } = worked.output;
  const mateTeeth = question.pinion.teeth === candidate.teeth ? question.wheel.teeth : question.pinion.teeth;
  return (
    <Card>
      <Text variant="label">{t.withItsMateOfTeeth(mateTeeth)}</Text>
      <MeshDrawing candidate={candidate} thinningMm={Math.max(0, thinning)} mateTeeth={mateTeeth} centreMm={question.centreDistanceMm} />
      <Text variant="head" testID="mesh-backlash">
        {t.backlash(formatLength(circumferentialBacklashMm, unit))}
      </Text>
      <Text>{t.byFeelerGaugeBetweenThe(formatLength(normalBacklashMm, unit), backlashAtWheelDeg.toFixed(2))}</Text>
      <Text>{t.contactRatioSoManyTeeth(transverseContactRatio.toFixed(2))}</Text>
      <Text variant="soft">{t.tipClearanceThisGearAs(formatLength(Math.min(tipClearancePinionMm, tipClearanceWheelMm), unit))}</Text>
      {warnings.map((warning) => (
        <Text key={warning} variant={warning === 'undercut' ? 'soft' : 'danger'}>
          {WARNINGS[warning]}
        </Text>
      ))}
    </Card>
  );
}

const WIDTH = 320;

function MeshDrawing({
  candidate,
  thinningMm,
  mateTeeth,
  centreMm,
}: {
  candidate: Candidate;
  thinningMm: number;
  mateTeeth: number;
  centreMm: number;
}) {
  const colours = useColours();
  const make = (teeth: number, profileShift: number, toothThinningMm: number) =>
    cutOf({ ...candidate, teeth, profileShift, toothThinningMm, addendumCoefficient: 1, dedendumCoefficient: 1.25 });
  const [own, mate] = [make(candidate.teeth, candidate.profileShift, thinningMm), make(mateTeeth, 0, 0)];
  const [r1, r2] = [profileOf(own).tipDiameterMm / 2, profileOf(mate).tipDiameterMm / 2];
  const scale = WIDTH / (r1 + centreMm + r2);
  const height = 2 * Math.max(r1, r2) * scale;
  const points = (cut: typeof own) =>
    gearOutline(cut)
      .map(([x, y]) => `${(x * scale).toFixed(2)},${(-y * scale).toFixed(2)}`)
      .join(' ');
  return (
    <View className="items-center" role="img" aria-label={t.bothGearsInMeshAnd(candidate.teeth, mateTeeth)}>
      <Svg width={WIDTH} height={height} viewBox={`0 0 ${WIDTH} ${height}`} aria-hidden>
        {/* A tooth of one points at the other, which turns a space towards it. */}
        <G x={r1 * scale} y={height / 2} rotation={90}>
          <Polygon points={points(own)} fill={colours.sunken} stroke={colours.ink} strokeWidth={1.2} />
        </G>
        <G x={(r1 + centreMm) * scale} y={height / 2} rotation={-90 + 180 / mateTeeth}>
          <Polygon points={points(mate)} fill={colours.surface} stroke={colours.ink} strokeWidth={1.2} />
        </G>
      </Svg>
    </View>
  );
}
