import { takeoffJob, type RoomTakeoff, type Surface } from '@kovelin/core/measure/takeoff.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { aboutLength } from '@kovelin/core/units/length.ts';
import { formatArea } from '@kovelin/core/units/quantities.ts';
import { compute, given, type Working } from '@kovelin/core/units/working.ts';
import { heading } from '@kovelin/core/units/word.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import { SURFACE } from '@kovelin/core/words/terms.ts';
import ButtonBase from '@mui/material/ButtonBase';
import TableSortLabel from '@mui/material/TableSortLabel';
import { useEffect, useRef, useState } from 'react';
import { Choice } from '../ui/Choice.tsx';
import { Cell, DataTable, Row, RowHead } from '../ui/DataTable.tsx';
import type { JobView } from '../app/job-context.ts';
import type { Explained } from './MeasurePanel.tsx';

interface Line {
  readonly id: string;
  readonly kind: 'surface' | 'total';
  readonly room: string;
  readonly surface: string;
  readonly roomId: string | null;
  readonly gross: number | null;
  readonly openings: number | null;
  readonly net: number | null;
  readonly painted: number;
  readonly cut: number;
  readonly run: number;
  readonly working: Partial<Record<Column, Working>>;
}
const COLUMNS = ['gross', 'openings', 'net', 'painted', 'cut', 'run'] as const;
type Column = (typeof COLUMNS)[number];
type Grouping = 'room' | 'kind' | 'none';

const HEADINGS: Readonly<Record<'room' | 'surface' | Column, string>> = {
  room: 'Room',
  surface: 'Surface',
  gross: 'Gross',
  openings: 'Openings',
  net: 'Net',
  painted: 'To paint',
  cut: 'Cut-in',
  run: 'Run',
};

function rowOf(t: RoomTakeoff, s: Surface, system: System): Line {
  const wall = t.walls.find((w) => `${w.wall.id}/field` === s.id);
  return {
    id: s.id,
    kind: 'surface',
    room: t.room.name,
    roomId: t.room.id,
    surface: heading(nameWord(s.name), system),
    gross: wall?.gross.value ?? null,
    openings: wall?.openingArea.value ?? null,
    net: wall?.net.value ?? null,
    painted: s.area.value,
    cut: s.cut,
    run: s.length,
    working: {
      painted: s.area,
      ...(wall ? { gross: wall.gross, openings: wall.openingArea, net: wall.net } : {}),
    },
  };
}

const total = (rows: readonly Line[], column: Column) => rows.reduce((sum, row) => sum + (row[column] ?? 0), 0);
const totalRow = (id: string, room: string, surface: string, rows: readonly Line[]): Line => ({
  id,
  kind: 'total',
  room,
  surface,
  roomId: null,
  gross: total(rows, 'gross'),
  openings: total(rows, 'openings'),
  net: total(rows, 'net'),
  painted: total(rows, 'painted'),
  cut: total(rows, 'cut'),
  run: total(rows, 'run'),
  working: {},
});

/** The rows above a total, up to the total before it, as its sum. */
function totalOf(row: Line, column: Column, rows: readonly Line[]): Working {
  const at = rows.findIndex((r) => r.id === row.id);
  const from = row.id === 'total' ? 0 : rows.findLastIndex((r, i) => i < at && r.kind === 'total') + 1;
  const dimension = column === 'cut' || column === 'run' ? 'length' : 'area';
  const grouped = row.id === 'total' && rows.filter((r) => r.kind === 'total').length > 1;
  const of = rows.slice(from, at).filter((r) => (r.kind === 'total') === grouped && r[column]);
  const name = (r: Line) => (row.room || (grouped && !r.room) ? r.surface : `${r.room}, ${r.surface}`);
  return compute('sum', row.surface, dimension, ...of.map((r) => given(name(r), r[column] ?? 0, dimension)));
}

/** Surfaces in groups, each group with its total below it, and the job's at the end. */
function grouped(surfaces: readonly (Line & { kindWord: string })[], by: Grouping): Line[] {
  const keys = by === 'none' ? [] : [...new Set(surfaces.map((row) => (by === 'room' ? row.room : row.kindWord)))];
  const groups = keys.flatMap((key) => {
    const of = surfaces.filter((row) => (by === 'room' ? row.room : row.kindWord) === key);
    return [...of, totalRow(`total ${key}`, by === 'room' ? key : '', by === 'room' ? 'Total' : `${key}, total`, of)];
  });
  return [...(by === 'none' ? surfaces : groups), totalRow('total', '', 'The whole job', surfaces)];
}

type Sorting = { readonly column: keyof typeof HEADINGS; readonly way: 'asc' | 'desc' } | null;
/** Up, down, and as they come. */
const sortedNext = (now: Sorting, column: keyof typeof HEADINGS): Sorting =>
  now?.column !== column ? { column, way: 'asc' } : now.way === 'asc' ? { column, way: 'desc' } : null;
function inOrder<T extends Line>(rows: readonly T[], sorting: Sorting): readonly T[] {
  if (!sorting) return rows;
  const { column, way } = sorting;
  const order = (a: Line, b: Line): number => {
    const [left, right] = [a[column] ?? 0, b[column] ?? 0];
    return typeof left === 'number' && typeof right === 'number'
      ? left - right
      : String(left).localeCompare(String(right), undefined, { numeric: true });
  };
  return rows.toSorted((a, b) => (way === 'asc' ? order(a, b) : order(b, a)));
}

/** Every surface of the job with its figures; a row is the surface of the drawing, a figure opens its working below. */
export default function TakeoffTable({
  view,
  onExplain,
}: {
  view: JobView;
  onExplain: (shown: Explained | null) => void;
}) {
  const { system, surface } = view;
  const takeoffs = takeoffJob(view.state.shown);
  const [by, setBy] = useState<Grouping>('room');
  const surfaces = takeoffs.flatMap((t) =>
    t.surfaces.map((s) => ({
      ...rowOf(t, s, system),
      kindWord: heading(SURFACE[s.kind], system),
    })),
  );
  const [sorted, setSorted] = useState<Sorting>(null);
  const rows = grouped(by === 'none' ? inOrder(surfaces, sorted) : surfaces, by);
  // a surface chosen in the drawing is brought into sight here
  const chosen = useRef<HTMLTableRowElement>(null);
  useEffect(() => {
    // a browser may return a promise from it
    chosen.current?.scrollIntoView({ block: 'nearest' });
  }, [surface?.id, by]);
  const format = (column: Column, value: number | null) =>
    value === null || (value === 0 && column !== 'openings')
      ? '–'
      : column === 'cut' || column === 'run'
        ? aboutLength(value, system)
        : formatArea(value, system);
  const look = ({ roomId, id }: Line) => roomId && view.show(roomId, id);
  const explain = (row: Line, column: Column) => {
    const title = [row.room, row.surface, HEADINGS[column].toLowerCase()].filter(Boolean).join(', ');
    const terms = row.kind === 'total' ? totalOf(row, column, rows) : row.working[column];
    onExplain(terms ? { title, working: terms } : null);
  };
  return (
    <div className="takeoff-table">
      <div className="room-line">
        <Choice<Grouping>
          label="Together by"
          value={by}
          options={[
            ['room', 'room'],
            ['kind', 'kind of surface'],
            ['none', 'not at all'],
          ]}
          onChange={setBy}
        />
        <p className="hint">
          A row is the surface in the drawing. Click a figure, or press Enter on it, for its working.
        </p>
      </div>
      <div className="scroll">
        <DataTable
          label="Takeoff of the job"
          sticky
          columns={(['room', 'surface', ...COLUMNS] as const).map((column) =>
            by === 'none' ? (
              <TableSortLabel
                key={column}
                active={sorted?.column === column}
                direction={sorted?.way ?? 'asc'}
                onClick={() => setSorted(sortedNext(sorted, column))}
              >
                {HEADINGS[column]}
              </TableSortLabel>
            ) : (
              HEADINGS[column]
            ),
          )}
        >
          {rows.map((row) => (
            <Row
              key={row.id}
              className={row.kind}
              selected={row.id === surface?.id}
              ref={row.id === surface?.id ? chosen : undefined}
              onClick={() => look(row)}
            >
              <Cell label="Room">{row.room}</Cell>
              <RowHead>{row.roomId ? <ButtonBase>{row.surface}</ButtonBase> : row.surface}</RowHead>
              {COLUMNS.map((column) => (
                <Cell key={column} label={HEADINGS[column]} className="number" data-field={column}>
                  {row.working[column] || row.kind === 'total' ? (
                    <ButtonBase
                      className="figure"
                      aria-label={`${HEADINGS[column]}: ${format(column, row[column])}`}
                      onClick={() => explain(row, column)}
                    >
                      {format(column, row[column])}
                    </ButtonBase>
                  ) : (
                    format(column, row[column])
                  )}
                </Cell>
              ))}
            </Row>
          ))}
        </DataTable>
      </div>
    </div>
  );
}
