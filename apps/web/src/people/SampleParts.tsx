import { t } from '@patient-badger/wording/people';
import { t as shared } from '@patient-badger/wording/shared';
import { sampleParts } from '@patient-badger/contract';
import { useQuery } from '@tanstack/react-query';
import { call } from '../data/api.ts';
import { useRefresh } from '../data/useRefresh.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { useAttempt } from '../data/useAttempt.ts';

/** The made-up parts of the first visit, as long as there are any. */
export function SampleParts() {
  const refresh = useRefresh();
  const { attempt, problem } = useAttempt();
  const count = useQuery({ queryKey: ['sample-parts'], queryFn: () => call('/api/sample-parts', sampleParts) }).data?.count ?? 0;
  const remove = async () => {
    await attempt(async () => {
      await call('/api/sample-parts/remove', sampleParts, { method: 'POST', json: {} });
      await refresh('sample-parts', 'parts');
    });
  };
  if (count === 0) return null;
  return (
    <Card>
      <Text variant="head">{shared.madeUpParts}</Text>
      <Text>{t.partsOfMadeUpMakers(count)}</Text>
      <Button label={t.takeThemOut} onPress={() => void remove()} />
      <Problem text={problem} />
    </Card>
  );
}
