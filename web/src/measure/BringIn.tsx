import { MAX_PLAN_BYTES, wallsOf, type Chain } from '@kovelin/core/exchange/plan/chains.ts';
import { MAX_READINGS_BYTES } from '@kovelin/core/exchange/readings.ts';
import { rows } from '@kovelin/core/job/table.ts';
import type { Room } from '@kovelin/core/job/measured.ts';
import { polygonArea } from '@kovelin/core/measure/geometry.ts';
import { formatLength } from '@kovelin/core/units/length.ts';
import { sentence } from '@kovelin/core/units/problem.ts';
import { formatArea } from '@kovelin/core/units/quantities.ts';
import { METRES_PER, type LengthUnit, isImperial } from '@kovelin/core/units/si.ts';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useHalfTyped } from '../app/half-typed.ts';
import { Choice } from '../ui/Choice.tsx';
import type { JobView } from '../app/job-context.ts';
import { useSpelt } from '../app/useSpelt.ts';
import { freshId } from '../store/ids.ts';
import { FilePick } from '../ui/FilePick.tsx';
import { TextInput } from '../ui/TextInput.tsx';
import { Window } from '../ui/Window.tsx';
import { ReadingBar } from '../ui/ReadingBar.tsx';
import { PlanShape } from '../drawing/PlanShape.tsx';
import { askFiles, useReading, whyNotRead } from '../workers/files.ts';
import type { PlanHead } from '../workers/files.worker.ts';
import { Problems } from '../ui/Problems.tsx';

interface Props {
  readonly view: JobView;
  readonly room: Room;
  readonly onClose: () => void;
}

/** Lengths from a list, or walls from a floor plan: shown first, taken when confirmed. */
export default function BringIn(props: Props) {
  const [what, setWhat] = useState<'list' | 'plan'>('list');
  return (
    <Window
      title={
        <>
          Bring measurements into <bdi>{props.room.name}</bdi>
        </>
      }
      maxWidth="md"
      className="bring-in"
      actions={null}
      onClose={props.onClose}
    >
      <Choice<'list' | 'plan'>
        label="From"
        value={what}
        options={[
          ['list', 'a list of readings (pasted, or CSV)'],
          ['plan', 'a floor plan (DXF or SVG)'],
        ]}
        onChange={setWhat}
      />
      {what === 'list' ? <FromList {...props} /> : <FromPlan {...props} />}
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

const UNITS: readonly (readonly [LengthUnit | '', string])[] = [
  ['', 'choose'],
  ['mm', 'millimetres'],
  ['cm', 'centimetres'],
  ['m', 'metres'],
  ['in', 'inches'],
  ['ft', 'feet'],
];

function FromPlan({ view, room, onClose }: Props) {
  const spell = useSpelt();
  const { session, system } = view;
  const [file, setFile] = useState<(PlanHead & { readonly text: string }) | null>(null);
  const reading = useReading();
  const [refused, setRefused] = useState<string[]>([]);
  const [layer, setLayer] = useState('');
  const [unit, setUnit] = useState<LengthUnit | ''>('');
  const [pick, setPick] = useState(0);
  const [name, setName] = useState('');
  const open = async (chosen: File | undefined) => {
    if (!chosen) return;
    setName(chosen.name);
    setPick(0);
    setFile(null);
    if (chosen.size > MAX_PLAN_BYTES)
      return setRefused(['This drawing is larger than 20 MB; export only the floor plan.']);
    const text = await chosen.text();
    const read = await reading.read(
      chosen.name,
      (api) => api.plan(text),
      (why) => setRefused([why]),
    );
    if (!read) return;
    setRefused(read.ok ? [] : read.problems.map(sentence));
    if (!read.ok) return;
    const { layers } = read.value;
    setFile({ ...read.value, text });
    setLayer(layers.find((l) => /plan|wall/i.test(l)) ?? layers[0] ?? '');
    setUnit(read.value.unit ?? '');
  };
  const scale = file?.metresPerUnit ?? (unit ? METRES_PER[unit] : null);
  const { data: outlines = null, error } = useQuery({
    queryKey: ['outlines', name, file?.text.length, layer, scale],
    queryFn: ({ signal }) => askFiles((api) => api.outlines(file?.text ?? '', layer, scale ?? 1), signal),
    enabled: file !== null && layer !== '' && scale !== null,
    networkMode: 'always',
    retry: false,
    gcTime: 0,
  });
  const chosen: Chain | undefined = outlines?.ok ? outlines.value[pick] : undefined;
  const walls = chosen && wallsOf(chosen, system);
  const problems = [
    ...refused,
    ...(error ? [whyNotRead(name, error) ?? ''] : []),
    ...(outlines && !outlines.ok ? outlines.problems.map((p) => p.message) : []),
    ...(walls && !walls.ok ? walls.problems.map((p) => p.message) : []),
    ...(file && !file.layers.length ? ['There are no lines, polylines or arcs in this drawing.'] : []),
  ];
  const take = () => {
    if (!walls?.ok) return;
    const drafts = rows(room.openings).length + rows(room.parts).length;
    session.run({
      name: 'setRoomFromText',
      args: {
        room: room.id,
        seed: freshId(),
        draft: {
          name: room.name,
          height: room.height,
          walls: walls.value,
          openings: [],
          checks: [],
          trim: room.trim,
          parts: rows(room.parts).flatMap((p) => (p.wall === null ? [{ ...p, wall: null }] : [])),
        },
      },
    });
    if (drafts)
      session.tell(
        `The walls of ${room.name} are new; what stood on its old walls went with them. Undo brings it back.`,
      );
    onClose();
  };
  return (
    <>
      <FilePick accept=".dxf,.svg" label="The drawing" onFiles={([chosen]) => void open(chosen)}>
        {name || 'Choose the drawing'}
      </FilePick>
      {file && file.layers.length > 0 && (
        <span className="pair">
          <Choice
            label="Layer with the room’s outline"
            value={layer}
            options={file.layers.map((l) => [l, l])}
            onChange={(next) => {
              setLayer(next);
              setPick(0);
            }}
          />
          {file.metresPerUnit === null && (
            <Choice<LengthUnit | ''>
              label={file.unit ? 'Drawn in (the file says so)' : 'Drawn in: the file does not say'}
              value={unit}
              options={UNITS.map(([key, name]) => [key, spell(name)] as const)}
              onChange={setUnit}
            />
          )}
        </span>
      )}
      <ReadingBar reading={reading} />
      <Problems items={problems} />
      <Problems items={file?.notes ?? []} soft />
      {file && !scale && <Problems items={['Choose the unit it is drawn in; the walls follow.']} soft />}
      {outlines?.ok && outlines.value.length > 1 && (
        <ToggleButtonGroup exclusive aria-label="Which outline?" value={pick} className="outlines">
          {outlines.value.map((outline, i) => (
            <ToggleButton key={i} value={i} onClick={() => setPick(i)}>
              <PlanShape corners={outline.corners} />
              {formatArea(polygonArea(outline.corners), system)}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      )}
      {walls?.ok && chosen && (
        <div className="confirm">
          <PlanShape corners={chosen.corners} size={150} />
          <ul className="preview" aria-label="What would be taken">
            {walls.value.map((wall) => (
              <li key={wall.label}>
                {wall.label}: <b>{formatLength(wall.length?.metres ?? 0, system)}</b>
                {wall.bow && <small> bowed {wall.bow.side}</small>}
              </li>
            ))}
          </ul>
        </div>
      )}
      <p className="hint">
        The walls replace those of {room.name}. Tape one or two of them before you trust the drawing.
      </p>
      <div className="row-buttons">
        <Button variant="contained" disabled={!walls?.ok} onClick={take}>
          Take these walls
        </Button>
        <Button onClick={onClose}>Close</Button>
      </div>
    </>
  );
}
