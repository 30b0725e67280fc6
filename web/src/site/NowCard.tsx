import Button from '@mui/material/Button';
import type { StopReason } from '@kovelin/core/job/vocabulary.ts';
import { STOP_REASONS } from '@kovelin/core/job/vocabulary.ts';
import { taskWord } from '@kovelin/core/paces/tasks.ts';
import type { TaskView } from '@kovelin/core/sequence/view.ts';
import { formatMinutes } from '@kovelin/core/units/quantities.ts';
import { said } from '@kovelin/core/units/word.ts';
import { STOPPED } from '@kovelin/core/words/site.ts';
import Drawer from '@mui/material/Drawer';
import { useEffect, useEffectEvent, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { HowTo } from './HowTo.tsx';
import { TakePhoto } from '../app/Photos.tsx';
import type { Shared } from './shared.ts';
import { TextButton } from '../ui/TextButton.tsx';
import { countdown, onWall } from './times.ts';

/** The one thing to do, and the one thing to press. */
export function NowCard({ view, site, tasks, log, who, now, zero, person }: Shared & { person: number }) {
  const { state, system, goTo, select } = view;
  const { crew } = state.job;
  const [stopping, setStopping] = useState(false);
  const { search } = useLocation();
  const own = site?.people[person];
  const on = own?.on ? (tasks.get(own.on) ?? null) : null;
  const [first] = own?.next ?? [];
  const next = first ? (tasks.get(first.task) ?? null) : null;
  const task = on ?? next;
  const then = tasks.get(own?.next[on ? 0 : 1]?.task ?? '');
  const look = (shown: TaskView): void => {
    goTo(shown.room);
    if (shown.name) select(shown.surface);
  };
  // the drawing follows the work: to the room and the surface of what is done now, when that becomes another
  const id = task?.id;
  const follow = useEffectEvent(() => {
    if (task) look(task);
  });
  useEffect(() => {
    follow();
  }, [id]);
  const say = (kind: 'start' | 'done', operation: string): boolean => log.say({ kind, who, operation });
  const stop = (reason: StopReason): void => {
    if (!on || log.say({ kind: 'stop', who, operation: on.id, value: { reason } })) setStopping(false);
  };
  if (!site) return <p className="waiting">Reading the log …</p>;
  if (!task)
    return (
      <section className="now-card">
        <h2>Nothing left for {crew.people[person]?.name}</h2>
        <p>All that the plan has for them is noted as done. The list has what is to be done before you go.</p>
      </section>
    );
  const waits = on ? null : (first?.waits ?? null);
  const waitsFor = waits?.task ? tasks.get(waits.task) : undefined;
  const since = own?.since ?? null;
  return (
    <>
      <section className="now-card" aria-live="polite">
        <p className="now-what">
          {on ? 'Now' : waits ? 'Next, when it may' : 'Next'} · {task.roomName}
        </p>
        <h2>
          <TextButton onClick={() => look(task)}>{said(taskWord(task), system)}</TextButton>
        </h2>
        {task.paint !== null && <p className="now-paint">{said(task.paint, system)}</p>}
        <p className="now-time">
          {on && since !== null ? (
            <>
              <b>{countdown(now - since)}</b> of about {formatMinutes(own?.planned ?? task.work)}
            </>
          ) : (
            <>
              about {formatMinutes(task.work)}
              {first && first.from > now + 1 && `, by the plan at ${onWall(first.from, now, zero, crew)}`}
            </>
          )}
        </p>
        {waits && (
          <p className="now-waits">
            {waitsFor
              ? `First: ${said(taskWord(waitsFor), system)} (${waitsFor.who.map((n) => crew.people[n]?.name).join(' and ')}), by the plan until ${onWall(waits.until, now, zero, crew)}`
              : `Not before ${onWall(waits.until, now, zero, crew)}: ${countdown(waits.until - now)} still`}
          </p>
        )}
        <HowTo view={view} task={task} />
        {then && (
          <p className="now-then">
            Then: {said(taskWord(then), system)}, <bdi>{then.roomName}</bdi>
          </p>
        )}
        <p className="now-more">
          {task.name && (
            <Link to={`../technique${search}`} onClick={() => look(task)}>
              Its play, stroke by stroke
            </Link>
          )}
          <TakePhoto
            job={state.job.id}
            log={log}
            about={{ who, operation: task.id, ...(task.name ? { surface: task.surface } : {}) }}
            asLink
          />
        </p>
      </section>
      <div className="now-act">
        {on ? (
          <>
            <Button size="large" variant="contained" className="done" onClick={() => say('done', on.id)}>
              Done
            </Button>
            <Button size="large" variant="outlined" className="stop" onClick={() => setStopping(true)}>
              Stop …
            </Button>
          </>
        ) : (
          <Button size="large" variant="contained" className="start" onClick={() => say('start', task.id)}>
            Start
          </Button>
        )}
      </div>
      <Drawer anchor="bottom" open={stopping} onClose={() => setStopping(false)} className="site-sheet">
        <h2>Stopped: why?</h2>
        <div className="site-reasons">
          {STOP_REASONS.filter((reason) => reason !== 'went-on').map((reason) => (
            <Button key={reason} size="large" variant="outlined" onClick={() => stop(reason)}>
              {said(STOPPED[reason], system)}
            </Button>
          ))}
        </div>
      </Drawer>
    </>
  );
}
