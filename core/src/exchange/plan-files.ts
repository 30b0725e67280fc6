import { createEvents, type DateArray, type EventAttributes } from 'ics';
import { DateTime } from 'luxon';
import type { Job } from '../job/types.ts';
import { systemOf } from '../job/region.ts';
import { taskWord } from '../paces/tasks.ts';
import { momentAt } from '../sequence/calendar.ts';
import type { ScheduleView, TaskView } from '../sequence/view.ts';
import { clockTime } from '../units/date.ts';
import { bad, good, type Result } from '../units/problem.ts';
import { heading, said } from '../units/word.ts';
import type { RuleId } from '../words/reasons.ts';
import { reasonWord } from '../words/reasons.ts';
import { toCsv } from './csv.ts';

type PlannedJob = Pick<Job, 'id' | 'name' | 'crew' | 'region' | 'units'>;

/** What somebody has to be reminded of: paint that may be gone over again, tape that comes off. */
const REMINDED: ReadonlySet<RuleId> = new Set<RuleId>(['lag.recoat', 'lag.pull-tacky', 'lag.pull-dry']);
const BEFORE = { minutes: 10, before: true } as const;

const whoOf = ({ crew }: PlannedJob, { who }: TaskView): string =>
  who.map((person) => crew.people[person]?.name ?? '').join(', ');

/**
 * The plan as a calendar (iCalendar, RFC 5545): an event a piece of work, in UTC, with an alarm ten minutes before a coat that waited to
 * be gone over and before tape comes off. A plan without a first day has no dates, and is a problem.
 */
export function planIcs(job: PlannedJob, { tasks }: Pick<ScheduleView, 'tasks'>): Result<string> {
  const { crew } = job;
  if (crew.start === null) return bad('A calendar needs dates: choose the first day of the job.');
  const zero = DateTime.fromISO(crew.start, { zone: crew.zone })
    .startOf('day')
    .plus({ minutes: crew.hours[0]?.[0] ?? 0 });
  const utc = (t: number): DateArray => {
    const at = zero.plus({ minutes: Math.round(t) }).toUTC();
    return [at.year, at.month, at.day, at.hour, at.minute];
  };
  const system = systemOf(job);
  const events = tasks.flatMap((task) =>
    task.pieces.map(([from, to], piece): EventAttributes => {
      const title = `${task.roomName}: ${said(taskWord(task), system)}`;
      const reminded = piece === 0 && task.waits.some(({ because }) => REMINDED.has(because));
      const waits = task.waits.map(({ because }) => said(reasonWord({ rule: because, with: {} }), system));
      return {
        uid: `${task.id}-${piece + 1}@${job.id}`,
        title,
        description: [whoOf(job, task), task.paint === null ? '' : said(task.paint, system), ...waits]
          .filter(Boolean)
          .join('\n'),
        location: task.roomName,
        start: utc(from),
        startInputType: 'utc',
        startOutputType: 'utc',
        end: utc(Math.max(to, from + 1)),
        endInputType: 'utc',
        endOutputType: 'utc',
        productId: 'kovelin',
        calName: job.name,
        ...(reminded ? { alarms: [{ action: 'display', description: title, trigger: BEFORE }] } : {}),
      };
    }),
  );
  const { error, value } = createEvents(events);
  return value === null
    ? bad(`The calendar could not be written: ${error?.message ?? 'nothing is planned'}.`)
    : good(value);
}

/** The plan as a table (RFC 4180): a row a piece of work. */
export function planCsv(job: PlannedJob, { tasks }: Pick<ScheduleView, 'tasks'>): string {
  const system = systemOf(job);
  const { crew } = job;
  const rows = tasks.flatMap((task) =>
    task.pieces.map(([from, to]) => {
      const [begins, ends] = [momentAt(crew, from), momentAt(crew, to)];
      return [
        begins.day + 1,
        clockTime(begins.time),
        clockTime(ends.time),
        whoOf(job, task),
        task.roomName,
        heading(taskWord(task), system),
        task.paint === null ? '' : said(task.paint, system),
        Math.round(to - from),
      ];
    }),
  );
  return toCsv([['day', 'from', 'to', 'who', 'room', 'what', 'paint', 'minutes'], ...rows]);
}
