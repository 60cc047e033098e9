import { CANNOT_TELL, packModel, type Pack, type TraceOutput } from '@patient-badger/core';
import { View } from 'react-native';
import type { JobView } from '../job/JobView.ts';
import { Text } from '../design/Text.tsx';

/** What was seen so far, and whom each look moved the most. */
export function Trail({ view: { state, pack, trace } }: { view: JobView }) {
  return (
    <View className="gap-3">
      <Text look="head">Seen so far</Text>
      {state.observations.length === 0 ? <Text look="soft">Nothing yet.</Text> : null}
      {state.observations.map(({ look, result, entryId }) => (
        <View key={entryId} className="border-l-4 border-line pl-3">
          <Text look="soft">{pack.looks.find(({ id }) => id === look)?.name ?? look}</Text>
          <Text look="strong">{resultName(pack, look, result)}</Text>
          <Text look="soft">{movedMost(trace, look)}</Text>
        </View>
      ))}
      {trace.factShifts.length > 0 ? <Text look="head">Told by the machine</Text> : null}
      {trace.factShifts.map(({ fault, factor, why }) => (
        <Text key={`${fault}/${why}`} look="soft">
          {pack.faults.find(({ id }) => id === fault)?.name}: {factor > 1 ? 'more' : 'less'} likely, because {why}.
        </Text>
      ))}
    </View>
  );
}

export function resultName(pack: Pack, lookId: string, result: string): string {
  if (result === CANNOT_TELL) return 'Could not tell';
  return (
    packModel(pack)
      .outcomes.get(lookId)
      ?.find((each) => each.result === result)?.name ?? result
  );
}

function movedMost(trace: TraceOutput, look: string): string {
  const moves = trace.suspects.flatMap(({ name, because, probability }) =>
    because.filter((each) => each.look === look).map(({ bits }) => ({ name, bits, weight: Math.abs(bits) * Math.max(probability, 0.02) })),
  );
  const top = moves.reduce<(typeof moves)[number] | null>((best, each) => (!best || each.weight > best.weight ? each : best), null);
  if (!top || Math.abs(top.bits) < 0.1) return 'moved nothing much';
  return `${top.bits > 0 ? 'towards' : 'away from'}: ${top.name}`;
}
