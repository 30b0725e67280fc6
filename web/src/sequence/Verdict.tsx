import { formatMinutes } from '@kovelin/core/units/quantities.ts';
import { daysWord } from '../app/days.ts';
import { useOrder, type WholeView } from '../app/whole.ts';
import { Old } from '../app/Old.tsx';
import { usePlan } from '../workers/whole.ts';
import { clock, dayWord, laterWord } from '../app/clock.ts';

/** When it is done, and how much sooner anybody could prove it could be. */
export function Verdict({ view }: { view: WholeView }) {
  const { data } = usePlan(view.state.job);
  const order = useOrder(view);
  const schedule = data?.schedule;
  const crew = view.state.job.crew;
  if (!order || !schedule?.tasks.length) return null;
  const end = clock(schedule.finish, crew);
  const gap = schedule.finish - schedule.bound;
  return (
    <div className="closing">
      <h3>
        Done on {dayWord(schedule.finish, crew, true)} at {end.time} <Old view={view} />
      </h3>
      <p>
        {gap < 1
          ? 'Nothing can be earlier with this crew and these drying times: the bound is met.'
          : `No order of work can end before ${dayWord(schedule.bound, crew, true)} at ${clock(schedule.bound, crew).time}; this one finishes ${laterWord(schedule.bound, schedule.finish, crew)}.`}
      </p>
      <dl className="facts">
        <div>
          <dt>Work</dt>
          <dd>{formatMinutes(order.labour.minutes)}</dd>
        </div>
        <div>
          <dt>Days</dt>
          <dd>{daysWord(data?.days.days ?? 0)}</dd>
        </div>
        <div>
          <dt>Tasks</dt>
          <dd>{schedule.tasks.length}</dd>
        </div>
      </dl>
    </div>
  );
}
