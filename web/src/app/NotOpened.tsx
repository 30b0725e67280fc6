import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { UnfitJob } from '../store/session.ts';
import { whyNot } from '../store/why.ts';
import { ExportAsIs, unfitWord } from './Unfit.tsx';

/** A job that is there and does not open: why, and what can be done. */
export default function NotOpened({ error }: { error: unknown }) {
  const row = error instanceof UnfitJob ? error.row : null;
  return (
    <main className="lost" role="alert">
      <h1>This job could not be opened</h1>
      <p>{row ? unfitWord(row) : `It could not be read, because ${whyNot(error)}`}</p>
      <span className="row-buttons">
        {row && <ExportAsIs row={row} />}
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
