import { logCsv } from '@kovelin/core/exchange/log-csv.ts';
import { readLog, writeLog } from '@kovelin/core/exchange/site-log.ts';
import type { LogEntry } from '@kovelin/core/site/entry.ts';
import { corrected, type Log } from '@kovelin/core/site/log.ts';
import { minutesSince } from '@kovelin/core/site/moments.ts';
import { taskWord } from '@kovelin/core/paces/tasks.ts';
import { formatVolume } from '@kovelin/core/units/quantities.ts';
import { capital, said } from '@kovelin/core/units/word.ts';
import { ODD, STOPPED } from '@kovelin/core/words/site.ts';
import { DateTime } from 'luxon';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { FilePick } from '../app/FilePick.tsx';
import { Section } from '../app/fields.tsx';
import { say } from '../app/say.ts';
import { db } from '../store/db.ts';
import { takeOver } from '../store/site-log.ts';
import { download, fileName } from '../store/take-out.ts';
import { Lessons } from './Lessons.tsx';
import { ShownPhoto, TakePhoto } from '../app/Photos.tsx';
import type { Shared } from './shared.ts';
import { onWall } from './times.ts';

const EarlierLessons = lazy(() => import('../app/EarlierLessons.tsx'));

/** So many entries are listed at once. */
const SHOWN = 40;

/** What was noted, the last first; each can be put right, and none is lost by it. */
export function LogBook({ view, site, tasks, log, who, now, zero }: Shared) {
  const { job } = view.state;
  const [shown, setShown] = useState(SHOWN);
  const [note, setNote] = useState('');
  const all: Log = new Map((log.entries ?? []).map((entry) => [entry.id, entry]));
  const entries = corrected(all);
  const odd = new Map(site?.odd.map(({ entry, because }) => [entry, because]));
  const open = async (file: File): Promise<void> => {
    const read = readLog(await file.text(), job);
    if (!read.ok)
      return say(read.problems.map(({ line, message }) => (line ? `Line ${line}: ${message}` : message)).join(' '));
    const taken = await takeOver(db, job.id, [...read.value.log.values()]);
    say(
      taken.ok
        ? [
            `${taken.value} ${taken.value === 1 ? 'entry' : 'entries'} taken over; what was here already stays.`,
            ...read.value.warnings,
          ].join(' ')
        : (taken.problems[0]?.message ?? ''),
    );
  };
  return (
    <>
      <Section title="A note">
        <label className="field">
          <span className="unseen">Note</span>
          <textarea rows={2} value={note} onChange={(event) => setNote(event.target.value)} />
        </label>
        <button
          type="button"
          className="act small"
          disabled={!note.trim()}
          onClick={() => {
            const on = view.surface;
            log.say({ kind: 'note', who, note: note.trim(), ...(on ? { surface: on.id } : {}) });
            setNote('');
          }}
        >
          Note it
        </button>{' '}
        <TakePhoto
          job={job.id}
          log={log}
          about={{ who, ...(view.surface ? { surface: view.surface.id } : {}) }}
          note={note}
          onTaken={() => setNote('')}
        />
      </Section>
      <Section title="Log" extra={<small>{`${entries.length} ${entries.length === 1 ? 'entry' : 'entries'}`}</small>}>
        {!entries.length && <p className="hint">Nothing noted yet: Start and Done write it.</p>}
        <ol className="log">
          {[...entries]
            .reverse()
            .slice(0, shown)
            .map((entry) => (
              <Entry key={entry.id} {...{ entry, view, tasks, log, who, now, zero }} odd={odd.get(entry.id)} />
            ))}
        </ol>
        {entries.length > shown && (
          <button type="button" className="link" onClick={() => setShown(shown + 200)}>
            {entries.length - shown} earlier ones
          </button>
        )}
        <p className="log-files">
          <button
            type="button"
            className="link"
            onClick={() => download(`${fileName(job)}.log.jsonl`, writeLog(all, job))}
          >
            Export the log
          </button>
          <button
            type="button"
            className="link"
            onClick={() => download(`${fileName(job)}-log.csv`, logCsv(all, job), 'text/csv')}
          >
            As a table
          </button>
          <Link to={`/hand-over/${job.id}`}>Hand the job over</Link>
          <FilePick accept=".jsonl,.json,.txt" className="link" onFiles={([file]) => file && void open(file)}>
            Take one over
          </FilePick>
        </p>
      </Section>
      <Suspense fallback={null}>
        <EarlierLessons view={view} />
      </Suspense>
      <Lessons view={view} site={site} />
    </>
  );
}

interface EntryProps extends Pick<Shared, 'view' | 'tasks' | 'log' | 'who' | 'now' | 'zero'> {
  readonly entry: LogEntry;
  readonly odd: keyof typeof ODD | undefined;
}
function Entry({ entry, view, tasks, log, who, now, zero, odd }: EntryProps) {
  const { system, state } = view;
  const { crew } = state.job;
  const [mending, setMending] = useState(false);
  const at = zero === null ? 0 : minutesSince(zero)(entry.at);
  const timed = onWall(at, now, zero, crew);
  const name = crew.people.find(({ id }) => id === entry.who)?.name ?? entry.who;
  const move = (text: string): void => {
    const [hours = 0, minutes = 0] = text.split(':').map(Number);
    if (!text.includes(':')) return;
    const moved = DateTime.fromISO(entry.at, { zone: crew.zone })
      .set({ hour: hours, minute: minutes, second: 0, millisecond: 0 })
      .toUTC()
      .toISO();
    if (moved === null) return;
    log.say({ kind: 'correct', who, corrects: entry.id, value: { at: moved } });
    setMending(false);
  };
  return (
    <li>
      <b>{timed}</b>
      <span>
        {wordsOf(entry, tasks, view)} <small>{name}</small>
        {entry.kind === 'photo' && <ShownPhoto id={entry.value.photo} words={entry.note ?? `of ${timed}`} />}
        {odd && <small className="caution">{said(capital(ODD[odd]), system)}</small>}
        {mending && (
          <span className="mend">
            <label className="field">
              It was at
              <input
                type="time"
                defaultValue={DateTime.fromISO(entry.at, { zone: crew.zone }).toFormat('HH:mm')}
                onBlur={(event) => move(event.target.value)}
                onKeyDown={(event) => event.key === 'Enter' && move(event.currentTarget.value)}
              />
            </label>
            <button
              type="button"
              className="link"
              onClick={() => log.say({ kind: 'correct', who, corrects: entry.id, value: { removed: true } })}
            >
              It did not happen
            </button>
          </span>
        )}
      </span>
      <button type="button" className="link" onClick={() => setMending(!mending)} aria-expanded={mending}>
        {mending ? 'Close' : 'Put right'}
      </button>
    </li>
  );
}

function wordsOf(entry: LogEntry, tasks: Shared['tasks'], { system, derived }: Shared['view']): string {
  const task = entry.operation ? tasks.get(entry.operation) : undefined;
  const what = task ? `${said(taskWord(task), system)}, ${task.roomName}` : (entry.operation ?? '');
  const paint = (key: string): string => derived.paints.find((p) => p.key === key)?.product.name ?? key;
  switch (entry.kind) {
    case 'start':
      return `Began: ${what}`;
    case 'done':
      return entry.operation?.startsWith('list:') ? `Ticked: ${entry.operation.split(':')[2] ?? ''}` : `Done: ${what}`;
    case 'stop':
      return `Stopped, ${said(STOPPED[entry.value.reason], system)}${what ? `: ${what}` : ''}`;
    case 'air':
      return `Air ${entry.value.temperature} °C, ${Math.round(entry.value.humidity * 100)} %`;
    case 'can':
      return `Opened ${formatVolume(entry.value.litres, system)} of ${paint(entry.value.paint)}${entry.value.batch ? `, batch ${entry.value.batch}` : ''}`;
    case 'litres':
      return `${formatVolume(entry.value.left, system)} of ${paint(entry.value.paint)} left`;
    case 'cover':
      return `Covered: ${entry.value.thing}`;
    case 'uncover':
      return `Uncovered: ${entry.value.thing}`;
    case 'note':
      return `“${entry.note ?? ''}”`;
    case 'photo':
      return `Photo${what ? `, ${what}` : ''}${entry.note ? `: “${entry.note}”` : ''}`;
    case 'correct':
      return '';
  }
}
