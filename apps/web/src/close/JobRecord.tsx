import { t } from '@patient-badger/wording/close';
import { isProved } from '@patient-badger/core/job';
import { format, parseISO } from 'date-fns';
import { View } from 'react-native';
import { useShop } from '../data/shop.ts';
import { Learnt } from '../book/Learnt.tsx';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { FollowUps } from '../prove/FollowUps.tsx';
import { Intervals } from '../prove/Intervals.tsx';
import { FiguresCard, PhotoSheet } from './FiguresCard.tsx';
import { BillCard } from '../items/BillCard.tsx';
import { describeEntry } from '../log/describeEntry.ts';
import { OUTCOMES } from '../wording/outcomes.ts';

/** The record of a finished job: what came in, what was found, what was done, and that it was proved. */
export function JobRecord({ view }: { view: JobView }) {
  const { job, state, pack, machine } = view;
  const { write, problem } = useRecord(job.id);
  const people = useShop().data?.people ?? [];
  const closed = state.closed;
  if (!closed) return null;
  const who = people.find(({ id }) => id === closed.by)?.name ?? closed.by;
  const told = state.active.filter(({ payload }) => payload.kind !== 'cautionAcknowledged' && payload.kind !== 'closed');
  return (
    <>
      <Card tone="next">
        <Text variant="label">{t.finished(format(parseISO(closed.at), 'd MMMM yyyy, HH:mm'), who)}</Text>
        <Text variant="title">{OUTCOMES[closed.outcome]}</Text>
        <Text variant="strong">{closed.found}</Text>
        {closed.note ? <Text>{closed.note}</Text> : null}
        {closed.despiteLedger ? <Text variant="danger">{t.closedWithPartsNotBack(closed.despiteLedger)}</Text> : null}
      </Card>
      <Card>
        <Text variant="head">{machine?.label ?? pack.name}</Text>
        <Text variant="soft">{[machine?.modelName, machine?.serial, machine?.owner].filter(Boolean).join(' · ')}</Text>
        <Text>“{state.takenIn?.complaint}”</Text>
        <Text>{isProved(pack, state) ? t.provedInUse : t.closedWithoutAFullProof}</Text>
      </Card>
      <FiguresCard view={view} />
      <PhotoSheet view={view} />
      <BillCard view={view} />
      <Intervals view={view} />
      <FollowUps view={view} />
      <Learnt view={view} />
      <View className="gap-1">
        <Text variant="head">{t.howItWent}</Text>
        {told.map((entry) => (
          <Text key={entry.id} variant="soft">
            {format(parseISO(entry.at), 'd MMM HH:mm')} {describeEntry(entry.payload, pack)}
          </Text>
        ))}
      </View>
      <View className="no-print gap-2">
        <Button label={t.printTheRecord} onPress={() => window.print()} />
        <Button
          variant="quiet"
          label={t.openItAgain}
          onPress={() => void write({ kind: 'reopened', reason: t.openedAgainFromTheRecord })}
        />
      </View>
      <Problem text={problem} />
    </>
  );
}
