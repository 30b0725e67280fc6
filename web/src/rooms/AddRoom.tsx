import { newRoom, seededIds } from '@kovelin/core/job/blank.ts';
import { nextName } from '@kovelin/core/job/copy-room.ts';
import { plainRoom } from '@kovelin/core/job/plain-room.ts';
import { rows } from '@kovelin/core/job/table.ts';
import Button from '@mui/material/Button';
import { useJob } from '../app/job-context.ts';
import { freshId } from '../store/ids.ts';
import { Window } from '../ui/Window.tsx';
import { RoomDrawing } from './RoomDrawing.tsx';
import { RoomFields, sayLeft, useRoomForm } from './RoomForm.tsx';
import type { SaidRoom } from './said-room.ts';

interface Props {
  readonly onClose: () => void;
  readonly onGo: (room: string) => void;
}

/** The next room by the same two lengths as the first, as high as the one before it; or like one that is there. */
export default function AddRoom({ onClose, onGo }: Props) {
  const { session, state, system, room: here } = useJob();
  const rooms = rows(state.job.rooms);
  const before = here ?? rooms.at(-1) ?? null;
  const names = rooms.map(({ name }) => name);
  const blank: SaidRoom = {
    name: `Room ${rooms.length + 1}`,
    length: null,
    width: null,
    height: null,
    doors: 1,
    windows: 1,
    baseboard: before ? Boolean(before.trim.baseboard) : true,
  };
  const form = useRoomForm({ system, blank, height: before?.height ?? null, place: 'next-room' });
  const done = (made: string, isMade: boolean) => {
    if (!isMade) return;
    form.keep(blank);
    onClose();
    onGo(made);
  };
  const send = () =>
    form.send((said) => {
      const id = freshId();
      const { room, left } = plainRoom(id, said, seededIds(id), system);
      const isMade = session.run({ name: 'addRooms', args: { rooms: [room] } });
      if (isMade) sayLeft(left);
      done(id, isMade);
    });
  const wallByWall = () => {
    const id = freshId();
    const room = newRoom(id, form.values().name, seededIds(id), system);
    done(id, session.run({ name: 'addRooms', args: { rooms: [room] } }));
  };
  const like = () => {
    if (!before) return;
    const id = freshId();
    done(id, session.run({ name: 'copyRoom', args: { room: before.id, id, name: nextName(before.name, names) } }));
  };
  return (
    <Window
      title="Another room"
      onClose={onClose}
      className="room-form"
      actions={
        <>
          <Button onClick={onClose}>Close</Button>
          <Button variant="outlined" onClick={wallByWall}>
            Walls one by one
          </Button>
          {before && (
            <Button variant="outlined" onClick={like}>
              Like {before.name}
            </Button>
          )}
          <Button variant="contained" onClick={send}>
            Draw it
          </Button>
        </>
      }
    >
      <RoomFields form={form} onSend={send} isNext />
      <RoomDrawing room={form.drawn.room} system={system} isTyped={Boolean(form.typed.length && form.typed.width)} />
    </Window>
  );
}
