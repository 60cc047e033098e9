import { formatLength, type WormCandidate, type WormIdentification } from '@patient-badger/core';
import { Pressable, View } from 'react-native';
import { lengthUnit } from '../data/settings.ts';
import { Card } from '../design/Card.tsx';
import { Meter } from '../design/Meter.tsx';
import { Text } from '../design/Text.tsx';
import { candidateKey, sizeText } from './candidateKey.ts';

interface Props {
  readonly identification: WormIdentification | undefined;
  readonly picked: WormCandidate | undefined;
  readonly onPick: (key: string) => void;
}

const SHOWN = 5;

/** Which worm it was, most likely first, with what the caliper should still find. */
export function CandidateList({ identification, picked, onPick }: Props) {
  const unit = lengthUnit.use();
  if (!identification) {
    return (
      <Card tone="sunken">
        <Text look="strong">Nothing measured yet</Text>
        <Text>Tap a dimension on the drawing. Over the tips and along the thread tell the most.</Text>
      </Card>
    );
  }
  const { candidates, noneOfTheseProbability } = identification;
  return (
    <View className="gap-2" role="radiogroup" aria-label="Candidates">
      <Text look="head">Which worm it was</Text>
      {candidates.slice(0, SHOWN).map((each) => {
        const key = candidateKey(each);
        const here = picked !== undefined && candidateKey(picked) === key;
        return (
          <Pressable
            key={key}
            role="radio"
            aria-checked={here}
            testID={`candidate-${key}`}
            onPress={() => onPick(key)}
            className={`gap-1 rounded-lg border-2 bg-surface p-3 ${here ? 'border-accent' : 'border-line'}`}
          >
            <Text look="strong">
              {sizeText(each)}, {each.starts} {each.starts === 1 ? 'start' : 'starts'}
            </Text>
            <Meter chance={each.probability} />
            <Text look="soft">
              Pitch diameter {formatLength(each.wormPitchDiameterMm, unit)}, lead angle {each.predicted.leadAngleDeg.toFixed(2)}°
              {each.tipLossMm > 0.02 ? `, tips worn by ${formatLength(each.tipLossMm, unit)}` : ''}
            </Text>
            {here ? <Expected candidate={each} /> : null}
          </Pressable>
        );
      })}
      {candidates.length > SHOWN ? <Text look="soft">and {candidates.length - SHOWN} less likely ones</Text> : null}
      <Card tone="sunken">
        <Text look="strong">None of these</Text>
        <Meter chance={noneOfTheseProbability} />
      </Card>
    </View>
  );
}

function Expected({ candidate: { predicted, residuals } }: { candidate: WormCandidate }) {
  const unit = lengthUnit.use();
  const rows = [
    ['Over the tips, unworn', predicted.tipDiameterMm, residuals.tipDiameterMm],
    ['Root', predicted.rootDiameterMm, residuals.rootDiameterMm],
    ['One pitch', predicted.axialPitchMm, residuals.axialPitchMm],
  ] as const;
  return (
    <View>
      {rows.map(([name, value, residual]) => (
        <Text key={name} look="soft">
          {name}: {formatLength(value, unit)}
          {residual === undefined ? ' (not read)' : ` (read ${residual >= 0 ? '+' : '−'}${Math.abs(residual).toFixed(2)} mm)`}
        </Text>
      ))}
    </View>
  );
}
