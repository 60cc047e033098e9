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
  const all = [
    ...lines,
    ...(found.data?.isOff
      ? ['The clock of this device and the clock of the shop server are minutes apart. Set the one that is wrong.']
      : []),
  ];
  if (all.length === 0) return null;
  return (
    <Card tone="danger" testID="server-trouble">
      <Text variant="head">The shop server wants looking at</Text>
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
      <Text variant="head">Backups</Text>
      {found.data ? <Text>{backupText(found.data.schedule)}</Text> : <Text variant="soft">{found.error?.message ?? 'Looking …'}</Text>}
      <Button
        label="Write the whole shop out"
        detail="One file of open JSON with all photos; no passphrases are in it"
        onPress={() => window.location.assign('/api/shop/export')}
      />
    </Card>
  );
}

function backupText(schedule: { readonly folder: string; readonly last: string | null; readonly failed: string | null } | null): string {
  if (!schedule)
    return 'None is made by itself. Whoever runs the computer sets BACKUP_DIR, best on another disk; see “Running it for a shop” in the documentation.';
  if (schedule.failed !== null) return `The last one could not be made: ${schedule.failed}`;
  if (schedule.last === null) return `They go to ${schedule.folder}; none has been made yet.`;
  return `The last one was made ${formatDistanceToNow(parseISO(schedule.last), { addSuffix: true })}, in ${schedule.folder}.`;
}
