import type { TaskView } from '@kovelin/core/sequence/view.ts';
import { formatMinutes, formatVolume } from '@kovelin/core/units/quantities.ts';
import { said } from '@kovelin/core/units/word.ts';
import { paintWord } from '@kovelin/core/words/systems.ts';
import { materialWord, pieceWord } from '@kovelin/core/words/work.ts';
import { useWhole, useOrder } from '../app/whole.ts';
import { lineWants } from '../app/line-wants.ts';
import { PlanAwaited } from '../app/PlanAwaited.tsx';
import { Paper } from '../app/Paper.tsx';
import { useIsOld, usePlan } from '../workers/whole.ts';
import { clock, dayWord } from '../app/clock.ts';
import { PersonSheet } from './PersonSheet.tsx';
import { waitingWords } from './waiting.ts';
import './sequence.css';

/** Tasks up to which a job is short. */
const SHORT = 40;

/** What to buy and what to do in which order, on paper. */
export default function DaySheet() {
  const view = useWhole();
  const { derived, state, system } = view;
  const { data } = usePlan(state.job);
  const order = useOrder(view);
  // nothing is printed from figures of before
  const isOld = useIsOld(view.state);
  const crew = state.job.crew;
  const waiting = waitingWords(view);
  const wants = lineWants(view, data?.schedule.tasks ?? []);
  const days = new Map<number, TaskView[]>();
  for (const task of data?.schedule.tasks ?? []) {
    const { day } = clock(task.pieces[0]?.[0] ?? 0, crew);
    days.set(day, [...(days.get(day) ?? []), task]);
  }
  // a small job is not handed out day by day: its days follow each other on the page
  const isShort = (data?.schedule.tasks.length ?? 0) <= SHORT;
  if (!data || !order || isOld) return <PlanAwaited job={state.job} />;
  return (
    <Paper label="Day sheet" size={state.job.region.paper}>
      <h1>{state.job.name}</h1>
      <p className="sheet-facts">
        {crew.people.map((p) => p.name).join(', ')} · {formatMinutes(order.labour.minutes)} of work
        {data.schedule.tasks.length > 0 &&
          ` · done ${dayWord(data.schedule.finish, crew, true)} at ${clock(data.schedule.finish, crew).time}`}
      </p>
      <h2>Buy</h2>
      <table className="to-buy">
        <tbody>
          {derived.paints.map((p) => (
            <tr key={p.key}>
              <td className="box" aria-hidden="true" />
              <td>{said(paintWord(p), system)}</td>
              <td>
                {p.choice === null
                  ? 'no size sold'
                  : p.choice.cans.map((c) => `${c.count} × ${formatVolume(c.litres, system)}`).join(' + ') ||
                    'from the shelf'}
              </td>
            </tr>
          ))}
          {order.materials
            .filter((m) => m.quantity > 0)
            .map((m) => (
              <tr key={m.key}>
                <td className="box" aria-hidden="true" />
                <td>{said(materialWord(m), system)}</td>
                <td>{said(pieceWord(m.quantity, m.unit), system)}</td>
              </tr>
            ))}
        </tbody>
      </table>
      {data.schedule.problems.map((p) => (
        <p key={p.path}>{said(p.message, system)}</p>
      ))}
      {waiting && <p>Not in this plan until it is dry: {waiting}.</p>}
      <div className={isShort ? 'days short' : 'days'}>
        {[...days].flatMap(([day, tasks]) =>
          crew.people.map((_, person) => (
            <PersonSheet
              key={`${day} ${person}`}
              view={view}
              schedule={data.schedule}
              day={day}
              person={person}
              tasks={tasks.filter((task) => task.who.includes(person))}
              wants={wants}
            />
          )),
        )}
      </div>
      <p className="hint">
        Times and quantities are estimates from the readings and starting values of this job; a product’s label outranks
        them. Where paint may hold lead or a texture asbestos, test first and follow your local code.
      </p>
    </Paper>
  );
}
