import type { SiteClock } from '@kovelin/core/site/clocks.ts';
import { taskWord } from '@kovelin/core/paces/tasks.ts';
import { capital, said } from '@kovelin/core/units/word.ts';
import { reasonWord } from '@kovelin/core/words/reasons.ts';
import { CLOCKS, CLOSING } from '@kovelin/core/words/site.ts';
import { Section } from '../ui/Section.tsx';
import type { Shared } from './shared.ts';
import { countdown, onWall } from './times.ts';
import { TextButton } from '../ui/TextButton.tsx';
import type { Alarms } from './useAlarms.ts';

/** A clock further off is listed under later, minutes. */
const SOON = 12 * 60;
/** Due within so many minutes of each other, they are shown as one. */
const TOGETHER = 2;

/** What dries, sets and opens meanwhile; the next to come due first. */
export function Clocks({ view, site, tasks, now, zero, alarms }: Shared & { alarms: Alarms }) {
  // what is dry is no news
  const clocks = (site?.clocks ?? []).filter(({ kind, due }) => kind !== 'touch' || due > now);
  const soon = clocks.filter(({ due }) => due < now + SOON);
  const later = clocks.filter(({ due }) => due >= now + SOON);
  const groups = soon.reduce<SiteClock[][]>((made, clock) => {
    const last = made.at(-1);
    if (last?.[0] && clock.due - last[0].due < TOGETHER) last.push(clock);
    else made.push([clock]);
    return made;
  }, []);
  return (
    <Section
      title="Clocks"
      extra={alarms.mayNotify ? null : <TextButton onClick={alarms.allow}>Sound and notices</TextButton>}
    >
      {!clocks.length && <p className="hint">Nothing is wet, setting or drying. Clocks begin with what you note.</p>}
      <ol className="clocks">
        {groups.map((own) => (
          <li key={own[0]?.id} className={own.length > 1 ? 'together' : ''}>
            {own.map((clock) => (
              <Clock key={clock.id} clock={clock} view={view} tasks={tasks} now={now} zero={zero} />
            ))}
          </li>
        ))}
      </ol>
      {later.length > 0 && (
        <details>
          <summary>Later: {later.length}</summary>
          <ol className="clocks">
            {later.map((clock) => (
              <li key={clock.id}>
                <Clock clock={clock} view={view} tasks={tasks} now={now} zero={zero} />
              </li>
            ))}
          </ol>
        </details>
      )}
    </Section>
  );
}

interface ClockProps extends Pick<Shared, 'view' | 'tasks' | 'now' | 'zero'> {
  readonly clock: SiteClock;
}
/** One clock of what dries or sets: how long still, and what comes then. */
function Clock({ clock, view, tasks, now, zero }: ClockProps) {
  const { system, state, goTo, select } = view;
  const { kind, due, since, because, frees, operation, stretch } = clock;
  const task = tasks.get(operation);
  const left = due - now;
  const share = Math.min(1, Math.max(0, (now - since) / Math.max(0.1, due - since)));
  const closes = CLOSING.has(kind);
  const freed = [...new Set(frees.map((id) => tasks.get(id)).map((t) => (t ? said(taskWord(t), system) : '')))].filter(
    Boolean,
  );
  return (
    <div className={`clock ${closes ? 'closes' : 'opens'} ${left <= 0 ? 'over' : ''}`}>
      <div className="clock-left">
        <b>{left > 0 ? countdown(left) : closes ? countdown(left) : 'now'}</b>
        <small>{onWall(due, now, zero, state.job.crew)}</small>
      </div>
      <div>
        <TextButton
          onClick={() => {
            goTo(clock.room);
            if (task?.name) select(clock.surface);
          }}
        >
          {said(CLOCKS[kind], system)}
        </TextButton>{' '}
        <span>
          {task ? `${said(capital(taskWord(task)), system)}, ${task.roomName}` : operation}
          {stretch > 0 && `, stretch ${stretch}`}
        </span>
        {because && <small>{said(capital(reasonWord({ rule: because, with: {} })), system)}</small>}
        {freed.length > 0 && (
          <small>
            Then: {freed.slice(0, 2).join('; ')}
            {freed.length > 2 && ` and ${freed.length - 2} more`}
          </small>
        )}
        <span className="clock-run" aria-hidden="true">
          <i style={{ width: `${share * 100}%` }} />
        </span>
      </div>
    </div>
  );
}
