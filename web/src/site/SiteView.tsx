import type { TaskView } from '@kovelin/core/sequence/view.ts';
import { useState } from 'react';
import { Sides } from '../ui/Sides.tsx';
import { useWhole } from '../app/whole.ts';
import { UnrolledRoom } from '../drawing/UnrolledRoom.tsx';
import { paintAt } from '../drawing/moment.tsx';
import { lastAhead, minutesOn, useSite } from '../workers/site.ts';
import { Alarm } from './Alarm.tsx';
import { AirAndCans } from './AirAndCans.tsx';
import { useNow } from '../app/clock-time.ts';
import { Clocks } from './Clocks.tsx';
import { DayList } from './DayList.tsx';
import { LogBook } from './LogBook.tsx';
import { Next } from './Next.tsx';
import { NowCard } from './NowCard.tsx';
import { useAlarms } from './useAlarms.ts';
import { momentText } from '../app/moment.ts';
import { useLog } from '../app/useLog.ts';
import { useLogger } from './useLogger.ts';
import { useMine } from '../app/useMine.ts';
import './site.css';
import { Message } from '../ui/Message.tsx';

const PAGES = [
  ['now', 'Now'],
  ['clocks', 'Clocks'],
  ['list', 'List'],
  ['cans', 'Cans'],
  ['log', 'Log'],
] as const;
type SitePage = (typeof PAGES)[number][0];

/** The day itself: what to do now, what dries and sets meanwhile, what was noted. */
export default function SiteView() {
  const view = useWhole();
  const { state, takeoff } = view;
  const { job } = state;
  const log = useLog(job.id);
  const clock = useNow(1000);
  const { data: site, error } = useSite(job, log.entries, clock);
  const [mine, setMine] = useMine(job);
  const [page, setPage] = useState<SitePage>('now');
  const logger = useLogger(log, job.crew.people[mine]?.id ?? '');
  const now = minutesOn(job, log.entries ?? [], clock);
  const alarms = useAlarms(site?.clocks ?? [], now);
  if (!takeoff?.surfaces.length)
    return (
      <main className="middle empty-view">
        <p>Measure a room first: what is to be done on site follows from it.</p>
      </main>
    );
  if (error)
    return (
      <main className="middle empty-view">
        <p role="alert">What is to be done could not be worked out: {error.message}</p>
      </main>
    );
  const tasks = new Map<string, TaskView>(site?.schedule.tasks.map((task) => [task.id, task]));
  const who = job.crew.people[mine]?.id ?? '';
  const zero = site?.zero ?? null;
  const ahead = lastAhead(log.entries ?? [], clock);
  const shared = { view, site, tasks, log, who, now, zero };
  const beside = page === 'now' ? 'clocks' : page;
  const drawn = site
    ? paintAt({ view, schedule: site.schedule, time: now })
    : { paint: () => ({ fill: 'var(--trim)' }) };
  return (
    <>
      <main className="middle site" aria-label="Site" data-page={page}>
        <div className="site-who">
          <Sides
            label="Whose day"
            sides={job.crew.people.map(({ name }, n) => [n, name] as const)}
            value={mine}
            onChange={setMine}
          />
          <div className="site-pages">
            <Sides label="Shown" sides={PAGES} value={page} onChange={setPage} fullWidth />
          </div>
        </div>
        {ahead !== null && (
          <Message kind="wrong">
            The clock of this device is behind the log: its last entry is of {momentText(ahead.at, job.region.dates)}.{' '}
            {ahead.isWrong
              ? 'The clock of the device that wrote it was wrong, or this one is. Set it right; once more is noted there, that entry counts as of the next.'
              : 'Was the clock set back? Set it right; what is noted meanwhile stands behind that entry, and clocks stand still until then.'}
          </Message>
        )}
        <div className="site-now">
          <NowCard {...shared} person={mine} />
        </div>
        <div className="site-drawing">
          <UnrolledRoom view={view} takeoff={takeoff} {...drawn} />
        </div>
        <Alarm {...shared} alarms={alarms} onShow={() => setPage('clocks')} />
      </main>
      <aside className="panel site-panel" aria-label="Beside the work" data-page={page}>
        <div className="site-beside">
          <Sides
            label="Beside the work"
            sides={PAGES.slice(1)}
            value={beside}
            onChange={(next: SitePage) => setPage(next)}
            fullWidth
          />
        </div>
        {beside === 'clocks' && (
          <>
            <Clocks {...shared} alarms={alarms} />
            <Next {...shared} person={mine} />
          </>
        )}
        {beside === 'list' && <DayList {...shared} />}
        {beside === 'cans' && <AirAndCans {...shared} logger={logger} />}
        {beside === 'log' && <LogBook {...shared} />}
      </aside>
    </>
  );
}
