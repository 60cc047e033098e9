import { backups } from '@patient-badger/contract';
import { useQuery } from '@tanstack/react-query';
import { formatDistanceToNow, parseISO } from 'date-fns';
import { call } from '../data/api.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';

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

function backupText(schedule: { readonly folder: string; readonly last: string | null } | null): string {
  if (!schedule)
    return 'None is made by itself. Whoever runs the computer sets BACKUP_DIR, best on another disk; see “Running it for a shop” in the documentation.';
  if (schedule.last === null) return `They go to ${schedule.folder}; none has been made yet.`;
  return `The last one was made ${formatDistanceToNow(parseISO(schedule.last), { addSuffix: true })}, in ${schedule.folder}.`;
}
