import { effective } from '@kovelin/core/specify/reasons.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { LineChart } from 'echarts/charts';
import { AriaComponent, GridComponent, MarkLineComponent, TooltipComponent } from 'echarts/components';
import { use as register } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';
import { useMemo } from 'react';
import { useScheme } from '../ui/scheme.ts';
import { charted, lettering, useChart } from '../drawing/useChart.ts';

register([LineChart, GridComponent, MarkLineComponent, TooltipComponent, AriaComponent, CanvasRenderer]);

/** How far from hidden after each coat: mean film, thin spots and the cut band, against what the eye lets pass. */
export default function HidingChart({ specified: s }: { specified: Specified }) {
  const { palette } = useScheme();
  const { looks } = s.hiding;
  const limit = s.question.limit;
  const coats = effective(s.system.coats);
  const option = useMemo(() => {
    const { ink } = palette;
    const text = lettering(ink);
    const base = charted(
      palette,
      `How far thin spots still are from full hiding: ${looks.map((look) => `after ${look.coats} ΔE ${look.thinDelta.toFixed(1)}`).join(', ')}.`,
    );
    const series = (
      name: string,
      key: 'meanDelta' | 'thinDelta' | 'cutDelta',
      line: string,
      dash: number[] | 'solid',
    ) => ({
      type: 'line' as const,
      name,
      data: looks.map((look) => [look.coats, Number(look[key].toFixed(2))]),
      lineStyle: { color: line, width: 2.5, type: dash },
      itemStyle: { color: line },
      symbol: key === 'meanDelta' ? 'circle' : key === 'thinDelta' ? 'rect' : 'triangle',
      symbolSize: 8,
      endLabel: { show: false },
    });
    return {
      ...base,
      grid: { left: 34, right: 12, top: 24, bottom: 34 },
      tooltip: { ...(base['tooltip'] as object), trigger: 'axis' },
      xAxis: {
        type: 'value',
        min: 1,
        max: looks.length,
        interval: 1,
        name: 'coats',
        nameLocation: 'middle',
        nameGap: 20,
        axisLabel: text,
        splitLine: { show: false },
        axisLine: { lineStyle: { color: ink } },
      },
      yAxis: {
        type: 'value',
        name: 'ΔE from hidden',
        nameTextStyle: { ...text, align: 'left', padding: [0, 0, 0, -28] },
        axisLabel: text,
        splitLine: { lineStyle: { color: palette.line } },
      },
      series: [
        {
          ...series('thin spots', 'thinDelta', palette.clay, 'solid'),
          markLine: {
            silent: true,
            symbol: 'none',
            label: { ...text, formatter: `ΔE ${limit} passes`, position: 'insideEndTop' },
            lineStyle: { color: palette.ochre, type: 'solid', width: 1.5 },
            data: [
              { yAxis: limit },
              { xAxis: coats, label: { ...text, formatter: 'chosen', position: 'end', align: 'right' } },
            ],
          },
        },
        series('cut band', 'cutDelta', palette.slate, [6, 3]),
        series('mean film', 'meanDelta', palette.spruce, [2, 3]),
      ],
    };
  }, [looks, limit, coats, palette]);
  const { place } = useChart(option);
  return (
    <figure className="hiding-chart">
      <figcaption>
        <span className="key-thin">thin spots</span> <span className="key-cut">cut band</span>{' '}
        <span className="key-mean">mean film</span>
      </figcaption>
      <div ref={place} style={{ height: 170 }} />
    </figure>
  );
}
