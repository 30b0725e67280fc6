import { rows } from '@kovelin/core/job/types.ts';
import Button from '@mui/material/Button';
import { lazy, Suspense, useEffect, useState } from 'react';
import { Link, NavLink, Outlet, useLocation, useNavigate, useParams, useSearchParams } from 'react-router';
import { db } from '../store/db.ts';
import { exportJob } from '../store/jobs.ts';
import { JobSession } from '../store/session.ts';
import { PlanShape } from '../drawing/PlanShape.tsx';
import { LostPage } from './LostPage.tsx';
import { useJob } from './job-context.ts';
import { NotOpened } from './NotOpened.tsx';
import { SessionContext } from './session-context.ts';
import { takeTyped, useTyping } from './typed.ts';
import { freshId } from '../store/ids.ts';
import { Ledger } from './Ledger.tsx';
import { useScheme } from './scheme.ts';

type Loaded = JobSession | 'loading' | 'missing' | { readonly error: unknown };

/** Opens the job of the address and frames its steps: tape, rooms, view, ledger. */
export default function JobFrame() {
  const { id = '' } = useParams();
  const [session, setSession] = useState<Loaded>('loading');
  useEffect(() => {
    let mine: JobSession | null = null;
    let gone = false;
    JobSession.open(db, id).then(
      (opened) => {
        mine = opened;
        if (gone) opened?.close();
        else setSession(opened ?? 'missing');
      },
      (error: unknown) => !gone && setSession({ error }),
    );
    return () => {
      gone = true;
      mine?.close();
    };
  }, [id]);
  if (session === 'loading') return <p className="waiting">Opening the job …</p>;
  if (session === 'missing') return <LostPage />;
  if (!(session instanceof JobSession)) return <NotOpened error={session.error} />;
  return (
    <SessionContext value={session}>
      <Frame />
    </SessionContext>
  );
}

const STEPS = [
  ['measure', 'Measure'],
  ['specify', 'Specify'],
  ['order', 'Order'],
  ['sequence', 'Sequence'],
] as const;

/** Sheets and lists belong to the step they come from. */
const PAPERS: Readonly<Record<string, string>> = {
  schedule: 'specify',
  list: 'order',
  quote: 'order',
  sheet: 'sequence',
};

const KeysDialog = lazy(() => import('./KeysDialog.tsx'));
const Notice = lazy(() => import('./Notice.tsx'));

/** The field a key was pressed in. */
const fieldOf = (target: EventTarget | null): HTMLInputElement | HTMLTextAreaElement | null =>
  target instanceof HTMLTextAreaElement ||
  (target instanceof HTMLInputElement && !['radio', 'checkbox', 'color'].includes(target.type))
    ? target
    : null;
const atFocus = new WeakMap<EventTarget, string>();
/** Its own undo has something to take back: a field with a draft says so, any other holds another text than when it was entered. */
const isTypedIn = (field: HTMLInputElement | HTMLTextAreaElement | null): boolean =>
  field !== null &&
  (field.dataset['dirty'] === undefined ? field.value !== atFocus.get(field) : field.dataset['dirty'] === 'yes');

function Frame() {
  const view = useJob();
  const { session, state } = view;
  const [help, setHelp] = useState(false);
  const navigate = useNavigate();
  const { pathname, search } = useLocation();
  // the address as it is now: what is on the screen may still be a render behind it
  const goToStep = (key: string) => void navigate({ pathname: key, search: window.location.search });
  const page = pathname.split('/').at(-1) ?? '';
  const step = PAPERS[page] ?? page;
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const field = fieldOf(event.target);
      const command = event.ctrlKey || event.metaKey;
      const key = event.key.toLowerCase();
      if (command && (key === 'z' || key === 'y') && !isTypedIn(field)) {
        event.preventDefault();
        if (key === 'y' || event.shiftKey) session.redo();
        else session.undo();
      } else if (event.altKey && /^[1-4]$/.test(key)) {
        event.preventDefault();
        const wanted = STEPS[Number(key) - 1];
        if (wanted) goToStep(wanted[0]);
      } else if (event.altKey && (key === 'arrowup' || key === 'arrowdown')) {
        event.preventDefault();
        const order = session.state.job.rooms.order;
        const here = new URLSearchParams(window.location.search).get('room') ?? view.room?.id ?? '';
        const next = order[order.indexOf(here) + (key === 'arrowup' ? -1 : 1)];
        if (next) view.goTo(next);
      } else if (event.key === '?' && !field) setHelp(true);
    };
    const onFocus = ({ target }: FocusEvent) => {
      const field = fieldOf(target);
      if (!field) return;
      session.prepare();
      atFocus.set(field, field.value);
    };
    window.addEventListener('keydown', onKey);
    window.addEventListener('focusin', onFocus);
    return () => {
      window.removeEventListener('keydown', onKey);
      window.removeEventListener('focusin', onFocus);
    };
  });
  // what is being typed is taken, and what is not saved yet noted down; where that cannot be, the browser asks first
  useEffect(() => {
    const onLeave = (event: Event) => {
      takeTyped();
      if (!session.leave() && event.type === 'beforeunload') event.preventDefault();
    };
    const moments = ['beforeunload', 'pagehide'] as const;
    for (const moment of moments) window.addEventListener(moment, onLeave);
    return () => {
      for (const moment of moments) window.removeEventListener(moment, onLeave);
    };
  }, [session]);
  useEffect(() => {
    document.title = `${state.job.name} · Kovelin`;
  }, [state.job.name]);
  return (
    <div className="frame" data-step={page}>
      <header className="top">
        <Link to="/" className="mark" aria-label="Kovelin: all jobs">
          <img src="/mark.svg" alt="" width="30" height="30" />
          <span>kovelin</span>
        </Link>
        <Tape step={step} search={search} onStep={goToStep} />
        <Tools onHelp={() => setHelp(true)} />
      </header>
      <Rooms />
      <Suspense fallback={<p className="waiting">One moment …</p>}>
        <Outlet />
      </Suspense>
      <Ledger />
      {help && (
        <Suspense fallback={null}>
          <KeysDialog onClose={() => setHelp(false)} />
        </Suspense>
      )}
      {state.notice !== null && (
        <Suspense fallback={null}>
          <Notice session={session} state={state} />
        </Suspense>
      )}
    </div>
  );
}

/** The steps as a tape drawn out of its case: the hook stands at the current one. */
function Tape({ step, search, onStep }: { step: string; search: string; onStep: (step: string) => void }) {
  const at = STEPS.findIndex(([key]) => key === step);
  return (
    <nav
      className="tape"
      aria-label="Steps"
      style={{ '--drawn': `${((at < 0 ? STEPS.length : at + 1) / STEPS.length) * 100}%` } as React.CSSProperties}
    >
      <span className="blade" aria-hidden="true" />
      <ol>
        {STEPS.map(([key, words], i) => (
          <li key={key} className={i <= at ? 'out' : ''}>
            <NavLink
              to={`${key}${search}`}
              onClick={(event) => {
                if (event.ctrlKey || event.metaKey || event.shiftKey) return;
                event.preventDefault();
                onStep(key);
              }}
            >
              {words}
            </NavLink>
          </li>
        ))}
      </ol>
    </nav>
  );
}

function Tools({ onHelp }: { onHelp: () => void }) {
  const { session, state } = useJob();
  const { scheme, toggle } = useScheme();
  const typing = useTyping();
  const words = { saved: 'Saved', saving: 'Saving …', failed: 'Not saved', gone: 'Deleted' };
  const saving = typing && state.saving === 'saved' ? 'Typing …' : words[state.saving];
  return (
    <div className="tools">
      <span className={`saving ${state.saving}`} role="status">
        {saving}
      </span>
      <button type="button" className="tool" disabled={!state.canUndo} onClick={() => session.undo()}>
        Undo
      </button>
      <button type="button" className="tool" disabled={!state.canRedo} onClick={() => session.redo()}>
        Redo
      </button>
      <button
        type="button"
        className="tool"
        onClick={() =>
          session.run({ name: 'setUnits', args: { units: state.job.units === 'imperial' ? 'metric' : 'imperial' } })
        }
        title="Feet and inches, or metres"
      >
        {state.job.units === 'imperial' ? 'ft in' : 'm mm'}
      </button>
      <button type="button" className="tool" onClick={toggle} title="Light or dark">
        {scheme === 'light' ? 'Dark' : 'Light'}
      </button>
      <button type="button" className="tool" onClick={onHelp} aria-label="Keys">
        ?
      </button>
    </div>
  );
}

/** What a room still waits for, in a few words. */
function Rooms() {
  const { state, derived, room, goTo, session } = useJob();
  const [params] = useSearchParams();
  const add = () => {
    const id = freshId();
    session.run({ name: 'addRoom', args: { id, name: `Room ${state.job.rooms.order.length + 1}` } });
    goTo(id);
  };
  const told = (id: string) => {
    const takeoff = derived.takeoffs.find((t) => t.room.id === id);
    if (!takeoff) return '';
    if (takeoff.problems.length) return `${takeoff.problems.length} to mend`;
    if (takeoff.missing.length) return `wall ${takeoff.missing[0]} to measure`;
    if (takeoff.closure?.provisional) return 'does not close';
    return takeoff.warnings.length ? 'measured, see note' : 'measured';
  };
  return (
    <aside className="rooms" aria-label="Rooms">
      <h2 title={state.shown.name}>{state.shown.name}</h2>
      <ul>
        {rows(state.shown.rooms).map((r) => (
          <li key={r.id}>
            <button
              type="button"
              title={r.name}
              className={r.id === room?.id ? 'room here' : 'room'}
              aria-current={r.id === room?.id}
              onClick={() => goTo(r.id)}
            >
              <PlanShape corners={derived.takeoffs.find((t) => t.room.id === r.id)?.corners ?? []} />
              <span>
                <b>{r.name}</b>
                <small>{told(r.id)}</small>
              </span>
            </button>
          </li>
        ))}
      </ul>
      <Button onClick={add} variant="outlined" size="small">
        Add a room
      </Button>
      <Link to={`sheet?${params.toString()}`} className="sheet-link">
        Day sheet to print
      </Link>
      <button type="button" className="link sheet-link" onClick={() => exportJob(state.job)}>
        Export this job
      </button>
    </aside>
  );
}
