import { t } from '@patient-badger/wording/people';
import { t as shared } from '@patient-badger/wording/shared';
import { auditPage, type AuditLine } from '@patient-badger/contract';
import { useInfiniteQuery } from '@tanstack/react-query';
import { format, parseISO } from 'date-fns';
import { call } from '../data/api.ts';
import { useShop } from '../data/shop.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { Screen } from '../shell/Screen.tsx';
import { changeWords } from '../wording/changeWords.ts';

/** Who changed what outside the jobs, latest first. */
export function ChangesScreen() {
  const pages = useInfiniteQuery({
    queryKey: ['audit'],
    queryFn: ({ pageParam }) => call(`/api/audit${pageParam ? `?before=${pageParam}` : ''}`, auditPage),
    initialPageParam: null as number | null,
    getNextPageParam: ({ next }) => next,
  });
  const lines = pages.data?.pages.flatMap((page) => page.lines) ?? [];
  return (
    <Screen title={t.whatWasChanged} under={t.outsideTheJobsInA} back="/shop">
      {lines.map((line) => (
        <Line key={line.id} line={line} />
      ))}
      {pages.data && lines.length === 0 ? <Text variant="soft">{shared.nothingYet}</Text> : null}
      {pages.data ? null : <Text>{pages.error?.message ?? t.lookingItUp}</Text>}
      {pages.hasNextPage ? <Button label={shared.earlierOnes} onPress={() => void pages.fetchNextPage()} /> : null}
    </Screen>
  );
}

function Line({ line }: { line: AuditLine }) {
  const people = useShop().data?.people ?? [];
  const nameOf = (id: string | null) => (id === null ? t.theProgram : (people.find((each) => each.id === id)?.name ?? id));
  const { head, details } = changeWords(line, nameOf);
  return (
    <Card>
      <Text variant="label">
        {format(parseISO(line.at), 'd MMM yyyy, HH:mm')} · {nameOf(line.by)}
      </Text>
      <Text variant="strong">{head}</Text>
      {details.map((line) => (
        <Text key={line} variant="soft">
          {line}
        </Text>
      ))}
    </Card>
  );
}
