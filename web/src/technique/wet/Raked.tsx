import { boxOf } from '@kovelin/core/plays/shapes.ts';
import type { Shape } from '@kovelin/core/plays/play.ts';
import { bandShape, jointShape } from '@kovelin/core/wetEdge/drawn.ts';
import { markStrength } from '@kovelin/core/specify/visible.ts';
import type { WetAnswer } from '@kovelin/core/wetEdge/wetEdge.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';

interface RakedProps {
  readonly answer: WetAnswer;
  /** Of each edge, how likely a mark is on it, a halo by how much less it is seen than a lap. */
  readonly likely: Float64Array | null;
  readonly specified: Specified;
  /** Where the lamp stands along the wall, 0 to 1. */
  readonly lamp: number;
  readonly name: string;
  readonly label: string;
}

/** The wall as it would look with a lamp beside it: marks as likely as they are, as plain as sheen, depth and angle let them be. */
export function Raked({ answer, likely, specified, lamp, name, label }: RakedProps) {
  const { setup, case: found } = answer;
  const { wall } = found;
  const shapes = [
    ...wall.strips.flatMap((s) => s.shapes),
    ...found.play.strokes.filter((s) => s.kind === 'cut').flatMap((s) => s.shape),
  ];
  const { left, right, bottom, top } = boxOf(shapes.flat());
  const at = left + (right - left) * lamp;
  const size = Math.max(right - left, top - bottom);
  const points = (shape: Shape) => shape.map((p) => `${p.x},${-p.y}`).join(' ');
  return (
    <figure className="raked">
      <svg viewBox={[left, -top, right - left, top - bottom].join(' ')} role="img" aria-label={label}>
        <defs>
          <linearGradient id={`${name}-lamp`} gradientUnits="userSpaceOnUse" x1={left} x2={right} y1="0" y2="0">
            <stop offset="0" stopColor="#000" stopOpacity={0.12 + 0.5 * lamp} />
            <stop offset={lamp} stopColor="#fff" stopOpacity="0.28" />
            <stop offset="1" stopColor="#000" stopOpacity={0.12 + 0.5 * (1 - lamp)} />
          </linearGradient>
        </defs>
        {shapes.map((shape, i) => (
          <polygon
            key={i}
            points={points(shape)}
            fill={specified.colour.hex}
            stroke={specified.colour.hex}
            strokeWidth={0.006}
          />
        ))}
        {likely &&
          [...likely].map((p, i) => {
            const n = setup.cells.of[i] ?? 0;
            const cut = wall.cuts[n];
            const isBand = i < setup.cells.bands;
            const shape = isBand ? (cut ? bandShape(cut, 0.035) : []) : jointShape(wall, n, 0.05);
            if (!shape.length) return null;
            const middle = shape.reduce((sum, q) => sum + q.x, 0) / shape.length;
            const strength = p * markStrength(specified, Math.abs(middle - at) / size);
            if (strength < 0.01) return null;
            return (
              <polygon
                key={`m${i}`}
                points={points(shape)}
                // a lap is a double film that shines, a halo a thin one that is dull
                fill={isBand ? '#000' : '#fff'}
                fillOpacity={strength * 0.7}
              />
            );
          })}
        <rect
          x={left}
          y={-top}
          width={right - left}
          height={top - bottom}
          fill={`url(#${name}-lamp)`}
          className="lamp-light"
        />
      </svg>
      <figcaption>{label}</figcaption>
    </figure>
  );
}
