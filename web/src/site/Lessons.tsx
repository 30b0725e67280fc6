import type { AcceptedPace, AcceptedSpread } from '@kovelin/core/job/learned.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import { TEXTURES } from '@kovelin/core/job/vocabulary.ts';
import type { LearnedPace } from '@kovelin/core/site/paces.ts';
import type { LearnedSpread } from '@kovelin/core/site/spread.ts';
import type { Lessons as Taught } from '@kovelin/core/whole/site.ts';
import { today } from '@kovelin/core/units/date.ts';
import { said } from '@kovelin/core/units/word.ts';
import { paintWord } from '@kovelin/core/words/systems.ts';
import { rateWord, WORK_KIND } from '@kovelin/core/words/site.ts';
import { TEXTURE } from '@kovelin/core/words/terms.ts';
import { lazy, Suspense, useState } from 'react';
import { Section } from '../ui/Section.tsx';
import { say } from '../app/say.ts';
import { carryOn } from '../store/kept.ts';
import { whyNot } from '../store/why.ts';
import Button from '@mui/material/Button';
import { TextButton } from '../ui/TextButton.tsx';
import type { Shared } from './shared.ts';
import { Cell, DataTable, Row, RowHead } from '../ui/DataTable.tsx';

const TimesChart = lazy(() => import('./TimesChart.tsx'));

/** Do tasks take as long as planned, and does paint go as far? What the log makes of it counts once somebody accepts it. */
export function Lessons({ view, site }: Pick<Shared, 'view' | 'site'>) {
  const { state, system, session, derived } = view;
  const { job } = state;
  const [charted, setCharted] = useState(false);
  if (!site) return null;
  const { paces, spreads } = site.lessons;
  if (!paces.length && !spreads.length) return null;
  const name = (id: string): string => job.crew.people.find((person) => person.id === id)?.name ?? id;
  const counts = job.learned.paces.length + job.learned.spreads.length;
  return (
    <Section title="Your own speed">
      <DataTable className="lessons" columns={['Work', 'Timed', 'As logged', 'Believed']}>
        {paces.map((row) => (
          <Row key={`${row.person} ${row.kind} ${row.coat}`}>
            <RowHead>
              {name(row.person)}: {said(WORK_KIND[row.kind], system)}
              {row.coat === 'later' && ', later coats'}
            </RowHead>
            <Cell>{timed(row)}</Cell>
            <Cell>{row.m ? rateWord(row.own, 'quicker', 'slower') : ''}</Cell>
            <Cell>{rateWord(row.mean, 'quicker', 'slower')}</Cell>
          </Row>
        ))}
        {spreads.map((row) => {
          const paint = derived.paints.find(({ key }) => key === row.paint);
          return (
            <Row key={`${row.paint} ${row.texture}`}>
              <RowHead>
                {paint ? said(paintWord(paint), system) : row.paint}
                {row.texture !== null && `, ${said(TEXTURE[textureOf(row.texture) ?? 'smooth'], system)}`}
              </RowHead>
              <Cell>{timed(row)}</Cell>
              <Cell>{rateWord(row.own, 'further', 'less far')}</Cell>
              <Cell>{rateWord(row.mean, 'further', 'less far')}</Cell>
            </Row>
          );
        })}
      </DataTable>
      <p className="hint">
        Few entries stay near the plan; strays are left out.{' '}
        {counts > 0 && `${counts} of such rates count in this job already.`}
      </p>
      <p className="log-files">
        <Button
          variant="outlined"
          onClick={() => {
            const set = accepted(site.lessons, job);
            if (!session.run({ name: 'setLearned', args: { set } })) return;
            // what this job learned goes on to those that come
            carryOn({ ...job, learned: set }).catch((error: unknown) =>
              say(`It counts here, but could not be kept for other jobs: ${whyNot(error)}`),
            );
          }}
        >
          Use it from now on
        </Button>
        {counts > 0 && (
          <TextButton onClick={() => session.run({ name: 'setLearned', args: { set: { paces: [], spreads: [] } } })}>
            As planned again
          </TextButton>
        )}
      </p>
      <p>
        <TextButton onClick={() => setCharted(!charted)}>
          {charted ? 'Hide the chart' : 'Do tasks take as long as planned?'}
        </TextButton>
      </p>
      {charted && (
        <Suspense fallback={null}>
          <TimesChart paces={paces} />
        </Suspense>
      )}
    </Section>
  );
}

const timed = ({ m, strays }: LearnedPace | LearnedSpread): string =>
  strays.length ? `${m}, ${strays.length} left out` : String(m);
const textureOf = (text: string) => TEXTURES.find((texture) => texture === text) ?? null;

/** What is learned, as a job keeps it; what was accepted of others stays. */
function accepted({ paces, spreads }: Taught, { learned }: Pick<Job, 'learned'>): Job['learned'] {
  const date = today();
  const rate = ({ mean, sd, m }: LearnedPace | LearnedSpread) => ({ log: mean, sd, m, date });
  const newPaces = paces
    .filter(({ m }) => m > 0)
    .map((row): AcceptedPace => ({ person: row.person, kind: row.kind, coat: row.coat, ...rate(row) }));
  const newSpreads = spreads
    .filter(({ m }) => m > 0)
    .map((row): AcceptedSpread => ({
      product: row.paint.split('|')[0] ?? '',
      texture: row.texture === null ? null : textureOf(row.texture),
      ...rate(row),
    }));
  return {
    paces: [
      ...learned.paces.filter(
        (old) => !newPaces.some((row) => row.person === old.person && row.kind === old.kind && row.coat === old.coat),
      ),
      ...newPaces,
    ],
    spreads: [
      ...learned.spreads.filter(
        (old) => !newSpreads.some((row) => row.product === old.product && row.texture === old.texture),
      ),
      ...newSpreads,
    ],
  };
}
