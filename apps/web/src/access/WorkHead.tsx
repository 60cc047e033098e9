import { t } from '@patient-badger/wording/access';
import type { JobState } from '@patient-badger/core/job';
import type { Wait } from '@patient-badger/core/machine';
import { View } from 'react-native';
import { Text } from '../design/Text.tsx';
import { WaitCard } from './WaitCard.tsx';

interface Props {
  readonly jobId: string;
  readonly state: JobState;
  readonly work: { readonly name: string; readonly how: string; readonly helper: boolean };
  /** Minutes, in words. */
  readonly takes: string;
  readonly waits: readonly Wait[];
}

/** The head of a step or of a piece of the way back: what to wait for, what it is, how long, and how it is done. */
export const WorkHead = ({ jobId, state, work: { name, how, helper }, takes, waits }: Props) => (
  <>
    {waits.map((wait) => (
      <WaitCard key={wait.id} jobId={jobId} state={state} wait={wait} />
    ))}
    <View className="flex-row items-baseline justify-between gap-3">
      <Text variant="head" className="flex-1">
        {name}
      </Text>
      <Text variant="label">{takes}</Text>
    </View>
    {helper ? <Text variant="danger">{t.twoPeopleForThisOne}</Text> : null}
    <Text>{how}</Text>
  </>
);
