import { HOW_MANY, ROOM_HOLES } from '@kovelin/core/job/library.ts';
import { FLOORS } from '@kovelin/core/job/vocabulary.ts';
import { bearingsOf, compassPoint } from '@kovelin/core/specify/light.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { Choice } from '../ui/Choice.tsx';
import { useState } from 'react';
import { TextButton } from '../ui/TextButton.tsx';
import { Toggle } from '../ui/Toggle.tsx';
import type { WholeView } from '../app/whole.ts';

type Props = { readonly view: WholeView; readonly s: Specified };

const HOW_MANY_WORDS = { none: 'None', few: 'A few', some: 'Some', many: 'Many' } as const;
/** Asked once for all of a room; surfaces that were counted go by their own count. */
export function RoomHoles({ view, s, onSaid }: Props & { readonly onSaid: () => void }) {
  const [again, setAgain] = useState<string | null>(null);
  const { session, state } = view;
  const { room } = s.surface;
  const said = state.shown.survey[`${room}:wall`]?.repairs;
  const now = HOW_MANY.find((how) => JSON.stringify(ROOM_HOLES[how].wall) === JSON.stringify(said));
  if (now && again !== room)
    return (
      <p className="hint">
        Holes and dents in this room: {HOW_MANY_WORDS[now].toLowerCase()}.{' '}
        <TextButton onClick={() => setAgain(room)}>Change</TextButton>
      </p>
    );
  return (
    <fieldset className="asked once" data-question="room-holes">
      <legend>Holes and dents in this room</legend>
      <div className="options">
        {HOW_MANY.map((how) => (
          <Toggle
            key={how}
            className="option"
            pressed={how === now}
            onChange={() => {
              session.run({ name: 'setHoles', args: { room, how } });
              setAgain(null);
              onSaid();
            }}
          >
            {HOW_MANY_WORDS[how]}
          </Toggle>
        ))}
      </div>
      {!said && <small className="assumed">assumed: none</small>}
    </fieldset>
  );
}

const FLOOR_WORDS = {
  unknown: 'not said',
  sealed: 'Sealed: varnish, tile',
  porous: 'Porous: bare wood, stone',
  carpet: 'Carpet',
};
const DRIPS = {
  unknown: '',
  sealed: 'Let a drip harden and lift it.',
  porous: 'A drip soaks in: wet rag at once.',
  carpet: 'Lift nothing while it is wet; keep a damp cloth at hand.',
};
/** What holds for the whole room: the floor below, and which way its windows look. */
export function RoomLight({ view, s }: Props) {
  const room = view.room;
  if (!room) return null;
  const first = room.walls.byId[room.walls.order[0] ?? ''];
  const bearings = bearingsOf(room);
  const windows = Object.values(room.openings.byId).filter((o) => o.kind === 'window');
  const set = (change: Parameters<typeof view.session.edit>[0]) => view.session.edit(change);
  return (
    <div className="room-light" key={s.surface.room}>
      <div className="pair">
        <Choice
          label="Floor of the room"
          value={room.floor}
          options={FLOORS.map((floor) => [floor, FLOOR_WORDS[floor]])}
          onChange={(floor) => set({ name: 'setRoom', args: { room: room.id, set: { floor } } })}
        />
        <Choice
          label={`Facing wall ${first?.label ?? 'A'} you look`}
          value={room.bearing === null ? '' : String(Math.round(room.bearing / 45) * 45)}
          options={[
            ['', 'not known'],
            ...[0, 45, 90, 135, 180, 225, 270, 315].map((b) => [String(b), compassPoint(b)] as const),
          ]}
          onChange={(b) =>
            set({ name: 'setRoom', args: { room: room.id, set: { bearing: b === '' ? null : Number(b) } } })
          }
        />
      </div>
      <p className="hint">
        {DRIPS[room.floor]}{' '}
        {bearings &&
          windows.map((o) => `Window ${o.label} looks ${compassPoint(bearings.get(o.wall) ?? 0)}.`).join(' ')}
      </p>
    </div>
  );
}
