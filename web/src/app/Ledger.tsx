import { ledgerOf } from '@kovelin/core/order/derive.ts';
import { formatLength } from '@kovelin/core/units/length.ts';
import { formatArea, formatMinutes, formatMoney, formatPercent, formatVolume } from '@kovelin/core/units/quantities.ts';
import { FOOT, type System } from '@kovelin/core/units/si.ts';
import { useMemo } from 'react';
import { Link, useLocation } from 'react-router';
import { useSchedule } from '../workers/schedule.ts';
import { useJob } from './job-context.ts';

/** A long run: whole feet or tenths of a metre. */
const run = (metres: number, system: System) =>
  system === 'imperial'
    ? `${Math.round(metres / FOOT).toLocaleString('en-US')} ft`
    : metres < 1
      ? formatLength(metres, system)
      : `${metres.toFixed(1)} m`;

export const daysWord = (finish: number) => {
  const days = Math.max(1, Math.ceil(finish / 1440));
  return `${days} ${days === 1 ? 'day' : 'days'}`;
};

/** Always true: the job's sums, each a link to the step it comes from. */
export function Ledger() {
  const { derived, state, system } = useJob();
  const { search } = useLocation();
  const ledger = useMemo(() => ledgerOf(derived), [derived]);
  const { data, isFetching } = useSchedule(state.job);
  const schedule = data?.schedule;
  const people = state.shown.crew.people.length;
  const crew = ['', 'alone', 'two people', 'three people'][people] ?? '';
  const planned = schedule && schedule.problems.length === 0 && schedule.tasks.length > 0;
  const items: readonly [string, string, string, number | null][] = [
    ['measure', 'Paint area', formatArea(ledger.area, system), ledger.area],
    ['measure', 'Cut-in', run(ledger.cutIn, system), ledger.cutIn],
    ['order', 'Paint', formatVolume(ledger.paint, system), ledger.paint],
    ['order', 'Price', formatMoney(ledger.price, state.shown.currency), ledger.price],
    ['sequence', 'Work', formatMinutes(ledger.minutes), ledger.minutes],
    [
      'sequence',
      'Days',
      planned
        ? `${daysWord(schedule.finish)}, ${crew}`
        : schedule
          ? schedule.problems.length
            ? 'cannot be planned'
            : 'none yet'
          : isFetching
            ? 'working …'
            : 'stopped',
      planned ? schedule.finish : null,
    ],
    [
      'order',
      'Risk of running short',
      ledger.risk ? formatPercent(ledger.risk.chance) : 'none',
      ledger.risk?.chance ?? 0,
    ],
  ];
  return (
    <footer className="ledger" aria-label="Ledger" aria-busy={isFetching}>
      {items.map(([to, label, text, value]) => (
        <Link
          key={label}
          to={`${to}${search}`}
          className={label.startsWith('Risk') ? 'entry risk' : 'entry'}
          data-entry={label}
          data-value={value ?? ''}
        >
          <span>{label}</span>
          <b>{text}</b>
        </Link>
      ))}
    </footer>
  );
}
