import { newPart } from '@kovelin/core/job/blank.ts';
import { rows } from '@kovelin/core/job/table.ts';
import type { Part } from '@kovelin/core/job/measured.ts';
import * as kinds from '@kovelin/core/job/vocabulary.ts';
import { isFixture, PART_RULES, wayOf, WAYS_OF } from '@kovelin/core/measure/parts.ts';
import { tapeReading, type Reading } from '@kovelin/core/units/reading.ts';
import { INCH, type System, isImperial } from '@kovelin/core/units/si.ts';
import { heading } from '@kovelin/core/units/word.ts';
import { PART, WAY } from '@kovelin/core/words/terms.ts';
import { memo, useState } from 'react';
import { Choice } from '../ui/Choice.tsx';
import { DraftField } from '../ui/DraftField.tsx';
import { LengthField } from '../ui/LengthField.tsx';
import { freshId } from '../store/ids.ts';
import type { JobSession } from '../store/session.ts';
import { Problems } from '../ui/Problems.tsx';
import { useSteady } from '../ui/useSteady.ts';
import { firstAt, problemsUnder, type PlacedProblems, type RoomProps } from './parts.ts';
import Button from '@mui/material/Button';
import { RemoveButton } from './RemoveButton.tsx';
import { readCount } from '../ui/read.ts';

type PartKind = kinds.PartKind;
type Dimension = 'width' | 'height' | 'depth' | 'at' | 'sill';

const GROUPS: readonly (readonly [string, readonly PartKind[]])[] = [
  ['A finish of its own on a wall', kinds.REGION_KINDS],
  ['Hides wall, not painted', kinds.COVER_KINDS],
  ['Built out, let in, or standing', kinds.BODY_KINDS],
  ['In the ceiling', kinds.CEILING_PART_KINDS],
  ['Stairs', kinds.STAIR_KINDS],
  ['Pieces to paint', kinds.PIECE_KINDS],
  ['Fixtures', kinds.FIXTURE_KINDS],
];

/** Starting sizes, metres: plausible, to be taped. */
const START: Readonly<Partial<Record<PartKind, Partial<Record<Dimension, number>>>>> = {
  dado: { height: 0.9 },
  panel: { width: 1.2, height: 1.5, sill: 0.6 },
  tile: { width: 1.8, height: 0.6, sill: 0.9 },
  cabinet: { width: 0.9, height: 0.9 },
  soffit: { width: 1.2, height: 0.3, depth: 0.3, at: 0 },
  recess: { width: 0.6, height: 0.9, depth: 0.2, sill: 0.9 },
  pilaster: { width: 0.4, height: 2.4, depth: 0.15 },
  closet: { width: 1.2, height: 2.1, depth: 0.6 },
  column: { width: 0.3, depth: 0.3, height: 2.4 },
  'round-column': { width: 0.3, height: 2.4 },
  beam: { width: 3, height: 0.2, depth: 0.15 },
  'half-wall': { width: 1.5, height: 1, depth: 0.12 },
  tray: { height: 0.15, depth: 0.45 },
  hatch: { width: 0.6, depth: 0.6 },
  skylight: { width: 0.6, depth: 0.9, height: 0.3 },
  stringer: { width: 3, height: 0.3 },
  spindles: { width: 0.13, height: 0.75 },
  handrail: { width: 3, height: 0.2 },
  shelf: { width: 0.9, height: 0.02, depth: 0.25 },
};
const ELSE: Readonly<Record<Dimension, number>> = { width: 0.9, height: 0.6, depth: 0.3, at: 0.3, sill: 0 };

function startPart({ view, room }: Pick<RoomProps, 'view' | 'room'>, kind: PartKind): Part {
  const labels = new Set([
    ...Object.values(room.parts.byId).map((p) => p.label),
    ...Object.values(room.openings.byId).map((o) => o.label),
    ...Object.values(room.walls.byId).map((w) => w.label),
  ]);
  let n = 1;
  while (labels.has(`${kind.charAt(0)}${n}`)) n++;
  const rule = PART_RULES[kind];
  const sized = (key: Dimension) =>
    rule.needs.includes(key) || START[kind]?.[key] ? reading(START[kind]?.[key] ?? ELSE[key], view.system) : null;
  const here = view.surface?.wall ?? room.walls.order[0] ?? null;
  return newPart({
    id: freshId(),
    label: `${kind.charAt(0)}${n}`,
    kind,
    wall: rule.place === 'wall' || (rule.place === 'anywhere' && kind !== 'light' && kind !== 'detector') ? here : null,
    width: sized('width'),
    height: sized('height'),
    depth: sized('depth'),
    at: sized('at'),
    sill: sized('sill'),
    count: kind === 'spindles' ? 12 : 1,
  });
}

/** A starting size to the inch or the centimetre. */
function reading(metres: number, system: System): Reading {
  const step = isImperial(system) ? INCH : 0.01;
  return tapeReading(Math.round(metres / step) * step, system);
}

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
          room={room.id}
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
          onClick={() =>
            session.run({ name: 'addPart', args: { room: room.id, part: startPart({ view, room }, kind) } })
          }
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
  readonly room: string;
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
    args: { room, part: part.id, set },
  });
  const name = `${heading(PART[part.kind], system)} ${part.label}`;
  const problem = (field: string) => firstAt(problems, `${part.id}/${field}`);
  const dimensions = [...rule.needs, ...rule.takes];
  return (
    <div className="part-line" role="group" aria-label={name}>
      <b>{name}</b>
      <div>
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
        <Problems items={[problem('wall')].filter((said) => said !== null)} />
      </div>
      <RemoveButton what={name} onRemove={() => session.edit({ name: 'removePart', args: { room, part: part.id } })} />
    </div>
  );
});
