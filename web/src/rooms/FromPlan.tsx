import { MAX_PLAN_BYTES, wallsOf } from '@kovelin/core/exchange/plan/chains.ts';
import type { DraftRoom } from '@kovelin/core/job/reconcile.ts';
import { polygonArea } from '@kovelin/core/measure/geometry.ts';
import { formatLength } from '@kovelin/core/units/length.ts';
import { sentence } from '@kovelin/core/units/problem.ts';
import { formatArea } from '@kovelin/core/units/quantities.ts';
import { METRES_PER, type LengthUnit, type System } from '@kovelin/core/units/si.ts';
import { spelt } from '@kovelin/core/units/word.ts';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useArrived } from './useArrived.ts';
import { PlanShape } from '../drawing/PlanShape.tsx';
import { Choice } from '../ui/Choice.tsx';
import { FilePick } from '../ui/FilePick.tsx';
import { Problems } from '../ui/Problems.tsx';
import { ReadingBar } from '../ui/ReadingBar.tsx';
import { askFiles, useReading, whyNotRead } from '../workers/files.ts';
import './rooms.css';
import type { PlanHead } from '../workers/files.worker.ts';

/** The walls of an outline, in their order. */
export type Outline = DraftRoom['walls'];

interface Props {
  readonly system: System;
  /** Chosen already. */
  readonly first?: File;
  /** Several outlines may be taken, a room each. */
  readonly several?: boolean;
  readonly hint: string;
  readonly onTake: (outlines: readonly Outline[]) => void;
  readonly onClose: () => void;
}

const UNITS: readonly (readonly [LengthUnit | '', string])[] = [
  ['', 'choose'],
  ['mm', 'millimetres'],
  ['cm', 'centimetres'],
  ['m', 'metres'],
  ['in', 'inches'],
  ['ft', 'feet'],
];

/** Outlines of rooms in a drawing: its layer, its unit, and which of them; shown first, taken when confirmed. */
export function FromPlan({ system, first, several = false, hint, onTake, onClose }: Props) {
  const [file, setFile] = useState<(PlanHead & { readonly text: string }) | null>(null);
  const reading = useReading();
  const [refused, setRefused] = useState<string[]>([]);
  const [layer, setLayer] = useState('');
  const [unit, setUnit] = useState<LengthUnit | ''>('');
  /** null: all of them where several may be taken, else the largest. */
  const [picked, setPicked] = useState<readonly number[] | null>(null);
  const [name, setName] = useState('');
  const open = async (chosen: File | undefined) => {
    if (!chosen) return;
    setName(chosen.name);
    setPicked(null);
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
  useArrived(first, (chosen) => void open(chosen));
  const scale = file?.metresPerUnit ?? (unit ? METRES_PER[unit] : null);
  const { data: outlines = null, error } = useQuery({
    queryKey: ['outlines', name, file?.text.length, layer, scale],
    queryFn: ({ signal }) => askFiles((api) => api.outlines(file?.text ?? '', layer, scale ?? 1), signal),
    enabled: file !== null && layer !== '' && scale !== null,
    networkMode: 'always',
    retry: false,
    gcTime: 0,
  });
  const all = outlines?.ok ? outlines.value : [];
  const at = picked ?? (several ? all.map((_, i) => i) : [0]);
  const chosen = at.flatMap((i) => all[i] ?? []);
  const walls = chosen.map((chain) => wallsOf(chain, system));
  const taken = walls.flatMap((one) => (one.ok ? [one.value] : []));
  const isWhole = taken.length > 0 && taken.length === walls.length;
  const [only] = taken.length === 1 ? taken : [];
  const problems = [
    ...refused,
    ...(error ? [whyNotRead(name, error) ?? ''] : []),
    ...(outlines && !outlines.ok ? outlines.problems.map((p) => p.message) : []),
    ...walls.flatMap((one) => (one.ok ? [] : one.problems.map((p) => p.message))),
    ...(file && !file.layers.length ? ['There are no lines, polylines or arcs in this drawing.'] : []),
  ];
  return (
    <>
      <FilePick accept=".dxf,.svg" label="The drawing" onFiles={([next]) => void open(next)}>
        {name || 'Choose the drawing'}
      </FilePick>
      {file && file.layers.length > 0 && (
        <span className="pair">
          <Choice
            label={several ? 'Layer with the outlines of rooms' : 'Layer with the room’s outline'}
            value={layer}
            options={file.layers.map((l) => [l, l])}
            onChange={(next) => {
              setLayer(next);
              setPicked(null);
            }}
          />
          {file.metresPerUnit === null && (
            <Choice<LengthUnit | ''>
              label={file.unit ? 'Drawn in (the file says so)' : 'Drawn in: the file does not say'}
              value={unit}
              options={UNITS.map(([key, word]) => [key, spelt(word, system)] as const)}
              onChange={setUnit}
            />
          )}
        </span>
      )}
      <ReadingBar reading={reading} />
      <Problems items={problems} />
      <Problems items={file?.notes ?? []} soft />
      {file && !scale && <Problems items={['Choose the unit it is drawn in; the walls follow.']} soft />}
      {all.length > 1 && (
        <ToggleButtonGroup aria-label={several ? 'Which rooms?' : 'Which outline?'} value={at} className="outlines">
          {all.map((outline, i) => (
            <ToggleButton
              key={i}
              value={i}
              onClick={() =>
                setPicked(
                  !several ? [i] : at.includes(i) ? at.filter((one) => one !== i) : [...at, i].sort((a, b) => a - b),
                )
              }
            >
              <PlanShape corners={outline.corners} />
              {formatArea(polygonArea(outline.corners), system)}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      )}
      {only && chosen[0] && (
        <div className="confirm">
          <PlanShape corners={chosen[0].corners} size={150} />
          <ul className="preview" aria-label="What would be taken">
            {only.map((wall) => (
              <li key={wall.label}>
                {wall.label}: <b>{formatLength(wall.length?.metres ?? 0, system)}</b>
                {wall.bow && <small> bowed {wall.bow.side}</small>}
              </li>
            ))}
          </ul>
        </div>
      )}
      <p className="hint">{hint}</p>
      <div className="row-buttons">
        <Button variant="contained" disabled={!isWhole} onClick={() => onTake(taken)}>
          {several && taken.length > 1
            ? `Take these ${taken.length} rooms`
            : several
              ? 'Take this room'
              : 'Take these walls'}
        </Button>
        <Button onClick={onClose}>Close</Button>
      </div>
    </>
  );
}
