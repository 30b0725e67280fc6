import { bad, good, type Result } from '@kovelin/core/units/problem.ts';
import { rows } from '@kovelin/core/job/table.ts';
import type { Wall } from '@kovelin/core/job/measured.ts';
import { formatLength, trimNumber } from '@kovelin/core/units/length.ts';
import { tapeReading, type Reading } from '@kovelin/core/units/reading.ts';
import { isImperial, type System } from '@kovelin/core/units/si.ts';
import { Fragment, lazy, memo, Suspense, useCallback, useState } from 'react';
import { DraftField } from '../ui/DraftField.tsx';
import { Cell, DataTable, Row, RowHead, Unseen } from '../ui/DataTable.tsx';
import { LengthField } from '../ui/LengthField.tsx';
import { useJob } from '../app/job-context.ts';
import type { JobSession } from '../store/session.ts';
import { HEIGHT, problemsAt, WALL, type RoomProps } from './parts.ts';
import { MoreButton, RemoveButton } from './RemoveButton.tsx';

const COLUMNS = [
  'Wall',
  'Length',
  'Then turn',
  'Height',
  'Far end',
  'Peak',
  'Peak at',
  'Adjusted',
  <Unseen key="tools">More, and remove</Unseen>,
];
const WallMore = lazy(() => import('./WallMore.tsx'));

type Change = Partial<Omit<Wall, 'id'>>;

const writeTurn = (turn: number) =>
  (Math.abs(turn) === 90 ? '' : trimNumber(Math.abs(turn), 2)) + (turn < 0 ? 'L' : 'R');

function readTurn(text: string): Result<number> {
  const found = /^\s*(\d+(?:[.,]\d+)?)?\s*([RL])\s*$/i.exec(text);
  const degrees = found?.[1] === undefined ? 90 : Number(found[1].replace(',', '.'));
  if (!found || !(degrees < 360)) return bad('A turn is R or L (90 degrees), or degrees and a side: 45R.');
  return good(found[2]?.toUpperCase() === 'L' ? -degrees : degrees);
}

/** The heights a wall may have of its own, each left empty as a rule. */
function heightFields(wall: Wall, roomHeight: string, system: System) {
  const half = (wall.length?.metres ?? 0) / 2;
  const [first] = wall.peaks;
  const peak = (part: 'height' | 'at', reading: Reading | null): Change | null => {
    if (!reading) return part === 'height' ? { peaks: wall.peaks.slice(1) } : null;
    if (part === 'at' && !first) return null;
    const changed = { height: first?.height ?? reading, at: first?.at ?? tapeReading(half, system), [part]: reading };
    return { peaks: [changed, ...wall.peaks.slice(1)] };
  };
  return [
    {
      label: 'Height of wall',
      value: wall.heightStart,
      hint: roomHeight,
      change: (r: Reading | null): Change | null => ({ heightStart: r }),
    },
    {
      label: 'Height at the far end of wall',
      value: wall.heightEnd,
      hint: 'same',
      change: (r: Reading | null): Change | null => ({ heightEnd: r }),
    },
    {
      label: 'Height of the peak of wall',
      value: first?.height ?? null,
      hint: 'none',
      change: (r: Reading | null) => peak('height', r),
    },
    {
      label: 'Distance to the peak of wall',
      value: first?.at ?? null,
      hint: '–',
      change: (r: Reading | null) => peak('at', r),
    },
  ];
}

interface WallRowsProps extends RoomProps {
  readonly onNext: (wall: string) => void;
  readonly onInserted: (wall: string) => void;
}
/** A row a wall. `onNext` is called with a wall when Enter took one of its fields. */
export function WallRows({ view, room, takeoff, onNext, onInserted }: WallRowsProps) {
  const { session, system, select, surface } = view;
  const [open, setOpen] = useState<string | null>(null);
  const toggle = useCallback((id: string) => setOpen((now) => (now === id ? null : id)), []);
  return (
    <DataTable className="walls-table" columns={COLUMNS}>
      {rows(room.walls).map((wall) => (
        <Fragment key={wall.id}>
          <WallRow
            session={session}
            system={system}
            room={room.id}
            roomHeight={room.height?.typed ?? ''}
            wall={wall}
            problem={problemsAt({ room, takeoff }, `walls/${wall.id}`)[0] ?? null}
            isChosen={surface?.id === `${wall.id}/field`}
            isOpen={open === wall.id}
            onToggle={toggle}
            onSelect={select}
            onNext={onNext}
          />
          {open === wall.id && (
            <Row>
              <Cell colSpan={9}>
                <Suspense fallback={null}>
                  <WallMore view={view} room={room} takeoff={takeoff} wall={wall} onInserted={onInserted} />
                </Suspense>
              </Cell>
            </Row>
          )}
        </Fragment>
      ))}
    </DataTable>
  );
}

interface WallRowProps {
  readonly session: JobSession;
  readonly system: System;
  readonly room: string;
  readonly roomHeight: string;
  readonly wall: Wall;
  readonly problem: string | null;
  readonly isChosen: boolean;
  readonly isOpen: boolean;
  readonly onToggle: (wall: string) => void;
  readonly onSelect: (surface: string) => void;
  readonly onNext: (wall: string) => void;
}

/** Rendered again when something of this wall changed, and for nothing else. */
const WallRow = memo(function WallRow(props: WallRowProps) {
  const { session, system, room, wall, isChosen, isOpen } = props;
  const edit = (set: Change) => ({ name: 'setWall' as const, args: { room, wall: wall.id, set } });
  const draft = (set: Change | null) => set && edit(set);
  const commit = (set: Change | null) => (set ? session.edit(edit(set)) : null);
  const onEnter = () => props.onNext(wall.id);
  const hasMore = wall.peaks.length > 1 || wall.bow !== null || wall.foot !== null;
  return (
    <Row selected={isChosen} data-row={wall.label} onFocus={() => !isChosen && props.onSelect(`${wall.id}/field`)}>
      <RowHead>{wall.label}</RowHead>
      <Cell label="Length">
        <LengthField
          id={`length-${wall.id}`}
          hideLabel
          label={`Length of wall ${wall.label}`}
          value={wall.length}
          system={system}
          options={WALL}
          placeholder={isImperial(system) ? `12'6 1/2` : '3.82'}
          problem={props.problem}
          drafts={(length) => draft(length && { length })}
          onCommit={(length) => commit({ length })}
          onEnter={onEnter}
        />
      </Cell>
      <Cell label="Then turn">
        <DraftField
          className="short"
          hideLabel
          label={`Turn after wall ${wall.label}`}
          value={writeTurn(wall.turn)}
          parse={readTurn}
          drafts={(turn) => draft(turn === null ? null : { turn })}
          onCommit={(turn) => commit({ turn })}
          onEnter={onEnter}
        />
      </Cell>
      {heightFields(wall, props.roomHeight, system).map(({ label, value, hint, change }) => (
        <Cell label={label} key={label}>
          <LengthField
            className="short"
            hideLabel
            label={`${label} ${wall.label}`}
            optional
            value={value}
            system={system}
            options={HEIGHT}
            placeholder={hint}
            drafts={(reading) => draft(change(reading))}
            onCommit={(reading) => commit(change(reading))}
            onEnter={onEnter}
          />
        </Cell>
      ))}
      <Cell label="Adjusted" className="number">
        <Adjusted wall={wall.id} />
      </Cell>
      <Cell className="row-tools">
        <MoreButton what={`wall ${wall.label}`} some={hasMore} open={isOpen} onToggle={() => props.onToggle(wall.id)} />
        <RemoveButton
          what={`wall ${wall.label}`}
          onRemove={() => session.edit({ name: 'removeWall', args: { room, wall: wall.id } })}
        />
      </Cell>
    </Row>
  );
});

/** What the closing of the walk made of its length: it changes with every wall, so it looks for itself. */
function Adjusted({ wall: id }: { wall: string }) {
  const { takeoff, system } = useJob();
  const index = takeoff?.room.walls.order.indexOf(id) ?? -1;
  const read = takeoff?.room.walls.byId[id]?.length?.metres;
  const adjusted = takeoff?.closure?.adjusted[index];
  if (read === undefined || adjusted === undefined) return '–';
  const by = adjusted - read;
  if (Math.abs(by) < 0.0005) return 'as read';
  return (
    <span title={`${by > 0 ? '+' : '−'}${formatLength(Math.abs(by), system)}`}>{formatLength(adjusted, system)}</span>
  );
}
