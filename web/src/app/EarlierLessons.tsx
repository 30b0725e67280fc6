import type { Accepted } from '@kovelin/core/job/learned.ts';
import { lessonsFor, NOTHING_CARRIED } from '@kovelin/core/job/lessons.ts';
import { said } from '@kovelin/core/units/word.ts';
import { rateWord, WORK_KIND } from '@kovelin/core/words/site.ts';
import { TEXTURE } from '@kovelin/core/words/terms.ts';
import { useEffect, useState } from 'react';
import { carriedBefore } from '../store/kept.ts';
import { Section } from '../ui/Section.tsx';
import Button from '@mui/material/Button';
import type { WholeView } from './whole.ts';

/** What logs of earlier jobs taught of these people and paints: shown, and counted once it is accepted. */
export default function EarlierLessons({ view }: { view: WholeView }) {
  const { state, session, system } = view;
  const { job } = state;
  const [carried, setCarried] = useState(NOTHING_CARRIED);
  useEffect(() => {
    void carriedBefore().then(setCarried);
  }, []);
  const { paces, spreads } = lessonsFor(job, carried);
  if (!paces.length && !spreads.length) return null;
  const name = (id: string) => job.crew.people.find((person) => person.id === id)?.name ?? job.products[id]?.name ?? id;
  const accept = (): void => {
    const set: Accepted = {
      paces: [...job.learned.paces, ...paces],
      spreads: [...job.learned.spreads, ...spreads],
    };
    session.run({ name: 'setLearned', args: { set } });
  };
  return (
    <Section title="From earlier jobs">
      <ul className="earlier">
        {paces.map((row) => (
          <li key={`${row.person} ${row.kind} ${row.coat}`}>
            {name(row.person)}: {said(WORK_KIND[row.kind], system)}
            {row.coat === 'later' && ', later coats'}, {rateWord(row.log, 'quicker', 'slower')}{' '}
            <small>({row.m} timed)</small>
          </li>
        ))}
        {spreads.map((row) => (
          <li key={`${row.product} ${row.texture}`}>
            {name(row.product)}
            {row.texture && `, ${said(TEXTURE[row.texture], system)}`}: goes {rateWord(row.log, 'further', 'less far')}{' '}
            <small>({row.m} measured)</small>
          </li>
        ))}
      </ul>
      <Button variant="outlined" onClick={accept}>
        Use it from now on
      </Button>
    </Section>
  );
}
