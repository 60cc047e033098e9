import { t } from '@patient-badger/wording/gear';
import { Pressable, View } from 'react-native';
import { Card } from '../design/Card.tsx';
import { Meter } from '../design/Meter.tsx';
import { Text } from '../design/Text.tsx';
import type { CandidateLine } from './candidateLine.ts';

interface Props {
  readonly heading: string;
  /** What to begin with, while nothing is known. */
  readonly begin: string;
  /** Best first; undefined while nothing was measured. */
  readonly lines: readonly CandidateLine[] | undefined;
  readonly noneOfThese?: number | undefined;
  readonly picked: string | undefined;
  readonly onPick: (key: string) => void;
}

const SHOWN = 5;

/** Which gear it was, most likely first, with what the caliper should still find. */
export function CandidateList({ heading, begin, lines, noneOfThese = 0, picked, onPick }: Props) {
  if (!lines) {
    return (
      <Card tone="sunken">
        <Text variant="strong">{t.nothingMeasuredYet}</Text>
        <Text>{begin}</Text>
      </Card>
    );
  }
  return (
    <View className="gap-2" role="radiogroup" aria-label={t.candidates}>
      <Text variant="head">{heading}</Text>
      {lines.length === 0 ? <Text>{t.noStandardGearReadsLike}</Text> : null}
      {lines.slice(0, SHOWN).map(({ key, title, probability, detail, expected }) => (
        <Pressable
          key={key}
          role="radio"
          aria-checked={key === picked}
          testID={`candidate-${key}`}
          onPress={() => onPick(key)}
          className={`gap-1 rounded-lg border-2 bg-surface p-3 ${key === picked ? 'border-accent' : 'border-line'}`}
        >
          <Text variant="strong">{title}</Text>
          <Meter chance={probability} />
          <Text variant="soft">{detail}</Text>
          {key === picked
            ? expected.map((text) => (
                <Text key={text} variant="soft">
                  {text}
                </Text>
              ))
            : null}
        </Pressable>
      ))}
      {lines.length > SHOWN ? <Text variant="soft">{t.andLessLikelyOnes(lines.length - SHOWN)}</Text> : null}
      <Card tone="sunken">
        <Text variant="strong">{t.noneOfThese}</Text>
        <Meter chance={noneOfThese} />
      </Card>
    </View>
  );
}
