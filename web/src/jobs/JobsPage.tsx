import { rows } from '@kovelin/core/job/types.ts';
import { takeoffJob } from '@kovelin/core/measure/takeoff.ts';
import { formatArea } from '@kovelin/core/units/quantities.ts';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Snackbar from '@mui/material/Snackbar';
import { liveQuery } from 'dexie';
import { useEffect, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { DraftField } from '../app/fields.tsx';
import { freshId } from '../app/job-context.ts';
import { useScheme } from '../app/scheme.ts';
import { PlanShape } from '../drawing/PlanShape.tsx';
import { db, type JobRow } from '../store/db.ts';
import { createJob, deleteJob, duplicateJob, exportJob, importFile, renameJob, restoreJob } from '../store/jobs.ts';
import { openDemo } from './demo.ts';

const when = new Intl.DateTimeFormat('en', { dateStyle: 'medium', timeStyle: 'short' });

export default function JobsPage() {
  const [jobs, setJobs] = useState<JobRow[] | null>(null);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const [deleted, setDeleted] = useState<JobRow | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  const { scheme, toggle } = useScheme();
  useEffect(() => {
    document.title = 'Kovelin';
    const watch = liveQuery(() => db.jobs.orderBy('updated').reverse().toArray()).subscribe(setJobs);
    return () => watch.unsubscribe();
  }, []);
  const bringIn = async (file: File | undefined) => {
    if (!file) return;
    const result = await importFile(file, freshId());
    if ('problems' in result)
      setProblems([`${file.name} was not imported; your jobs are as they were.`, ...result.problems]);
    else void navigate(`/job/${result.id}/measure`);
  };
  const start = async () => void navigate(`/job/${await createJob(freshId(), 'New job')}/measure`);
  return (
    <div className="jobs-page">
      <header className="top">
        <span className="mark">
          <img src="/mark.svg" alt="" width="30" height="30" />
          <span>kovelin</span>
        </span>
        <div className="tools">
          <button type="button" className="tool" onClick={toggle}>
            {scheme === 'light' ? 'Dark' : 'Light'}
          </button>
        </div>
      </header>
      <main className="jobs">
        <div className="jobs-head">
          <h1>Jobs</h1>
          <Button variant="contained" onClick={() => void start()}>
            New job
          </Button>
          <Button variant="outlined" onClick={() => input.current?.click()}>
            Import a file
          </Button>
          <input
            ref={input}
            type="file"
            className="unseen"
            aria-label="Job file or tape sheet"
            tabIndex={-1}
            accept=".json,.tape,.txt"
            onChange={(event) => {
              void bringIn(event.target.files?.[0]);
              event.target.value = '';
            }}
          />
        </div>
        {problems.length > 0 && (
          <div className="problems" role="alert">
            {problems.map((text) => (
              <p key={text}>{text}</p>
            ))}
            <Button size="small" onClick={() => setProblems([])}>
              Close
            </Button>
          </div>
        )}
        {jobs?.length === 0 && (
          <div className="welcome">
            <p>
              Nothing measured yet. Start a job and type the first wall: areas, coats, cans and the order of work follow
              from what you type.
            </p>
            <Button variant="outlined" onClick={() => void openDemo().then((id) => navigate(`/job/${id}/measure`))}>
              Look at the keeper’s cottage
            </Button>
          </div>
        )}
        <ul className="job-list">
          {jobs?.map((row) => (
            <JobCard key={row.id} row={row} onDelete={() => void deleteJob(row.id).then(() => setDeleted(row))} />
          ))}
        </ul>
      </main>
      <Snackbar
        open={deleted !== null}
        message={`${deleted?.name ?? ''} was deleted`}
        autoHideDuration={12_000}
        onClose={(_, reason) => reason !== 'clickaway' && setDeleted(null)}
        action={
          <Button
            onClick={() => {
              if (deleted) void restoreJob(deleted);
              setDeleted(null);
            }}
          >
            Bring it back
          </Button>
        }
      />
    </div>
  );
}

function JobCard({ row, onDelete }: { row: JobRow; onDelete: () => void }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [naming, setNaming] = useState(false);
  const takeoffs = takeoffJob(row.job);
  const act = (action: () => void) => () => {
    setAnchor(null);
    action();
  };
  return (
    <li className="job-card">
      <Link to={`/job/${row.id}/measure`} className="job-plans" aria-label={`Open ${row.name}`}>
        {takeoffs.slice(0, 6).map((t) => (
          <PlanShape key={t.room.id} corners={t.corners} size={64} />
        ))}
      </Link>
      {naming ? (
        <DraftField
          label="Name"
          hideLabel
          value={row.name}
          parse={(text) =>
            text.trim() && text.length <= 80
              ? { ok: true, value: text.trim() }
              : { ok: false, message: 'A job needs a name of 1 to 80 characters.' }
          }
          onCommit={(name) => void renameJob(row, name).then(() => setNaming(false))}
          onEnter={() => setNaming(false)}
        />
      ) : (
        <h2>
          <Link to={`/job/${row.id}/measure`}>{row.name}</Link>
        </h2>
      )}
      <p>
        {rows(row.job.rooms)
          .map((r) => r.name)
          .join(', ') || 'no rooms'}
        <br />
        {formatArea(
          takeoffs.flatMap((t) => t.surfaces).reduce((sum, s) => sum + s.area.value, 0),
          row.job.units,
        )}{' '}
        to paint
        <br />
        <small>saved {when.format(row.updated)}</small>
      </p>
      <Button
        size="small"
        variant="outlined"
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-label={`More for ${row.name}`}
      >
        More
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        <MenuItem onClick={act(() => setNaming(true))}>Rename</MenuItem>
        <MenuItem onClick={act(() => void duplicateJob(row, freshId()))}>Duplicate</MenuItem>
        <MenuItem onClick={act(() => exportJob(row.job))}>Export</MenuItem>
        <MenuItem onClick={act(onDelete)}>Delete</MenuItem>
      </Menu>
    </li>
  );
}
