import { setting } from '@kovelin/core/job/defaults.ts';
import type { PaintLine } from '@kovelin/core/order/paint.ts';
import { simulated } from '@kovelin/core/order/risk.ts';
import { expectedLeftover, litresFor, riskCurve, shortfallChance } from '@kovelin/core/order/shortfall.ts';
import { formatPercent, formatVolume } from '@kovelin/core/units/quantities.ts';
import { GALLON, isImperial } from '@kovelin/core/units/si.ts';
import { spelt } from '@kovelin/core/units/word.ts';
import { LineChart } from 'echarts/charts';
import { AriaComponent, GridComponent, MarkLineComponent, TooltipComponent } from 'echarts/components';
import { use as register } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';
import { useMemo, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { WholeView } from '../app/whole.ts';
import { useScheme } from '../ui/scheme.ts';
import { charted, lettering, useChart } from '../drawing/useChart.ts';
import { SIMULATED_JOBS, useSimulated } from '../workers/simulate.ts';

register([LineChart, GridComponent, MarkLineComponent, TooltipComponent, AriaComponent, CanvasRenderer]);

const [LEAST, MOST] = [0.002, 0.5];
const HEIGHT = 210;
const GRID = { left: 44, right: 46, top: 30, bottom: 40 };

/** Litres to have against two chances, of not finishing and of keeping less than the reserve, and what is left over. */
export default function RiskCurve({ view, line }: { view: WholeView; line: PaintLine }) {
  const { session, state, system } = view;
  const [width, setWidth] = useState(290);
  const [held, setHeld] = useState<number | null>(null);
  const { palette } = useScheme();
  const { demand, ordered, reserve } = line;
  const unit = isImperial(system) ? GALLON : 1;
  const curve = useMemo(() => riskCurve(demand, ordered), [demand, ordered]);
  const litres = useMemo(() => curve.map((p) => p.litres), [curve]);
  const paint = useMemo(() => simulated(state.job, line), [state.job, line]);
  const { data: sim, isFetching } = useSimulated(state.job.id, paint, litres);
  const risky = paint.surfaces.some((s) => s.thinnest > 0);
  // thin hands that make no difference need no line of their own
  const differs = sim?.some((p, i) => Math.abs(p.chance - (curve[i]?.chance ?? 0)) > 0.008) ?? false;
  const risk = Math.min(MOST, Math.max(LEAST, held ?? setting(state.shown, 'order.risk')));
  const [from, to] = [litres[0] ?? 0, litres.at(-1) ?? 1];
  const at = litresFor(demand, risk);
  const kept = useMemo(() => ({ ...demand, mean: demand.mean + (reserve?.litres ?? 0) }), [demand, reserve]);

  const option = useMemo(() => {
    const { ink } = palette;
    const text = lettering(ink);
    const base = charted(
      palette,
      `The more there is, the smaller the chance of running out: from ${formatPercent(curve[0]?.chance ?? 0)} with ${formatVolume(from, system)} to ${formatPercent(curve.at(-1)?.chance ?? 0)} with ${formatVolume(to, system)}.`,
    );
    const x = (value: number) => Number((value / unit).toFixed(3));
    return {
      ...base,
      grid: GRID,
      tooltip: { ...(base['tooltip'] as object), trigger: 'axis', valueFormatter: (v: unknown) => String(v) },
      xAxis: {
        type: 'value',
        min: x(from),
        max: x(to),
        name: isImperial(system) ? 'gallons to have' : spelt('litres to have', system),
        nameLocation: 'middle',
        nameGap: 24,
        nameTextStyle: text,
        axisLabel: { ...text, showMinLabel: false, showMaxLabel: false },
        splitLine: { show: false },
        axisLine: { lineStyle: { color: ink } },
      },
      yAxis: [
        {
          type: 'value',
          min: 0,
          name: 'chance, %',
          nameTextStyle: { ...text, align: 'left', padding: [0, 0, 0, -34] },
          axisLabel: text,
          splitLine: { lineStyle: { color: palette.line } },
        },
        {
          type: 'value',
          min: 0,
          name: isImperial(system) ? 'left, gal' : 'left, L',
          nameTextStyle: { ...text, align: 'right', padding: [0, -34, 0, 0] },
          axisLabel: text,
          splitLine: { show: false },
        },
      ],
      series: [
        {
          type: 'line',
          name: 'not finished, %',
          showSymbol: false,
          data: curve.map((p) => [x(p.litres), Number((p.chance * 100).toFixed(2))]),
          lineStyle: { color: palette.clay, width: 2.5 },
          itemStyle: { color: palette.clay },
          markLine: {
            silent: true,
            symbol: 'none',
            lineStyle: { color: ink, type: 'solid', width: 1.5 },
            label: { ...text, formatter: 'bought', position: 'insideStartTop' },
            data: [{ xAxis: x(ordered) }],
          },
        },
        ...(sim && differs
          ? [
              {
                type: 'line' as const,
                name: 'with a coat more where thin, %',
                showSymbol: false,
                data: sim.map((p) => [x(p.litres), Number((p.chance * 100).toFixed(2))]),
                lineStyle: { color: palette.ochre, width: 2, type: [5, 3] },
                itemStyle: { color: palette.ochre },
              },
            ]
          : []),
        ...(reserve
          ? [
              {
                type: 'line' as const,
                name: 'less than the reserve kept, %',
                showSymbol: false,
                data: curve.map((p) => [x(p.litres), Number((shortfallChance(kept, p.litres) * 100).toFixed(2))]),
                lineStyle: { color: palette.spruce, width: 2, type: [8, 3] },
                itemStyle: { color: palette.spruce },
              },
            ]
          : []),
        {
          type: 'line',
          name: 'left over',
          yAxisIndex: 1,
          showSymbol: false,
          data: curve.map((p) => [x(p.litres), Number((expectedLeftover(demand, p.litres) / unit).toFixed(3))]),
          lineStyle: { color: palette.slate, width: 2, type: [2, 3] },
          itemStyle: { color: palette.slate },
        },
      ],
    };
  }, [curve, sim, differs, from, to, ordered, unit, system, palette, demand, kept, reserve]);
  const { place } = useChart(option, { onWidth: setWidth });

  const inside = width - GRID.left - GRID.right;
  const left = GRID.left + ((at - from) / (to - from)) * inside;
  const clamp = (chance: number) => Math.min(MOST, Math.max(LEAST, chance));
  const choose = (chance: number) => {
    const value = Number(clamp(chance).toFixed(4));
    session.run({ name: 'setSetting', args: { key: 'order.risk', value } });
  };
  const chanceAt = (event: PointerEvent<HTMLElement>): number => {
    const box = place.current?.getBoundingClientRect();
    const share = ((event.clientX - (box?.left ?? 0) - GRID.left) / inside) * (to - from) + from;
    return clamp(shortfallChance(demand, share));
  };
  const onKey = (event: KeyboardEvent) => {
    const step = { ArrowLeft: 1.25, ArrowDown: 1.25, ArrowRight: 0.8, ArrowUp: 0.8 }[event.key];
    if (!step) return;
    event.preventDefault();
    choose(risk * step);
  };
  return (
    <figure className="risk-curve">
      <figcaption>
        <span className="key-thin">not finished</span>{' '}
        {reserve && <span className="key-kept">less than the reserve kept</span>}{' '}
        {differs && <span className="key-coat">with a coat more where it comes out thin</span>}{' '}
        <span className="key-left">left over</span>
      </figcaption>
      <div className="risk-plot" style={{ height: HEIGHT }} aria-busy={isFetching}>
        <div ref={place} style={{ height: HEIGHT }} />
        <div
          className="risk-handle"
          role="slider"
          tabIndex={0}
          aria-label="Accepted chance of running out"
          aria-valuemin={LEAST * 100}
          aria-valuemax={MOST * 100}
          aria-valuenow={Number((risk * 100).toFixed(1))}
          aria-valuetext={`${formatPercent(risk)}: ${formatVolume(at, system)} to have`}
          style={{ left, top: GRID.top, height: HEIGHT - GRID.top - GRID.bottom }}
          onKeyDown={onKey}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            setHeld(risk);
          }}
          onPointerMove={(event) => held !== null && setHeld(chanceAt(event))}
          onPointerUp={(event) => {
            if (held !== null) choose(chanceAt(event));
            setHeld(null);
          }}
          onPointerCancel={() => setHeld(null)}
        >
          <span>{formatPercent(risk)}</span>
        </div>
      </div>
      <p className="hint">
        Drag the handle, or use its arrow keys: at {formatPercent(risk)}, for every paint of the job, have at least{' '}
        <b className="number">{formatVolume(Math.max(0, at), system)}</b> of this one:{' '}
        {formatVolume(demand.mean, system)} to paint, the rest against running short.
        {differs &&
          ` The broken line is ${SIMULATED_JOBS.toLocaleString('en-US')} simulated jobs: some hands roll so thin that another coat is needed.`}
        {risky &&
          sim &&
          !differs &&
          ` ${SIMULATED_JOBS.toLocaleString('en-US')} simulated jobs, thin hands among them, run no greater risk.`}
      </p>
    </figure>
  );
}
