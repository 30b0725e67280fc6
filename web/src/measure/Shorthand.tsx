import { usualOf } from '@kovelin/core/job/usual.ts';
import { isImperial, type System } from '@kovelin/core/units/si.ts';
import { said } from '@kovelin/core/units/word.ts';
import { TRIM } from '@kovelin/core/words/terms.ts';
import { formatTapeSheet } from '@kovelin/core/exchange/tapesheet-write.ts';
import { parseTapeSheet } from '@kovelin/core/exchange/tapesheet.ts';
import type { Room } from '@kovelin/core/job/measured.ts';
import type { RoomTakeoff } from '@kovelin/core/measure/takeoff.ts';
import InputBase from '@mui/material/InputBase';
import { useState } from 'react';
import type { JobView } from '../app/job-context.ts';
import { freshId } from '../store/ids.ts';
import { say } from '../app/say.ts';
import { useTyped } from '../app/typed.ts';
import { Problems } from '../ui/Problems.tsx';

type Read = { ok: true; edit: Parameters<JobView['session']['edit']>[0] } | { ok: false; problems: string[] };

function read(text: string, room: Room, seed: string, system: System): Read {
  const sheet = parseTapeSheet(text, null, usualOf(system));
  const problems = sheet.problems.map((p) => `Line ${p.line}${p.column ? `, column ${p.column}` : ''}: ${p.message}`);
  const [said] = sheet.said;
  if (said)
    problems.push(
      `Line ${said.line}: a line “${said.said.kind}” says something of the job, not of these measures; import a whole sheet for that.`,
    );
  const [first, second] = sheet.rooms;
  if (second)
    problems.push(
      `Line ${second.line}: one room at a time here; add another room on the left, or import the whole sheet.`,
    );
  if (problems.length || !first) return { ok: false, problems };
  return { ok: true, edit: { name: 'setRoomFromText', args: { room: room.id, draft: first.draft, seed } } };
}

/** Lines as whoever reads them would write them. */
const SAMPLES = {
  imperial: {
    wall: "wall A 12'6 1/2 R",
    door: `door d1 on A 2'6 x 6'8 at 1' casing 2 1/2"`,
    trim: 'trim baseboard 5"',
    check: "check A C 16'3",
    dado: "dado r1 on A 3'",
  },
  metric: {
    wall: 'wall A 3.82 R',
    door: 'door d1 on A 0.76 x 2.03 at 0.3 architrave 0.065',
    trim: 'trim skirting 12 cm',
    check: 'check A C 4.95',
    dado: 'dado r1 on A 0.9',
  },
} as const;

/** The room in the tape-sheet shorthand. The drawing follows each key; leaving the text, or Ctrl Enter, takes it. */
export default function Shorthand({ view, room, takeoff }: { view: JobView; room: Room; takeoff: RoomTakeoff }) {
  const { session, system } = view;
  const [text, setText] = useState<string | null>(null);
  const [seed, setSeed] = useState(freshId);
  const [owner] = useState(() => ({}));
  const stored = session.state.job.rooms.byId[room.id] ?? room;
  const written = formatTapeSheet([stored], system);
  const result = text === null ? null : read(text, stored, seed, system);
  const type = (next: string) => {
    setText(next);
    const now = read(next, stored, seed, system);
    session.setDraft(owner, now.ok ? now.edit : null);
  };
  const commit = () => {
    if (!result?.ok) return;
    session.run(result.edit);
    setText(null);
    setSeed(freshId());
  };
  useTyped(text !== null, (isGone) => {
    if (result && !result.ok) {
      if (isGone) say(`The shorthand of ${stored.name} was not taken: ${result.problems[0] ?? ''}`);
      else return false;
    }
    session.setDraft(owner, null);
    commit();
    return true;
  });
  const attributes = { 'data-dirty': text === null ? 'no' : 'yes' };
  return (
    <div className="shorthand">
      <label htmlFor="shorthand">Shorthand of {stored.name}</label>
      <InputBase
        id="shorthand"
        inputComponent="textarea"
        value={text ?? written}
        error={result ? !result.ok : false}
        slotProps={{ input: { ...attributes, spellCheck: false } }}
        onChange={(event) => type(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) commit();
          if (event.key === 'Escape') {
            setText(null);
            session.setDraft(owner, null);
          }
        }}
      />
      <div className="shorthand-side">
        {result && !result.ok && <Problems items={result.problems} />}
        <Problems items={takeoff.problems.map((p) => p.message)} />
        <Problems items={takeoff.warnings.map((p) => p.message)} soft />
        <p className="hint">
          A line a wall, clockwise from inside: <code>{SAMPLES[isImperial(system) ? 'imperial' : 'metric'].wall}</code>.
          Then <code>{SAMPLES[isImperial(system) ? 'imperial' : 'metric'].door}</code>, <code>window</code>,{' '}
          <code>opening</code>, <code>{SAMPLES[isImperial(system) ? 'imperial' : 'metric'].trim}</code>,{' '}
          <code>{SAMPLES[isImperial(system) ? 'imperial' : 'metric'].check}</code>, and parts such as{' '}
          <code>{SAMPLES[isImperial(system) ? 'imperial' : 'metric'].dado}</code> or <code>light l1 count 2</code>. A
          line without one gets the usual {said(TRIM.casing, system)} of {usualOf(system).openings.door.casing.typed},
          as rows do; write <code>{said(TRIM.casing, system)} none</code> where there is none. Ctrl Enter takes it, Esc
          takes it back.
        </p>
      </div>
    </div>
  );
}
