import type { Patch } from '@kovelin/core/inspect/beam.ts';
import type { Defect } from '@kovelin/core/job/recorded.ts';
import { DEFECT } from '@kovelin/core/words/found.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { said } from '@kovelin/core/units/word.ts';
import type { MouseEvent } from 'react';
import { path, type Transform } from '../drawing/transform.ts';

/** Where the sun falls on one wall, in its own metres. */
export function SunOn({ at, patches }: { readonly at: Transform; readonly patches: readonly Patch[] }) {
  return (
    <g transform={at.toString()} className="sun-patches" aria-hidden="true">
      {patches.map(({ points, window }, i) => (
        <polygon key={`${window}-${i}`} points={path(points)} />
      ))}
    </g>
  );
}

/** Takes a tap for a place, in metres of the surface. */
export function Tapped({
  at,
  onTap,
  points,
}: {
  readonly at: Transform;
  readonly points: string;
  readonly onTap: (x: number, y: number) => void;
}) {
  const tap = (event: MouseEvent<SVGGElement>) => {
    const inverse = event.currentTarget.getScreenCTM()?.inverse();
    if (!inverse) return;
    const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(inverse);
    onTap(p.x, p.y);
  };
  return (
    <g transform={at.toString()} className="tapped" onClick={tap}>
      <polygon points={points} />
    </g>
  );
}

interface PinProps {
  readonly at: Transform;
  readonly defect: Defect;
  readonly n: number;
  readonly chosen: boolean;
  readonly system: System;
  readonly onChoose: () => void;
}
/** A defect where it is, as large as it is, with its number on the list. */
export function Pin({ at, defect, n, chosen, system, onChoose }: PinProps) {
  if (!defect.at) return null;
  const { x, y } = at.at(defect.at);
  const across = Math.max(5, (defect.size * at.scale) / 2);
  const name = `${n}: ${said(DEFECT[defect.kind].name, system)}, ${defect.state}`;
  const reach = across * 0.7 + 4;
  return (
    <g className={`pin ${defect.state}${chosen ? ' chosen' : ''}`}>
      <ellipse cx={x} cy={y} rx={across} ry={Math.max(5, across * 0.7)} />
      <g
        role="button"
        tabIndex={0}
        aria-label={name}
        aria-pressed={chosen}
        onClick={(event) => {
          event.stopPropagation();
          onChoose();
        }}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' && event.key !== ' ') return;
          event.preventDefault();
          onChoose();
        }}
      >
        <path d={`M${x + reach} ${y - reach * 0.7}l9 -7`} className="pin-leader" />
        <path
          d={`M${x + reach + 5} ${y - reach * 0.7 - 22}l3 3l-3 3l3 3l-3 3l3 3l-3 3h${defect.state === 'mended' ? 34 : 24}l3 -3l-3 -3l3 -3l-3 -3l3 -3l-3 -3Z`}
          className="pin-tape"
        />
        <text x={x + reach + 11} y={y - reach * 0.7 - 8}>
          {n}
          {defect.state === 'mended' ? ' ✓' : ''}
        </text>
      </g>
    </g>
  );
}
