import type { Survey as Answers } from '@kovelin/core/job/surveyed.ts';
import { rows, type Id, type Scope } from '@kovelin/core/job/table.ts';
import { roomAnswers } from '@kovelin/core/specify/conversation.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { heading } from '@kovelin/core/units/word.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import { useState } from 'react';
import { Check } from '../ui/Check.tsx';
import Button from '@mui/material/Button';
import type { WholeView } from '../app/whole.ts';

interface TargetsProps {
  readonly summary: string;
  readonly targets: readonly (readonly [id: string, name: string])[];
  readonly unit: readonly [one: string, more: string];
  readonly onCopy: (to: readonly string[]) => void;
}
function Targets({ summary, targets, unit, onCopy }: TargetsProps) {
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const toggle = (id: string) => {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    setChosen(next);
  };
  return (
    <details className="copy">
      <summary>{summary}</summary>
      <div className="checks">
        {targets.map(([id, name]) => (
          <Check key={id} label={name} checked={chosen.has(id)} onChange={() => toggle(id)} />
        ))}
      </div>
      <Button
        size="small"
        variant="outlined"
        disabled={!chosen.size}
        onClick={() => {
          onCopy([...chosen]);
          setChosen(new Set());
        }}
      >
        Copy to {chosen.size} {unit[chosen.size === 1 ? 0 : 1]}
      </Button>
    </details>
  );
}

/** The answers given for one surface, for surfaces like it anywhere in the job. */
export function CopyToSurfaces({ view, s, given }: { view: WholeView; s: Specified; given: Partial<Answers> }) {
  const { derived, session, state, system } = view;
  const alike = derived.surfaces.filter((o) => o.surface.kind === s.surface.kind && o.surface.id !== s.surface.id);
  if (!alike.length || !Object.keys(given).length) return null;
  return (
    <Targets
      summary="Copy these answers to …"
      targets={alike.map(({ surface }) => {
        const room = surface.room === s.surface.room ? '' : `${state.shown.rooms.byId[surface.room]?.name ?? ''}: `;
        return [surface.id, `${room}${heading(nameWord(surface.name), system)}`];
      })}
      unit={['surface', 'surfaces']}
      onCopy={(scopes) => session.run({ name: 'setSurveys', args: { scopes, set: given } })}
    />
  );
}

/** What was answered for all of this room, for rooms like it; what was counted or answered surface by surface stays here. */
export function CopyToRooms({ view, room }: { view: WholeView; room: Id }) {
  const { session, state } = view;
  const answers = roomAnswers(state.shown, room);
  const others = rows(state.shown.rooms).filter(({ id }) => id !== room);
  if (!answers.length || !others.length) return null;
  const copy = (to: readonly Id[]) => {
    const edits = answers.map(({ family, set }) => ({
      name: 'setSurveys' as const,
      args: { scopes: to.map((id): Scope => `${id}:${family}`), set },
    }));
    session.run({ name: 'together', args: { edits } });
  };
  return (
    <Targets
      summary="Copy this room’s answers to …"
      targets={others.map(({ id, name }) => [id, name])}
      unit={['room', 'rooms']}
      onCopy={copy}
    />
  );
}
