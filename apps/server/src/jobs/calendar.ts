import { t } from '@patient-badger/wording/server';
import { createHash } from 'node:crypto';
import { foldJob, intervalDue, openFollowUps, type FollowUp } from '@patient-badger/core/job';
import ical, { ICalEventBusyStatus } from 'ical-generator';
import { In, type DataSource } from 'typeorm';
import { machines } from '../machines/entities.ts';
import { ServerProblem } from '../problems.ts';
import { toEntry } from './commit.ts';
import { entries } from './entities.ts';
import { historyOf } from './history.ts';

/** Kinds of entry that say what is to be looked at again; a part that was saved is one. */
const KINDS = ['takenIn', 'followUpSet', 'followUpDone', 'partSaved', 'withdrawn'];
/** So many jobs go into one calendar: more than anybody looks after. */
const MOST = 500;
const DAY_MS = 86_400_000;

interface CalendarNote {
  readonly label: string;
  readonly owner: string;
}

/**
 * What is to be looked at again as an iCalendar file (RFC 5545), each thing an event of a whole day under a name that stays, so that
 * a calendar that reads the file again changes what it has: of one job, or of all.
 */
export async function followUpCalendar(dataSource: DataSource, shopId: string, jobId: string | null): Promise<string> {
  const found = await dataSource.query<{ id: string; label: string; owner: string }[]>(
    `SELECT j.id, m.label, m.owner FROM jobs j JOIN machines m ON m.id = j.machine_id
     WHERE j.shop_id = $1 AND ${jobId === null ? 'j.follow_up_on IS NOT NULL' : 'j.id = $3'} ORDER BY j.follow_up_on, j.id LIMIT $2`,
    [shopId, MOST, ...(jobId === null ? [] : [jobId])],
  );
  if (jobId !== null && found.length === 0) throw new ServerProblem('unknownJob');
  const list = await dataSource
    .getRepository(entries)
    .createQueryBuilder('e')
    .where({ jobId: In(found.map(({ id }) => id)) })
    .andWhere("e.payload->>'kind' = ANY(:kinds)", { kinds: KINDS })
    .orderBy('e.seq')
    .getMany();
  const told = list.map(toEntry);
  const calendar = ical({ name: t.patientBadgerToBeLooked, prodId: { company: t.patientBadger, product: 'follow-ups' } });
  for (const { id, label, owner } of found)
    for (const each of openFollowUps(foldJob(id, told))) calendar.createEvent(eventOf(each, { label, owner }));
  return calendar.toString();
}

/** What a machine wants again, each on the day on which it comes due; what depends on a yearly use that nobody knows has none yet. */
export async function dueCalendar(dataSource: DataSource, shopId: string, machineId: string): Promise<string> {
  const machine = await dataSource.getRepository(machines).findOneBy({ id: machineId, shopId });
  if (!machine) throw new ServerProblem('unknownMachine');
  const { intervals, yearly } = await historyOf(dataSource, shopId, machineId);
  const calendar = ical({ name: oneLine(t.dueAgain(machine.label)), prodId: { company: t.patientBadger, product: 'due' } });
  const today = new Date().toISOString().slice(0, 10);
  for (const interval of intervals) {
    const due = intervalDue(interval, yearly, today);
    if (!due) continue;
    calendar.createEvent({
      ...wholeDay(due.dueDate),
      id: `${createHash('sha256').update(`${machineId}/${interval.what}`).digest('hex').slice(0, 32)}@patient-badger`,
      summary: `${interval.what}: ${machine.label}`,
      description: interval.source ?? '',
    });
  }
  return calendar.toString();
}

/** A name in a calendar is one line, whatever was typed: a second one would be a line of the file's own. */
const oneLine = (text: string): string => text.replaceAll(/[\p{Cc}\u2028\u2029]+/gu, ' ').replaceAll(/[\\;,]/g, ' ');

const wholeDay = (day: string) => ({
  start: new Date(day),
  end: new Date(Date.parse(day) + DAY_MS),
  allDay: true,
  busystatus: ICalEventBusyStatus.FREE,
});

const eventOf = ({ id, action, what, due }: FollowUp, { label, owner }: CalendarNote) => ({
  id: `${id}@patient-badger`,
  ...wholeDay(due),
  summary: action === 'call' ? t.call(owner || t.theOwner, label) : t.lookAgain(label),
  description: what,
});
