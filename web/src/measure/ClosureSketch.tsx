import type { Closure } from '@kovelin/core/measure/closure.ts';
import { path } from '../drawing/transform.ts';

const SIZE = { width: 150, height: 104 };
const STEPS = [1, 2, 5, 10, 20, 50, 100, 200];

/** The walk in plan with its two ends; the gap between them is drawn larger than it is, and says how much. */
export function ClosureSketch({ closure }: { closure: Closure }) {
  const { corners, gap, misclosure } = closure;
  const across = Math.max(...corners.map((p) => p.x)) - Math.min(...corners.map((p) => p.x));
  const rough = (SIZE.width - 60) / (across || 1);
  const times = STEPS.find((k) => misclosure * k * rough >= 14) ?? STEPS.at(-1) ?? 1;
  // the far end of the drawn gap belongs on the sheet as well
  const drawn = [...corners, { x: gap.x * times, y: gap.y * times }];
  const [xs, ys] = [drawn.map((p) => p.x), drawn.map((p) => p.y)];
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = Math.min((SIZE.width - 28) / (right - left || 1), (SIZE.height - 40) / (high - low || 1));
  const at = (p: { x: number; y: number }) => ({ x: 12 + (p.x - left) * scale, y: 10 + (high - p.y) * scale });
  const [start, end] = [at({ x: 0, y: 0 }), at({ x: gap.x * times, y: gap.y * times })];
  const open = [...corners.map(at), end];
  return (
    <svg
      width={SIZE.width}
      height={SIZE.height}
      className="closure-sketch"
      role="img"
      aria-label={`Plan of the walk; the gap between its ends is drawn ${times} times`}
    >
      <polyline points={path(open)} className="walked" />
      {misclosure > 0.0005 && <path d={`M${end.x} ${end.y}L${start.x} ${start.y}`} className="gap" />}
      <circle cx={start.x} cy={start.y} r="3.2" className="start" />
      <circle cx={end.x} cy={end.y} r="3.2" className="end" />
      {misclosure > 0.0005 && (
        <text x="4" y={SIZE.height - 5}>
          {times === 1 ? 'gap to scale' : `gap drawn ${times} ×`}
        </text>
      )}
    </svg>
  );
}
