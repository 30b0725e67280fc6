import type { Crew } from '@kovelin/core/job/crew.ts';
import type { ScheduleView, TaskView } from '@kovelin/core/sequence/view.ts';
import { dayOf } from '@kovelin/core/sequence/calendar.ts';
import { formatMinutes } from '@kovelin/core/units/quantities.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { said } from '@kovelin/core/units/word.ts';
import { taskRule, taskWord, type Mark } from '@kovelin/core/paces/tasks.ts';
import { CustomChart } from 'echarts/charts';
import { AriaComponent, GridComponent, TooltipComponent } from 'echarts/components';
import { use as register } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';
import { useCallback, useMemo } from 'react';
import type { Palette } from '../app/palette.ts';
import { useScheme } from '../app/scheme.ts';
import { charted, useChart } from '../drawing/useChart.ts';
import { clock } from './clock.ts';

register([CustomChart, GridComponent, TooltipComponent, AriaComponent, CanvasRenderer]);

type Bar = [row: number, from: number, to: number, task: number, drying: 0 | 1];
/** What a bar's custom renderer is handed, in the shapes we use. */
interface RenderApi {
  value(dimension: number): number;
  coord(point: [number, number]): [number, number];
  size(span: [number, number]): [number, number];
}

/** Family of work by fill and by a letter, so that colour is never alone. */
const LOOK: Readonly<Record<Mark, readonly [colour: keyof Palette, letter: string]>> = {
  none: ['line', ''],
  prepare: ['lichen', 'P'],
  prime: ['slate', '1'],
  cut: ['ochre', 'C'],
  roll: ['spruce', 'R'],
  brush: ['clay', 'B'],
  mask: ['tape', 'M'],
  look: ['paper', 'L'],
};
const DEEP: ReadonlySet<keyof Palette> = new Set(['spruce', 'slate', 'clay']);

/** Nights and breaks hold no work: the axis shows working time only, with days set apart. */
function squeeze(schedule: ScheduleView, crew: Crew, only: number | null) {
  const spans: { from: number; to: number; at: number }[] = [];
  let at = 0;
  let day = -1;
  for (const [from, to] of schedule.workingTime) {
    const here = dayOf(crew, from);
    if (only !== null && only !== here) continue;
    if (day >= 0) at += here === day ? 8 : 40;
    day = here;
    spans.push({ from, to, at });
    at += to - from;
  }
  const place = (t: number): number => {
    const span = spans.find((s) => t <= s.to + 1e-9) ?? spans.at(-1);
    return span ? span.at + Math.min(Math.max(t, span.from), span.to) - span.from : 0;
  };
  return { spans, place, end: at };
}

/** Who does what when: a row a person; what dries is drawn under the coat it belongs to. */
export function CrewChart({
  schedule,
  crew,
  system,
  selected,
  day,
  onSelect,
}: {
  schedule: ScheduleView;
  crew: Crew;
  system: System;
  selected: string | null;
  /** One day alone, from 0; null: all of them. */
  day: number | null;
  onSelect: (task: TaskView) => void;
}) {
  const { palette } = useScheme();
  const option = useMemo(() => {
    const { ink } = palette;
    const base = charted(palette);
    const { spans, place: at, end } = squeeze(schedule, crew, day);
    const onDay = (t: number) => day === null || Math.floor(t / 1440) === day;
    const bars: Bar[] = schedule.tasks.flatMap((task, i) =>
      task.who.flatMap((who) => [
        ...task.pieces.filter(([a]) => onDay(a)).map(([a, b]): Bar => [who, at(a), at(b), i, 0]),
        ...(task.drying > 0 && onDay(task.pieces.at(-1)?.[1] ?? 0)
          ? [[who, at(task.pieces.at(-1)?.[1] ?? 0), at((task.pieces.at(-1)?.[1] ?? 0) + task.drying), i, 1] as Bar]
          : []),
      ]),
    );
    return {
      ...base,
      aria: { enabled: true, label: { description: 'Crew chart; the list beside it holds the same tasks.' } },
      grid: { left: 78, right: 14, top: 26, bottom: 26 },
      tooltip: {
        ...(base['tooltip'] as object),
        formatter: (p: { value: Bar }) => {
          const task = schedule.tasks[p.value[3]];
          if (!task) return '';
          const [from, to] = [clock(task.pieces[0]?.[0] ?? 0, crew), clock(task.pieces.at(-1)?.[1] ?? 0, crew)];
          const words = `${task.roomName}: ${said(taskWord(task), system)}`;
          return p.value[4]
            ? `${words}\ndries ${formatMinutes(task.drying)} before the next coat`
            : `${words}\n${from.time} to ${to.time}, ${formatMinutes(task.work)}`;
        },
      },
      xAxis: { type: 'value', min: 0, max: end, show: false },
      yAxis: {
        type: 'category',
        inverse: true,
        data: crew.people.map((p) => p.name),
        axisLine: { show: false },
        axisTick: { show: false },
        axisLabel: { color: ink, fontSize: 16, fontWeight: 600, width: 66, overflow: 'truncate' },
      },
      series: [
        {
          type: 'custom',
          silent: true,
          data: spans.map((s) => [s.at, s.at + s.to - s.from, s.from]),
          renderItem: (params: { coordSys: { y: number; height: number } }, api: RenderApi) => {
            const [x1] = api.coord([api.value(0), 0]);
            const [x2] = api.coord([api.value(1), 0]);
            const { y, height } = params.coordSys;
            const from = clock(api.value(2), crew);
            const first = from.time === clock(0, crew).time;
            const text = (words: string, top: number, bold: boolean) => ({
              type: 'text',
              style: { text: words, x: x1 + 2, y: top, fill: ink, font: `${bold ? 600 : 500} 14px Barlow Condensed` },
            });
            return {
              type: 'group',
              children: [
                {
                  type: 'rect',
                  shape: { x: x1, y, width: x2 - x1, height },
                  style: { fill: palette.card, stroke: palette.line, lineWidth: 1 },
                },
                ...(first
                  ? [text(`Day ${from.day + 1}${from.date && x2 - x1 > 62 ? `, ${from.date}` : ''}`, y - 18, true)]
                  : []),
                ...(x2 - x1 > 34 ? [text(from.time, y + height + 4, false)] : []),
              ],
            };
          },
        },
        {
          // setting up and cleaning up: an empty frame at either end of a person’s day
          type: 'custom',
          silent: true,
          data: schedule.personDays
            .filter((p) => day === null || p.day === day)
            .flatMap(({ person, setUp, cleanUp }) => [setUp, cleanUp].map(([from, to]) => [person, at(from), at(to)])),
          encode: { x: [1, 2], y: 0 },
          renderItem: (_: unknown, api: RenderApi) => {
            const [x1, y] = api.coord([api.value(1), api.value(0)]);
            const [x2] = api.coord([api.value(2), api.value(0)]);
            const tall = Math.min(46, api.size([0, 1])[1] * 0.62);
            return {
              type: 'rect',
              shape: { x: x1 + 0.5, y: y - tall / 2 + 0.5, width: Math.max(1, x2 - x1 - 1), height: tall - 1 },
              style: { fill: palette.card, stroke: palette.soft, lineWidth: 1 },
            };
          },
        },
        {
          type: 'custom',
          data: bars,
          encode: { x: [1, 2], y: 0 },
          renderItem: (_: unknown, api: RenderApi) => {
            const [row, from, to, index, drying] = [0, 1, 2, 3, 4].map((d) => api.value(d)) as [
              number,
              number,
              number,
              number,
              number,
            ];
            const task = schedule.tasks[index];
            const [x1, y] = api.coord([from, row]);
            const [x2] = api.coord([to, row]);
            const tall = Math.min(46, api.size([0, 1])[1] * 0.62);
            if (!task) return;
            if (drying) {
              // on one raster, so that coats drying at the same time do not blur
              const start = Math.ceil(x1 / 7);
              const dots = Array.from({ length: Math.max(0, Math.floor(x2 / 7) - start) }, (_unused, k) => ({
                type: 'circle',
                shape: { cx: (start + k) * 7, cy: y + tall / 2 + 6 + ((start + k) % 2) * 3, r: 1.1 },
                style: { fill: ink },
              }));
              return { type: 'group', children: dots };
            }
            const [name, letter] = LOOK[taskRule(task.kind).mark];
            const wide = x2 - x1;
            const chosen = selected !== null && task.surface === selected;
            return {
              type: 'group',
              children: [
                {
                  type: 'rect',
                  shape: { x: x1, y: y - tall / 2, width: Math.max(1.5, wide - 0.8), height: tall },
                  style: { fill: palette[name], stroke: chosen ? ink : palette.card, lineWidth: chosen ? 2 : 0.6 },
                },
                ...(wide > 11 && letter
                  ? [
                      {
                        type: 'text',
                        style: {
                          text: letter,
                          x: x1 + wide / 2,
                          y,
                          align: 'center',
                          verticalAlign: 'middle',
                          fill: DEEP.has(name) ? palette.onDeep : palette.onTape,
                          font: '600 13px Barlow Condensed',
                        },
                      },
                    ]
                  : []),
              ],
            };
          },
        },
      ],
    };
  }, [schedule, crew, system, palette, selected, day]);
  const onClick = useCallback(
    (value: unknown) => {
      const task = Array.isArray(value) ? schedule.tasks[(value as Bar)[3]] : undefined;
      if (task) onSelect(task);
    },
    [schedule, onSelect],
  );
  const { place } = useChart(option, { onClick });
  return <div ref={place} className="crew-chart" />;
}
