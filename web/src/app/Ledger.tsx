import { ledgerOf } from '@kovelin/core/whole/ledger.ts';
import { Link, useLocation } from 'react-router';
import { usePlan } from '../workers/whole.ts';
import { useJob, useTakeoffs } from './job-context.ts';
import { useSteps, type Facts } from './step.ts';

/** Always true: the job's sums, each a link to the step it comes from; what may go wrong stands last. */
export function Ledger() {
  const { state, system } = useJob();
  const takeoffs = useTakeoffs();
  const { search } = useLocation();
  const { data, isFetching } = usePlan(state.job);
  const facts: Facts = {
    ledger: ledgerOf(takeoffs, data?.ordered ?? null),
    plan: data ?? null,
    waiting: isFetching ? 'working …' : 'stopped',
    job: state.shown,
    system,
  };
  const entries = useSteps().flatMap(({ key, figures }) => figures.map((figure) => ({ to: key, ...figure })));
  const ordered = [...entries.filter((e) => !e.isRisk), ...entries.filter((e) => e.isRisk)];
  return (
    <footer className="ledger" aria-label="Ledger" aria-busy={isFetching}>
      {ordered.map(({ to, label, isRisk, of }) => {
        const [text, value] = of(facts);
        return (
          <Link
            key={label}
            to={`${to}${search}`}
            className={isRisk ? 'entry risk' : 'entry'}
            data-entry={label}
            data-value={value ?? ''}
          >
            <span>{label}</span>
            <b>{text}</b>
          </Link>
        );
      })}
    </footer>
  );
}
