import ListItemButton from '@mui/material/ListItemButton';
import { rows } from '@kovelin/core/job/table.ts';
import type { RoomTakeoff } from '@kovelin/core/measure/takeoff.ts';
import Button from '@mui/material/Button';
import { Link, useSearchParams } from 'react-router';
import { PlanShape } from '../drawing/PlanShape.tsx';
import { freshId } from '../store/ids.ts';
import { exportJob } from '../store/take-out.ts';
import { TextButton } from '../ui/TextButton.tsx';
import { useJob, useTakeoffs } from './job-context.ts';

/** What a room still waits for, in a few words. */
function told({ problems, missing, closure, warnings }: RoomTakeoff): string {
  if (problems.length) return `${problems.length} to mend`;
  if (missing.length) return `wall ${missing[0]} to measure`;
  if (closure?.provisional) return 'walls do not fit';
  return warnings.length ? 'measured, see note' : 'measured';
}

/** The rooms by their plan, what each still waits for, and what to do with the job as a whole. */
export function Rooms() {
  const { state, room, goTo, session } = useJob();
  const takeoffs = useTakeoffs() ?? [];
  const [params] = useSearchParams();
  const takeoffOf = new Map(takeoffs.map((t) => [t.room.id, t]));
  const add = () => {
    const id = freshId();
    session.run({ name: 'addRoom', args: { id, name: `Room ${state.job.rooms.order.length + 1}` } });
    goTo(id);
  };
  return (
    <aside className="rooms" aria-label="Rooms">
      <h2 title={state.shown.name}>{state.shown.name}</h2>
      <ul>
        {rows(state.shown.rooms).map(({ id, name }) => (
          <li key={id}>
            <RoomButton name={name} takeoff={takeoffOf.get(id)} isHere={id === room?.id} onPick={() => goTo(id)} />
          </li>
        ))}
      </ul>
      <Button onClick={add} variant="outlined" size="small">
        Add a room
      </Button>
      <Link to={`sheet?${params.toString()}`} className="sheet-link">
        Day sheet to print
      </Link>
      <TextButton className="sheet-link" onClick={() => exportJob(state.job)}>
        Export this job
      </TextButton>
    </aside>
  );
}

interface RoomButtonProps {
  readonly name: string;
  readonly takeoff: RoomTakeoff | undefined;
  readonly isHere: boolean;
  readonly onPick: () => void;
}
function RoomButton({ name, takeoff, isHere, onPick }: RoomButtonProps) {
  return (
    <ListItemButton
      title={name}
      className="room"
      component="button"
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
