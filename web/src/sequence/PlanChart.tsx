import type { Crew } from '@kovelin/core/job/crew.ts';
import type { Mark } from '@kovelin/core/paces/tasks.ts';
import { taskRule, taskWord } from '@kovelin/core/paces/tasks.ts';
import type { ScheduleView, TaskView } from '@kovelin/core/sequence/view.ts';
import { formatMinutes } from '@kovelin/core/units/quantities.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import { useEffect, useRef, useState, type KeyboardEvent, type MouseEvent } from 'react';
import { useSize } from '../drawing/useSize.ts';
import type { Axis } from './axis.ts';
import { clock } from '../app/clock.ts';
import { Sheet } from '../ui/Sheet.tsx';
import { FINGER } from '../ui/theme.ts';
import type { Bar, Row } from './rows.ts';
import { useDrag, type Moved } from './useDrag.ts';

/** A letter for each family of work, so that colour is never alone. */
export const LETTER: Readonly<Record<Mark, string>> = {
  none: '',
  prepare: 'P',
  prime: '1',
  cut: 'C',
  roll: 'R',
  brush: 'B',
  mask: 'M',
  look: 'L',
};

/** Room for the names of rows and the figures of the axis, px. */
export const EDGE = { left: 84, right: 12, top: 24, bottom: 22 };
const TALL = { person: 58, surface: 22 };
/** Mean advance of the lettering, px: what would not fit is left out. */
const ADVANCE = 6;
/** A key moves a task by so much. */
const KEY_STEP = 15;

export interface PlanChartProps {
  readonly schedule: ScheduleView;
  readonly crew: Crew;
  readonly system: System;
  readonly axis: Axis;
  readonly rows: readonly Row[];
  readonly chosen: TaskView | null;
  /** The surface looked at. */
  readonly surface: string | null;
  /** Moment shown on the drawing; null: none. */
  readonly time: number | null;
  readonly onChoose: (task: TaskView) => void;
  readonly onMove: (task: TaskView, moved: Moved) => void;
}

/** Tasks on working time: chosen, moved and given to somebody by pointer or keys. */
export function PlanChart(props: PlanChartProps) {
  const { schedule, crew, system, axis, rows, chosen, time, onChoose, onMove } = props;
  const [ref, { width }] = useSize();
  const svg = useRef<SVGSVGElement>(null);
  const tall = rows[0]?.person === null ? TALL.surface : TALL.person;
  const height = EDGE.top + rows.length * tall + EDGE.bottom;
  const scale = Math.max(0.05, (width - EDGE.left - EDGE.right) / Math.max(1, axis.end));
  const x = (at: number): number => EDGE.left + at * scale;
  const y = (row: number): number => EDGE.top + row * tall;
  const drag = useDrag({ rows, tall, scale, axis, onMove });
  const chain = new Set(schedule.chain);
  const active = chosen ?? rows[0]?.bars[0]?.task ?? null;
  const reached = useRef(false);
  /** What a fingertip may have meant. */
  const [under, setUnder] = useState<readonly Bar[]>([]);
  const press = (event: MouseEvent, row: Row, bar: Bar) => {
    if (drag.wasMoved()) return;
    const at = event.clientX - (svg.current?.getBoundingClientRect().left ?? 0);
    const isTouched = event.nativeEvent instanceof PointerEvent && event.nativeEvent.pointerType === 'touch';
    const near = row.bars.filter(({ from, to }) => x(from) - FINGER / 2 <= at && at <= x(to) + FINGER / 2);
    const tasks = near.filter((one, i) => near.findIndex(({ task }) => task.id === one.task.id) === i);
    if (isTouched && tasks.length > 1) setUnder(tasks);
    else onChoose(bar.task);
  };
  useEffect(() => {
    // keys move the focus with what is chosen
    if (reached.current) svg.current?.querySelector<SVGGElement>('[data-active]')?.focus();
    reached.current = false;
  });
  const onKeyDown = (event: KeyboardEvent, row: number, bar: number) => {
    const own = rows[row]?.bars[bar];
    if (!own) return;
    const taken = (): void => {
      event.preventDefault();
      event.stopPropagation();
    };
    const way = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    const up = { ArrowUp: -1, ArrowDown: 1 }[event.key];
    if (event.key === 'Enter' || event.key === ' ') {
      taken();
      onChoose(own.task);
    } else if (event.altKey && way) {
      taken();
      onMove(own.task, { at: axis.timeAt(Math.max(0, own.from + way * KEY_STEP)), who: null });
    } else if (event.altKey && up) {
      taken();
      const person = rows[row + up]?.person;
      if (person !== null && person !== undefined) onMove(own.task, { at: null, who: person });
    } else if (way || up) {
      taken();
      const next = up ? nearest(rows[row + up], own) : rows[row]?.bars[bar + (way ?? 0)];
      if (!next) return;
      reached.current = true;
      onChoose(next.task);
    }
  };
  return (
    <div className={rows[0]?.person === null ? 'plan-chart surfaces' : 'plan-chart'} ref={ref}>
      {width > 0 && (
        <svg
          ref={svg}
          width={width}
          height={height}
          role="group"
          aria-label="Plan: arrow keys go from task to task, with Alt they move one"
          {...drag.pointer}
        >
          <TimeMarks axis={axis} crew={crew} x={x} height={height} />
          {rows.map((row, r) => (
            <g key={row.key}>
              <text x={EDGE.left - 8} y={y(r) + tall / 2 + 5} textAnchor="end" className="row-name">
                {shortened(row.label, EDGE.left - 10)}
                <title>{row.label}</title>
              </text>
              {row.frames.map(([from, to]) => (
                <rect
                  key={from}
                  x={x(from)}
                  y={y(r) + tall * 0.16}
                  width={Math.max(1, (to - from) * scale)}
                  height={tall * 0.58}
                  className="set-up-frame"
                />
              ))}
              {row.gaps.map((gap) => (
                <GapMark key={gap.from} x1={x(gap.from)} x2={x(gap.to)} y={y(r) + tall / 2} because={gap.because} />
              ))}
              {row.drying.map((bar) => (
                <rect
                  key={`${bar.task.id}-dry`}
                  x={x(bar.from)}
                  y={y(r) + 4}
                  width={Math.max(0, x(bar.to) - x(bar.from))}
                  height={tall - 8}
                  fill="url(#plan-drying)"
                />
              ))}
              {row.bars.map((bar, b) => {
                const isActive = bar.task.id === active?.id;
                const first = row.bars.findIndex((other) => other.task.id === bar.task.id) === b;
                return (
                  <BarMark
                    key={`${bar.task.id} ${bar.from}`}
                    {...props}
                    bar={bar}
                    x1={x(bar.from)}
                    x2={x(bar.to)}
                    y={y(r)}
                    tall={tall}
                    inChain={chain.has(bar.task.id)}
                    focus={
                      first
                        ? { tabIndex: isActive ? 0 : -1, ...(isActive ? { 'data-active': '' } : {}) }
                        : { tabIndex: -1 }
                    }
                    onKeyDown={(event) => onKeyDown(event, r, b)}
                    onPointerDown={(event) => drag.begin(event, bar, r)}
                    onClick={(event) => press(event, row, bar)}
                  />
                );
              })}
            </g>
          ))}
          {chosen && <Ties {...props} x={x} y={y} tall={tall} />}
          {time !== null && (
            <path d={`M${x(axis.place(time))} ${EDGE.top - 6}V${height - EDGE.bottom + 4}`} className="now-line" />
          )}
          {drag.now && (
            <g className="dragged">
              <rect
                x={x(drag.now.from)}
                y={y(drag.now.row) + tall * 0.2}
                width={Math.max(3, (drag.now.bar.to - drag.now.bar.from) * scale)}
                height={tall * 0.6}
              />
              <text x={x(drag.now.from)} y={y(drag.now.row) + tall * 0.2 - 4}>
                {clock(axis.timeAt(drag.now.from), crew).time}
              </text>
            </g>
          )}
          <defs>
            <pattern id="plan-drying" width="6" height="6" patternUnits="userSpaceOnUse">
              <circle cx="2" cy="2" r="1.1" className="dot" />
            </pattern>
          </defs>
        </svg>
      )}
      <Sheet label="Tasks under the finger" plain open={under.length > 0} onClose={() => setUnder([])}>
        <List component="div">
          {under.map(({ task }) => (
            <ListItemButton
              key={task.id}
              onClick={() => {
                onChoose(task);
                setUnder([]);
              }}
            >
              {clock(task.pieces[0]?.[0] ?? 0, crew).time} {heading(taskWord(task), system)}, {task.roomName}
            </ListItemButton>
          ))}
        </List>
      </Sheet>
      <p className="unseen" role="status">
        {chosen && `${said(taskWord(chosen), system)}, ${chosen.roomName}, ${formatMinutes(chosen.work)}`}
      </p>
    </div>
  );
}

/** Of another row, what is done at about the same time. */
function nearest(row: Row | undefined, { from, to }: Bar): Bar | undefined {
  const middle = (from + to) / 2;
  return row?.bars.reduce<Bar | undefined>(
    (best, bar) =>
      !best || Math.abs((bar.from + bar.to) / 2 - middle) < Math.abs((best.from + best.to) / 2 - middle) ? bar : best,
    undefined,
  );
}
const shortened = (text: string, width: number): string => {
  const letters = Math.floor(width / ADVANCE);
  return text.length <= letters ? text : `${text.slice(0, Math.max(0, letters - 1))}…`;
};

interface BarMarkProps extends PlanChartProps {
  readonly bar: Bar;
  readonly x1: number;
  readonly x2: number;
  readonly y: number;
  readonly tall: number;
  readonly inChain: boolean;
  readonly focus: object;
  readonly onKeyDown: (event: KeyboardEvent) => void;
  readonly onPointerDown: (event: React.PointerEvent) => void;
  readonly onClick: (event: MouseEvent) => void;
}
function BarMark({ bar, x1, x2, y, tall, inChain, focus, crew, system, chosen, surface, ...on }: BarMarkProps) {
  const { task } = bar;
  const { mark } = taskRule(task.kind);
  const wide = Math.max(1.5, x2 - x1 - 0.8);
  const [from, to] = [clock(task.pieces[0]?.[0] ?? 0, crew), clock(task.pieces.at(-1)?.[1] ?? 0, crew)];
  const words = [
    `${task.roomName}: ${said(taskWord(task), system)}`,
    `${task.who.map((n) => crew.people[n]?.name).join(' and ')}, ${from.time} to ${to.time}, ${formatMinutes(task.work)}`,
    ...(inChain ? ['critical'] : []),
  ];
  const isChosen = chosen?.id === task.id;
  return (
    <g
      role="button"
      {...focus}
      aria-label={words.join(', ')}
      aria-pressed={isChosen}
      className={`bar ${mark} ${isChosen ? 'chosen' : task.surface === surface ? 'same' : ''}`}
      onKeyDown={on.onKeyDown}
      onPointerDown={on.onPointerDown}
      onClick={on.onClick}
    >
      <title>{words.join('\n')}</title>
      <rect x={x1} y={y + tall * 0.16} width={wide} height={tall * 0.58} />
      {inChain && <path d={`M${x1} ${y + tall * 0.84}h${wide}`} className="in-chain" />}
      {wide > 11 && LETTER[mark] && (
        <text x={x1 + wide / 2} y={y + tall * 0.45 + 5} textAnchor="middle">
          {LETTER[mark]}
        </text>
      )}
    </g>
  );
}

function GapMark({ x1, x2, y, because }: { x1: number; x2: number; y: number; because: string }) {
  const words = shortened(because, x2 - x1 - 4);
  return (
    <g className="gap">
      <title>Waits: {because}</title>
      <path d={`M${x1 + 1} ${y}H${x2 - 1}M${x1 + 1} ${y - 4}v8M${x2 - 1} ${y - 4}v8`} />
      {words.length > 5 && (
        <text x={(x1 + x2) / 2} y={y - 5} textAnchor="middle">
          {words}
        </text>
      )}
    </g>
  );
}

/** Days and the hours at which they go on. */
function TimeMarks({
  axis,
  crew,
  x,
  height,
}: Pick<PlanChartProps, 'axis' | 'crew'> & { x: (at: number) => number; height: number }) {
  return (
    <g className="time-marks" aria-hidden="true">
      {axis.stretches.map(({ from, to, at, day }, i) => {
        const [x1, x2] = [x(at), x(at + to - from)];
        const begins = clock(from, crew);
        const isFirst = axis.stretches[i - 1]?.day !== day;
        return (
          <g key={from}>
            <rect x={x1} y={EDGE.top - 4} width={x2 - x1} height={height - EDGE.top - EDGE.bottom + 8} />
            {isFirst && (
              <text x={x1 + 2} y={EDGE.top - 9} className="day-name">
                {begins.date && x2 - x1 > 40 ? begins.date : `Day ${day + 1}`}
              </text>
            )}
            {x2 - x1 > 34 && (
              <text x={x1 + 2} y={height - 5}>
                {begins.time}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

/** What the chosen task waited for last, and what waits for it. */
function Ties({
  rows,
  chosen,
  schedule,
  x,
  y,
  tall,
}: PlanChartProps & { x: (at: number) => number; y: (row: number) => number; tall: number }) {
  const placeOf = (id: string | undefined): { row: number; bar: Bar } | undefined =>
    rows.flatMap(({ bars }, row) => bars.filter(({ task }) => task.id === id).map((bar) => ({ row, bar }))).at(0);
  const here = placeOf(chosen?.id);
  if (!here || !chosen) return null;
  const middle = (row: number): number => y(row) + tall * 0.45;
  const before = new Set([chosen.held?.task, ...chosen.waits.map(({ task }) => task)]);
  const after = schedule.tasks.filter(
    (t) => t.held?.task === chosen.id || t.waits.some(({ task }) => task === chosen.id),
  );
  const ties = [
    ...[...before].map((id) => ({ from: placeOf(id), to: here, held: id === chosen.held?.task })),
    ...after.map((t) => ({ from: here, to: placeOf(t.id), held: t.held?.task === chosen.id })),
  ];
  return (
    <g className="ties" aria-hidden="true">
      {ties.map(({ from, to, held }, i) => {
        if (!from || !to) return null;
        const [x1, x2] = [x(from.bar.to), x(to.bar.from)];
        const [y1, y2] = [middle(from.row), middle(to.row)];
        const bend = Math.max(8, (x2 - x1) / 2);
        return (
          <path
            key={i}
            className={held ? 'held' : ''}
            d={`M${x1} ${y1}C${x1 + bend} ${y1 - 14} ${x2 - bend} ${y2 - 14} ${x2} ${y2}`}
          />
        );
      })}
    </g>
  );
}
