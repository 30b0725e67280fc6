import ButtonBase from '@mui/material/ButtonBase';
import { ledgerOf } from '@kovelin/core/whole/ledger.ts';
import { Link, useLocation } from 'react-router';
import { lazy, Suspense, useState } from 'react';
import { useAssumed, useIsOld, usePlan } from '../workers/whole.ts';
import { useJob, useTakeoffs } from './job-context.ts';
import { useSteps, type Facts } from './step.ts';

const AssumedList = lazy(() => import('./AssumedList.tsx'));

/** Always true: the job's sums, each a link to the step it comes from; what may go wrong stands last. On a phone one line that opens. */
export function Ledger({ phone = false }: { phone?: boolean }) {
  const [open, setOpen] = useState(false);
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
  const isOld = useIsOld(state);
  const entries = useSteps().flatMap(({ key, figures }) => figures.map((figure) => ({ to: key, ...figure })));
  const ordered = [...entries.filter((e) => !e.isRisk), ...entries.filter((e) => e.isRisk)];
  return (
    <footer
      className={phone ? (open ? 'ledger one open' : 'ledger one') : 'ledger'}
      aria-label="Ledger"
      aria-busy={isFetching}
    >
      {phone && (
        <ButtonBase className="entry ledger-more" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? 'Less' : 'Sums'}
        </ButtonBase>
      )}
      {ordered.map(({ to, label, called, isRisk, of }) => {
        const [text, value] = of(facts);
        // what is measured is worked out as it is typed
        const old = isOld && to !== 'measure';
        const entry = (
          <Link
            key={label}
            to={`${to}${search}`}
            className={['entry', isRisk && 'risk', old && 'old'].filter(Boolean).join(' ')}
            data-entry={label}
            data-value={value ?? ''}
          >
            <span>
              {called?.(facts) ?? label}
              {old && ', old'}
            </span>
            <b>{text}</b>
          </Link>
        );
        // beside the price that rests on it
        return label === 'Price' ? [entry, <Assumed key="Rests on" />] : entry;
      })}
    </footer>
  );
}

/** How many assumptions the price rests on, each to be found; before the walks close it is a first guess. */
function Assumed() {
  const { state } = useJob();
  const { data, isPlaceholderData } = useAssumed(state.job);
  const isOld = useIsOld(state) || isPlaceholderData;
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const count = data?.open.length ?? 0;
  const guessed = (data?.guessed.length ?? 0) > 0;
  const assumptions = `${count} ${count === 1 ? 'assumption' : 'assumptions'}`;
  return (
    <>
      <ButtonBase
        className={isOld && data ? 'entry old' : 'entry'}
        data-entry="Rests on"
        data-value={data ? count : ''}
        disabled={!data || (count === 0 && !guessed)}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        <span>
          {guessed ? 'First guess, rests on' : 'Rests on'}
          {isOld && data && ', old'}
        </span>
        <b>{!data ? 'working …' : count ? assumptions : guessed ? 'not all measured' : 'all answered'}</b>
      </ButtonBase>
      {anchor && data && (
        <Suspense fallback={null}>
          <AssumedList assumed={data} anchor={anchor} onClose={() => setAnchor(null)} />
        </Suspense>
      )}
    </>
  );
}
