import { rows } from '@kovelin/core/job/table.ts';
import type { Part, Room } from '@kovelin/core/job/measured.ts';
import * as kinds from '@kovelin/core/job/vocabulary.ts';
import { isFixture, PART_RULES, wayOf, WAYS_OF } from '@kovelin/core/measure/parts.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { heading } from '@kovelin/core/units/word.ts';
import { partWord } from '@kovelin/core/words/names.ts';
import { PART, WAY } from '@kovelin/core/words/terms.ts';
import { memo, useState } from 'react';
import { Choice } from '../ui/Choice.tsx';
import { DraftField } from '../ui/DraftField.tsx';
import { LengthField } from '../ui/LengthField.tsx';
import type { JobSession } from '../store/session.ts';
import { Problems } from '../ui/Problems.tsx';
import { useSteady } from '../ui/useSteady.ts';
import { firstAt, problemsUnder, type PlacedProblems, type RoomProps } from './parts.ts';
import { startPart, type Dimension } from './start-part.ts';
import Button from '@mui/material/Button';
import { NameField } from './NameField.tsx';
import { PartPicture } from './PartPicture.tsx';
import { RemoveButton } from './RemoveButton.tsx';
import { readCount } from '../ui/read.ts';

type PartKind = kinds.PartKind;

const GROUPS: readonly (readonly [string, readonly PartKind[]])[] = [
  ['A finish of its own on a wall', kinds.REGION_KINDS],
  ['Hides wall, not painted', kinds.COVER_KINDS],
  ['Built out, let in, or standing', kinds.BODY_KINDS],
  ['In the ceiling', kinds.CEILING_PART_KINDS],
  ['Stairs', kinds.STAIR_KINDS],
  ['Pieces to paint', kinds.PIECE_KINDS],
  ['Fixtures', kinds.FIXTURE_KINDS],
];

const LABELS: Readonly<Record<Dimension, string>> = {
  width: 'Width',
  height: 'Height',
  depth: 'Depth',
  at: 'From the start',
  sill: 'Above floor',
};

/** Everything else there is in the room, a line each. */
export default function PartRows({ view, room, takeoff }: RoomProps) {
  const [kind, setKind] = useState<PartKind>('dado');
  const { session } = view;
  const parts = rows(room.parts);
  const walls = useSteady(rows(room.walls).map((wall): [string, string] => [wall.id, `wall ${wall.label}`]));
  const problems = useSteady(problemsUnder({ room, takeoff }, 'parts'));
  const groups = GROUPS.map(([words, list]) => {
    const options = list.map((key): [PartKind, string] => [key, heading(PART[key], view.system)]);
    return [words, options] as const;
  });
  return (
    <section className="parts" aria-label="Everything else">
      <h3>Everything else</h3>
      {parts.map((part) => (
        <PartLine
          key={part.id}
          session={session}
          system={view.system}
          room={room}
          part={part}
          walls={walls}
          problems={problems}
        />
      ))}
      <div className="row-buttons">
        <Choice
          label="What there is"
          value={kind}
          options={groups.flatMap(([, options]) => options)}
          groups={groups}
          onChange={setKind}
        />
        <Button
          size="small"
          variant="outlined"
          onClick={() => session.run({ name: 'addPart', args: { room: room.id, part: startPart(view, room, kind) } })}
        >
          Add it
        </Button>
      </div>
    </section>
  );
}

interface PartLineProps {
  readonly session: JobSession;
  readonly system: System;
  readonly room: Room;
  readonly part: Part;
  /** Ids and letters. */
  readonly walls: readonly (readonly [string, string])[];
  readonly problems: PlacedProblems;
}

/** Rendered again when something of this part changed, and for nothing else. */
const PartLine = memo(function PartLine({ session, system, room, part, walls, problems }: PartLineProps) {
  const rule = PART_RULES[part.kind];
  const edit = (set: Partial<Omit<Part, 'id'>>) => ({
    name: 'setPart' as const,
    args: { room: room.id, part: part.id, set },
  });
  const name = heading(partWord(part), system);
  const [at, setAt] = useState<Dimension | null>(null);
  const problem = (field: string) => firstAt(problems, `${part.id}/${field}`);
  const dimensions = [...rule.needs, ...rule.takes];
  return (
    <div className="part-line" role="group" aria-label={name}>
      <b>
        {name}
        <PartPicture kind={part.kind} shown={dimensions} at={at} />
      </b>
      <div
        onFocus={({ target }) => setAt(dimensions.find((key) => target.id === `${key}-${part.id}`) ?? null)}
        onBlur={() => setAt(null)}
      >
        {(rule.place === 'wall' || rule.place === 'anywhere') && (
          <Choice
            label="On"
            value={part.wall ?? ''}
            options={[...(rule.place === 'anywhere' ? ([['', 'the ceiling']] as const) : []), ...walls]}
            onChange={(wall) => session.edit(edit({ wall: wall || null }))}
          />
        )}
        {dimensions.map((key) => (
          <LengthField
            key={key}
            className="short"
            id={`${key}-${part.id}`}
            label={rule.words?.[key] ?? LABELS[key]}
            optional={!rule.needs.includes(key)}
            value={part[key]}
            system={system}
            options={{ zero: key === 'at' || key === 'sill' }}
            placeholder={key === 'sill' ? 'floor' : 'usual'}
            problem={problem(key)}
            drafts={(r) => r && edit({ [key]: r })}
            onCommit={(r) => session.edit(edit({ [key]: r }))}
          />
        ))}
        {rule.counted && (
          <DraftField
            className="short"
            label={rule.counted}
            value={String(part.count)}
            parse={readCount(999)}
            drafts={(n) => (n === null ? null : edit({ count: n }))}
            onCommit={(n) => session.edit(edit({ count: n }))}
          />
        )}
        {isFixture(part.kind) && (
          <Choice
            label="What is done about it"
            value={wayOf(part) ?? 'cut'}
            options={WAYS_OF[part.kind].map((way) => [way, heading(WAY[way], system)] as const)}
            onChange={(way) => session.edit(edit({ way }))}
          />
        )}
        <NameField
          room={room}
          kind={part.kind}
          label={part.label}
          placeholder={part.label}
          onName={(label) => session.edit(edit({ label }))}
        />
        <Problems items={[problem('wall')].filter((said) => said !== null)} />
      </div>
      <RemoveButton
        what={name}
        onRemove={() => session.edit({ name: 'removePart', args: { room: room.id, part: part.id } })}
      />
    </div>
  );
});
