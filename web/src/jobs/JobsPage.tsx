import { MAX_JOB_BYTES, tooLarge } from '@kovelin/core/job/limits.ts';
import type { Room } from '@kovelin/core/job/measured.ts';
import { COUNTRY_ROWS, systemOf, type Country } from '@kovelin/core/job/region.ts';
import { sentence } from '@kovelin/core/units/problem.ts';
import Button from '@mui/material/Button';
import { liveQuery } from 'dexie';
import { lazy, Suspense, useEffect, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { attempt } from '../app/database.ts';
import { Fault } from '../app/Fault.tsx';
import { putIn } from '../app/inbox.ts';
import { PageTop } from '../app/PageTop.tsx';
import { ReadingBar } from '../ui/ReadingBar.tsx';
import { ExportAsIs, unfitWord } from '../app/Unfit.tsx';
import { freshId } from '../store/ids.ts';
import { db, stateOf, type JobRow } from '../store/db.ts';
import {
  bringIn,
  countryBefore,
  countryHere,
  createJob,
  deleteJob,
  emptyTrash,
  listJobs,
  restoreJob,
  sweepTouches,
} from '../store/jobs.ts';
import { askToKeep, isKept } from '../store/keep.ts';
import { whyNot } from '../store/why.ts';
import { useReading } from '../workers/files.ts';
import { openDemo } from './demo.ts';
import { TextButton } from '../ui/TextButton.tsx';
import './jobs.css';
import { FilePick } from '../ui/FilePick.tsx';
import { Message } from '../ui/Message.tsx';

/** Milliseconds in which a deleted job can be brought back. */
const UNDO = 12_000;

/** What the field for files is called, for those who hear it. */
const FILE = 'Job file or tape sheet';

const LostCopies = lazy(() => import('./LostCopies.tsx'));
const Start = lazy(() => import('./Start.tsx'));
const JobCard = lazy(() => import('./JobCard.tsx'));
const Deleted = lazy(() => import('./Deleted.tsx'));
const BringHouse = lazy(() => import('../rooms/BringHouse.tsx'));

/** The first page: a room to begin, or the jobs that are here. */
export default function JobsPage() {
  const [jobs, setJobs] = useState<JobRow[] | null>(null);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const [deleted, setDeleted] = useState<JobRow | null>(null);
  const [starting, setStarting] = useState(false);
  const [house, setHouse] = useState<{ readonly file: File; readonly country: Country } | null>(null);
  const navigate = useNavigate();
  const reading = useReading();
  useEffect(() => {
    document.title = 'Kovelin';
    const fail = (error: unknown) => {
      setProblems([`Your jobs could not be listed: ${whyNot(error)}`]);
      setJobs((now) => now ?? []);
    };
    // a list that follows the database says nothing of one that does not open
    const watch = db.open().then(() => {
      // what was deleted on an earlier visit can no longer be brought back
      void attempt('Deleted jobs could not be cleared away', async () => {
        await emptyTrash(Date.now() - UNDO);
        await sweepTouches();
      });
      return liveQuery(listJobs).subscribe({ next: setJobs, error: fail });
    });
    watch.catch(fail);
    return () =>
      void watch.then(
        (subscription) => subscription.unsubscribe(),
        () => undefined,
      );
  }, []);
  const open = (id: string | null) => id !== null && void navigate(`/job/${id}/measure`);
  const bringFile = async (file: File | undefined) => {
    if (!file) return;
    const refuse = (...why: readonly string[]) =>
      setProblems([`${file.name} was not imported; your jobs are as they were.`, ...why]);
    setProblems([]);
    if (/\.zip$|\.kovelin\.txt$/i.test(file.name)) {
      putIn(file);
      void navigate('/bring-in');
      return;
    }
    if (/\.(csv|tsv|dxf|svg)$/i.test(file.name)) {
      // where nothing can be kept, nothing was: that is said above
      const country = await countryBefore().catch(countryHere);
      return setHouse({ file, country });
    }
    if (file.size > MAX_JOB_BYTES) return refuse(tooLarge(file.size));
    const name = file.name.replace(/\.[^.]*$/, '').slice(0, 80) || 'Imported job';
    const text = await file.text();
    const read = await reading.read(file.name, (api) => api.job(text, name), refuse);
    if (read && !read.ok) refuse(...read.problems.map(sentence));
    else if (read) open(await attempt(`${file.name} was read, but not kept`, () => bringIn(read.value, freshId())));
  };
  const makeHouse = (rooms: readonly Room[]) => {
    const name = house?.file.name.replace(/\.[^.]*$/, '').slice(0, 80) || 'House';
    setHouse(null);
    void attempt('The job was not made', () => createJob(freshId(), name, () => rooms)).then((made) => open(made));
  };
  const remove = async (row: JobRow) => {
    const hidden = await attempt(`${row.name} was not deleted`, () => deleteJob(row.id));
    if (hidden) setDeleted(row);
  };
  const forget = (row: JobRow | null) => {
    setDeleted(null);
    if (row) void attempt(`${row.name} could not be cleared away`, () => emptyTrash(Date.now(), [row.id]));
  };
  const fromFile = {
    accept: '.json,.tape,.txt,.zip,.csv,.tsv,.dxf,.svg',
    onFiles: ([file]: readonly File[]) => void bringFile(file),
  };
  return (
    <div className="jobs-page">
      <PageTop />
      <main className="jobs">
        <div className="jobs-head">
          {jobs && jobs.length > 0 && (
            <>
              <h1>Jobs</h1>
              <Button variant="contained" aria-expanded={starting} onClick={() => setStarting(!starting)}>
                New job
              </Button>
              <FilePick {...fromFile} label={FILE}>
                Import a file
              </FilePick>
            </>
          )}
        </div>
        <ReadingBar reading={reading} />
        {problems.length > 0 && (
          <Message
            kind="wrong"
            action={
              <Button size="small" onClick={() => setProblems([])}>
                Close
              </Button>
            }
          >
            {problems.map((text) => (
              <p key={text}>{text}</p>
            ))}
          </Message>
        )}
        {jobs && problems.length === 0 && (
          <Suspense fallback={null}>
            <LostCopies />
          </Suspense>
        )}
        {jobs && (starting || jobs.length === 0) && (
          <Suspense fallback={<p className="waiting">One moment …</p>}>
            <Start
              onOpen={open}
              jobs={jobs}
              file={{ ...fromFile, ...(jobs.length ? {} : { label: FILE }) }}
              onCottage={() => void attempt('The cottage was not opened', openDemo).then(open)}
            />
          </Suspense>
        )}
        {jobs && jobs.length > 0 && <Safety />}
        {jobs && (
          <p className="hint">
            <Link to="/find">Find paint over all jobs</Link> ·{' '}
            <Link to="/kept">What is kept here, its backups, and everything as one file</Link> ·{' '}
            <Link to="/bring-in">Import from another device</Link> ·{' '}
            <Link to="/help">Guides and words of the trade</Link>
          </p>
        )}
        <ul className="job-list">
          {jobs?.map((row) => (
            <Fault key={row.id} fallback={() => <UnfitCard row={row} onDelete={() => void remove(row)} />}>
              {stateOf(row) === 'whole' ? (
                <Suspense fallback={<li className="job-card">{row.name}</li>}>
                  <JobCard row={row} onDelete={() => void remove(row)} />
                </Suspense>
              ) : (
                <UnfitCard row={row} onDelete={() => void remove(row)} />
              )}
            </Fault>
          ))}
        </ul>
      </main>
      <Suspense fallback={null}>
        {house && (
          <BringHouse
            key={house.file.name}
            file={house.file}
            system={systemOf({ units: COUNTRY_ROWS[house.country].units, region: COUNTRY_ROWS[house.country] })}
            onTake={makeHouse}
            onClose={() => setHouse(null)}
          />
        )}
      </Suspense>
      {deleted && (
        <Suspense fallback={null}>
          <Deleted
            name={deleted.name}
            forHowLong={UNDO}
            onGone={() => forget(deleted)}
            onBack={() => {
              void attempt(`${deleted.name} was not brought back`, () => restoreJob(deleted.id));
              setDeleted(null);
            }}
          />
        </Suspense>
      )}
    </div>
  );
}

/** Whether the browser has promised not to clear the jobs when it runs short of space. */
function Safety() {
  const [safe, setSafe] = useState(true);
  useEffect(() => {
    void isKept().then(setSafe);
  }, []);
  return safe ? null : (
    <p className="hint">
      Jobs stay in this browser, which may clear them when this device runs short of space: export what matters.{' '}
      <TextButton onClick={() => void askToKeep().then(setSafe)}>Ask it to keep them</TextButton>
    </p>
  );
}

/** A record that cannot be worked with: it can be taken out as it is, or deleted; the others are not touched. */
function UnfitCard({ row, onDelete }: { row: JobRow; onDelete: () => void }) {
  return (
    <li className="job-card">
      <h2>{row.name || 'A job without a name'}</h2>
      <p role="note">{unfitWord(row)}</p>
      <span className="row-buttons">
        <ExportAsIs row={row} />
        <Button size="small" onClick={onDelete}>
          Delete
        </Button>
      </span>
    </li>
  );
}
