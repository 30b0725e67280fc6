import Button from '@mui/material/Button';
import { Link } from 'react-router';

/** An address that leads nowhere. */
export function LostPage() {
  return (
    <main className="lost">
      <h1>This page is not here</h1>
      <p>
        The job may have been deleted, or it was made in another browser: jobs stay in the browser they were made in.
      </p>
      <Button component={Link} to="/" variant="contained">
        All jobs
      </Button>
    </main>
  );
}
