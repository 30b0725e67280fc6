import { useEffect } from 'react';
import { Link, useSearchParams } from 'react-router';
import { GUIDES } from './guides.ts';
import { HelpTop } from './HelpTop.tsx';
import './help.css';

/** All there is to read: a guide a step, and the words of the trade. */
export default function HelpPage() {
  const [params] = useSearchParams();
  const search = params.toString();
  useEffect(() => {
    document.title = 'Guides · Kovelin';
  }, []);
  return (
    <div className="help-page">
      <HelpTop />
      <main className="help">
        <h1>Guides</h1>
        <p>A few minutes each. They are part of the application and are there without a network.</p>
        <ol className="guide-list">
          {Object.entries(GUIDES).map(([key, { title, about }]) => (
            <li key={key}>
              <Link to={{ pathname: `/help/${key}`, search }}>{title}</Link>
              <span>{about}</span>
            </li>
          ))}
          <li>
            <Link to={{ pathname: '/help/words', search }}>Words of the trade</Link>
            <span>What painters call things, each with a picture.</span>
          </li>
        </ol>
      </main>
    </div>
  );
}
