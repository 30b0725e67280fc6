import { MOST } from '@kovelin/core/job/limits.ts';
import type { Room } from '@kovelin/core/job/measured.ts';
import { rows } from '@kovelin/core/job/table.ts';
import type { RoomTakeoff } from '@kovelin/core/measure/takeoff.ts';
import Button from '@mui/material/Button';
import ListItemButton from '@mui/material/ListItemButton';
import { lazy, Suspense, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useJob, useTakeoffs } from '../app/job-context.ts';
import { PlanShape } from '../drawing/PlanShape.tsx';
import { exportJob } from '../store/take-out.ts';
import { DraftField } from '../ui/DraftField.tsx';
import { readText } from '../ui/read.ts';
import { TextButton } from '../ui/TextButton.tsx';

const RoomMenu = lazy(() => import('./RoomMenu.tsx'));
const AddRoom = lazy(() => import('./AddRoom.tsx'));

/** What a room still waits for, in a few words. */
function told({ problems, missing, closure, warnings }: RoomTakeoff): string {
  if (problems.length) return `${problems.length} to mend`;
  if (missing.length) return `wall ${missing[0]} to measure`;
  if (closure?.provisional) return 'walls do not fit';
  return warnings.length ? 'measured, see note' : 'measured';
}

/** The rooms by their plan, what each still waits for, and what to do with the job as a whole. `onGone`: another was gone to. */
export function Rooms({ onGone }: { onGone?: () => void }) {
  const { state, room, goTo, session } = useJob();
  const takeoffs = useTakeoffs() ?? [];
  const [params] = useSearchParams();
  const [adding, setAdding] = useState(false);
  const [renaming, setRenaming] = useState<string | null>(null);
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const takeoffOf = new Map(takeoffs.map((t) => [t.room.id, t]));
  const go = (id: string) => {
    goTo(id);
    onGone?.();
  };
  return (
    <aside className="rooms" aria-label="Rooms">
      <h2 title={state.shown.name}>{state.shown.name}</h2>
      <ul>
        {rows(state.shown.rooms).map((one) => (
          <li
            key={one.id}
            onBlur={({ currentTarget, relatedTarget }) => {
              // its own field taking the focus leaves nothing
              if (renaming === one.id && !currentTarget.contains(relatedTarget)) setRenaming(null);
            }}
          >
            {renaming === one.id ? (
              <DraftField
                label={`Name of ${one.name}`}
                hideLabel
                autoFocus
                value={one.name}
                parse={readText(MOST.name, 1)}
                onCommit={(name) => session.edit({ name: 'setRoom', args: { room: one.id, set: { name } } })}
                onEnter={() => setRenaming('done')}
              />
            ) : (
              <RoomButton
                room={one}
                takeoff={takeoffOf.get(one.id)}
                isHere={one.id === room?.id}
                autoFocus={renaming === 'done' && one.id === room?.id}
                onPick={() => go(one.id)}
              />
            )}
            {one.id === room?.id && (
              <Button
                size="small"
                aria-haspopup="menu"
                aria-label="More for this room"
                onClick={({ currentTarget }) => setMenu(currentTarget)}
              >
                More
              </Button>
            )}
          </li>
        ))}
      </ul>
      <Button onClick={() => setAdding(true)} variant="outlined" size="small" aria-haspopup="dialog">
        Add a room
      </Button>
      <Link to={`sheet?${params.toString()}`} className="sheet-link" onClick={onGone}>
        Day sheet to print
      </Link>
      <TextButton
        className="sheet-link"
        onClick={() => {
          exportJob(state.job);
          onGone?.();
        }}
      >
        Export this job
      </TextButton>
      <Suspense fallback={null}>
        {menu && room && (
          <RoomMenu
            room={room}
            anchor={menu}
            onClose={() => setMenu(null)}
            onRename={() => setRenaming(room.id)}
            onGo={go}
          />
        )}
        {adding && <AddRoom onClose={() => setAdding(false)} onGo={go} />}
      </Suspense>
    </aside>
  );
}

interface RoomButtonProps {
  readonly room: Pick<Room, 'name'>;
  readonly takeoff: RoomTakeoff | undefined;
  readonly isHere: boolean;
  readonly autoFocus: boolean;
  readonly onPick: () => void;
}
function RoomButton({ room: { name }, takeoff, isHere, autoFocus, onPick }: RoomButtonProps) {
  return (
    <ListItemButton
      title={name}
      className="room"
      component="button"
      autoFocus={autoFocus}
      selected={isHere}
      aria-current={isHere}
      onClick={onPick}
    >
      <PlanShape corners={takeoff?.corners ?? []} />
      <span>
        <b>{name}</b>
        <small>{takeoff ? told(takeoff) : ''}</small>
      </span>
    </ListItemButton>
  );
}
