import { roomScope, scopesOf } from '@kovelin/core/job/scope.ts';
import { samplesFor } from '@kovelin/core/record/choose.ts';
import { paintAgain } from '@kovelin/core/record/again.ts';
import { jobRecord } from '@kovelin/core/whole/record.ts';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { attempt } from '../app/database.ts';
import { Sides } from '../ui/Sides.tsx';
import { useLog } from '../app/useLog.ts';
import { useSpelt } from '../app/useSpelt.ts';
import { useWhole } from '../app/whole.ts';
import { lookAt } from '../drawing/looks.ts';
import { UnrolledRoom } from '../drawing/UnrolledRoom.tsx';
import { freshId } from '../store/ids.ts';
import { bringIn } from '../store/jobs.ts';
import { Choose } from './Choose.tsx';
import { Leftovers } from './Leftovers.tsx';
import { SurfacePanel } from './SurfacePanel.tsx';
import { Walls } from './Walls.tsx';
import Button from '@mui/material/Button';
import './record.css';

const PAGES = [
  ['walls', 'On the walls'],
  ['left', 'What is left'],
  ['choose', 'Choose a colour'],
] as const;
type Page = (typeof PAGES)[number][0];

/** Never again wonder what is on the wall. */
export default function RecordView() {
  const spell = useSpelt();
  const view = useWhole();
  const { state, takeoff, derived } = view;
  const { job } = state;
  const log = useLog(job.id);
  const navigate = useNavigate();
  const [page, setPage] = useState<Page>('walls');
  const [scopeSaid, setScope] = useState<string | null>(null);
  const [shown, setShown] = useState<string | null>(null);
  if (!takeoff?.surfaces.length)
    return (
      <main className="middle empty-view">
        <p>Measure a room first: what is on its walls is kept by wall.</p>
      </main>
    );
  const record = jobRecord(state.shown, log.entries ?? []);
  const shared = { view, record, log };
  const scope = scopeSaid ?? roomScope(takeoff.room.id, 'wall');
  const tried = page === 'choose' ? (job.samples.byId[shown ?? ''] ?? samplesFor(job, scope).still[0]) : undefined;
  const triedHex = tried && job.colours[tried.colour]?.hex;
  const paint = (id: string) => {
    if (page === 'choose') {
      const s = derived.surfaces.find((one) => one.surface.id === id);
      if (!s) return { fill: 'var(--trim)' };
      const isTried = tried !== undefined && scopesOf(s.surface).includes(tried.scope);
      return { fill: isTried && triedHex ? triedHex : lookAt(s, 'hidden'), ...(isTried ? { note: 'on trial' } : {}) };
    }
    const own = record.surfaces.find((one) => one.id === id);
    const hex = own?.top?.colour?.hex;
    if (!own) return { fill: 'var(--trim)' };
    if (!own.top) return { fill: 'var(--card)', note: 'nobody knows' };
    const year = own.top.when?.slice(0, 4);
    return {
      fill: hex ?? 'var(--card)',
      note: [own.top.certain ? '✓' : 'not certain', year].filter(Boolean).join(' · '),
    };
  };
  const again = async (): Promise<void> => {
    const next = paintAgain(job, record.surfaces, record.left, {
      id: freshId(),
      name: `${job.name}, again`.slice(0, 80),
    });
    const id = await attempt('The next job was not made', () => bringIn(next, next.id));
    if (id) void navigate(`/job/${id}/specify`);
  };
  return (
    <>
      <main className="middle record" aria-label="Record" data-page={page}>
        <div className="record-top">
          <Sides
            label="Record"
            sides={PAGES.map(([key, text]) => [key, spell(text)] as const)}
            value={page}
            onChange={setPage}
          />
          <Button variant="outlined" onClick={() => void again()}>
            Paint these rooms again
          </Button>
          <span className="record-papers">
            <Link to="../labels">Labels</Link> <Link to="../home">Home record</Link> <Link to="/find">Find paint</Link>
          </span>
        </div>
        <div className="record-drawing">
          <UnrolledRoom view={view} takeoff={takeoff} paint={paint} />
        </div>
        {page === 'walls' && <Walls {...shared} />}
        {page === 'left' && <Leftovers {...shared} />}
        {page === 'choose' && (
          <Choose {...shared} scope={scope} onScope={setScope} shown={tried?.id ?? null} onShow={setShown} />
        )}
      </main>
      <aside className="panel record-panel" aria-label="What is chosen" tabIndex={0}>
        <SurfacePanel key={view.surface?.id} {...shared} />
      </aside>
    </>
  );
}
