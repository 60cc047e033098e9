import { t } from '@patient-badger/wording/trace';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { minutesText } from '../wording/words.ts';

/** A remedy that is tried as a look: what it takes, and what it uses up. */
export const TriedRemedy = ({ uses, minutes }: { uses: readonly string[]; minutes: number }) => (
  <Card>
    <Text variant="strong">{t.tryThisItSetsIt}</Text>
    <Text variant="soft">
      {minutesText(minutes)}. {uses.length > 0 ? t.itUsesWithUses(uses.join(', ')) : t.itUsesNothingUp}
    </Text>
  </Card>
);
