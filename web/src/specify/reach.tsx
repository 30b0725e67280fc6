import type { Edit } from '@kovelin/core/job/edits.ts';
import type { FinishChoice } from '@kovelin/core/job/paints.ts';
import { familyOf, type Family } from '@kovelin/core/job/vocabulary.ts';
import { accents, reached, REACHES, regionOf, roomsReached, type Reach } from '@kovelin/core/specify/reach.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { nameWord, wordsOf } from '@kovelin/core/words/names.ts';
import { ROOM_USE, surfacesWord } from '@kovelin/core/words/terms.ts';
import Button from '@mui/material/Button';
import { useState, type ReactNode } from 'react';
import { useSpelt } from '../app/useSpelt.ts';
import type { WholeView } from '../app/whole.ts';
import { Sides } from '../ui/Sides.tsx';
import { TextButton } from '../ui/TextButton.tsx';
import { Window } from '../ui/Window.tsx';

/** What is made of those left out. */
type Make = (left: readonly Specified[]) => readonly Edit[];

/** Whom a choice goes to, as it is pressed, and the only way it goes there. */
export interface Reaching {
  readonly reach: Reach;
  /** The surfaces, the one looked at first. */
  readonly to: readonly Specified[];
  /** As one step; where it would go over surfaces with a finish of their own, that is asked first. */
  readonly give: (make: Make, becoming?: Partial<FinishChoice>) => void;
  readonly onReach: (reach: Reach) => void;
  /** What is being asked, if anything is. */
  readonly question: ReactNode;
}

const FAMILY: Readonly<Record<Family, string>> = {
  wall: 'walls',
  ceiling: 'ceilings',
  trim: 'woodwork',
};

/** `wish`: what was pressed last; where a surface has no such reach, all like it in the room, or it alone. */
export function useReaching(view: WholeView, s: Specified, wish: Reach, onReach: (reach: Reach) => void): Reaching {
  const [asking, setAsking] = useState<{ make: Make; own: readonly Specified[] } | null>(null);
  const { derived, state, session } = view;
  const offered = offeredFor(view, s);
  const reach = offered.find((of) => of === wish) ?? 'room';
  const to = reached(state.shown, derived.surfaces, s, reach);
  const run = (edits: readonly Edit[]) => session.run({ name: 'together', args: { edits } });
  return {
    reach,
    to,
    onReach,
    give: (make, becoming) => {
      const own = accents(to, becoming);
      if (own.length) setAsking({ make, own });
      else run(make([]));
    },
    question: asking && (
      <Accents
        view={view}
        own={asking.own}
        onClose={() => setAsking(null)}
        onAnswer={(left) => {
          run(asking.make(left));
          setAsking(null);
        }}
      />
    ),
  };
}

/** A reach that goes no farther than another is not offered. */
function offeredFor(view: WholeView, s: Specified): readonly Reach[] {
  const size = (reach: Reach) => reached(view.state.shown, view.derived.surfaces, s, reach).length;
  const isOffered: Readonly<Record<Reach, boolean>> = {
    one: size('room') > 1,
    kind: size('kind') > 1 && size('kind') < size('room'),
    room: true,
    use: size('use') > size('room'),
    colour: size('colour') > 1,
  };
  return REACHES.filter((reach) => isOffered[reach]);
}

interface AccentsProps {
  readonly view: WholeView;
  readonly own: readonly Specified[];
  readonly onClose: () => void;
  readonly onAnswer: (left: readonly Specified[]) => void;
}
function Accents({ view, own, onClose, onAnswer }: AccentsProps) {
  const one = own.length === 1;
  return (
    <Window
      title={one ? 'One of them has a finish of its own' : `${own.length} of them have a finish of their own`}
      onClose={onClose}
      actions={
        <>
          <TextButton onClick={() => onAnswer([])}>{one ? 'Change it too' : 'Change them too'}</TextButton>
          <Button variant="contained" onClick={() => onAnswer(own)}>
            {one ? 'Leave it as it is' : 'Leave them as they are'}
          </Button>
        </>
      }
    >
      <ul className="accents">
        {own.map(({ surface, colour }) => (
          <li key={surface.id}>
            <span className="chip large" style={{ background: colour.hex }} />
            {heading(nameWord(surface.name), view.system)}, {view.state.shown.rooms.byId[surface.room]?.name}:{' '}
            <bdi>{colour.name}</bdi>
          </li>
        ))}
      </ul>
    </Window>
  );
}

/** Which surfaces what is chosen below goes to; `existing`: what is there now has nothing to do with a colour to come. */
export function ScopePicker({
  view,
  reaching,
  existing = false,
}: {
  view: WholeView;
  reaching: Reaching;
  existing?: boolean;
}) {
  const spell = useSpelt();
  const [s] = reaching.to;
  if (!s) return null;
  const offered = offeredFor(view, s).filter((of) => !existing || (of !== 'colour' && of !== 'kind'));
  if (offered.length < 2) return null;
  const { kind } = s.surface;
  const { system, state } = view;
  const family = familyOf(kind);
  const part = regionOf(s);
  const room = state.shown.rooms.byId[s.surface.room];
  const use = heading(ROOM_USE[room?.use ?? 'other'], system).toLowerCase();
  const words: Readonly<Record<Reach, string>> = {
    one: family === 'trim' ? 'This piece' : `This ${family}`,
    kind: `All ${said(part ? wordsOf(part)[1] : surfacesWord(kind), system)}`,
    room: offered.includes('one') ? `All ${FAMILY[family]}` : `The ${said(kind, system)}`,
    use: `All ${use}s`,
    colour: spell('This colour'),
  };
  // of what is there now all of the room is asked, whatever is chosen for its colours
  const reach = offered.find((of) => of === reaching.reach) ?? 'room';
  const to = reached(state.shown, view.derived.surfaces, s, reach);
  const far: Readonly<Record<Reach, string>> = {
    one: `${heading(nameWord(s.surface.name), system)} alone`,
    kind: `${to.length} surfaces in ${room?.name}`,
    room: to.length > 1 ? `${to.length} surfaces in ${room?.name}` : `that of ${room?.name}`,
    use: `${roomsReached(state.shown, s, 'use').length} rooms: their ${FAMILY[family]}`,
    colour: spell(`everywhere it is ${s.colour.name} now: ${to.length} surfaces`),
  };
  return (
    <div className="scope">
      <Sides
        label="What you choose goes to"
        fullWidth
        sides={offered.map((of) => [of, words[of]] as const)}
        value={reach}
        onChange={reaching.onReach}
      />
      <small role="status">Goes to: {far[reach]}</small>
    </div>
  );
}
