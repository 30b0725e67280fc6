import { MAX_READINGS_BYTES } from '@kovelin/core/exchange/readings.ts';
import { rows } from '@kovelin/core/job/table.ts';
import type { Room } from '@kovelin/core/job/measured.ts';
import { formatLength } from '@kovelin/core/units/length.ts';
import { isImperial } from '@kovelin/core/units/si.ts';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useHalfTyped } from '../app/half-typed.ts';
import { Choice } from '../ui/Choice.tsx';
import type { JobView } from '../app/job-context.ts';
import { freshId } from '../store/ids.ts';
import { FilePick } from '../ui/FilePick.tsx';
import { TextInput } from '../ui/TextInput.tsx';
import { Window } from '../ui/Window.tsx';
import { FromHouse } from '../rooms/FromHouse.tsx';
import { FromPlan, type Outline } from '../rooms/FromPlan.tsx';
import { askFiles, whyNotRead } from '../workers/files.ts';
import { Problems } from '../ui/Problems.tsx';

interface Props {
  readonly view: JobView;
  readonly room: Room;
  readonly onClose: () => void;
}

/** Lengths from a list, or walls from a floor plan: shown first, taken when confirmed. */
export default function BringIn(props: Props) {
  const { view, room, onClose } = props;
  const { session } = view;
  const take = (walls: Outline) => {
    const stood = rows(room.openings).length + rows(room.parts).length;
    const draft = {
      name: room.name,
      height: room.height,
      walls,
      openings: [],
      checks: [],
      trim: room.trim,
      parts: rows(room.parts).flatMap((part) => (part.wall === null ? [{ ...part, wall: null }] : [])),
    };
    session.run({ name: 'setRoomFromText', args: { room: room.id, seed: freshId(), draft } });
    if (stood)
      session.tell(
        `The walls of ${room.name} are new; what stood on its old walls went with them. Undo brings it back.`,
      );
    onClose();
  };
  const add = (rooms: readonly Room[]) => {
    const [first] = rooms;
    if (!first || !session.run({ name: 'addRooms', args: { rooms } })) return;
    view.goTo(first.id);
    onClose();
  };
  const [what, setWhat] = useState<'list' | 'plan' | 'house'>('list');
  return (
    <Window
      title={
        <>
          Bring measurements into <bdi>{room.name}</bdi>
        </>
      }
      maxWidth="md"
      className="bring-in"
      actions={null}
      onClose={onClose}
    >
      <Choice<'list' | 'plan' | 'house'>
        label="From"
        value={what}
        options={[
          ['list', 'a list of readings (pasted, or CSV)'],
          ['plan', 'a floor plan (DXF or SVG)'],
          ['house', 'more rooms, from a table (CSV)'],
        ]}
        onChange={setWhat}
      />
      {what === 'list' && <FromList {...props} />}
      {what === 'plan' && (
        <FromPlan
          system={view.system}
          onTake={([outline]) => outline && take(outline)}
          onClose={onClose}
          hint={`The walls replace those of ${room.name}. Tape one or two of them before you trust the drawing.`}
        />
      )}
      {what === 'house' && <FromHouse system={view.system} onTake={add} onClose={onClose} />}
    </Window>
  );
}

function FromList({ view, room, onClose }: Props) {
  const { session, system } = view;
  const [text, setText] = useHalfTyped(`${room.id}|readings`, '');
  const [refused, setRefused] = useState<string | null>(null);
  const { data, error, isFetching } = useQuery({
    queryKey: ['readings', text, room, system],
    queryFn: ({ signal }) => askFiles((api) => api.readings(text, room, system), signal),
    enabled: text.trim() !== '',
    networkMode: 'always',
    retry: false,
    gcTime: 0,
  });
  const assigned = text.trim() ? data : undefined;
  const problems = [
    ...(refused ? [refused] : []),
    ...(error ? [whyNotRead('This list', error) ?? ''] : []),
    ...(assigned?.problems ?? []).map((p) => (p.line ? `Row ${p.line}: ${p.message}` : p.message)),
  ];
  const open = async (file: File | undefined) => {
    if (!file) return;
    const large = file.size > MAX_READINGS_BYTES;
    setRefused(large ? `${file.name} is larger than 2 MB; keep only the lengths, one a row.` : null);
    if (!large) setText(await file.text());
  };
  const take = () => {
    if (!assigned?.lengths.length) return;
    session.run({ name: 'setLengths', args: { room: room.id, lengths: assigned.lengths } });
    setText('');
    onClose();
  };
  return (
    <>
      <TextInput
        className="wide"
        label="A length a row; a wall’s letter beside it where the order is another"
        value={text}
        rows={8}
        placeholder={isImperial(system) ? `A, 12'6 1/2\nB, 10'4` : 'A; 3,82 m\nB; 3150 mm'}
        onChange={setText}
      />
      <FilePick accept=".csv,.txt,.tsv,text/*" onFiles={([file]) => void open(file)}>
        Read them from a file
      </FilePick>
      {isFetching && <p role="status">Reading …</p>}
      <Problems items={problems.slice(0, 6)} />
      {assigned && assigned.lengths.length > 0 && (
        <ul className="preview" aria-label="What would be taken">
          {assigned.lengths.map(({ wall, length }) => (
            <li key={wall}>
              {room.walls.byId[wall]?.label}: <b>{formatLength(length.metres, system)}</b>
              {room.walls.byId[wall]?.length && <small> instead of {room.walls.byId[wall]?.length?.typed}</small>}
            </li>
          ))}
        </ul>
      )}
      <div className="row-buttons">
        <Button variant="contained" disabled={!assigned?.lengths.length} onClick={take}>
          Take {assigned?.lengths.length ?? 0} lengths
        </Button>
        <Button onClick={onClose}>Close</Button>
      </div>
    </>
  );
}
