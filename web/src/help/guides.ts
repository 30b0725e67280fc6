import Inspect from '../../../docs/guide/inspect.md';
import Measure from '../../../docs/guide/measure.md';
import Order from '../../../docs/guide/order.md';
import Record from '../../../docs/guide/record.md';
import Sequence from '../../../docs/guide/sequence.md';
import Site from '../../../docs/guide/site.md';
import Specify from '../../../docs/guide/specify.md';
import Technique from '../../../docs/guide/technique.md';
import Work from '../../../docs/guide/work.md';
import type { ComponentType } from 'react';

/** What a guide’s own elements are drawn with. */
export interface Components {
  readonly a: ComponentType<{ href?: string; children?: React.ReactNode }>;
}
export interface Guide {
  readonly title: string;
  /** What is read there, in a line. */
  readonly about: string;
  readonly Text: ComponentType<{ readonly components: Components }>;
}
const guide = (title: string, about: string, Text: Guide['Text']): Guide => ({ title, about, Text });

/** The guides as they stand in docs/guide, shipped with the application: in the order of the work. */
export const GUIDES: Readonly<Record<string, Guide>> = {
  measure: guide(
    'Measure',
    'A room from two lengths, wall by wall or from a plan; what to do when the walls do not fit.',
    Measure,
  ),
  specify: guide(
    'Specify',
    'What is there now, what goes on it and why, and how it will look after each coat.',
    Specify,
  ),
  order: guide('Order', 'What to buy, what it costs, and how likely it is to run short.', Order),
  technique: guide(
    'Technique',
    'Who laps over whom, what is taped, how each surface is painted, and the wet edge.',
    Technique,
  ),
  work: guide('Work', 'Where every minute of the plan and the price comes from.', Work),
  sequence: guide('Sequence', 'Who does what when: the crew, the days, pins, and better plans.', Sequence),
  site: guide('Site', 'The day itself: start and done, clocks of drying paint, the log.', Site),
  inspect: guide(
    'Inspect',
    'Looking along the walls, what a defect is and how it is mended, touching up, handing over.',
    Inspect,
  ),
  record: guide('Record', 'What is on the walls, what is left, labels, and finding paint years later.', Record),
};
