import { useRef, useState, type PointerEvent } from 'react';
import type { Axis } from './axis.ts';
import type { Bar, Row } from './rows.ts';

/** Where a task was moved: to a time, to somebody; null: it stays as it was. */
export interface Moved {
  /** Minutes from the job's start. */
  readonly at: number | null;
  /** Index into the crew. */
  readonly who: number | null;
}
interface Dragged {
  readonly bar: Bar;
  readonly row: number;
  readonly begun: { readonly x: number; readonly y: number; readonly row: number };
  /** Minutes of the axis at which it would begin. */
  readonly from: number;
  readonly isMoved: boolean;
}
interface DragProps {
  readonly rows: readonly Row[];
  readonly tall: number;
  readonly scale: number;
  readonly axis: Axis;
  readonly onMove: (task: Bar['task'], moved: Moved) => void;
}

/** Fewer pixels are a click. */
const CLICK = 4;
/** Tasks are moved in steps of five minutes. */
const STEP = 5;

/** A bar taken up with the pointer and put down at another time, or in another row. */
export function useDrag({ rows, tall, scale, axis, onMove }: DragProps) {
  const [drag, setDrag] = useState<Dragged | null>(null);
  const moved = useRef(false);
  const end = (take: boolean): void => {
    if (drag?.isMoved && take) {
      const isLater = Math.abs(drag.from - drag.bar.from) >= STEP / 2;
      const person = rows[drag.row]?.person ?? null;
      const isOther = drag.row !== drag.begun.row && person !== null;
      const at = Math.round(axis.timeAt(drag.from) / STEP) * STEP;
      if (isLater || isOther) onMove(drag.bar.task, { at: isLater ? at : null, who: isOther ? person : null });
    }
    setDrag(null);
  };
  return {
    now: drag?.isMoved ? drag : null,
    /** The click that ends a drag is none. */
    wasMoved: () => moved.current,
    begin: (event: PointerEvent, bar: Bar, row: number) => {
      if (event.button !== 0) return;
      moved.current = false;
      setDrag({ bar, row, from: bar.from, isMoved: false, begun: { x: event.clientX, y: event.clientY, row } });
    },
    pointer: {
      onPointerMove: (event: PointerEvent<SVGSVGElement>) => {
        if (!drag) return;
        const [dx, dy] = [event.clientX - drag.begun.x, event.clientY - drag.begun.y];
        if (!drag.isMoved && Math.hypot(dx, dy) < CLICK) return;
        moved.current = true;
        event.currentTarget.setPointerCapture(event.pointerId);
        const row = Math.min(rows.length - 1, Math.max(0, drag.begun.row + Math.round(dy / tall)));
        const from = Math.min(axis.end, Math.max(0, drag.bar.from + dx / scale));
        setDrag({ ...drag, from, row: rows[row]?.person === null ? drag.begun.row : row, isMoved: true });
      },
      onPointerUp: () => end(true),
      onPointerCancel: () => end(false),
    },
  };
}
