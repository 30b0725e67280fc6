import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  arrayMove,
  rectSortingStrategy,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
} from '@dnd-kit/sortable';
import type { OrderPin } from '@kovelin/core/job/lines.ts';
import type { RoomFinish } from '@kovelin/core/lines/finishes.ts';
import type { RoomLines } from '@kovelin/core/lines/lines.ts';
import { heading, type Word } from '@kovelin/core/units/word.ts';
import { namesWord } from '@kovelin/core/words/names.ts';
import { TextButton } from '../ui/TextButton.tsx';
import type { System } from '@kovelin/core/units/si.ts';
import ButtonBase from '@mui/material/ButtonBase';

interface StripProps {
  readonly lines: RoomLines;
  readonly pins: readonly OrderPin[];
  readonly walls: number;
  readonly system: System;
  readonly onPin: (pins: readonly OrderPin[]) => void;
}

/**
 * Finishes of the room in the order in which they lap. One that is dragged is pinned against those it was dragged past; the rest
 * goes on being ordered by cost.
 */
export function OrderStrip({ lines, pins, walls, system, onPin }: StripProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const finishes = lines.order.flatMap((id) => lines.finishes.find((f) => f.id === id) ?? []);
  const moved = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const [from, to] = [lines.order.indexOf(String(active.id)), lines.order.indexOf(String(over.id))];
    const next = arrayMove([...lines.order], from, to);
    const at = next.indexOf(String(active.id));
    const passed = lines.order.slice(Math.min(from, to), Math.max(from, to) + 1).filter((id) => id !== active.id);
    const fresh = passed.map((id): OrderPin =>
      next.indexOf(id) < at ? { before: id, after: String(active.id) } : { before: String(active.id), after: id },
    );
    const about = (pin: OrderPin) => fresh.some((f) => f.before === pin.after && f.after === pin.before);
    onPin([...pins.filter((pin) => !about(pin)), ...fresh]);
  };
  const nameOf = (id: string | number): string =>
    finishes.find((f) => f.id === id)?.surfaces[0]?.colour.name ?? 'The finish';
  const pinned = (id: string) => pins.some((pin) => pin.before === id || pin.after === id);
  return (
    <div className="order-strip">
      <span id="order-of-finishes">laid first</span>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={moved}
        accessibility={{
          screenReaderInstructions: {
            draggable: 'Space takes it up, arrows move it, space lays it down, Escape leaves it.',
          },
          announcements: {
            onDragStart: ({ active }) => `${nameOf(active.id)} is taken up.`,
            onDragOver: ({ active, over }) =>
              over ? `${nameOf(active.id)} would be laid as number ${lines.order.indexOf(String(over.id)) + 1}.` : '',
            onDragEnd: ({ active, over }) =>
              over ? `${nameOf(active.id)} is laid as number ${lines.order.indexOf(String(over.id)) + 1}.` : '',
            onDragCancel: ({ active }) => `${nameOf(active.id)} stays where it was.`,
          },
        }}
      >
        <SortableContext items={[...lines.order]} strategy={rectSortingStrategy}>
          <ol aria-labelledby="order-of-finishes">
            {finishes.map((finish, i) => (
              <Finish
                key={finish.id}
                finish={finish}
                place={i + 1}
                pinned={pinned(finish.id)}
                surfaces={namesWord(
                  finish.surfaces.map((s) => s.surface.name),
                  walls,
                )}
                system={system}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      <span>laid last</span>
      {pins.length > 0 && <TextButton onClick={() => onPin([])}>Let cost order them</TextButton>}
    </div>
  );
}

interface FinishProps {
  readonly finish: RoomFinish;
  readonly place: number;
  readonly pinned: boolean;
  readonly surfaces: Word;
  readonly system: System;
}
function Finish({ finish, place, pinned, surfaces, system }: FinishProps) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: finish.id });
  return (
    <li
      ref={setNodeRef}
      className={isDragging ? 'dragged' : ''}
      style={transform ? { transform: `translateX(${transform.x}px)`, transition: transition ?? '' } : undefined}
    >
      <ButtonBase {...attributes} {...listeners} title={heading(finish.label, system)}>
        <b>{place}</b>
        <span className="chip" style={{ background: finish.hex }} />
        <span className="finish-name">
          {finish.surfaces[0]?.colour.name}
          <small>{heading(surfaces, system)}</small>
        </span>
        {pinned && <i>pinned</i>}
      </ButtonBase>
    </li>
  );
}
