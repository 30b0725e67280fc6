import { logCsv } from '@kovelin/core/exchange/log-csv.ts';
import { writeLog } from '@kovelin/core/exchange/site-log.ts';
import { MOST } from '@kovelin/core/job/limits.ts';
import type { LogEntry } from '@kovelin/core/site/entry.ts';
import { corrected, type Aside, type Corrected, type Log } from '@kovelin/core/site/log.ts';
import { minutesSince } from '@kovelin/core/site/moments.ts';
import { taskWord } from '@kovelin/core/paces/tasks.ts';
import { sentence } from '@kovelin/core/units/problem.ts';
import { formatVolume } from '@kovelin/core/units/quantities.ts';
import { capital, said } from '@kovelin/core/units/word.ts';
import { ODD, STOPPED } from '@kovelin/core/words/site.ts';
import { DateTime } from 'luxon';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { attempt } from '../app/database.ts';
import { FilePick } from '../ui/FilePick.tsx';
import { Section } from '../ui/Section.tsx';
import { useHalfTyped } from '../app/half-typed.ts';
import { ReadingBar } from '../ui/ReadingBar.tsx';
import { say } from '../app/say.ts';
import { db } from '../store/db.ts';
import { takeOver } from '../store/site-log.ts';
import { download, fileName } from '../store/take-out.ts';
import { useReading } from '../workers/files.ts';
import { Lessons } from './Lessons.tsx';
import { ShownPhoto, TakePhoto } from '../app/Photos.tsx';
import type { Shared } from './shared.ts';
import Button from '@mui/material/Button';
import { TextButton } from '../ui/TextButton.tsx';
import { onWall } from './times.ts';
import { TextInput } from '../ui/TextInput.tsx';
import { DraftField } from '../ui/DraftField.tsx';
import { bad, good, type Result } from '@kovelin/core/units/problem.ts';

const EarlierLessons = lazy(() => import('../app/EarlierLessons.tsx'));

/** So many entries are listed at once. */
const SHOWN = 40;

/** What was noted, the last first; each can be put right, and none is lost by it. */
export function LogBook({ view, site, tasks, log, who, now, zero }: Shared) {
  const { job } = view.state;
  const [shown, setShown] = useState(SHOWN);
  const [note, setNote] = useHalfTyped(`${job.id}|note`, '');
  const reading = useReading();
  const all: Log = new Map((log.entries ?? []).map((entry) => [entry.id, entry]));
  const { entries, odd: unclear } = corrected(all);
  const odd = new Map(site?.odd.map(({ entry, because }) => [entry, because]));
  const open = async (file: File): Promise<void> => {
    const read = await reading.read(file.name, (api) => api.log(file, { id: job.id, name: job.name }), say);
    if (!read) return;
    if (!read.ok) return say(read.problems.map(sentence).join(' '));
    const { log: came, aside, warnings } = read.value;
    const taken = await attempt('Nothing was taken over', () => takeOver(db, job.id, { log: came.values(), aside }));
    if (!taken) return;
    const isOne = taken.entries === 1;
    say(
      [
        `${taken.entries} ${isOne ? 'entry' : 'entries'} taken over; what was here already stays.`,
        ...(taken.aside
          ? [`${taken.aside} of its lines are not understood: they are kept, and stand below the log.`]
          : []),
        ...warnings,
      ].join(' '),
    );
  };
  const fault = note.length > MOST.notes ? `${note.length} characters: at most ${MOST.notes} are accepted.` : null;
  return (
    <>
      <Section title="A note">
        <TextInput label="Note" hideLabel rows={2} value={note} problem={fault} onChange={setNote} />
        <Button
          variant="outlined"
          disabled={!note.trim() || fault !== null}
          onClick={() => {
            const on = view.surface;
            if (log.say({ kind: 'note', who, note: note.trim(), ...(on ? { surface: on.id } : {}) })) setNote('');
          }}
        >
          Note it
        </Button>{' '}
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
          <TextButton onClick={() => setShown(shown + 200)}>{entries.length - shown} earlier ones</TextButton>
        )}
        <p className="log-files">
          <TextButton onClick={() => download(`${fileName(job)}.log.jsonl`, writeLog(all, job, log.aside))}>
            Export the log
          </TextButton>
          <TextButton onClick={() => download(`${fileName(job)}-log.csv`, logCsv(all, job, log.aside), 'text/csv')}>
            As a table
          </TextButton>
          <Link to={`/hand-over/${job.id}`}>Hand the job over</Link>
          <FilePick accept=".jsonl,.json,.txt" asLink onFiles={([file]) => file && void open(file)}>
            Take one over
          </FilePick>
        </p>
        <ReadingBar reading={reading} />
      </Section>
      <NotUnderstood
        aside={log.aside}
        unclear={unclear.filter(({ entry }) => entry.kind === 'correct')}
        {...{ view, zero, now }}
      />
      <Suspense fallback={null}>
        <EarlierLessons view={view} />
      </Suspense>
      <Lessons view={view} site={site} />
    </>
  );
}

interface UnclearProps extends Pick<Shared, 'view' | 'zero' | 'now'> {
  readonly aside: readonly Aside[];
  readonly unclear: Corrected['odd'];
}
/** What is in the log and counts for nothing: kept, and exported with it. */
function NotUnderstood({ aside, unclear, view, zero, now }: UnclearProps) {
  const { system, state } = view;
  const count = aside.length + unclear.length;
  if (!count) return null;
  const timed = (at: string): string => onWall(zero === null ? 0 : minutesSince(zero)(at), now, zero, state.job.crew);
  return (
    <Section title="Not understood" extra={<small>{count}</small>}>
      <p className="hint">Kept and exported with the log as they came; nothing follows from them.</p>
      <ul className="log-aside">
        {unclear.slice(0, SHOWN).map(({ entry, because }) => (
          <li key={entry.id}>
            {said(capital(ODD[because]), system)} <small>{timed(entry.at)}</small>
          </li>
        ))}
        {aside.slice(0, SHOWN).map(({ text, reason }) => (
          <li key={text}>
            {reason} <code>{text.slice(0, 200)}</code>
          </li>
        ))}
      </ul>
    </Section>
  );
}

interface EntryProps extends Pick<Shared, 'view' | 'tasks' | 'log' | 'who' | 'now' | 'zero'> {
  readonly entry: LogEntry;
  readonly odd: keyof typeof ODD | undefined;
}
interface Clock {
  readonly hour: number;
  readonly minute: number;
}
function readClock(text: string): Result<Clock> {
  const [, hours, minutes] = /^\s*(\d{1,2})[:.](\d{2})\s*$/.exec(text) ?? [];
  const clock = { hour: Number(hours), minute: Number(minutes) };
  return clock.hour < 24 && clock.minute < 60 ? good(clock) : bad('A time of the day is expected here, such as 14:30.');
}

function Entry({ entry, view, tasks, log, who, now, zero, odd }: EntryProps) {
  const { system, state } = view;
  const { crew } = state.job;
  const [mending, setMending] = useState(false);
  const at = zero === null ? 0 : minutesSince(zero)(entry.at);
  const timed = onWall(at, now, zero, crew);
  const name = crew.people.find(({ id }) => id === entry.who)?.name ?? entry.who;
  const move = ({ hour, minute }: Clock): null => {
    const moved = DateTime.fromISO(entry.at, { zone: crew.zone }).set({ hour, minute, second: 0, millisecond: 0 });
    const value = { at: moved.toUTC().toISO() ?? entry.at };
    if (log.say({ kind: 'correct', who, corrects: entry.id, value })) setMending(false);
    return null;
  };
  return (
    <li>
      <b>{timed}</b>
      <span>
        {wordsOf(entry, tasks, view)} <small>{name}</small>
        {entry.kind === 'start' && entry.note && <small>{entry.note}</small>}
        {entry.kind === 'photo' && <ShownPhoto id={entry.value.photo} words={entry.note ?? `of ${timed}`} />}
        {odd && <small className="caution">{said(capital(ODD[odd]), system)}</small>}
        {mending && (
          <span className="mend">
            <DraftField
              label="It was at"
              value={DateTime.fromISO(entry.at, { zone: crew.zone }).toFormat('HH:mm')}
              parse={readClock}
              onCommit={move}
            />
            <TextButton onClick={() => log.say({ kind: 'correct', who, corrects: entry.id, value: { removed: true } })}>
              It did not happen
            </TextButton>
          </span>
        )}
      </span>
      <TextButton onClick={() => setMending(!mending)} aria-expanded={mending}>
        {mending ? 'Close' : 'Correct'}
      </TextButton>
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
