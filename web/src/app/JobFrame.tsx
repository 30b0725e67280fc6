import { PHONE } from '../ui/theme.ts';
import ExpandMore from '@mui/icons-material/ExpandMore';
import ExpandLess from '@mui/icons-material/ExpandLess';
import Button from '@mui/material/Button';
import { systemOf } from '@kovelin/core/job/region.ts';
import { heading } from '@kovelin/core/units/word.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import useMediaQuery from '@mui/material/useMediaQuery';
import { QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useState } from 'react';
import { Link, Outlet, useParams, useSearchParams } from 'react-router';
import { db } from '../store/db.ts';
import { JobSession } from '../store/session.ts';
import { NoWorker } from '../workers/ask.ts';
import { useJob } from './job-context.ts';
import { JobProvider } from './JobProvider.tsx';
import { Ledger } from './Ledger.tsx';
import { LostPage } from './LostPage.tsx';
import { NextLine } from './NextLine.tsx';
import { Rooms } from '../rooms/Rooms.tsx';
import { JumpList } from './JumpList.tsx';
import { useHere, useLeaving, useShortcuts } from './shortcuts.ts';
import { onFileGone } from './stale.ts';
import { Tape } from './Tape.tsx';
import { Tools } from './Tools.tsx';

const NotOpened = lazy(() => import('./NotOpened.tsx'));
const PhoneTop = lazy(() => import('./PhoneTop.tsx').then((file) => ({ default: file.PhoneTop })));
const KeysDialog = lazy(() => import('./KeysDialog.tsx'));
const Notice = lazy(() => import('./Notice.tsx'));

const queries = new QueryClient({
  queryCache: new QueryCache({ onError: (error) => error instanceof NoWorker && onFileGone() }),
});
type Loaded = JobSession | 'loading' | 'missing' | { readonly error: unknown };

/** Opens the job of the address; closed again when the page leaves it. */
function useSession(id: string): Loaded {
  const [loaded, setLoaded] = useState<Loaded>('loading');
  useEffect(() => {
    let mine: JobSession | null = null;
    let gone = false;
    JobSession.open(db, id).then(
      (opened) => {
        mine = opened;
        if (gone) opened?.close();
        else setLoaded(opened ?? 'missing');
      },
      (error: unknown) => !gone && setLoaded({ error }),
    );
    return () => {
      gone = true;
      mine?.close();
    };
  }, [id]);
  return loaded;
}

/** The frame round every step of a job. */
export default function JobFrame() {
  const { id = '' } = useParams();
  const session = useSession(id);
  if (session === 'loading') return <p className="waiting">Opening the job …</p>;
  if (session === 'missing') return <LostPage />;
  if (!(session instanceof JobSession)) return <NotOpened error={session.error} />;
  return (
    <QueryClientProvider client={queries}>
      <JobProvider session={session}>
        <Frame />
      </JobProvider>
    </QueryClientProvider>
  );
}

/** What the papers are called in the title of the page. */
const PAPERS: Readonly<Record<string, string>> = {
  schedule: 'Finish schedule',
  quote: 'Quote',
  list: 'Shopping list',
  lines: 'Lines, stroke by stroke',
  sheet: 'Day sheet',
  punch: 'Punch list',
  acceptance: 'Acceptance',
  labels: 'Labels',
  home: 'Home record',
};

/** The frame of every step: tape, rooms, view, ledger; on a phone one line above, and what is chosen from below. */
function Frame() {
  const { session, state, surface } = useJob();
  const phone = useMediaQuery(PHONE, { noSsr: true });
  const [sheet, setSheet] = useState(false);
  const [help, setHelp] = useState(false);
  const [params] = useSearchParams();
  const led = params.get('ask') ?? params.get('show');
  const [ledTo, setLedTo] = useState<string | null>(null);
  // a link to a question or a field leads to what is in the panel
  if (led !== ledTo) {
    setLedTo(led);
    if (led) setSheet(true);
  }
  const { page, step } = useHere();
  useShortcuts(() => setHelp(true));
  useLeaving(session);
  useEffect(() => {
    document.title = [PAPERS[page] ?? step?.word, state.job.name, 'Kovelin'].filter(Boolean).join(' · ');
  }, [state.job.name, page, step]);
  return (
    <div
      className="frame"
      data-step={page}
      data-phone={phone || undefined}
      data-sheet={phone && sheet ? 'open' : undefined}
      onClickCapture={({ target }) => {
        // a surface that is tapped on the drawing opens what there is to say of it
        if (target instanceof Element && target.closest('.drawing .surface')) setSheet(true);
      }}
    >
      <JumpList />
      {phone ? (
        <Suspense fallback={<header className="phone-top" />}>
          <PhoneTop onHelp={() => setHelp(true)} />
        </Suspense>
      ) : (
        <>
          <header className="top">
            <Link to="/" className="mark" aria-label="Kovelin: all jobs">
              <img src="/mark.svg" alt="" width="30" height="30" />
              <span>kovelin</span>
            </Link>
            <Tape />
            <Tools onHelp={() => setHelp(true)} />
          </header>
          <Rooms />
        </>
      )}
      <Suspense fallback={<p className="waiting">One moment …</p>}>
        <Outlet />
      </Suspense>
      <NextLine />
      {phone && (
        <Button
          className="sheet-handle"
          aria-expanded={sheet}
          startIcon={sheet ? <ExpandMore /> : <ExpandLess />}
          onClick={() => setSheet(!sheet)}
        >
          {surface ? heading(nameWord(surface.name), systemOf(state.job)) : 'This room'}
        </Button>
      )}
      <Ledger phone={phone} />
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
