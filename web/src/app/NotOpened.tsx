import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { download } from '../store/jobs.ts';
import { DamagedJob } from '../store/session.ts';
import { whyNot } from '../store/why.ts';

/** A job that is there and does not open: why, and what can be done. */
export function NotOpened({ error }: { error: unknown }) {
  const damaged = error instanceof DamagedJob ? error.row : null;
  return (
    <main className="lost" role="alert">
      <h1>This job could not be opened</h1>
      {damaged ? (
        <p>What is kept of “{damaged.name}” is damaged. It was left as it is; your other jobs are not touched.</p>
      ) : (
        <p>It could not be read, because {whyNot(error)}</p>
      )}
      <span className="row-buttons">
        {damaged && (
          <Button variant="contained" onClick={() => download('damaged.json', JSON.stringify(damaged.job, null, 1))}>
            Export what is there
          </Button>
        )}
        <Button variant="outlined" onClick={() => window.location.reload()}>
          Try again
        </Button>
        <Button component={Link} to="/">
          All jobs
        </Button>
      </span>
    </main>
  );
}
