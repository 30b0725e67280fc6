import { labelsFor } from '@kovelin/core/job/labels.ts';
import { newOpening } from '@kovelin/core/job/blank.ts';
import { rows } from '@kovelin/core/job/table.ts';
import { usualOf } from '@kovelin/core/job/usual.ts';
import type { Opening, Room } from '@kovelin/core/job/measured.ts';
import type { Leaf, OpeningKind } from '@kovelin/core/job/vocabulary.ts';
import { tapeReading } from '@kovelin/core/units/reading.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { heading } from '@kovelin/core/units/word.ts';
import { openingWord } from '@kovelin/core/words/names.ts';
import { TRIM } from '@kovelin/core/words/terms.ts';
import { Fragment, lazy, memo, Suspense, useCallback, useState } from 'react';
import type { JobView } from '../app/job-context.ts';
import type { JobSession } from '../store/session.ts';
import { freshId } from '../store/ids.ts';
import { Choice } from '../ui/Choice.tsx';
import { Cell, DataTable, Row, RowHead, Unseen } from '../ui/DataTable.tsx';
import { LengthField } from '../ui/LengthField.tsx';
import { useSteady } from '../ui/useSteady.ts';
import { firstAt, OFFSET, problemsUnder, type PlacedProblems, type RoomProps } from './parts.ts';
import { MoreButton, RemoveButton } from './RemoveButton.tsx';

const OpeningMore = lazy(() => import('./OpeningMore.tsx'));

/** Left between a new opening and the last one on its wall, m. */
const STEP = 0.3048;

/** Starting sizes on the wall looked at, behind what stands there already; the next free label of its kind. */
export function startOpening(view: JobView, room: Room, kind: OpeningKind): Opening {
  const usual = usualOf(view.system).openings[kind];
  const wall = room.walls.byId[view.surface?.wall ?? ''] ? (view.surface?.wall ?? '') : (room.walls.order[0] ?? '');
  const taken = rows(room.openings)
    .filter((o) => o.wall === wall)
    .map((o) => o.at.metres + o.width.metres);
  const free = Math.max(0, ...taken) + (taken.length ? STEP : 0);
  const behind = free + usual.width.metres < (room.walls.byId[wall]?.length?.metres ?? 0) ? free : 0;
  return {
    ...newOpening({
      id: freshId(),
      label: labelsFor(room)(kind),
      wall,
      kind,
      width: usual.width,
      height: usual.height,
      at: tapeReading(behind > 0 ? behind : STEP, view.system),
    }),
    sill: usual.sill,
    casing: usual.casing,
  };
}

/** Has it anything that its row does not show? */
const hasMore = (o: Opening) =>
  o.shape !== 'rectangle' ||
  o.faces === 2 ||
  o.sash !== 'none' ||
  [o.girth, o.back, o.frame, o.board, o.apron, o.reveal].some(Boolean);

const LEAVES: readonly (readonly [Leaf, string])[] = [
  ['flush', 'flush'],
  ['panelled', 'panelled'],
  ['glazed', 'glazed'],
  ['none', 'not painted'],
];

/** A row an opening. */
export function OpeningRows({ view, room, takeoff }: RoomProps) {
  const { session, system } = view;
  const [open, setOpen] = useState<string | null>(null);
  const toggle = useCallback((id: string) => setOpen((now) => (now === id ? null : id)), []);
  const walls = useSteady(rows(room.walls).map((wall): [string, string] => [wall.id, wall.label]));
  const problems = useSteady(problemsUnder({ room, takeoff }, 'openings'));
  return (
    <DataTable
      className="walls-table openings-table"
      columns={[
        'Opening',
        'On wall',
        'Width',
        'Height',
        'From the start',
        'Sill',
        heading(TRIM.casing, system),
        'Leaf',
        <Unseen key="tools">More, and remove</Unseen>,
      ]}
    >
      {rows(room.openings).map((opening) => (
        <Fragment key={opening.id}>
          <OpeningRow
            session={session}
            system={system}
            room={room.id}
            opening={opening}
            walls={walls}
            problems={problems}
            isOpen={open === opening.id}
            onToggle={toggle}
          />
          {open === opening.id && (
            <Row>
              <Cell colSpan={9}>
                <Suspense fallback={null}>
                  <OpeningMore view={view} room={room} takeoff={takeoff} opening={opening} />
                </Suspense>
              </Cell>
            </Row>
          )}
        </Fragment>
      ))}
    </DataTable>
  );
}

interface OpeningRowProps {
  readonly session: JobSession;
  readonly system: System;
  readonly room: string;
  readonly opening: Opening;
  /** Ids and letters. */
  readonly walls: readonly (readonly [string, string])[];
  readonly problems: PlacedProblems;
  readonly isOpen: boolean;
  readonly onToggle: (opening: string) => void;
}

/** Rendered again when something of this opening changed, and for nothing else. */
const OpeningRow = memo(function OpeningRow(props: OpeningRowProps) {
  const { session, system, room, opening: o, isOpen } = props;
  const edit = (set: Partial<Omit<Opening, 'id'>>) => ({
    name: 'setOpening' as const,
    args: { room, opening: o.id, set },
  });
  const field = (key: 'width' | 'height' | 'at' | 'sill' | 'casing', label: string, optional = false) => (
    <Cell label={key === 'at' ? 'From the start' : label}>
      <LengthField
        id={`${key}-${o.id}`}
        className="short"
        hideLabel
        label={`${label} of ${o.label}`}
        optional={optional}
        value={o[key]}
        system={system}
        options={key === 'at' || key === 'sill' ? OFFSET : {}}
        placeholder={optional ? 'none' : ''}
        problem={firstAt(props.problems, `${o.id}/${key}`)}
        drafts={(reading) => reading && edit({ [key]: reading })}
        onCommit={(reading) => session.edit(edit({ [key]: reading }))}
      />
    </Cell>
  );
  return (
    <Row>
      <RowHead>{heading(openingWord(o), system)}</RowHead>
      <Cell label="On wall">
        <Choice
          hideLabel
          label={`Wall of ${o.label}`}
          value={o.wall}
          options={props.walls}
          onChange={(wall) => session.edit(edit({ wall }))}
        />
      </Cell>
      {field('width', 'Width')}
      {field('height', 'Height')}
      {field('at', 'Distance from the start of the wall')}
      {o.kind === 'door' ? <Cell label="Sill">floor</Cell> : field('sill', 'Sill', true)}
      {field('casing', heading(TRIM.casing, system), true)}
      <Cell label="Leaf">
        {o.kind === 'door' ? (
          <Choice
            hideLabel
            label={`Leaf of ${o.label}`}
            value={o.leaf}
            options={LEAVES}
            onChange={(leaf) => session.edit(edit({ leaf }))}
          />
        ) : (
          '–'
        )}
      </Cell>
      <Cell className="row-tools">
        <MoreButton what={o.label} some={hasMore(o)} open={isOpen} onToggle={() => props.onToggle(o.id)} />
        <RemoveButton
          what={o.label}
          onRemove={() => session.edit({ name: 'removeOpening', args: { room, opening: o.id } })}
        />
      </Cell>
    </Row>
  );
});
