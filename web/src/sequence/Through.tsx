import { taskWord } from '@kovelin/core/paces/tasks.ts';
import type { ScheduleView } from '@kovelin/core/sequence/view.ts';
import { said } from '@kovelin/core/units/word.ts';
import Slider from '@mui/material/Slider';
import { useEffect, useEffectEvent, useState } from 'react';
import type { WholeView } from '../app/whole.ts';
import type { Axis } from './axis.ts';
import { clock } from '../app/clock.ts';
import { TextButton } from '../ui/TextButton.tsx';
import { EDGE } from './PlanChart.tsx';

/** The plan is gone through in so many seconds. */
const SECONDS = 16;

interface ThroughProps {
  readonly axis: Axis;
  readonly view: WholeView;
  readonly schedule: ScheduleView;
  /** null: the whole plan. */
  readonly time: number | null;
  readonly onTime: (time: number | null) => void;
}
/** Goes through the plan: its moment is shown on the drawing. */
export function Through({ axis, view, schedule, time, onTime }: ThroughProps) {
  const { crew } = view.state.job;
  const [running, setRunning] = useState(false);
  const here = useEffectEvent(() => (time === null ? 0 : axis.place(time)));
  /** @returns whether it goes on. */
  const show = useEffectEvent((at: number): boolean => {
    onTime(axis.timeAt(Math.min(at, axis.end)));
    return at < axis.end;
  });
  useEffect(() => {
    if (!running) return;
    const [start, from] = [performance.now(), here()];
    let frame = 0;
    const step = (now: number): void => {
      if (show(from + ((now - start) / 1000 / SECONDS) * axis.end)) frame = requestAnimationFrame(step);
      else setRunning(false);
    };
    frame = requestAnimationFrame(step);
    return () => cancelAnimationFrame(frame);
  }, [running, axis.end]);
  const words = (t: number): string =>
    `${clock(t, crew).date ?? `day ${clock(t, crew).day + 1}`}, ${clock(t, crew).time}`;
  const now = schedule.tasks.filter(
    (task) => time !== null && task.pieces.some(([from, to]) => from <= time && time < to),
  );
  return (
    <div className="through">
      <div className="through-slider" style={{ paddingLeft: EDGE.left, paddingRight: EDGE.right }}>
        <Slider
          aria-label="Moment shown on the drawing"
          min={0}
          max={Math.max(1, axis.end)}
          step={1}
          shiftStep={60}
          value={time === null ? axis.end : axis.place(time)}
          onChange={(_, at) => {
            setRunning(false);
            onTime(axis.timeAt(Number(at)));
          }}
          getAriaValueText={(at) => words(axis.timeAt(at))}
        />
      </div>
      <p className="through-now">
        <TextButton onClick={() => setRunning(!running)}>{running ? 'Stop' : 'Go through it'}</TextButton>
        {time === null ? (
          ' The drawing shows when each surface is done.'
        ) : (
          <>
            <b> {words(time)}</b>
            {now.length ? ': ' : ': nobody is at work. '}
            {now
              .map(
                (task) =>
                  `${task.who.map((n) => crew.people[n]?.name).join(' and ')}: ${said(taskWord(task), view.system)}${task.room === view.takeoff?.room.id ? '' : ` (${task.roomName})`}`,
              )
              .join(' · ')}{' '}
            <TextButton
              onClick={() => {
                setRunning(false);
                onTime(null);
              }}
            >
              whole plan
            </TextButton>
          </>
        )}
      </p>
    </div>
  );
}
