import { effective } from '@kovelin/core/specify/reasons.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { LineChart } from 'echarts/charts';
import { AriaComponent, GridComponent, MarkLineComponent, TooltipComponent } from 'echarts/components';
import { init, use as register } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';
import { useScheme } from '../app/scheme.ts';

register([LineChart, GridComponent, MarkLineComponent, TooltipComponent, AriaComponent, CanvasRenderer]);

/** How far from hidden after each coat: mean film, thin spots and the cut band, against what the eye lets pass. */
export default function HidingChart({ specified: s }: { specified: Specified }) {
  const place = useRef<HTMLDivElement>(null);
  const { scheme } = useScheme();
  const { looks } = s.hiding;
  const limit = s.question.limit;
  const coats = effective(s.system.coats);
  useEffect(() => {
    if (!place.current) return;
    const style = getComputedStyle(place.current);
    const colour = (name: string) => style.getPropertyValue(name).trim();
    const ink = colour('--ink');
    const chart = init(place.current);
    const text = { color: ink, fontFamily: 'Barlow Condensed', fontSize: 14 };
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
    chart.setOption({
      animation: false,
      aria: { enabled: true },
      textStyle: text,
      grid: { left: 34, right: 12, top: 24, bottom: 34 },
      tooltip: { trigger: 'axis', renderMode: 'richText' },
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
        splitLine: { lineStyle: { color: colour('--line') } },
      },
      series: [
        {
          ...series('thin spots', 'thinDelta', colour('--clay'), 'solid'),
          markLine: {
            silent: true,
            symbol: 'none',
            label: { ...text, formatter: `ΔE ${limit} passes`, position: 'insideEndTop' },
            lineStyle: { color: colour('--ochre'), type: 'solid', width: 1.5 },
            data: [
              { yAxis: limit },
              { xAxis: coats, label: { ...text, formatter: 'chosen', position: 'end', align: 'right' } },
            ],
          },
        },
        series('cut band', 'cutDelta', colour('--slate'), [6, 3]),
        series('mean film', 'meanDelta', colour('--spruce'), [2, 3]),
      ],
    });
    return () => chart.dispose();
  }, [looks, limit, coats, scheme]);
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
