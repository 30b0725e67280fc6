import { boxOf } from '@kovelin/core/plays/shapes.ts';
import type { Shape } from '@kovelin/core/plays/play.ts';
import { bandShape, jointShape, standingAt, type Wetness } from '@kovelin/core/wetEdge/drawn.ts';
import type { WetAnswer } from '@kovelin/core/wetEdge/wetEdge.ts';
import { inkOn } from '../../drawing/coat.ts';

const text = (shape: Shape) => shape.map((p) => `${p.x.toFixed(3)},${(-p.y).toFixed(3)}`).join(' ');

/** Hatch for a chance: the denser, the likelier; below the first nothing is drawn. */
const DENSITIES = [
  [0.02, 'rare'],
  [0.1, 'some'],
  [0.3, 'many'],
  [0.6, 'most'],
] as const;
const densityOf = (chance: number): string | null => DENSITIES.findLast(([least]) => chance >= least)?.[1] ?? null;
const GAPS = { rare: 0.16, some: 0.09, many: 0.05, most: 0.028 } as const;

interface WetPictureProps {
  readonly answer: WetAnswer;
  /** Of each edge, how often a mark on it is seen; null: not worked out yet. */
  readonly seen: Float64Array | null;
  /** Minutes of the plan; null: as it ends, with what would be seen on it. */
  readonly time: number | null;
  readonly colour: string;
  readonly old: string;
  /** Patterns have names in the page. */
  readonly name: string;
}

/** A wall with how often a mark is seen on each of its edges; or as wet as it is at a minute of its painting. */
export function WetPicture({ answer, seen, time, colour, old, name }: WetPictureProps) {
  const { setup, oldest, case: found } = answer;
  const { wall } = found;
  const { left, right, bottom, top } = boxOf(wall.strips.flatMap((s) => s.shapes.flat()));
  const size = Math.max((right - left) / 3, top - bottom);
  const margin = 0.05 * size;
  const view = [left - margin, -top - margin, right - left + 2 * margin, top - bottom + 2 * margin].join(' ');
  const now = time === null ? null : standingAt(setup, time, found.open.minutes);
  const edge = (i: number): Shape => {
    const n = setup.cells.of[i] ?? 0;
    const cut = wall.cuts[n];
    return i < setup.cells.bands ? (cut ? bandShape(cut, 0.03 * size) : []) : jointShape(wall, n, 0.05 * size);
  };
  return (
    <svg viewBox={view} className="wet-picture" role="img" aria-label="The wall, and where it may be marked">
      <defs>
        {DENSITIES.map(([, key]) => (
          <pattern
            key={key}
            id={`${name}-${key}`}
            width={GAPS[key]}
            height={GAPS[key]}
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <line x1="0" y1="0" x2="0" y2={GAPS[key]} className="risk-line" />
          </pattern>
        ))}
        <pattern id={`${name}-wet`} width={0.16} height={0.08} patternUnits="userSpaceOnUse">
          <path d="M0 .04q.04 -.04 .08 0t.08 0" className="wet-line" />
        </pattern>
        <pattern id={`${name}-tacking`} width={0.1} height={0.1} patternUnits="userSpaceOnUse">
          <circle cx=".05" cy=".05" r=".012" className="tack-dot" />
        </pattern>
      </defs>
      {wall.strips.flatMap((strip, i) =>
        strip.shapes.map((shape, k) => (
          <Film
            key={`${i}.${k}`}
            shape={shape}
            is={now ? (now.strips[i] ?? 'bare') : 'dry'}
            colour={colour}
            old={old}
            name={name}
          />
        )),
      )}
      {!now &&
        found.play.strokes.flatMap((s) =>
          s.kind === 'cut'
            ? s.shape.map((shape, k) => (
                <Film key={`${s.id}${k}`} shape={shape} is="dry" colour={colour} old={old} name={name} />
              ))
            : [],
        )}
      {now &&
        wall.cuts.map((cut, i) => (
          <Film
            key={`c${i}`}
            shape={bandShape(cut, 0.025 * size)}
            is={now.cuts[i] ?? 'bare'}
            colour={colour}
            old={null}
            name={name}
          />
        ))}
      {!now &&
        seen &&
        [...seen].map((p, i) => {
          const density = densityOf(p);
          return (
            density && <polygon key={i} points={text(edge(i))} fill={`url(#${name}-${density})`} className="risk" />
          );
        })}
      {!now && oldest >= 0 && (
        <polygon points={text(edge(oldest))} className="oldest" style={{ stroke: inkOn(colour) }} />
      )}
    </svg>
  );
}
interface FilmProps {
  readonly shape: Shape;
  readonly is: Wetness;
  readonly colour: string;
  /** What is below; null: nothing is drawn where it is bare. */
  readonly old: string | null;
  readonly name: string;
}
function Film({ shape, is, colour, old, name }: FilmProps) {
  const fill = is === 'bare' ? old : colour;
  if (!shape.length || fill === null) return null;
  const points = text(shape);
  return (
    <>
      <polygon points={points} fill={fill} className="stroke" style={{ stroke: inkOn(fill) }} />
      {(is === 'wet' || is === 'tacking') && <polygon points={points} fill={`url(#${name}-${is})`} />}
    </>
  );
}
