import Button from '@mui/material/Button';
import type { StopReason } from '@kovelin/core/job/vocabulary.ts';
import { STOP_REASONS } from '@kovelin/core/job/vocabulary.ts';
import { taskWord } from '@kovelin/core/paces/tasks.ts';
import type { EdgeLeft } from '@kovelin/core/site/next.ts';
import { HARDLY } from '@kovelin/core/site/paces.ts';
import type { TaskView } from '@kovelin/core/sequence/view.ts';
import { formatMinutes } from '@kovelin/core/units/quantities.ts';
import { said } from '@kovelin/core/units/word.ts';
import { STOPPED } from '@kovelin/core/words/site.ts';
import { Sheet } from '../ui/Sheet.tsx';
import { useEffect, useEffectEvent, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { HowTo } from './HowTo.tsx';
import { ShownPhoto, TakePhoto } from '../app/Photos.tsx';
import type { Shared } from './shared.ts';
import { TextButton } from '../ui/TextButton.tsx';
import { countdown, onWall } from './times.ts';
import { useStart } from './useStart.tsx';

/** The one thing to do, and the one thing to press. */
export function NowCard({ person, ...shared }: Shared & { person: number }) {
  const { view, site, tasks, log, who, now, zero } = shared;
  const { state, system, goTo, select } = view;
  const { crew } = state.job;
  const [stopping, setStopping] = useState(false);
  const [doubted, setDoubted] = useState(false);
  const { start, question } = useStart(shared);
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
  const finish = (operation: string): void => {
    setDoubted(false);
    log.say({ kind: 'done', who, operation });
  };
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
  const planned = own?.planned ?? task.work;
  const taken = since === null ? 0 : now - since;
  const photos = (log.entries ?? []).flatMap((entry) =>
    entry.kind === 'photo' && entry.operation === task.id ? [entry] : [],
  );
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
              <b>{countdown(taken)}</b> of about {formatMinutes(planned)}
              {taken > planned + 1 && <strong className="over">, {formatMinutes(taken - planned)} over</strong>}
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
              Stroke by stroke
            </Link>
          )}
          <TakePhoto
            job={state.job.id}
            log={log}
            about={{ who, operation: task.id, ...(task.name ? { surface: task.surface } : {}) }}
            asLink
          />
        </p>
        {photos.length > 0 && (
          <div className="now-photos">
            {photos.slice(-3).map(({ id, value }) => (
              <ShownPhoto key={id} id={value.photo} words={`${said(taskWord(task), system)}, taken just now`} />
            ))}
            <small role="status">{photos.length === 1 ? 'One photo' : `${photos.length} photos`} with this task</small>
          </div>
        )}
      </section>
      <div className="now-act">
        {on ? (
          <>
            <Button
              size="large"
              variant="contained"
              className="done"
              onClick={() => (taken < HARDLY * planned ? setDoubted(true) : finish(on.id))}
            >
              Done
            </Button>
            <Button size="large" variant="outlined" className="stop" onClick={() => setStopping(true)}>
              Stop …
            </Button>
          </>
        ) : (
          <Button size="large" variant="contained" className="start" onClick={() => first && start(first)}>
            Start
          </Button>
        )}
      </div>
      <Sheet label="Stopped: why?" open={stopping} onClose={() => setStopping(false)}>
        {own?.edge && <EdgeAdvice edge={own.edge} />}
        <h2>Stopped: why?</h2>
        <div className="site-reasons">
          {STOP_REASONS.filter((reason) => reason !== 'went-on').map((reason) => (
            <Button key={reason} size="large" variant="outlined" onClick={() => stop(reason)}>
              {said(STOPPED[reason], system)}
            </Button>
          ))}
        </div>
      </Sheet>
      <Sheet label="Really done?" open={doubted} onClose={() => setDoubted(false)}>
        <h2>Really done?</h2>
        <p>
          {countdown(taken)} of about {formatMinutes(planned)}. So short a time teaches no pace.
        </p>
        <div className="site-reasons">
          <Button size="large" variant="contained" onClick={() => on && finish(on.id)}>
            Yes, done
          </Button>
          <Button size="large" variant="outlined" onClick={() => setDoubted(false)}>
            Not yet
          </Button>
        </div>
      </Sheet>
      {question}
    </>
  );
}

/** What to do now with the wet edge that is left. */
function EdgeAdvice({ edge: { way, minutes } }: { edge: EdgeLeft }) {
  const time = formatMinutes(Math.max(1, minutes));
  return (
    <p className="edge-advice">
      {way === 'corner' && `Go on to the corner first, about ${time}: an edge there is seen by nobody.`}
      {way === 'feather' && `Roll its edge out thin now, over an arm’s length, within ${time}: then the lap is soft.`}
      {way === 'rub' && 'Its edge has set: leave it, and rub it down when it is dry before you go on.'}
    </p>
  );
}
