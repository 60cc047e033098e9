import { t } from '@patient-badger/wording/trace';
import { openSteps } from '@patient-badger/core/job';
import { statesLacking, type Look, type Step } from '@patient-badger/core/machine';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { statesText } from '../wording/statesText.ts';
import { minutesText } from '../wording/words.ts';

interface Props {
  readonly view: JobView;
  readonly look: Look;
  /** Steps to put back first, latest first; null where nothing brings it back. */
  readonly undo: readonly Step[] | null;
}

/** Why a look cannot be taken as the machine stands, and what it takes to get there. */
export function NotPossible({ view: { job, pack, state }, look, undo }: Props) {
  const { write, problem } = useRecord(job.id);
  if (undo !== null && undo.length === 0) return null;
  const pieces = (undo ?? []).map((step) => pack.closing.find(({ closes }) => closes.includes(step.id)) ?? step);
  const once = pieces.filter((piece, i) => pieces.indexOf(piece) === i);
  return (
    <Card tone="sunken">
      <Text variant="strong">{t.notPossibleAsItStands}</Text>
      <Text>{t.thisLookNeeds(statesText(pack, statesLacking(pack, look, openSteps(pack, state))))}</Text>
      {undo === null ? (
        <Text variant="soft">{t.nothingBringsThatBackFrom}</Text>
      ) : (
        <View className="gap-2">
          <Text variant="soft">{t.putBackFirstInAll(minutesText(once.reduce((sum, { minutes }) => sum + minutes, 0)))}</Text>
          {once.map((piece) => (
            <Button
              key={piece.id}
              label={t.itIsBack(piece.name)}
              testID={`back-${piece.id}`}
              onPress={() => void write({ kind: 'closingDone', step: piece.id })}
            />
          ))}
        </View>
      )}
      <Problem text={problem} />
    </Card>
  );
}
