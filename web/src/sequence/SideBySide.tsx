import { MOST } from '@kovelin/core/job/limits.ts';
import { TRIM_ORDERS } from '@kovelin/core/job/vocabulary.ts';
import { formatMinutes, formatMoney } from '@kovelin/core/units/quantities.ts';
import { oneIn } from '@kovelin/core/words/reasons.ts';
import { heading } from '@kovelin/core/units/word.ts';
import { TRIM_ORDER } from '@kovelin/core/words/terms.ts';
import { variantEdits, type Variant } from '@kovelin/core/whole/variants.ts';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { daysWord } from '../app/days.ts';
import type { WholeView } from '../app/whole.ts';
import { useVariants } from '../workers/what-if.ts';
import { Check } from '../ui/Check.tsx';
import { TextButton } from '../ui/TextButton.tsx';
import { clock } from '../app/clock.ts';
import { Cell, DataTable, Row, RowHead } from '../ui/DataTable.tsx';

/** What plans may differ in. */
const DIMENSIONS = ['order', 'people', 'start', 'conditioner'] as const;
type Dimension = (typeof DIMENSIONS)[number];
const NAMES: Readonly<Record<Dimension, string>> = {
  order: 'order of work',
  people: 'people',
  start: 'start of the day',
  conditioner: 'conditioner',
};
const madeOf = (crew: number): Readonly<Record<Dimension, readonly Variant[]>> => ({
  order: TRIM_ORDERS.map((trimOrder) => ({ trimOrder })),
  people: [...new Set([1, 2, 3, crew, Math.min(crew + 1, MOST.people)])].sort().map((people) => ({ people })),
  start: [-60, 0, 60].map((shift) => ({ shift })),
  conditioner: [{ conditioner: false }, { conditioner: true }],
});

/** Every combination of what was ticked. */
const crossed = (ticked: readonly Dimension[], crew: number): Variant[] =>
  ticked.reduce<Variant[]>(
    (all, dimension) => all.flatMap((v) => madeOf(crew)[dimension].map((own) => ({ ...v, ...own }))),
    [{}],
  );

/** Plans side by side: what each costs, and a click takes it. */
export function SideBySide({ view }: { view: WholeView }) {
  const { state, session, system } = view;
  const { job } = state;
  const [ticked, setTicked] = useState<readonly Dimension[]>(['order']);
  const variants = crossed(ticked, job.crew.people.length);
  const { data, isFetching } = useVariants(job, variants);
  const queries = useQueryClient();
  const worth = data ?? [];
  const least = (of: (plan: (typeof worth)[number]) => number | null): number =>
    Math.min(...worth.map((plan) => of(plan) ?? Infinity));
  const best = { finish: least((p) => p.finish), price: least((p) => p.price), seen: least((p) => p.seen) };
  const nameOf = ({ trimOrder, people, shift, conditioner }: Variant): string =>
    [
      trimOrder && heading(TRIM_ORDER[trimOrder], system),
      people && (people === 1 ? 'one person' : `${people} people`),
      shift !== undefined && startWord(job.crew.hours[0]?.[0] ?? 0, shift),
      conditioner !== undefined && (conditioner ? 'with conditioner' : 'no conditioner'),
    ]
      .filter(Boolean)
      .join(', ');
  const isNow = (variant: Variant): boolean =>
    variantEdits(job, variant).every(
      (edit) =>
        edit.name === 'decideAll' &&
        edit.args.surfaces.every((id) => {
          const found = view.derived.surfaces.find(({ surface }) => surface.id === id);
          const { value, override } = found?.system.conditioner ?? { value: 0 };
          return ((override ?? value) as number) > 0 === (edit.args.value as number) > 0;
        }),
    );
  return (
    <div className="side-by-side">
      <fieldset className="dimensions">
        <legend>Plans that differ in</legend>
        {DIMENSIONS.map((dimension) => (
          <Check
            key={dimension}
            label={NAMES[dimension]}
            checked={ticked.includes(dimension)}
            disabled={ticked.length === 1 && ticked[0] === dimension}
            onChange={() => setTicked(DIMENSIONS.filter((d) => (d === dimension) !== ticked.includes(d)))}
          />
        ))}
        {isFetching && (
          <span role="status" className="busy">
            {worth.length} of {variants.length} worked out …{' '}
            <TextButton onClick={() => void queries.cancelQueries({ queryKey: ['variants', job.id] })}>Stop</TextButton>
          </span>
        )}
      </fieldset>
      <DataTable
        columns={[
          'Plan',
          'Done',
          'Nine in ten by',
          'Days',
          'Paid',
          'Price',
          'Cutting in',
          'Marks seen on',
          <span key="unseen" className="unseen">
            Use this plan
          </span>,
        ]}
      >
        {variants.map((variant, i) => {
          const plan = worth[i];
          const taken = isNow(variant);
          const when = (t: number | null | undefined): string =>
            t === null || t === undefined
              ? 'no plan fits'
              : `${clock(t, job.crew).date ?? `day ${clock(t, job.crew).day + 1}`}, ${clock(t, job.crew).time}`;
          return (
            <Row key={JSON.stringify(variant)} className={taken ? 'taken' : ''}>
              <RowHead>{nameOf(variant)}</RowHead>
              {plan ? (
                <>
                  <Cell className={plan.finish === best.finish ? 'when best' : 'when'}>{when(plan.finish)}</Cell>
                  <Cell className="when">{when(plan.p90)}</Cell>
                  <Cell>{daysWord(plan.days)}</Cell>
                  <Cell>{formatMinutes(plan.minutes)}</Cell>
                  <Cell className={plan.price === best.price ? 'best' : ''}>
                    {formatMoney(plan.price, job.currency)}
                  </Cell>
                  <Cell>{formatMinutes(plan.cutting)}</Cell>
                  <Cell className={plan.seen === best.seen ? 'best' : ''}>{oneIn(plan.seen)}</Cell>
                </>
              ) : (
                <Cell colSpan={7} className="hint">
                  …
                </Cell>
              )}
              <Cell>
                {taken ? (
                  <b>as it is</b>
                ) : (
                  <TextButton
                    onClick={() => session.run({ name: 'together', args: { edits: variantEdits(job, variant) } })}
                  >
                    Use this plan
                  </TextButton>
                )}
              </Cell>
            </Row>
          );
        })}
      </DataTable>
      <p className="hint">
        Underlined: the best of its column. A lap counts at the edge that is likeliest to have one.
      </p>
    </div>
  );
}

const startWord = (first: number, shift: number): string => {
  const at = first + shift;
  return `from ${Math.floor(at / 60)}:${String(at % 60).padStart(2, '0')}`;
};
