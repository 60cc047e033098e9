import { t } from '@patient-badger/wording/match';
import type { ModelBook } from '@patient-badger/core/job';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { attributeName } from '../wording/attributeWords.ts';

/** Parts that were sent back on this model before, with what decided it. */
export function SentBack({ parts }: { parts: ModelBook['parts'] }) {
  const back = parts.filter(({ refused, proved }) => refused.length > 0 && proved === 0);
  if (back.length === 0) return null;
  return (
    <Card tone="sunken">
      <Text variant="head">{t.sentBackOnThisModel}</Text>
      {back.map(({ partNumber, refused }) => (
        <Text key={partNumber}>
          {partNumber}: {refused.map(({ deciding, note }) => `${attributeName(deciding).toLowerCase()}, ${note}`).join('; ')}
        </Text>
      ))}
    </Card>
  );
}
