import { MOST } from '@kovelin/core/job/limits.ts';
import { rows } from '@kovelin/core/job/table.ts';
import type { Room } from '@kovelin/core/job/measured.ts';
import { usualOf } from '@kovelin/core/job/usual.ts';
import { OPENING_KINDS, ROOM_USES, type OpeningKind } from '@kovelin/core/job/vocabulary.ts';
import { residualsOf } from '@kovelin/core/measure/residuals.ts';
import { closureSettings, readingsOf } from '@kovelin/core/measure/takeoff.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { ROOM_USE, TRIM } from '@kovelin/core/words/terms.ts';
import Button from '@mui/material/Button';
import { lazy, memo, Suspense, useCallback, useDeferredValue, useEffect, useRef } from 'react';
import { Choice } from '../ui/Choice.tsx';
import { DraftField } from '../ui/DraftField.tsx';
import { LengthField } from '../ui/LengthField.tsx';
import { readText } from '../ui/read.ts';
import { freshId } from '../store/ids.ts';
import type { JobSession } from '../store/session.ts';
import { OpeningRows, startOpening } from './OpeningRows.tsx';
import { HEIGHT, problemsAt, type RoomProps } from './parts.ts';
import { Problems } from '../ui/Problems.tsx';
import { TrimRows } from './TrimRows.tsx';
import { WallRows } from './WallRows.tsx';

const PartRows = lazy(() => import('./PartRows.tsx'));

/** Row by row: Enter takes a length and goes on to the next wall. */
export function Rows({ view, room, takeoff }: RoomProps) {
  const panel = useRef<HTMLDivElement>(null);
  // the walls first, for they are typed first: what stands below them comes when they are there
  const isLate = useDeferredValue(true, false);
  const { session, system } = view;
  const walls = rows(room.walls);
  /** The field to type in next, which may have to be drawn first: in a room without lengths its first one, then what was added. */
  const wanted = useRef(walls.every((wall) => !wall.length) && walls[0] ? `length-${walls[0].id}` : null);
  useEffect(() => {
    const field = wanted.current === null ? null : document.getElementById(wanted.current);
    if (!field) return;
    wanted.current = null;
    field.scrollIntoView({ block: 'nearest' });
    field.focus();
  });
  /** From a wall to the next, from the last to what else the room may have; from no wall to the first. */
  const goOn = useCallback((from: string | null) => {
    const lengths = [...(panel.current?.querySelectorAll<HTMLInputElement>('input[id^="length-"]') ?? [])];
    const next = lengths[lengths.findIndex((input) => input.id === `length-${from ?? ''}`) + 1];
    if (next) next.focus();
    else panel.current?.querySelector<HTMLButtonElement>('[data-offer]:enabled')?.focus();
  }, []);
  const addOpening = (kind: OpeningKind) => {
    const opening = startOpening(view, room, kind);
    wanted.current = `width-${opening.id}`;
    session.run({ name: 'addOpening', args: { room: room.id, opening } });
  };
  const usual = usualOf(system);
  const addBaseboard = () => {
    const run = { face: usual.baseboard, girth: null, at: null, later: false };
    wanted.current = 'trim-baseboard';
    session.run({ name: 'setTrim', args: { room: room.id, kind: 'baseboard', run } });
  };
  const addWall = () => {
    const id = freshId();
    wanted.current = `length-${id}`;
    session.run({ name: 'addWall', args: { room: room.id, id, after: walls.at(-1)?.id ?? null } });
  };
  return (
    <div className="rows" ref={panel}>
      <RoomProblems view={view} room={room} takeoff={takeoff} />
      <RoomLine
        session={session}
        system={system}
        id={room.id}
        name={room.name}
        use={room.use}
        height={room.height}
        turns={room.turns}
        onEnter={goOn}
      />
      <WallRows
        view={view}
        room={room}
        takeoff={takeoff}
        onNext={goOn}
        onInserted={(id) => (wanted.current = `length-${id}`)}
      />
      <div className="row-buttons">
        <Button size="small" variant="outlined" data-add-wall onClick={addWall}>
          Add a wall
        </Button>
        {OPENING_KINDS.map((kind) => (
          <Button
            key={kind}
            size="small"
            variant="outlined"
            disabled={!walls.length}
            data-offer
            title={`${usual.openings[kind].width.typed} × ${usual.openings[kind].height.typed}, ${said(TRIM.casing, system)} ${usual.openings[kind].casing.typed}: change what is otherwise`}
            onClick={() => addOpening(kind)}
          >
            Add {kind === 'opening' ? 'an' : 'a'} {kind}
          </Button>
        ))}
        {!room.trim.baseboard && (
          <Button size="small" variant="outlined" disabled={!walls.length} onClick={addBaseboard}>
            Add {said(TRIM.baseboard, system)}
          </Button>
        )}
      </div>
      {isBare(room) && (
        <p className="hint">
          The walls are there. What else is in the room? A door is offered as {usual.openings.door.width.typed} ×{' '}
          {usual.openings.door.height.typed}, a window as {usual.openings.window.width.typed} ×{' '}
          {usual.openings.window.height.typed}, both with {said(TRIM.casing, system)} of{' '}
          {usual.openings.door.casing.typed}; {said(TRIM.baseboard, system)} as {usual.baseboard.typed}.
        </p>
      )}
      {isLate && (
        <>
          {room.openings.order.length > 0 && <OpeningRows view={view} room={room} takeoff={takeoff} />}
          <TrimRows view={view} room={room} takeoff={takeoff} />
          <Suspense fallback={null}>
            <PartRows view={view} room={room} takeoff={takeoff} />
          </Suspense>
        </>
      )}
    </div>
  );
}

/** All its walls are typed, and nothing else. */
const isBare = (room: Room): boolean =>
  room.walls.order.length > 2 &&
  rows(room.walls).every((wall) => wall.length) &&
  !room.openings.order.length &&
  !Object.keys(room.trim).length;

/** What is wrong with the room as a whole, what looks odd, and the reading that fits the others worst. */
function RoomProblems({ view, room, takeoff }: RoomProps) {
  const ofWalls = rows(room.walls).flatMap((wall) => problemsAt({ room, takeoff }, `walls/${wall.id}`));
  const whole = [
    ...problemsAt({ room, takeoff }, 'walls').filter((m) => !ofWalls.includes(m)),
    ...problemsAt({ room, takeoff }, 'turns'),
    ...takeoff.problems.filter((p) => p.path === `rooms/${room.id}/parts`).map((p) => p.message),
  ];
  const fit = takeoff.closure?.withinTolerance
    ? residualsOf(readingsOf(room), closureSettings(view.state.shown))
    : null;
  const worst =
    fit && fit.worst !== null
      ? { wall: rows(room.walls)[fit.worst], off: Math.abs(fit.walls[fit.worst]?.standardised ?? 0) }
      : null;
  const odd = worst
    ? [
        `Wall ${worst.wall?.label} lies ${worst.off.toFixed(1)} standard errors from what the other readings say; tape it again if that is easy.`,
      ]
    : [];
  return (
    <>
      <Problems items={whole} />
      <Problems items={[...takeoff.warnings.map((w) => w.message), ...odd]} soft />
    </>
  );
}

interface RoomLineProps extends Pick<Room, 'id' | 'name' | 'use' | 'height' | 'turns'> {
  readonly session: JobSession;
  readonly system: System;
  readonly onEnter: (wall: null) => void;
}

/** Rendered again when something of the room itself changed, and for nothing else. */
const RoomLine = memo(function RoomLine(props: RoomLineProps) {
  const { session, system } = props;
  const edit = (set: Partial<Pick<Room, 'name' | 'use' | 'height' | 'turns'>>) => ({
    name: 'setRoom' as const,
    args: { room: props.id, set },
  });
  return (
    <div className="room-line">
      <DraftField
        label="Room"
        value={props.name}
        parse={readText(MOST.name, 1)}
        drafts={(name) => (name === null ? null : edit({ name }))}
        onCommit={(name) => session.edit(edit({ name }))}
      />
      <LengthField
        label="Height"
        value={props.height}
        system={system}
        options={HEIGHT}
        drafts={(height) => height && edit({ height })}
        onCommit={(height) => session.edit(edit({ height }))}
        onEnter={() => props.onEnter(null)}
      />
      <Choice
        label="Used as"
        value={props.use}
        options={ROOM_USES.map((use) => [use, heading(ROOM_USE[use], system)])}
        onChange={(use) => session.edit(edit({ use }))}
      />
      <Choice
        label="Corners"
        value={props.turns}
        options={[
          ['declared', 'as typed'],
          ['measured', 'measured, so they share the error'],
        ]}
        onChange={(turns) => session.edit(edit({ turns }))}
      />
    </div>
  );
});
