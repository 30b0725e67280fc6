import type { Opening } from '@kovelin/core/job/measured.ts';
import { boxOf } from '@kovelin/core/measure/openings.ts';
import type { WallTakeoff } from '@kovelin/core/measure/takeoff.ts';
import { INCH, type Metres, type System, isImperial } from '@kovelin/core/units/si.ts';
import { type KeyboardEvent, type PointerEvent, useState } from 'react';
import { snap, type SnapTo } from './snap.ts';

/** Moving an opening along its wall: what a step does about it. Given by Measure only. */
export interface Placing {
  /** Shows a place without taking it; null takes it back. */
  readonly draft: (opening: Opening, at: Metres | null) => void;
  readonly commit: (opening: Opening, at: Metres) => void;
  /** Goes to the field where its place is typed. */
  readonly type: (opening: Opening) => void;
  /** It was clicked: its fields are brought into sight. */
  readonly open: (opening: Opening) => void;
}

/** Screen pixels within which an edge catches. */
const CATCH = 9;

const tapeStep = (system: System): Metres => (isImperial(system) ? INCH : 0.01);

const boundsOf = (opening: Opening, wall: WallTakeoff, step: Metres, reach: Metres) => ({
  length: wall.outline.length,
  width: opening.width.metres,
  casing: opening.casing?.metres ?? 0,
  others: wall.openings
    .filter((o) => o.id !== opening.id)
    .map((o) => ({ label: o.label, ...boxOf(o, wall.outline, true) })),
  step,
  reach,
});

interface Drag {
  readonly from: { readonly x: number; readonly y: number };
  readonly at: Metres;
  /** Pixels a metre on the screen. */
  readonly scale: number;
  readonly to: SnapTo | null;
}

/** Pointer and arrow keys move an opening; the draft follows, letting go takes it, Escape takes it back. */
export function usePlacing(opening: Opening, wall: WallTakeoff, scale: number, system: System, placing: Placing) {
  const [drag, setDrag] = useState<Drag | null>(null);
  const step = tapeStep(system);
  const end = (take: boolean) => {
    if (drag?.to && take) placing.commit(opening, drag.to.at);
    else if (drag) placing.draft(opening, null);
    setDrag(null);
  };
  return {
    resting: drag?.to ?? null,
    pointer: {
      onPointerDown: (event: PointerEvent<SVGGElement>) => {
        if (event.button !== 0) return;
        event.stopPropagation();
        const zoom = event.currentTarget.getScreenCTM()?.a ?? 1;
        setDrag({ from: { x: event.clientX, y: event.clientY }, at: opening.at.metres, scale: scale * zoom, to: null });
      },
      onPointerMove: (event: PointerEvent<SVGGElement>) => {
        if (!drag) return;
        const moved = event.clientX - drag.from.x;
        if (!drag.to) {
          if (Math.hypot(moved, event.clientY - drag.from.y) < 3) return;
          // from here on it is a drag; until then a click belongs to what it hit
          event.currentTarget.setPointerCapture(event.pointerId);
        }
        const to = snap(drag.at + moved / drag.scale, boundsOf(opening, wall, step, CATCH / drag.scale));
        setDrag({ ...drag, to });
        placing.draft(opening, to.at);
      },
      onPointerUp: () => end(true),
      onPointerCancel: () => end(false),
    },
    onKeyDown: (event: KeyboardEvent) => {
      const way = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
      if (event.key === 'Escape' && drag) end(false);
      else if (event.key === 'Enter') {
        event.preventDefault();
        event.stopPropagation();
        placing.type(opening);
      } else if (way !== undefined && !event.altKey) {
        event.preventDefault();
        const wanted = opening.at.metres + way * (event.shiftKey ? 12 : 1) * step;
        placing.commit(opening, snap(wanted, boundsOf(opening, wall, step, 0)).at);
      }
    },
  };
}
