import type { TaskView } from '@kovelin/core/sequence/view.ts';
import { effective } from '@kovelin/core/specify/reasons.ts';
import { formatVolume } from '@kovelin/core/units/quantities.ts';
import { capital, said } from '@kovelin/core/units/word.ts';
import { playFor } from '@kovelin/core/whole/play.ts';
import { reasonWord } from '@kovelin/core/words/reasons.ts';
import { brushWord, coverWord } from '@kovelin/core/words/systems.ts';
import { lineWants } from '../app/line-wants.ts';
import type { WholeView } from '../app/whole.ts';

const ROLLED: ReadonlySet<TaskView['kind']> = new Set<TaskView['kind']>(['roll', 'wet', 'prime-roll']);
const BRUSHED: ReadonlySet<TaskView['kind']> = new Set<TaskView['kind']>([
  'cut',
  'lap',
  'brush',
  'prime-cut',
  'prime-brush',
]);
/** So many sentences of a play are told; the rest is in Technique. */
const TOLD = 3;

/** With what, how, and what each line wants. */
export function HowTo({ view, task }: { view: WholeView; task: TaskView }) {
  const { derived, state, system } = view;
  const s = derived.surfaces.find(({ surface }) => surface.id === task.surface);
  const rolled = ROLLED.has(task.kind);
  if (!s || (!rolled && !BRUSHED.has(task.kind))) return null;
  const play =
    task.kind === 'roll' || task.kind === 'wet' || task.kind === 'brush'
      ? playFor(state.job, task.surface, { coat: task.coat })
      : null;
  const wants = lineWants(view, [task]).get(task.id) ?? [];
  return (
    <ul className="how">
      <li>
        {said(capital(rolled ? coverWord(effective(s.system.cover)) : brushWord(effective(s.system.brush))), system)}
        {play && `, ${formatVolume(play.litres, system)}`}
        {task.sections > 1 && `, in ${task.sections} sections, each cut, then rolled while it is wet`}
      </li>
      {wants.map((text) => (
        <li key={text}>{text}</li>
      ))}
      {play?.how.slice(0, TOLD).map((reason) => (
        <li key={reason.rule}>{said(capital(reasonWord(reason)), system)}</li>
      ))}
    </ul>
  );
}
