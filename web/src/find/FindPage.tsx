import type { Findable, Found } from '@kovelin/core/record/find.ts';
import { formatVolume } from '@kovelin/core/units/quantities.ts';
import { daysBetween, today } from '@kovelin/core/units/date.ts';
import { useEffect, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { PageTop } from '../app/PageTop.tsx';
import { Sides } from '../ui/Sides.tsx';
import { whyNot } from '../store/why.ts';
import type { FindAnswer } from '../workers/find.worker.ts';
import { findPaint } from '../workers/find.ts';
import { TextButton } from '../ui/TextButton.tsx';
import './find.css';
import { TextInput } from '../ui/TextInput.tsx';
import { ColourWell } from '../ui/ColourWell.tsx';
import { Message } from '../ui/Message.tsx';

const PAGES = [
  ['all', 'Everything'],
  ['on', 'On the walls'],
  ['left', 'What is left'],
  ['look', 'Looks due'],
] as const;
type Page = (typeof PAGES)[number][0];
const KINDS: Readonly<Record<Page, readonly Findable['kind'][]>> = {
  all: ['on', 'earlier', 'planned', 'left'],
  on: ['on', 'earlier'],
  left: ['left'],
  look: ['look'],
};
const KIND_WORD: Readonly<Record<Findable['kind'], string>> = {
  on: 'on the wall',
  planned: 'planned',
  earlier: 'was there before',
  left: 'left over',
  look: 'to be looked at',
};
const SORTS = [
  ['best', 'Best first'],
  ['age', 'Oldest first'],
  ['litres', 'Most first'],
] as const;
type Sort = (typeof SORTS)[number][0];
/** So many are shown at once. */
const SHOWN = 100;

/** “The blue in the hall”: paint over all jobs, by words and by nearness of colour. */
export default function FindPage() {
  const [params, setParams] = useSearchParams();
  const query = params.get('q') ?? '';
  const colour = params.get('colour');
  const [page, setPage] = useState<Page>('all');
  const [sort, setSort] = useState<Sort>('best');
  const [answer, setAnswer] = useState<FindAnswer | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    document.title = 'Find paint · Kovelin';
  }, []);
  useEffect(() => {
    const stop = new AbortController();
    const words = [query, colour].filter(Boolean).join(' ');
    findPaint(words, KINDS[page], SHOWN, stop.signal).then(
      (found) => {
        setAnswer(found);
        setFault(null);
      },
      (error: unknown) => {
        if (!stop.signal.aborted) setFault(whyNot(error));
      },
    );
    return () => stop.abort();
  }, [query, colour, page]);
  const ask = (change: Record<string, string | null>): void => {
    const next = new URLSearchParams(params);
    for (const [key, value] of Object.entries(change))
      if (value) next.set(key, value);
      else next.delete(key);
    setParams(next, { replace: true });
  };
  const found = sorted(answer?.found ?? [], sort);
  return (
    <div className="jobs-page">
      <PageTop />
      <main className="find-page">
        <h1>Find paint</h1>
        <search className="find-ask">
          <TextInput
            label="What do you look for?"
            type="search"
            value={query}
            placeholder="the blue in the hall, 0417, satin …"
            onChange={(q) => ask({ q })}
          />
          <ColourWell label="Near a colour" value={colour ?? '#8a8c8e'} onChange={(hex) => ask({ colour: hex })} />
          {colour && <TextButton onClick={() => ask({ colour: null })}>any colour</TextButton>}
        </search>
        <div className="find-how">
          <Sides label="What" sides={PAGES} value={page} onChange={setPage} />
          <Sides label="Order" sides={SORTS} value={sort} onChange={setSort} />
        </div>
        {fault && <Message kind="wrong">The jobs could not be searched: {fault}</Message>}
        {!answer && !fault && <p className="waiting">Going through the jobs …</p>}
        {answer && (
          <p role="status" className="hint">
            {found.length === SHOWN ? `The first ${SHOWN}` : found.length} found in{' '}
            {answer.jobs === 1 ? 'one job' : `${answer.jobs} jobs`}
            {answer.left.length > 0 && `; not read: ${answer.left.join(', ')}`}
          </p>
        )}
        {answer && !found.length && (
          <p className="empty-find">
            {query || colour
              ? 'Nothing like it. Fewer words, or another colour?'
              : 'Nothing here yet: what a job lays, and what is left of it, is found here.'}
          </p>
        )}
        <ul className="found">
          {found.map((one) => (
            <FoundRow key={one.of.id} one={one} />
          ))}
        </ul>
      </main>
    </div>
  );
}

function sorted(found: readonly Found[], sort: Sort): readonly Found[] {
  if (sort === 'best') return found;
  const by =
    sort === 'age'
      ? (a: Found, b: Found) => ((a.of.when || '9') < (b.of.when || '9') ? -1 : 1)
      : (a: Found, b: Found) => (b.of.litres ?? -1) - (a.of.litres ?? -1);
  return [...found].sort(by);
}

/** “3 years”, “12 days”. */
function ageOf(when: string): string {
  if (!when) return 'no date';
  const days = daysBetween(when.length === 4 ? `${when}-07-01` : when.length === 7 ? `${when}-15` : when, today());
  if (days < 0) return when;
  return days < 60
    ? `${days} ${days === 1 ? 'day' : 'days'} ago`
    : days < 730
      ? `${Math.round(days / 30.4)} months ago`
      : `${Math.round(days / 365)} years ago`;
}

function FoundRow({ one: { of, deltaE } }: { readonly one: Found }) {
  const to = of.room
    ? `/job/${of.job}/${of.kind === 'look' ? 'inspect' : 'record'}?room=${of.room}${of.surface ? `&surface=${encodeURIComponent(of.surface)}` : ''}`
    : `/job/${of.job}/record`;
  return (
    <li>
      <span className={of.hex ? 'swatch' : 'swatch none'} style={of.hex ? { background: of.hex } : undefined} />
      <div>
        <Link to={to}>
          {of.kind === 'look'
            ? `Look over ${of.roomName}`
            : [of.colour || (of.hex ?? ''), of.product].filter(Boolean).join(', ') || 'a paint nobody knows'}
        </Link>
        <p>
          {[of.jobName, of.roomName, of.kind === 'left' ? of.on || 'nobody said where it stands' : of.on]
            .filter(Boolean)
            .join(' · ')}
        </p>
      </div>
      <div className="found-facts">
        <b>{of.litres !== null ? formatVolume(of.litres, of.units) : KIND_WORD[of.kind]}</b>
        <small>
          {[ageOf(of.when), of.batch && `batch ${of.batch}`, deltaE !== null && `ΔE ${deltaE.toFixed(1)} from it`]
            .filter(Boolean)
            .join(' · ')}
        </small>
      </div>
    </li>
  );
}
