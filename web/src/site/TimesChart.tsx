import type { LearnedPace } from '@kovelin/core/site/paces.ts';
import { LineChart, ScatterChart } from 'echarts/charts';
import { AriaComponent, GridComponent, TooltipComponent } from 'echarts/components';
import { use as register } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';
import { useMemo } from 'react';
import { useScheme } from '../ui/scheme.ts';
import { charted, lettering, useChart } from '../drawing/useChart.ts';

register([LineChart, ScatterChart, GridComponent, TooltipComponent, AriaComponent, CanvasRenderer]);

/** The next ten minutes above all of them. */
const roundUp = (minutes: readonly number[]): number =>
  Math.ceil(minutes.reduce((top, own) => Math.max(top, own), 10) / 10) * 10;

/** Each task that was timed: minutes planned and taken; above the line it took longer. */
export default function TimesChart({ paces }: { paces: readonly LearnedPace[] }) {
  const { palette } = useScheme();
  const option = useMemo(() => {
    const text = lettering(palette.ink);
    const points = paces.flatMap(({ entries }) => entries.map(({ planned, actual }) => [planned, actual]));
    const most = roundUp(points.flat());
    const axis = {
      type: 'value' as const,
      min: 0,
      max: most,
      nameLocation: 'middle' as const,
      axisLabel: text,
      splitLine: { lineStyle: { color: palette.line } },
    };
    return {
      ...charted(palette, `${points.length} timed tasks: minutes planned, and minutes taken.`),
      grid: { left: 44, right: 12, top: 12, bottom: 40 },
      xAxis: { ...axis, name: 'planned, minutes', nameGap: 24, nameTextStyle: text },
      yAxis: { ...axis, name: 'taken, minutes', nameGap: 30, nameTextStyle: text },
      series: [
        {
          type: 'line' as const,
          name: 'as planned',
          data: [
            [0, 0],
            [most, most],
          ],
          symbol: 'none',
          lineStyle: { color: palette.ink, type: [6, 4], width: 1.5 },
          silent: true,
        },
        { type: 'scatter' as const, name: 'task', data: points, symbolSize: 9, itemStyle: { color: palette.slate } },
      ],
    };
  }, [paces, palette]);
  const { place } = useChart(option);
  return (
    <div ref={place} className="times-chart" role="img" aria-label="Minutes planned and taken of each timed task" />
  );
}
