import type { Play, Shape, Stroke } from '@kovelin/core/plays/play.ts';
import { playFor } from '@kovelin/core/whole/play.ts';
import { effective } from '@kovelin/core/specify/reasons.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { formatMinutes, formatVolume } from '@kovelin/core/units/quantities.ts';
import { heading } from '@kovelin/core/units/word.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import { STROKE } from '@kovelin/core/words/terms.ts';
import Slider from '@mui/material/Slider';
import { useEffect, useMemo, useState } from 'react';
import { Choice } from '../app/fields.tsx';
import type { WholeView } from '../app/whole.ts';

/** A coat is shown in about this long, ms: strokes keep their true share of it. */
const SHOWN = 24_000;

interface Placed {
  readonly stroke: Stroke;
  readonly n: number;
  readonly from: number;
  readonly to: number;
  readonly shapes: readonly Shape[];
}

/** Edges of a door stand beside its face, its second face beside the first; a moulding is drawn where its panel is. */
function placed(play: Play): Placed[] {
  let at = 0;
  const faces = play.strokes.filter((s) => s.id.startsWith('face1/')).flatMap((s) => s.shape.flat());
  const width = Math.max(0, ...faces.map((p) => p.x));
  const shift = (shapes: readonly Shape[], x: number) =>
    shapes.map((shape) => shape.map((p) => ({ x: p.x + x, y: p.y })));
  const edges = { 'edge-lock': -0.14, 'edge-top': -0.28, 'edge-hinge': -0.42 } as const;
  return play.strokes.map((stroke, i): Placed => {
    const from = at;
    at += stroke.minutes;
    const panel = stroke.kind === 'reveal' ? play.strokes.find((s) => s.id === stroke.id.replace('reveal-', '')) : null;
    const over = stroke.overlaps.map((o) => o.shape);
    const own = panel ? panel.shape : stroke.shape.length ? stroke.shape : over;
    const beside =
      stroke.id in edges ? edges[stroke.id as keyof typeof edges] : stroke.id.startsWith('face2/') ? width + 0.2 : 0;
    return { stroke, n: i + 1, from, to: at, shapes: shift(own, beside) };
  });
}

/** One coat of the surface looked at, numbered on it and painted stroke by stroke at true relative speed. */
export function PlayTable({ view, specified: s }: { view: WholeView; specified: Specified }) {
  const { state, system } = view;
  const coats = effective(s.system.coats);
  const [wanted, setCoat] = useState(1);
  const coat = Math.min(wanted, coats);
  const play = useMemo(() => playFor(state.shown, s.surface.id, coat), [state.shown, s.surface.id, coat]);
  const [at, setAt] = useState<number | null>(null);
  const [running, setRunning] = useState(false);
  const minutes = play?.minutes ?? 0;
  useEffect(() => {
    if (!running || !minutes) return;
    let frame = 0;
    let last = performance.now();
    const step = (now: number) => {
      const passed = ((now - last) / SHOWN) * minutes;
      last = now;
      setAt((before) => Math.min(minutes, (before ?? 0) + passed));
      frame = requestAnimationFrame(step);
    };
    frame = requestAnimationFrame(step);
    return () => cancelAnimationFrame(frame);
  }, [running, minutes]);
  if (!play?.strokes.length) return <p className="hint">Nothing of it is painted.</p>;
  const ended = at !== null && at >= minutes - 1e-9;
  const time = at ?? minutes;
  const strokes = placed(play);
  const now = strokes.find((p) => time < p.to) ?? strokes.at(-1);
  return (
    <div className="play">
      <div className="play-bar">
        {coats > 1 && (
          <Choice
            label="Coat"
            value={String(coat)}
            options={Array.from({ length: coats }, (_, i) => [String(i + 1), `coat ${i + 1} of ${coats}`] as const)}
            onChange={(n) => {
              setCoat(Number(n));
              setAt(null);
            }}
          />
        )}
        <button
          type="button"
          className="tool"
          onClick={() => {
            if (at === null || ended) setAt(0);
            setRunning(!running || ended);
          }}
        >
          {running && !ended ? 'Stop' : 'Paint it'}
        </button>
        <Slider
          aria-label={`Minutes of coat ${coat}`}
          min={0}
          max={minutes}
          step={minutes / 400}
          value={time}
          onChange={(_, value) => {
            setRunning(false);
            setAt(Number(value));
          }}
          getAriaValueText={() => (now ? `${formatMinutes(time)}: ${STROKE[now.stroke.kind]}` : '')}
        />
        <span className="number">
          {formatMinutes(time)} of {formatMinutes(minutes)}
        </span>
      </div>
      <p className="play-now" aria-live="off">
        <b>{heading(nameWord(s.surface.name), system)}</b>{' '}
        {now && (
          <>
            {now.n}. {STROKE[now.stroke.kind]}
            {now.stroke.litres > 0.0005 && ` · ${formatVolume(now.stroke.litres, system)}`} ·{' '}
            {now.stroke.minutes < 1.5
              ? `${Math.max(1, Math.round(now.stroke.minutes * 60))} s`
              : formatMinutes(now.stroke.minutes)}
          </>
        )}
        {' · '}
        {strokes.filter((p) => p.stroke.kind === 'dip').length > 0 &&
          `${strokes.filter((p) => p.stroke.kind === 'dip').length} dips · `}
        {formatVolume(play.litres, system)} in all
      </p>
      <Picture strokes={strokes} time={time} colour={s.colour.hex} old={s.survey.colour} />
    </div>
  );
}

function Picture({
  strokes,
  time,
  colour,
  old,
}: {
  strokes: readonly Placed[];
  time: number;
  colour: string;
  old: string;
}) {
  const points = strokes.flatMap((p) => p.shapes.flat());
  const [left, right] = [Math.min(...points.map((p) => p.x)), Math.max(...points.map((p) => p.x))];
  const [low, high] = [Math.min(...points.map((p) => p.y)), Math.max(...points.map((p) => p.y))];
  const margin = 0.05 * Math.max(right - left, high - low);
  const size = Math.max((right - left) / 3, high - low);
  const box = [left - margin, -high - margin, right - left + 2 * margin, high - low + 2 * margin].join(' ');
  const text = (shape: Shape) => shape.map((p) => `${p.x.toFixed(3)},${(-p.y).toFixed(3)}`).join(' ');
  return (
    <svg viewBox={box} className="play-picture" role="img" aria-label="The strokes, numbered in their order">
      {strokes.flatMap(({ stroke, shapes, from, to }) =>
        shapes.map((shape, i) => {
          const state = time >= to - 1e-9 ? 'done' : time > from ? 'now' : 'open';
          return (
            <polygon
              key={`${stroke.id}${i}`}
              points={text(shape)}
              className={`stroke ${state} ${stroke.kind}`}
              fill={state === 'open' ? old : colour}
              fillOpacity={state === 'now' ? 0.25 + (0.75 * (time - from)) / (to - from) : 1}
            />
          );
        }),
      )}
      {strokes.map(({ stroke, shapes, n }) => {
        const largest = [...shapes].sort((a, b) => spread(b) - spread(a))[0];
        if (!largest || spread(largest) < 0.004 * size * size) return null;
        const x = largest.reduce((sum, p) => sum + p.x, 0) / largest.length;
        const y = largest.reduce((sum, p) => sum + p.y, 0) / largest.length;
        return (
          <text
            key={stroke.id}
            x={x}
            y={-y}
            fontSize={size * 0.07}
            textAnchor="middle"
            dominantBaseline="central"
            className="stroke-number"
          >
            {n}
          </text>
        );
      })}
    </svg>
  );
}
const spread = (shape: Shape): number => {
  const [xs, ys] = [shape.map((p) => p.x), shape.map((p) => p.y)];
  return (Math.max(...xs) - Math.min(...xs)) * (Math.max(...ys) - Math.min(...ys));
};
