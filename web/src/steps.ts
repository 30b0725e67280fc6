import { formatLength } from '@kovelin/core/units/length.ts';
import { formatArea, formatMinutes, formatMoney, formatPercent, formatVolume } from '@kovelin/core/units/quantities.ts';
import { FOOT, type System, isImperial } from '@kovelin/core/units/si.ts';
import type { Ledger } from '@kovelin/core/whole/ledger.ts';
import { lazy } from 'react';
import { crewWord, daysWord } from './app/days.ts';
import type { Facts, Step } from './app/step.ts';

/** A long run: whole feet or tenths of a metre. */
function longRun(metres: number, system: System): string {
  if (isImperial(system)) return `${Math.round(metres / FOOT).toLocaleString('en-US')} ft`;
  return metres < 1 ? formatLength(metres, system) : `${metres.toFixed(1)} m`;
}

/** How long the plan takes, and for how many. */
function planned({ plan, waiting, job }: Facts): readonly [string, number | null] {
  if (!plan) return [waiting, null];
  const { problems, tasks, finish } = plan.schedule;
  if (problems.length) return ['cannot be planned', null];
  if (!tasks.length) return ['none yet', null];
  return [`${daysWord(plan.days.days)}, ${crewWord(job.crew.people.length)}`, finish];
}

/** A figure that may have to wait. */
const figure =
  (value: (ledger: Ledger) => number | undefined, text: (value: number, facts: Facts) => string) =>
  (facts: Facts): readonly [string, number | null] => {
    const known = value(facts.ledger);
    return known === undefined ? [facts.waiting, null] : [text(known, facts), known];
  };

/** The steps of the work, in the order of the tape. A new one is a folder and a row. */
export const STEPS: readonly Step[] = [
  {
    key: 'measure',
    word: 'Measure',
    place: 1,
    View: lazy(() => import('./measure/MeasureView.tsx')),
    papers: [],
    figures: [
      {
        label: 'Paint area',
        of: figure(
          (l) => l.measured?.area,
          (area, { system }) => formatArea(area, system),
        ),
      },
      {
        label: 'Cut-in',
        of: figure(
          (l) => l.measured?.cutIn,
          (run, { system }) => longRun(run, system),
        ),
      },
    ],
  },
  {
    key: 'specify',
    word: 'Specify',
    place: 2,
    View: lazy(() => import('./specify/SpecifyView.tsx')),
    papers: [{ key: 'schedule', View: lazy(() => import('./specify/FinishSheet.tsx')) }],
    figures: [],
  },
  {
    key: 'order',
    word: 'Order',
    place: 3,
    View: lazy(() => import('./order/OrderView.tsx')),
    papers: [
      { key: 'quote', View: lazy(() => import('./order/QuoteSheet.tsx')) },
      { key: 'list', View: lazy(() => import('./order/ShoppingPage.tsx')) },
    ],
    figures: [
      {
        label: 'Paint',
        of: figure(
          (l) => l.ordered?.paint,
          (litres, { system }) => formatVolume(litres, system),
        ),
      },
      {
        label: 'Price',
        called: ({ job }) => (job.pricing.billed === 'own' ? 'Cost' : 'Price'),
        of: figure(
          (l) => l.ordered?.price,
          (price, { job }) => formatMoney(price, job.currency),
        ),
      },
      {
        label: 'Risk of not finishing',
        called: () => 'Chance of running out',
        isRisk: true,
        of: ({ ledger, waiting }) => {
          if (!ledger.ordered) return [waiting, null];
          const { risk } = ledger.ordered;
          return [risk ? formatPercent(risk.chance) : 'nothing yet', risk?.chance ?? 0];
        },
      },
    ],
  },
  {
    key: 'technique',
    word: 'Technique',
    place: 4,
    View: lazy(() => import('./technique/TechniqueView.tsx')),
    papers: [{ key: 'lines', View: lazy(() => import('./technique/LinesSheet.tsx')) }],
    figures: [],
  },
  {
    key: 'sequence',
    word: 'Sequence',
    place: 5,
    View: lazy(() => import('./sequence/SequenceView.tsx')),
    papers: [{ key: 'sheet', View: lazy(() => import('./sequence/DaySheet.tsx')) }],
    figures: [
      { label: 'Work', of: figure((l) => l.ordered?.minutes, formatMinutes) },
      { label: 'Days', of: planned },
    ],
  },
  {
    key: 'site',
    word: 'Site',
    place: 6,
    View: lazy(() => import('./site/SiteView.tsx')),
    papers: [],
    figures: [],
  },
  {
    key: 'inspect',
    word: 'Inspect',
    place: 7,
    View: lazy(() => import('./inspect/InspectView.tsx')),
    papers: [
      { key: 'punch', View: lazy(() => import('./inspect/PunchSheet.tsx')) },
      { key: 'acceptance', View: lazy(() => import('./inspect/AcceptanceSheet.tsx')) },
    ],
    figures: [],
  },
  {
    key: 'record',
    word: 'Record',
    place: 8,
    View: lazy(() => import('./record/RecordView.tsx')),
    papers: [
      { key: 'labels', View: lazy(() => import('./record/LabelsPage.tsx')) },
      { key: 'home', View: lazy(() => import('./record/HomeSheet.tsx')) },
    ],
    figures: [],
  },
];
