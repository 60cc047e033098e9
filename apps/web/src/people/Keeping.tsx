import { t } from '@patient-badger/wording/people';
import { t as shared } from '@patient-badger/wording/shared';
import { backups, health } from '@patient-badger/contract';
import { useQuery } from '@tanstack/react-query';
import { formatDistanceToNow, parseISO } from 'date-fns';
import { call, NoAnswer } from '../data/api.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';

/** Longer than any answer takes: a device that is further off tells other days than the server. */
const CLOCK_OFF_MS = 120_000;

/** What is wrong with the shop server, if anything is; nothing where all is well. */
export function ServerTrouble() {
  const found = useQuery({
    queryKey: ['health'],
    queryFn: async () => {
      const answer = await fetch('/api/health', { cache: 'no-store' });
      const { problems = [] } = health.parse(await answer.json());
      const clock = Date.parse(answer.headers.get('date') ?? '');
      return { problems, isOff: Math.abs(clock - Date.now()) > CLOCK_OFF_MS };
    },
    refetchInterval: 60_000,
    retry: false,
  });
  const lines = found.error ? [new NoAnswer().message] : (found.data?.problems.map(({ sentence }) => sentence) ?? []);
  const all = [...lines, ...(found.data?.isOff ? [t.theClockOfThisDevice] : [])];
  if (all.length === 0) return null;
  return (
    <Card tone="danger" testID="server-trouble">
      <Text variant="head">{t.theShopServerWantsLooking}</Text>
      {all.map((line) => (
        <Text key={line}>{line}</Text>
      ))}
    </Card>
  );
}

/** How long ago everything was put in a safe place, and the whole shop as a file. */
export function Keeping() {
  const found = useQuery({ queryKey: ['backups'], queryFn: () => call('/api/backups', backups) });
  return (
    <Card>
      <Text variant="head">{t.backups}</Text>
      {found.data ? <Text>{backupText(found.data.schedule)}</Text> : <Text variant="soft">{found.error?.message ?? shared.looking}</Text>}
      <Button label={t.writeTheWholeShopOut} detail={t.oneFileOfOpenJson} onPress={() => window.location.assign('/api/shop/export')} />
    </Card>
  );
}

function backupText(schedule: { readonly folder: string; readonly last: string | null; readonly failed: string | null } | null): string {
  if (!schedule) return t.noneIsMadeByItself;
  if (schedule.failed !== null) return t.theLastOneCouldNot(schedule.failed);
  if (schedule.last === null) return t.theyGoToNoneHas(schedule.folder);
  return t.theLastOneWasMade(formatDistanceToNow(parseISO(schedule.last), { addSuffix: true }), schedule.folder);
}
