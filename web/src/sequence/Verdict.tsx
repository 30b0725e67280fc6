import { formatMinutes } from '@kovelin/core/units/quantities.ts';
import { daysWord } from '../app/days.ts';
import { useOrder, type WholeView } from '../app/whole.ts';
import { Old } from '../app/Old.tsx';
import { usePlan, useReplays } from '../workers/whole.ts';
import { clock, dayWord } from '../app/clock.ts';

/** When it is done, and how much sooner anybody could prove it could be. */
export function Verdict({ view }: { view: WholeView }) {
  const { data } = usePlan(view.state.job);
  const { data: replays } = useReplays(view.state.job);
  const order = useOrder(view);
  const schedule = data?.schedule;
  const crew = view.state.job.crew;
  if (!order || !schedule?.tasks.length) return null;
  const end = clock(schedule.finish, crew);
  const when = (t: number) => `${dayWord(t, crew, true)}, ${clock(t, crew).time}`;
  return (
    <div className="closing">
      <h3>
        Earliest: {dayWord(schedule.finish, crew, true)} at {end.time} <Old view={view} />
      </h3>
      {replays && replays.runs > 0 && (
        <p>
          If all goes as planned. As minutes and drying vary: half of the time by <b>{when(replays.p50)}</b>, nine times
          in ten by <b>{when(replays.p90)}</b>.
        </p>
      )}
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
