import type { Crew } from '@kovelin/core/job/crew.ts';
import { personOf } from '@kovelin/core/job/crew.ts';
import { MOST } from '@kovelin/core/job/limits.ts';
import { TRIM_ORDERS, type TrimOrder } from '@kovelin/core/job/vocabulary.ts';
import { heading, spelt } from '@kovelin/core/units/word.ts';
import { numberWord } from '@kovelin/core/words/names.ts';
import { TRIM_ORDER } from '@kovelin/core/words/terms.ts';
import { Choice } from '../ui/Choice.tsx';
import { DraftField } from '../ui/DraftField.tsx';
import { Section } from '../ui/Section.tsx';
import { readText } from '../ui/read.ts';
import type { WholeView } from '../app/whole.ts';
import { freshId } from '../store/ids.ts';
import { CrewDays } from './CrewDays.tsx';
import { FirstDay } from './FirstDay.tsx';
import Radio from '@mui/material/Radio';
import { HoursField } from '../ui/HoursField.tsx';
import { MoneyField } from '../ui/MoneyField.tsx';

/** Who works, when, for how much; and which school of order they keep. */
export function CrewForm({ view, crew }: { view: WholeView; crew: Crew }) {
  const { session, state } = view;
  const people = (n: number) =>
    Array.from(
      { length: n },
      (_, i) =>
        crew.people[i] ??
        personOf({ id: freshId(), name: `Painter ${i + 1}`, day: crew.people[0]?.day ?? 0, hand: 'right' }),
    );
  return (
    <Section title="Crew and order of work">
      <Choice
        label="People"
        value={String(crew.people.length)}
        options={Array.from({ length: MOST.people }, (_, i) => [String(i + 1), i ? numberWord(i + 1) : 'one, alone'])}
        onChange={(n) => session.edit({ name: 'setCrew', args: { set: { people: people(Number(n)) } } })}
      />
      {crew.people.map((person, i) => (
        <div className="pair" key={person.id}>
          <DraftField
            label={`Name ${i + 1}`}
            value={person.name}
            parse={readText(40, 1)}
            onCommit={(name) =>
              session.edit({
                name: 'setCrew',
                args: { set: { people: crew.people.map((p, j) => (j === i ? { ...p, name } : p)) } },
              })
            }
          />
          {state.shown.pricing.billed !== 'own' && (
            <MoneyField
              label={`Pay for a day ${i + 1}`}
              value={person.day}
              currency={state.job.currency}
              onCommit={(day) =>
                session.edit({
                  name: 'setCrew',
                  args: { set: { people: crew.people.map((p, j) => (j === i ? { ...p, day } : p)) } },
                })
              }
            />
          )}
        </div>
      ))}
      <Choice
        label="Brush hand"
        value={
          crew.people.every((p) => p.hand === 'left')
            ? 'left'
            : crew.people.some((p) => p.hand === 'left')
              ? 'both'
              : 'right'
        }
        options={[
          ['right', 'right'],
          ['left', 'left'],
          ...(crew.people.length > 1 ? ([['both', 'one of each']] as const) : []),
        ]}
        onChange={(hand) =>
          session.edit({
            name: 'setCrew',
            args: {
              set: {
                people: crew.people.map((p, i) => ({
                  ...p,
                  hand: hand === 'left' || (hand === 'both' && i === 0) ? ('left' as const) : ('right' as const),
                })),
              },
            },
          })
        }
      />
      <HoursField
        label="Hours of a day"
        value={crew.hours}
        onCommit={(hours) => session.edit({ name: 'setCrew', args: { set: { hours } } })}
      />
      <FirstDay view={view} crew={crew} />
      <CrewDays view={view} crew={crew} />
      <fieldset>
        <legend>Trim before or after the walls?</legend>
        {TRIM_ORDERS.map((order) => (
          <OrderOfWork key={order} view={view} order={order} />
        ))}
      </fieldset>
    </Section>
  );
}

const ORDER_WORDS: Readonly<Record<TrimOrder, string>> = {
  'trim-first': 'it laps onto the walls, and they are cut to it',
  'trim-last': 'the walls go on first, card shields the floor',
  'one-day': 'ceilings and deep colours early, edges taped and sealed',
  cheapest: 'whichever way each room’s lines cost least',
};
/** A school of the order of work; what each would come to stands side by side. */
function OrderOfWork({ view, order }: { view: WholeView; order: TrimOrder }) {
  const { session, state, system } = view;
  return (
    <label className="school">
      <Radio
        name="trim-order"
        checked={state.job.practice.trimOrder === order}
        onChange={() => session.edit({ name: 'setPractice', args: { set: { trimOrder: order } } })}
      />
      <span>
        {heading(TRIM_ORDER[order], system)}: {spelt(ORDER_WORDS[order], system)}
      </span>
    </label>
  );
}
