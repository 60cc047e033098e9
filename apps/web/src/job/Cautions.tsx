import { t } from '@patient-badger/wording/shared';
import type { JobState } from '@patient-badger/core/job';
import type { Caution } from '@patient-badger/core/machine';
import TriangleAlert from 'lucide-react-native/icons/triangle-alert';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';
import { useKeys } from '../design/useKeys.ts';

/** Cautions that want a deliberate word because somebody can be hurt, and have not had it on this job. */
export const useUnacknowledged = (state: JobState, cautions: readonly Caution[]) =>
  cautions.filter(({ id, level }) => level === 'hurt' && !state.acknowledged.includes(id));

/** Cautions at the step they belong to. One that can hurt is confirmed on purpose, once a job, and the confirmation is on record. */
export function Cautions({ jobId, state, cautions }: { jobId: string; state: JobState; cautions: readonly Caution[] }) {
  const colours = useColours();
  const { write, problem } = useRecord(jobId);
  const [first] = useUnacknowledged(state, cautions);
  useKeys({ c: first && (() => void write({ kind: 'cautionAcknowledged', caution: first.id })) });
  if (cautions.length === 0) return null;
  return (
    <View className="gap-2">
      {cautions.map(({ id, text, level }) => {
        const confirmed = level !== 'hurt' || state.acknowledged.includes(id);
        return (
          <Card key={id} tone="danger">
            <View className="flex-row gap-3">
              <TriangleAlert color={colours.danger} size={26} />
              <Text className="flex-1">{text}</Text>
            </View>
            {confirmed ? null : (
              <Button variant="danger" label={t.doneSoITakeCare} onPress={() => void write({ kind: 'cautionAcknowledged', caution: id })} />
            )}
          </Card>
        );
      })}
      <Problem text={problem} />
    </View>
  );
}
