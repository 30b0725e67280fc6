import { momentAt } from '@kovelin/core/sequence/calendar.ts';
import type { TaskPin as Pin } from '@kovelin/core/job/crew.ts';
import type { TaskView } from '@kovelin/core/sequence/view.ts';
import { clockTime } from '@kovelin/core/units/date.ts';
import { Choice } from '../ui/Choice.tsx';
import { DraftField } from '../ui/DraftField.tsx';
import type { WholeView } from '../app/whole.ts';
import { momentWords, readMoment } from './moment.ts';

/** A task pinned to a time or to somebody; the rest is planned round it. */
export function TaskPin({ view, task }: { view: WholeView; task: TaskView }) {
  const { state, session } = view;
  const { crew, pins } = state.job;
  const pin: Pin = pins[task.id] ?? { at: null, who: null };
  const planned = momentAt(crew, task.pieces[0]?.[0] ?? 0);
  const set = (change: Partial<Pin>) =>
    session.edit({ name: 'pinTask', args: { task: task.id, pin: { ...pin, ...change } } });
  const who = pin.who?.[0] ?? 'plan';
  return (
    <div className="pair task-pin">
      <DraftField
        label="Pinned to"
        value={momentWords(pin.at)}
        placeholder={clockTime(planned.time)}
        parse={(text) => readMoment(text, planned.day)}
        onCommit={(at) => set({ at })}
      />
      <Choice
        label="Done by"
        value={who}
        options={[['plan', 'whoever the plan says'], ...crew.people.map((person) => [person.id, person.name] as const)]}
        onChange={(id) => set({ who: id === 'plan' ? null : [id] })}
      />
    </div>
  );
}
