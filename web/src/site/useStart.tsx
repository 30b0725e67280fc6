import type { SiteView } from '@kovelin/core/whole/site.ts';
import { taskWord } from '@kovelin/core/paces/tasks.ts';
import { formatMinutes } from '@kovelin/core/units/quantities.ts';
import { heading } from '@kovelin/core/units/word.ts';
import { reasonWord } from '@kovelin/core/words/reasons.ts';
import Button from '@mui/material/Button';
import { useRef, useState, type ReactNode } from 'react';
import { Sheet } from '../ui/Sheet.tsx';
import { TextInput } from '../ui/TextInput.tsx';
import type { Shared } from './shared.ts';
import { onWall } from './times.ts';

type NextTask = SiteView['people'][number]['next'][number];

/** Begins a task; what is too early, or does not fit before a break, is asked about first. */
export function useStart(shared: Shared): { readonly start: (next: NextTask) => void; readonly question: ReactNode } {
  const { log, who } = shared;
  const [asked, setAsked] = useState<NextTask | null>(null);
  /** Entries there were at the last press: until they are more, a second press is the same one. */
  const pressed = useRef<number | null>(null);
  const count = log.entries?.length ?? 0;
  const begin = (operation: string, note = '') => {
    if (pressed.current === count && log.failed === null) return;
    if (log.say({ kind: 'start', who, operation, ...(note.trim() ? { note: note.trim() } : {}) }))
      pressed.current = count;
    setAsked(null);
  };
  return {
    start: (next) => ((next.waits ?? next.short) ? setAsked(next) : begin(next.task)),
    question: asked && (
      <Sheet label="Before it is begun" open onClose={() => setAsked(null)}>
        {asked.waits ? (
          <Early {...shared} next={asked} onStart={(why) => begin(asked.task, why)} onWait={() => setAsked(null)} />
        ) : (
          <TooLong {...shared} next={asked} onStart={(why) => begin(asked.task, why)} onWait={() => setAsked(null)} />
        )}
      </Sheet>
    ),
  };
}

interface AskProps extends Shared {
  readonly next: NextTask;
  /** With the reason that was given. */
  readonly onStart: (why: string) => void;
  readonly onWait: () => void;
}

/** A coat over a wet one, tape on fresh paint: said, with why; the reason given stands in the log. */
function Early({ view, tasks, now, zero, next: { waits }, onStart, onWait }: AskProps) {
  const [why, setWhy] = useState('');
  const { system } = view;
  const before = tasks.get(waits?.of?.task ?? '');
  const name = before ? heading(taskWord(before), system) : 'This';
  const until = onWall(waits?.until ?? now, now, zero, view.state.job.crew);
  return (
    <>
      <h2>{waits?.task ? `${name} is not done yet. Start anyway?` : `${name}: ready at ${until}. Start anyway?`}</h2>
      {waits?.of && <p>{heading(reasonWord({ rule: waits.of.because, with: {} }), system)}.</p>}
      <TextInput label="Why it may begin" value={why} placeholder="dry to the touch, warm room" onChange={setWhy} />
      <div className="site-reasons">
        <Button size="large" variant="contained" onClick={onWait}>
          {waits?.task ? 'Wait' : `Wait until ${until}`}
        </Button>
        <Button size="large" variant="outlined" onClick={() => onStart(why || 'begun early')}>
          Start anyway
        </Button>
      </div>
    </>
  );
}

/** A surface that cannot be finished before the break or the evening. */
function TooLong({ view, tasks, now, zero, next: { task, short }, onStart, onWait }: AskProps) {
  const work = tasks.get(task)?.work ?? 0;
  const goesOn = onWall(short?.goesOn ?? now, now, zero, view.state.job.crew);
  return (
    <>
      <h2>
        {formatMinutes(work)} of work, break in {formatMinutes(short?.left ?? 0)}
      </h2>
      <p>A surface that is put down wet shows where. Begin it after the break, or work through?</p>
      <div className="site-reasons">
        <Button size="large" variant="contained" onClick={onWait}>
          Begin at {goesOn}
        </Button>
        <Button size="large" variant="outlined" onClick={() => onStart('worked through')}>
          Work through
        </Button>
      </div>
    </>
  );
}
