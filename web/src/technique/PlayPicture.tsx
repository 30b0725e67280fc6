import type { Play, Shape, Station, Stroke } from '@kovelin/core/plays/play.ts';
import type { Point } from '@kovelin/core/measure/geometry.ts';
import type { StrokeKind } from '@kovelin/core/job/vocabulary.ts';
import { boxOf, middleOf } from '@kovelin/core/plays/shapes.ts';
import { inkOn } from '../drawing/coat.ts';
import { at } from '@kovelin/core/units/list.ts';

/** A stroke with its minutes of the coat, and where it is drawn. */
export interface Placed {
  readonly stroke: Stroke;
  readonly from: number;
  readonly to: number;
  readonly shapes: readonly Shape[];
  readonly path: readonly Point[];
}

/** Edges of a door stand beside its face, its second face beside the first; a moulding is drawn where its panel is. */
export function placed(play: Play): Placed[] {
  let at = 0;
  const faces = play.strokes.filter((s) => s.id.startsWith('face1/')).flatMap((s) => s.shape.flat());
  const width = Math.max(0, ...faces.map((p) => p.x));
  const edges = { 'edge-lock': -0.14, 'edge-top': -0.28, 'edge-hinge': -0.42 } as const;
  return play.strokes.map((stroke): Placed => {
    const from = at;
    at += stroke.minutes;
    const panel = stroke.kind === 'reveal' ? play.strokes.find((s) => s.id === stroke.id.replace('reveal-', '')) : null;
    const drawn = panel ?? stroke;
    const own = drawn.shape.length ? drawn.shape : drawn.overlaps.map((o) => o.shape);
    const beside =
      stroke.id in edges ? edges[stroke.id as keyof typeof edges] : stroke.id.startsWith('face2/') ? width + 0.2 : 0;
    const move = (shape: Shape): Shape => shape.map((p) => ({ x: p.x + beside, y: p.y }));
    return { stroke, from, to: at, shapes: own.map(move), path: move(stroke.path) };
  });
}

const text = (shape: Shape) => shape.map((p) => `${p.x.toFixed(3)},${(-p.y).toFixed(3)}`).join(' ');

/** How far a tool has come on its way. */
function pointOn(path: readonly Point[], share: number): Point | null {
  const legs = path.slice(1).map((q, i) => ({ p: at(path, i), q }));
  const long = ({ p, q }: { p: Point; q: Point }) => Math.hypot(q.x - p.x, q.y - p.y);
  let left = share * legs.reduce((sum, leg) => sum + long(leg), 0);
  for (const leg of legs) {
    const own = long(leg);
    if (left <= own && own > 0)
      return { x: leg.p.x + ((leg.q.x - leg.p.x) * left) / own, y: leg.p.y + ((leg.q.y - leg.p.y) * left) / own };
    left -= own;
  }
  return path.at(-1) ?? null;
}

interface PictureProps {
  readonly play: Play;
  readonly strokes: readonly Placed[];
  /** Minutes of the coat that have passed; null: all, and nothing is under way. */
  readonly time: number | null;
  readonly colour: string;
  readonly old: string;
}

/** A surface with its steps numbered on it, painted as far as the time says. */
export function PlayPicture({ play, strokes, time, colour, old }: PictureProps) {
  const { left, right, bottom, top } = boxOf(strokes.flatMap((p) => p.shapes.flat()));
  const size = Math.max((right - left) / 3, top - bottom);
  const margin = 0.05 * size;
  const below = play.stations.length ? 0.17 * size : 0;
  const view = [left - margin, -top - margin, right - left + 2 * margin, top - bottom + 2 * margin + below].join(' ');
  const now = time === null ? null : (strokes.find((p) => time < p.to - 1e-9) ?? null);
  const isUsed = (station: Station) => now !== null && station.strokes.includes(now.stroke.id);
  // seen from below, a floor full of ladders says nothing
  const flat = play.surface.endsWith('/ceiling');
  const tool = now && time !== null ? pointOn(now.path, (time - now.from) / (now.to - now.from)) : null;
  return (
    <svg viewBox={view} className="play-picture" role="img" aria-label="The steps, numbered in their order">
      {strokes.flatMap(({ stroke, shapes, from, to }) =>
        stroke.shape.length || stroke.kind === 'reveal'
          ? shapes.map((shape, i) => {
              const share = time === null || time >= to - 1e-9 ? 1 : time > from ? (time - from) / (to - from) : 0;
              const state = share === 1 ? 'done' : share > 0 ? 'now' : 'open';
              return (
                <polygon
                  key={`${stroke.id}${i}`}
                  points={text(shape)}
                  className={`stroke ${state} ${stroke.kind}`}
                  fill={share === 0 ? old : colour}
                  style={{ stroke: state === 'now' ? undefined : inkOn(share === 0 ? old : colour) }}
                  fillOpacity={state === 'now' ? 0.25 + 0.75 * share : 1}
                />
              );
            })
          : [],
      )}
      <Numbers strokes={strokes} size={size} inkAt={(to) => inkOn(time === null || time >= to - 1e-9 ? colour : old)} />
      {play.stations
        .filter((station) => !flat || isUsed(station))
        .map((station, i) => (
          <Standing key={i} station={station} size={size} inUse={isUsed(station)} ink={flat ? inkOn(old) : undefined} />
        ))}
      {now && now.path.length > 1 && <polyline points={text(now.path)} className="tool-path" />}
      {tool && <circle cx={tool.x} cy={-tool.y} r={size * 0.022} className="tool-now" />}
    </svg>
  );
}

/** Lines and edges are too thin to be written on. */
const BADGED: ReadonlySet<StrokeKind> = new Set<StrokeKind>(['cut', 'edge', 'bar']);

/** Each step's number, on the largest of what it covers; what is too small for one has none. */
interface NumbersProps extends Pick<PictureProps, 'strokes'> {
  readonly size: number;
  /** What reads on a stroke that ends then. */
  readonly inkAt: (to: number) => string | undefined;
}
function Numbers({ strokes, size, inkAt }: NumbersProps) {
  const badged = new Set(strokes.filter((p) => BADGED.has(p.stroke.kind)).map((p) => p.stroke.step));
  const reveals = new Set(strokes.filter((p) => p.stroke.kind === 'reveal').map((p) => p.stroke.step));
  const largest = new Map<number, { readonly shape: Shape; readonly to: number }>();
  const spread = (shape: Shape): number => {
    const box = boxOf(shape);
    return Math.max(box.right - box.left, box.top - box.bottom);
  };
  for (const { stroke, shapes, to } of strokes)
    for (const shape of stroke.shape.length || stroke.kind === 'reveal' ? shapes : []) {
      const known = largest.get(stroke.step);
      if (!known || spread(shape) > spread(known.shape)) largest.set(stroke.step, { shape, to });
    }
  return [...largest].map(([step, { shape, to }]) => {
    if (spread(shape) < 0.06 * size) return null;
    const box = boxOf(shape);
    const { x } = middleOf(box);
    const thin = Math.min(box.right - box.left, box.top - box.bottom);
    const isThin = badged.has(step) || thin < 0.03 * size;
    // mouldings are numbered at the edge of their panel
    const upright = isThin && box.top - box.bottom > 2 * thin;
    const y = reveals.has(step)
      ? box.top - 0.08 * size
      : upright
        ? box.bottom + (box.top - box.bottom) * 0.72
        : middleOf(box).y;
    return (
      <g key={step}>
        {isThin && <circle cx={x} cy={-y} r={size * 0.038} className="stroke-badge" />}
        <text
          x={x}
          y={-y}
          fontSize={isThin ? size * 0.055 : Math.min(size * 0.06, thin * 0.95)}
          style={isThin ? undefined : { fill: inkAt(to) }}
          textAnchor="middle"
          dominantBaseline="central"
          className="stroke-number"
        >
          {step}
        </text>
      </g>
    );
  });
}

/** A tray on the floor, a ladder before the wall; each with its word while it is used. */
interface StandingProps {
  readonly station: Station;
  readonly size: number;
  readonly inUse: boolean;
  /** Where it is drawn on the surface itself. */
  readonly ink: string | undefined;
}
function Standing({ station, size, inUse, ink }: StandingProps) {
  const { x, y } = station.at;
  const [w, h] = [0.07 * size, 0.045 * size];
  const drawn =
    station.kind === 'tray'
      ? `M${x - w} ${-y + h * 2}h${2 * w}l${-w * 0.35} ${h}h${-1.3 * w}z`
      : `M${x - w * 0.5} ${-y + h * 1.4}L${x - w * 0.2} ${-y - h * 1.6}h${w * 0.4}L${x + w * 0.5} ${-y + h * 1.4}M${x - w * 0.4} ${-y + h * 0.4}h${w * 0.8}M${x - w * 0.3} ${-y - h * 0.6}h${w * 0.6}`;
  return (
    <g className={inUse ? 'station used' : 'station'}>
      <path d={drawn} style={ink ? { stroke: ink } : undefined} />
      {inUse && (
        <text
          x={x + w * 1.3}
          y={-y + h * (station.kind === 'tray' ? 2.5 : 0.9)}
          style={ink ? { fill: ink } : undefined}
          fontSize={size * 0.05}
          dominantBaseline="central"
        >
          {station.kind}
        </text>
      )}
    </g>
  );
}
