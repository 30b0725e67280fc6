import inspect from '../../../docs/guide/inspect.md?raw';
import measure from '../../../docs/guide/measure.md?raw';
import order from '../../../docs/guide/order.md?raw';
import record from '../../../docs/guide/record.md?raw';
import sequence from '../../../docs/guide/sequence.md?raw';
import site from '../../../docs/guide/site.md?raw';
import specify from '../../../docs/guide/specify.md?raw';
import technique from '../../../docs/guide/technique.md?raw';
import work from '../../../docs/guide/work.md?raw';

interface Guide {
  readonly title: string;
  /** What is read there, in a line. */
  readonly about: string;
  readonly text: string;
}
const guide = (title: string, about: string, text: string): Guide => ({ title, about, text });

/** The guides as they stand in docs/guide, shipped with the application: in the order of the work. */
export const GUIDES: Readonly<Record<string, Guide>> = {
  measure: guide(
    'Measure',
    'A room from two lengths, wall by wall or from a plan; what to do when it does not close.',
    measure,
  ),
  specify: guide(
    'Specify',
    'What is there now, what goes on it and why, and how it will look after each coat.',
    specify,
  ),
  order: guide('Order', 'What to buy, what it costs, and how likely it is to run short.', order),
  technique: guide(
    'Technique',
    'Who laps over whom, what is taped, how each surface is painted, and the wet edge.',
    technique,
  ),
  work: guide('Work', 'Where every minute of the plan and the price comes from.', work),
  sequence: guide('Sequence', 'Who does what when: the crew, the days, pins, and better plans.', sequence),
  site: guide('Site', 'The day itself: start and done, clocks of drying paint, the log.', site),
  inspect: guide(
    'Inspect',
    'Looking along the walls, what a defect is and how it is mended, touching up, handing over.',
    inspect,
  ),
  record: guide('Record', 'What is on the walls, what is left, labels, and finding paint years later.', record),
};
