import { Link } from 'react-router';
import Button from '@mui/material/Button';
import { SCHEME_WORDS, useScheme } from '../ui/scheme.ts';

/** The line above a page that is not of one job. */
export function PageTop() {
  const { next, toNext } = useScheme();
  return (
    <header className="top">
      <Link to="/" className="mark" aria-label="Kovelin: all jobs">
        <img src="/mark.svg" alt="" width="30" height="30" />
        <span>kovelin</span>
      </Link>
      <div className="tools">
        <Button size="small" onClick={toNext}>
          {SCHEME_WORDS[next]}
        </Button>
      </div>
    </header>
  );
}
