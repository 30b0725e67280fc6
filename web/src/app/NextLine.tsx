import { said } from '@kovelin/core/units/word.ts';
import { wantedNext } from '@kovelin/core/whole/next.ts';
import { Link, useLocation } from 'react-router';
import { useAssumed, usePlan } from '../workers/whole.ts';
import { useJob, useTakeoffs } from './job-context.ts';
import { useHere } from './shortcuts.ts';

/** What the step looked at wants next, a link to where it is done; and its guide. */
export function NextLine() {
  const { state, system } = useJob();
  const takeoffs = useTakeoffs();
  const { data: assumed = null } = useAssumed(state.job);
  const { data: plan = null } = usePlan(state.job);
  const { step, page } = useHere();
  const { pathname, search } = useLocation();
  if (!step || !takeoffs) return null;
  const {
    say,
    step: there,
    room,
    surface,
    ask,
    show,
  } = wantedNext(step.key, {
    job: state.shown,
    takeoffs,
    assumed,
    prices: plan?.ordered.prices ?? null,
    plan: plan && { problems: plan.schedule.problems.length, tasks: plan.schedule.tasks.length },
  });
  const where = new URLSearchParams(search);
  where.delete('ask');
  where.delete('show');
  for (const [key, value] of Object.entries({ room, surface, ask, show })) if (value) where.set(key, value);
  const isHere =
    there === page && !ask && !show && (!room || room === new URLSearchParams(search).get('room')) && !surface;
  const text = said(say, system);
  return (
    <nav className="next-line" aria-label="What is next">
      <div>
        <b>Next</b> {isHere ? text : <Link to={`${there}?${where.toString()}`}>{text}</Link>}
      </div>
      <div>
        <Link to={{ pathname: `/help/${step.key}`, search: `from=${encodeURIComponent(pathname + search)}` }}>
          Guide to {step.word}
        </Link>
      </div>
    </nav>
  );
}
