import type { WetAnswer } from '@kovelin/core/wetEdge/wetEdge.ts';
import { FOOT, isImperial, type System } from '@kovelin/core/units/si.ts';
import { spelt } from '@kovelin/core/units/word.ts';
import { LineChart, ScatterChart } from 'echarts/charts';
import { AriaComponent, GridComponent, LegendComponent, MarkLineComponent, TooltipComponent } from 'echarts/components';
import { use as register } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';
import { useMemo } from 'react';
import { useScheme } from '../../ui/scheme.ts';
import { charted, lettering, useChart } from '../../drawing/useChart.ts';

register([
  LineChart,
  ScatterChart,
  GridComponent,
  TooltipComponent,
  MarkLineComponent,
  LegendComponent,
  AriaComponent,
  CanvasRenderer,
]);

/** How old each edge is when it is gone over, along the wall from where it is begun, against the time that it stays open. */
export default function WetChart({ answer, system }: { answer: WetAnswer; system: System }) {
  const { palette } = useScheme();
  const option = useMemo(() => {
    const { setup, case: found } = answer;
    const unit = isImperial(system) ? FOOT : 1;
    const text = lettering(palette.ink);
    const point = (i: number): [number, number] => {
      const n = setup.cells.of[i] ?? 0;
      const cut = found.wall.cuts[n];
      const u = i < setup.cells.bands ? ((cut?.from ?? 0) + (cut?.to ?? 0)) / 2 : (found.wall.strips[n]?.to ?? 0);
      return [Number((u / unit).toFixed(2)), Number((setup.ages[i] ?? 0).toFixed(1))];
    };
    const points = Array.from({ length: setup.cells.count }, (_, i) => point(i));
    const open = found.open.minutes;
    const oldest = points.reduce((most, [, age]) => Math.max(most, age), 0);
    const base = charted(
      palette,
      `The oldest edge is ${oldest.toFixed(1)} min old when it is gone over; a cut stays open ${open.toFixed(1)} min.`,
    );
    return {
      ...base,
      grid: { left: 46, right: 18, top: 34, bottom: 42 },
      legend: { top: 0, right: 16, textStyle: text, itemHeight: 10 },
      xAxis: {
        type: 'value',
        max: Number((found.wall.length / unit).toFixed(2)),
        name: isImperial(system) ? 'feet from where it is begun' : spelt('metres from where it is begun', system),
        nameLocation: 'middle',
        nameGap: 26,
        nameTextStyle: text,
        axisLabel: { ...text, showMaxLabel: false },
        splitLine: { show: false },
      },
      yAxis: {
        type: 'value',
        min: 0,
        // open time belongs on it, however young the edges are
        max: Math.ceil(Math.max(open === Infinity ? 0 : open, ...points.map(([, y]) => y)) * 1.1),
        name: 'age, min',
        nameTextStyle: { ...text, align: 'left', padding: [0, 0, 0, -34] },
        axisLabel: text,
        splitLine: { lineStyle: { color: palette.line } },
      },
      series: [
        {
          type: 'scatter',
          name: 'cut band',
          symbol: 'rect',
          symbolSize: [9, 4],
          data: points.slice(0, setup.cells.bands),
          itemStyle: { color: palette.slate },
          markLine: {
            silent: true,
            symbol: 'none',
            lineStyle: { color: palette.clay, type: 'solid', width: 2 },
            label: { ...text, formatter: 'open time', position: 'insideEndTop' },
            data: open === Infinity ? [] : [{ yAxis: Number(open.toFixed(1)) }],
          },
        },
        {
          type: 'line',
          name: 'edge of a strip',
          symbol: 'circle',
          symbolSize: 7,
          data: points.slice(setup.cells.bands).sort((a, b) => a[0] - b[0]),
          lineStyle: { color: palette.ochre, width: 1.5 },
          itemStyle: { color: palette.ochre },
        },
      ],
    };
  }, [answer, palette, system]);
  const { place } = useChart(option);
  return <div ref={place} className="wet-chart" role="img" aria-label="Age of each edge along the wall" />;
}
