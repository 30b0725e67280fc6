import type { Edit } from '@kovelin/core/job/edits.ts';
import type { Room, Wall } from '@kovelin/core/job/measured.ts';
import type { WallShape } from '@kovelin/core/job/wall-shapes.ts';
import { tapeReading, type Reading } from '@kovelin/core/units/reading.ts';
import Button from '@mui/material/Button';
import { useId, useRef, useState } from 'react';
import type { JobView } from '../app/job-context.ts';
import { freshId } from '../store/ids.ts';
import { Choice } from '../ui/Choice.tsx';
import { LengthField } from '../ui/LengthField.tsx';
import { Message } from '../ui/Message.tsx';
import { OFFSET, WALL } from './parts.ts';
import { startPart } from './start-part.ts';

/** A niche is let into the wall, and no wall of its own. */
type Shape = WallShape | 'niche';
const SHAPES: readonly (readonly [Shape, string])[] = [
  ['breast', 'chimney breast'],
  ['alcove', 'alcove'],
  ['bay', 'bay'],
  ['niche', 'niche'],
];

/** Each with the field that Enter goes on to. */
const SIZES = [
  ['width', 'depth'],
  ['depth', 'place'],
] as const;

interface Said {
  readonly shape: Shape;
  readonly width: Reading | null;
  readonly depth: Reading | null;
  /** null: in the middle. */
  readonly place: Reading | null;
}
const NOTHING: Said = { shape: 'breast', width: null, depth: null, place: null };

/** What is built into a wall in one go: it becomes real walls with their turns. */
export function AddToWall({ view, room, wall }: { view: JobView; room: Room; wall: Wall }) {
  const { session, system } = view;
  const [said, setSaid] = useState<Said>(NOTHING);
  // Enter in the last field takes it and adds in one go: what was said just now counts
  const latest = useRef(said);
  const [refused, setRefused] = useState<string | null>(null);
  const id = useId();
  const placeOf = ({ width, place }: Said): Reading | null =>
    place ?? (wall.length && width ? tapeReading((wall.length.metres - width.metres) / 2, system) : null);
  const put = (change: Partial<Said>) => {
    latest.current = { ...latest.current, ...change };
    setSaid(latest.current);
    setRefused(null);
    return null;
  };
  const go = (field: string) => document.getElementById(`${id}${field}`)?.focus();
  const add = () => {
    const { shape, width, depth } = latest.current;
    const at = placeOf(latest.current);
    if (!width || !depth || !at) return go(width ? 'depth' : 'width');
    const ask = { width, depth, at };
    const said: Edit =
      shape === 'niche'
        ? { name: 'addPart', args: { room: room.id, part: startPart(view, room, 'recess', { ...ask, wall: wall.id }) } }
        : { name: 'shapeWall', args: { room: room.id, wall: wall.id, ask: { shape, ...ask }, seed: freshId() } };
    setRefused(session.edit(said));
  };
  const { shape, place } = said;
  const middle = placeOf({ ...said, place: null });
  return (
    <fieldset>
      <legend>Add to this wall</legend>
      <span className="pair">
        <Choice label="What" value={shape} options={SHAPES} onChange={(next) => put({ shape: next })} />
        {SIZES.map(([key, after]) => (
          <LengthField
            key={key}
            id={`${id}${key}`}
            label={key === 'width' && shape !== 'breast' ? 'Its opening' : `Its ${key}`}
            optional
            system={system}
            value={said[key]}
            options={WALL}
            onCommit={(next) => put({ [key]: next })}
            onEnter={() => go(after)}
          />
        ))}
        <LengthField
          id={`${id}place`}
          label="From its start"
          optional
          system={system}
          value={place}
          options={OFFSET}
          placeholder={middle ? `${middle.typed}: in the middle` : 'in the middle'}
          onCommit={(next) => put({ place: next })}
          onEnter={add}
        />
      </span>
      {refused && <Message kind="wrong">{refused}</Message>}
      <Button size="small" variant="outlined" onClick={add}>
        Add it
      </Button>
    </fieldset>
  );
}
