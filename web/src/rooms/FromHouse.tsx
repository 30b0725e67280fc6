import { HOUSE_EXAMPLE, type House } from '@kovelin/core/exchange/house.ts';
import { MAX_READINGS_BYTES } from '@kovelin/core/exchange/readings.ts';
import type { Room } from '@kovelin/core/job/measured.ts';
import { rows } from '@kovelin/core/job/table.ts';
import { aboutLength } from '@kovelin/core/units/length.ts';
import { sentence } from '@kovelin/core/units/problem.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { heading } from '@kovelin/core/units/word.ts';
import { ROOM_USE } from '@kovelin/core/words/terms.ts';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { freshId } from '../store/ids.ts';
import { download } from '../store/take-out.ts';
import { Cell, DataTable, Row, RowHead } from '../ui/DataTable.tsx';
import { FilePick } from '../ui/FilePick.tsx';
import { Problems } from '../ui/Problems.tsx';
import { ReadingBar } from '../ui/ReadingBar.tsx';
import { TextButton } from '../ui/TextButton.tsx';
import { useReading } from '../workers/files.ts';
import { useArrived } from './useArrived.ts';

interface Props {
  readonly system: System;
  /** Chosen already. */
  readonly first?: File;
  readonly onTake: (rooms: readonly Room[]) => void;
  readonly onClose: () => void;
}

const MOST_SAID = 12;

/** Rectangular rooms from a table, a line each: shown first with what was not read, taken when confirmed. */
export function FromHouse({ system, first, onTake, onClose }: Props) {
  const [name, setName] = useState('');
  const [house, setHouse] = useState<House | null>(null);
  const [refused, setRefused] = useState<readonly string[]>([]);
  const reading = useReading();
  const open = async (file: File) => {
    setName(file.name);
    setHouse(null);
    if (file.size > MAX_READINGS_BYTES)
      return setRefused([`${file.name} is larger than 2 MB; a table has a line a room.`]);
    const text = await file.text();
    const read = await reading.read(
      file.name,
      (api) => api.house(text, system, freshId()),
      (why) => setRefused([why]),
    );
    if (!read) return;
    setRefused(read.ok ? [] : read.problems.map(sentence));
    if (read.ok) setHouse(read.value);
  };
  useArrived(first, (file) => void open(file));
  const rooms = house?.rooms ?? [];
  const notes = (house?.notes ?? []).map(sentence);
  const said = [
    ...notes.slice(0, MOST_SAID),
    ...(notes.length > MOST_SAID ? [`... and ${notes.length - MOST_SAID} more.`] : []),
  ];
  const size = ({ walls, height }: Room) =>
    [
      ...rows(walls)
        .slice(0, 2)
        .map(({ length }) => length),
      height,
    ]
      .map((reading) => aboutLength(reading?.metres ?? 0, system))
      .join(' × ');
  const count = ({ openings }: Room, kind: 'door' | 'window') => rows(openings).filter((o) => o.kind === kind).length;
  return (
    <>
      <div className="row-buttons">
        <FilePick accept=".csv,.tsv,.txt,text/*" label="The table" onFiles={([file]) => file && void open(file)}>
          {name || 'Choose the table'}
        </FilePick>
        <TextButton onClick={() => download('rooms.csv', HOUSE_EXAMPLE, 'text/csv')}>An example to fill in</TextButton>
      </div>
      <p className="hint">
        A line of headings, then a room a line: room, length, width, height, doors, windows, use. Lengths as you write
        them.
      </p>
      <ReadingBar reading={reading} />
      <Problems items={refused.slice(0, MOST_SAID)} />
      {rooms.length > 0 && (
        <div className="scroll" tabIndex={0} role="region" aria-label="Rooms read">
          <DataTable
            label="What would be taken"
            columns={['Room', 'Length × width × height', 'Doors', 'Windows', 'Used as']}
          >
            {rooms.map((room) => (
              <Row key={room.id}>
                <RowHead>{room.name}</RowHead>
                <Cell label="Size" className="number">
                  {size(room)}
                </Cell>
                <Cell label="Doors" className="number">
                  {count(room, 'door')}
                </Cell>
                <Cell label="Windows" className="number">
                  {count(room, 'window')}
                </Cell>
                <Cell label="Used as">{heading(ROOM_USE[room.use], system)}</Cell>
              </Row>
            ))}
          </DataTable>
        </div>
      )}
      <Problems items={said} soft />
      <div className="row-buttons">
        <Button variant="contained" disabled={!rooms.length} onClick={() => onTake(rooms)}>
          {rooms.length === 1 ? 'Take this room' : `Take ${rooms.length || 'these'} rooms`}
        </Button>
        <Button onClick={onClose}>Close</Button>
      </div>
    </>
  );
}
