import { t } from '@patient-badger/wording/machine';
import { intervalDue } from '@patient-badger/core/job';
import type { MachineHistory } from '@patient-badger/contract';
import { format, parseISO } from 'date-fns';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { distanceUnit } from '../preferences/preferences.ts';
import { CalendarFile } from '../prove/CalendarFile.tsx';
import { amountText } from '../wording/distance.ts';
import { intervalText } from '../wording/intervalText.ts';

/** What the machine wants again, by use or by date, whichever comes first; the soonest first. */
export function DueCard({ machineId, history: { intervals, yearly } }: { machineId: string; history: MachineHistory }) {
  const distance = distanceUnit.use();
  if (intervals.length === 0) return null;
  const today = format(new Date(), 'yyyy-MM-dd');
  const rows = intervals
    .map((interval) => ({ interval, due: intervalDue(interval, yearly, today) }))
    .sort((p, q) => ((p.due?.dueDate ?? '9999') < (q.due?.dueDate ?? '9999') ? -1 : 1));
  return (
    <Card testID="due">
      <Text variant="head">{t.dueAgain}</Text>
      {rows.map(({ interval, due }) => (
        <Text key={interval.what} variant={due?.overdue ? 'danger' : 'body'}>
          {t.everyLast(
            interval.what,
            due ? `${format(parseISO(due.dueDate), 'd MMM yyyy')}${due.by === 'use' ? t.byItsUse : ''}` : t.needsWhatItWorksIn,
            due?.dueReading === undefined
              ? ''
              : t.at(amountText({ amount: due.dueReading, unit: interval.unit ?? 'hours', decimals: 0 }, distance)),
            due?.overdue ? t.overdue : '',
            intervalText(interval, distance),
            format(parseISO(interval.at), 'd MMM yyyy'),
          )}
        </Text>
      ))}
      <CalendarFile path={`/api/machines/${machineId}/due.ics`} name="due.ics" testID="due-calendar" />
    </Card>
  );
}
