import { nextName } from '@kovelin/core/job/copy-room.ts';
import type { Room } from '@kovelin/core/job/measured.ts';
import { rows } from '@kovelin/core/job/table.ts';
import { useJob } from '../app/job-context.ts';
import { ActionMenu, type Action } from '../ui/ActionMenu.tsx';
import { freshId } from '../store/ids.ts';

interface Props {
  readonly room: Room;
  readonly anchor: HTMLElement;
  readonly onClose: () => void;
  readonly onRename: () => void;
  readonly onGo: (room: string) => void;
}

/** What else can be done with a room; fetched when it is asked for. */
export default function RoomMenu({ room: { id, name }, anchor, onClose, onRename, onGo }: Props) {
  const { session, state } = useJob();
  const { order } = state.job.rooms;
  const at = order.indexOf(id);
  const move = (by: number) => session.run({ name: 'moveRoom', args: { room: id, to: at + by } });
  const copy = () => {
    const made = freshId();
    const names = rows(state.job.rooms).map((room) => room.name);
    if (session.run({ name: 'copyRoom', args: { room: id, id: made, name: nextName(name, names) } })) onGo(made);
  };
  const actions: readonly Action[] = [
    { word: 'Rename', act: onRename },
    { word: 'Another like it', act: copy },
    { word: 'Move up', act: () => move(-1), disabled: at <= 0 },
    { word: 'Move down', act: () => move(1), disabled: at >= order.length - 1 },
    { word: 'Remove', act: () => session.run({ name: 'removeRoom', args: { room: id } }) },
  ];
  return <ActionMenu anchor={anchor} actions={actions} onClose={onClose} />;
}
