import { COUNTRY_ROWS, systemOf } from '@kovelin/core/job/region.ts';
import { GLOSSARY } from '@kovelin/core/words/glossary.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { useEffect, useState } from 'react';
import { Sides } from '../ui/Sides.tsx';
import { countryBefore, countryHere } from '../store/jobs.ts';
import { HelpTop } from './HelpTop.tsx';
import { WordPicture } from './WordPicture.tsx';
import './help.css';

type Dialect = 'american' | 'british';
const DIALECTS: readonly (readonly [Dialect, string])[] = [
  ['american', 'American'],
  ['british', 'British'],
];

/** What painters call things, each with a picture: in the words of where one paints. */
export default function WordsPage() {
  const [chosen, setChosen] = useState<Dialect | null>(null);
  const [country, setCountry] = useState(countryHere);
  useEffect(() => {
    document.title = 'Words of the trade · Kovelin';
    // where nothing can be kept, nobody said another country
    countryBefore().then(setCountry, () => setCountry(countryHere()));
  }, []);
  const { units, words } = COUNTRY_ROWS[country];
  const dialect = chosen ?? words;
  const system = systemOf({ units, region: { words: dialect } });
  return (
    <div className="help-page">
      <HelpTop />
      <main className="help">
        <h1>Words of the trade</h1>
        <Sides label="In which English" sides={DIALECTS} value={dialect} onChange={setChosen} />
        <ul className="words">
          {GLOSSARY.map(({ key, term, meaning }) => (
            <li key={key} id={key}>
              <WordPicture word={key} system={system} />
              <h2>{heading(term, system)}</h2>
              <p>{said(meaning, system)}</p>
            </li>
          ))}
        </ul>
      </main>
    </div>
  );
}
