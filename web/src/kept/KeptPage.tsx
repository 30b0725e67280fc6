import { liveQuery } from 'dexie';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { PageTop } from '../app/PageTop.tsx';
import { attempt } from '../app/database.ts';
import { say } from '../app/say.ts';
import { backUp } from '../store/backups.ts';
import { db, type BackupRow } from '../store/db.ts';
import { askToKeep, isKept, spaceUsed, type Space } from '../store/keep.ts';
import { download } from '../store/take-out.ts';
import { whyNot } from '../store/why.ts';
import { pack } from '../workers/archive.ts';
import { putIn } from '../app/inbox.ts';
import Button from '@mui/material/Button';
import { TextButton } from '../ui/TextButton.tsx';
import './kept.css';
import { Message } from '../ui/Message.tsx';

/** In decimal units, as much as is of use. */
function bytesText(bytes: number): string {
  if (bytes < 1e6) return `${Math.ceil(bytes / 1000)} kB`;
  return bytes < 1e9 ? `${(bytes / 1e6).toFixed(1)} MB` : `${(bytes / 1e9).toFixed(1)} GB`;
}

/** What this browser keeps: how much room there is, everything as one file, and the backups. */
export default function KeptPage() {
  const navigate = useNavigate();
  const [backups, setBackups] = useState<readonly BackupRow[] | null>(null);
  const [busy, setBusy] = useState(false);
  useEffect(() => {
    document.title = 'What is kept · Kovelin';
    const watch = liveQuery(() => db.backups.orderBy('at').reverse().toArray()).subscribe({
      next: setBackups,
      error: (error: unknown) => say(`The backups could not be listed: ${whyNot(error)}`),
    });
    return () => watch.unsubscribe();
  }, []);
  const everything = async (): Promise<void> => {
    setBusy(true);
    const made = await attempt('The file was not made', () => pack('given', undefined, true));
    setBusy(false);
    const date = new Date().toISOString().slice(0, 10);
    if (made) download(`kovelin-${date}.kovelin.zip`, made.file, 'application/zip');
  };
  const now = async (): Promise<void> => {
    setBusy(true);
    const faults = await attempt('The backup was not made', () => backUp(db, 'rolling'));
    setBusy(false);
    for (const fault of faults ?? []) say(fault);
  };
  const open = (backup: BackupRow): void => {
    putIn(new File([backup.file], `The backup of ${new Date(backup.at).toLocaleString()}`), true);
    void navigate('/bring-in');
  };
  return (
    <div className="jobs-page">
      <PageTop />
      <main className="kept-page">
        <h1>What is kept</h1>
        <Room />
        <section className="kept-part">
          <h2>Everything, as one file</h2>
          <p>All jobs, their logs and photos as a zip of open formats: put it where you keep what matters.</p>
          <div className="row-buttons">
            <Button variant="outlined" disabled={busy} onClick={() => void everything()}>
              Export everything
            </Button>
            <Button variant="outlined" onClick={() => void navigate('/bring-in')}>
              Import …
            </Button>
          </div>
          <p className="hint">Price lists are not in it: they come from their own files.</p>
        </section>
        <section className="kept-part">
          <h2>Backups on this device</h2>
          <p>
            Jobs and logs as they stood: made each hour in which something changed, and before anything is brought in.
            The last three are kept, one a day for a week, one a week for four weeks. They help against a slip; against
            a lost device only a file elsewhere does.
          </p>
          {backups?.length === 0 && (
            <p className="hint">None yet: the first is made soon after something was changed.</p>
          )}
          <ul className="backups">
            {backups?.map((backup) => (
              <li key={backup.id}>
                <b>{new Date(backup.at).toLocaleString()}</b>
                <span>
                  {backup.jobs.length} {backup.jobs.length === 1 ? 'job' : 'jobs'}, {bytesText(backup.file.size)}
                  {backup.why === 'before' && ', before something was brought in'}
                  <small>{backup.jobs.map(({ name }) => name).join(', ')}</small>
                  {backup.faults?.map((fault) => (
                    <Message key={fault} kind="caution">
                      Cannot be read back whole: {fault}
                    </Message>
                  ))}
                </span>
                <Button variant="outlined" onClick={() => open(backup)}>
                  Look into it
                </Button>
              </li>
            ))}
          </ul>
          <Button variant="outlined" disabled={busy} onClick={() => void now()}>
            Back up now
          </Button>
        </section>
      </main>
    </div>
  );
}

/** How much of the room that the browser gives is used, and whether it promised to keep it. */
function Room() {
  const [space, setSpace] = useState<Space | null>(null);
  const [safe, setSafe] = useState<boolean | null>(null);
  useEffect(() => {
    void spaceUsed().then(setSpace);
    void isKept().then(setSafe);
  }, []);
  const share = space ? space.used / space.most : 0;
  return (
    <section className="kept-part">
      <h2>Room</h2>
      {space ? (
        <>
          <meter min={0} max={1} low={0.6} high={0.85} optimum={0} value={share} aria-label="Room used" />
          <p>
            {bytesText(space.used)} of the {bytesText(space.most)} that this browser gives are used
            {share > 0.85 && ': export what matters, and delete what is no longer needed'}.
          </p>
        </>
      ) : (
        <p>This browser does not say how much room there is.</p>
      )}
      {safe === true && <p>It has promised not to clear them when this device runs short of space.</p>}
      {safe === false && (
        <p>
          It has not promised to keep them when this device runs short of space.{' '}
          <TextButton onClick={() => void askToKeep().then(setSafe)}>Ask it to keep them</TextButton>
        </p>
      )}
    </section>
  );
}
