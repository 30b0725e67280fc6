import { momentAt } from '@kovelin/core/sequence/calendar.ts';
import type { TaskPin as Pin } from '@kovelin/core/job/crew.ts';
import type { TaskView } from '@kovelin/core/sequence/view.ts';
import { clockTime } from '@kovelin/core/units/date.ts';
import { bad, good, type Result } from '@kovelin/core/units/problem.ts';
import { Choice, DraftField } from '../app/fields.tsx';
import type { WholeView } from '../app/whole.ts';

/** “2 10:30”, or “10:30” on the day it is planned for. */
function moment(text: string, day: number): Result<Pin['at']> {
  if (!text.trim()) return good(null);
  const [, of, hours = '', minutes = '00'] =
    /^(?:(?:day\s*)?(\d+)[\s,]+)?(\d{1,2})(?:[:.h]([0-5]\d))?$/i.exec(text.trim()) ?? [];
  const time = Number(hours) * 60 + Number(minutes);
  const at = of === undefined ? day : Number(of) - 1;
  return hours !== '' && time <= 1440 && at >= 0
    ? good({ day: at, time })
    : bad('Write when it begins: 10:30, or day 2, 10:30.');
}

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
        value={pin.at ? `day ${pin.at.day + 1}, ${clockTime(pin.at.time)}` : ''}
        placeholder={clockTime(planned.time)}
        parse={(text) => moment(text, planned.day)}
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
