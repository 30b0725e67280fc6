import type { Point } from '@kovelin/core/measure/geometry.ts';
import { memo } from 'react';
import { path } from './transform.ts';

/** A room's true plan, small: north is wherever wall A faces. */
export const PlanShape = memo(function PlanShape({ corners, size = 52 }: { corners: readonly Point[]; size?: number }) {
  const [xs, ys] = [corners.map((p) => p.x), corners.map((p) => p.y)];
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const span = Math.max(right - left, high - low);
  if (corners.length < 3 || !(span > 0))
    return <svg width={size} height={size * 0.72} aria-hidden="true" className="plan-shape" />;
  const scale = Math.min((size - 4) / (right - left || 1), (size * 0.72 - 4) / (high - low || 1));
  const points = path(corners.map((p) => ({ x: 2 + (p.x - left) * scale, y: 2 + (high - p.y) * scale })));
  return (
    <svg width={size} height={size * 0.72} aria-hidden="true" className="plan-shape">
      <polygon points={points} />
    </svg>
  );
});
