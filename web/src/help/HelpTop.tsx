import { Link, useSearchParams } from 'react-router';
import { PageTop } from '../app/PageTop.tsx';
import { useFrom } from './from.ts';

/** The line above guides and words: the way back to the job one came from. */
export function HelpTop() {
  const [params] = useSearchParams();
  const from = useFrom();
  const kept = params.toString();
  return (
    <>
      <PageTop />
      <nav className="help-nav" aria-label="Help">
        <Link to={{ pathname: '/help', search: kept }}>All guides</Link>
        <Link to={{ pathname: '/help/words', search: kept }}>Words of the trade</Link>
        {from && <Link to={from}>Back to the job</Link>}
      </nav>
    </>
  );
}
