import { taskWord } from '@kovelin/core/paces/tasks.ts';
import type { ScheduleView } from '@kovelin/core/sequence/view.ts';
import { formatMinutes } from '@kovelin/core/units/quantities.ts';
import { said } from '@kovelin/core/units/word.ts';
import { reasonWord } from '@kovelin/core/words/reasons.ts';
import type { WholeView } from '../app/whole.ts';
import { clock, dayWord } from '../app/clock.ts';
import { Message } from '../ui/Message.tsx';

/** What was asked and cannot be: the fewest things that rule it out, one after the other. */
export function Conflicts({ view, schedule }: { view: WholeView; schedule: ScheduleView }) {
  const { system, state } = view;
  const { crew, pins } = state.job;
  const when = (t: number): string => `${dayWord(t, crew, true)}, ${clock(t, crew).time}`;
  const taskOf = (id: string) => schedule.tasks.find((task) => task.id === id);
  if (!schedule.conflicts.length)
    return (
      <Message kind="caution">
        {Object.keys(pins).length ? 'What is pinned or wanted back is missed' : 'A room is not back when it is wanted'}:
        late by {formatMinutes(schedule.late)} in all. No drying time rules it out: there are too few people, or too few
        hours.
      </Message>
    );
  return schedule.conflicts.map(({ task: id, of, asked, earliest, chain, anchored }) => {
    const task = taskOf(id);
    if (!task) return null;
    return (
      <Message key={id} kind="caution">
        {of === 'pin'
          ? `${said(taskWord(task), system)}, ${task.roomName}, is pinned to ${when(asked)}, but can begin no sooner than ${when(earliest)}, whoever works:`
          : `${task.roomName} is wanted back by ${when(asked)}, but cannot be ready before ${when(earliest)}, whoever works:`}
        <ol className="conflict">
          {chain.map((link, i) => {
            const own = taskOf(link);
            const before = own?.waits.find(({ task: other }) => other === chain[i - 1]);
            return (
              own && (
                <li key={link}>
                  {said(taskWord(own), system)} ({formatMinutes(own.work)}){i === 0 && anchored && ', pinned itself'}
                  {before &&
                    before.least > 0 &&
                    `: ${formatMinutes(before.least)} before it, for ${said(reasonWord({ rule: before.because, with: {} }), system)}`}
                </li>
              )
            );
          })}
        </ol>
      </Message>
    );
  });
}
