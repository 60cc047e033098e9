import { t } from '@patient-badger/wording/access';
import { jobLedger } from '@patient-badger/core/job';
import type { LedgerLine } from '@patient-badger/core/machine';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { JobFrame } from '../job/JobFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { LooseList } from './LooseList.tsx';

/** What lies on the bench, grouped as it came off, the last on top. */
export const TrayScreen = () => (
  <JobFrame stage="open" back={(id) => `/jobs/${id}/open`}>
    {(view) => <Tray view={view} />}
  </JobFrame>
);

function Tray({ view: { job, pack, state } }: { view: JobView }) {
  const router = useRouter();
  const ledger = jobLedger(pack, state);
  const groups = [...state.reached].reverse().flatMap((id) => {
    const step = pack.steps.find((each) => each.id === id);
    const lines = ledger.filter((each) => each.step === id);
    return step && lines.length > 0 ? [{ step, lines }] : [];
  });
  const lying = sum(ledger, ({ onTray }) => onTray);
  return (
    <>
      <Text variant="title">{t.theTray}</Text>
      <Text>
        {lying === 0 ? t.nothingLiesOnTheBench : t.onTheBench(lying, lying === 1 ? t.pieceLies : t.piecesLie)}
        {sum(ledger, ({ wanting }) => wanting) > 0 ? t.toBeGotBeforeIt(sum(ledger, ({ wanting }) => wanting)) : ''}
      </Text>
      {groups.map(({ step, lines }) => (
        <Card key={step.id} tone={lines.some(({ onTray, wanting }) => onTray + wanting > 0) ? 'plain' : 'sunken'}>
          <Text variant="head">{step.name}</Text>
          <LooseList jobId={job.id} step={step} ledger={ledger} />
        </Card>
      ))}
      {groups.length === 0 ? (
        <Card tone="sunken">
          <Text>{t.nothingWasTakenOffYet}</Text>
        </Card>
      ) : null}
      <View className="gap-2">
        <Button label={t.theWayBack} onPress={() => router.navigate(`/jobs/${job.id}/close`)} />
      </View>
    </>
  );
}

const sum = (ledger: readonly LedgerLine[], of: (line: LedgerLine) => number) => ledger.reduce((total, line) => total + of(line), 0);
