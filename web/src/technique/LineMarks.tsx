import type { MadeLine } from '@kovelin/core/lines/lines.ts';
import { lineSentence } from '@kovelin/core/lines/say.ts';
import type { RoomTakeoff } from '@kovelin/core/measure/takeoff.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { said } from '@kovelin/core/units/word.ts';
import type { KeyboardEvent } from 'react';
import type { PlacedWall } from '../drawing/layout.ts';
import type { Transform } from '../drawing/transform.ts';
import { strokesOf, type Stroke } from './marks.ts';

/** Pixels that a lap and a tape are drawn wide: half an inch would not be seen, and a narrow wall would not be seen for them. */
const lapWidth = ({ scale }: Transform): number => Math.min(9, Math.max(2.5, scale * 0.06));
const TAPE = 5;

interface MarksProps {
  readonly lines: readonly MadeLine[];
  readonly takeoff: RoomTakeoff;
  readonly wall: PlacedWall;
  readonly chosen: string | null;
  readonly onPick: (line: string) => void;
  readonly system: System;
}

/** The lines of a wall, drawn as what they are: the lap on the other side, the cut edge, tape, seal and caulk. */
export function LineMarks({ lines, takeoff, wall, chosen, onPick, system }: MarksProps) {
  return lines
    .filter(({ line }) => line.meeting.wall === wall.takeoff.wall.id)
    .map((made) => {
      const strokes = strokesOf(made, takeoff, wall.takeoff);
      if (!strokes.length) return null;
      const { line } = made;
      const picked = chosen === line.id;
      return (
        <g
          key={line.id}
          className={picked ? 'line-mark chosen' : 'line-mark'}
          role="button"
          tabIndex={0}
          aria-pressed={picked}
          aria-label={said(lineSentence(made, takeoff), system)}
          data-line={line.id}
          onClick={() => onPick(line.id)}
          onKeyDown={(event: KeyboardEvent) => {
            if (event.key !== 'Enter' && event.key !== ' ') return;
            event.preventDefault();
            onPick(line.id);
          }}
        >
          {strokes.map((stroke, i) => (
            <Mark key={i} made={made} stroke={stroke} at={wall.at} />
          ))}
        </g>
      );
    });
}

/** A strip beside a stroke, so many pixels wide: positive towards the side that is cut. */
function strip({ from, to, towards }: Stroke, at: Transform, width: number): string {
  const [p, q] = [at.at(from), at.at(to)];
  const [x, y] = [towards.x * width, -towards.y * width];
  return [p, q, { x: q.x + x, y: q.y + y }, { x: p.x + x, y: p.y + y }]
    .map((c) => `${c.x.toFixed(1)},${c.y.toFixed(1)}`)
    .join(' ');
}

function Mark({ made: { line, chosen }, stroke, at }: { made: MadeLine; stroke: Stroke; at: Transform }) {
  const [p, q] = [at.at(stroke.from), at.at(stroke.to)];
  const ends = { x1: p.x, y1: p.y, x2: q.x, y2: q.y };
  const first = line.sides[chosen.first].s;
  return (
    <>
      <line {...ends} className="line-target" />
      {first && !line.hidden && (
        <polygon points={strip(stroke, at, lapWidth(at))} fill={first.colour.hex} className="lap-mark" />
      )}
      {chosen.stays && <polygon points={strip(stroke, at, -TAPE)} className="tape-mark" />}
      <line {...ends} className={`cut-mark ${line.hidden ? 'rough' : ''}`} />
      {chosen.method === 'tape-sealed' && <line {...ends} className="seal-mark" />}
      {chosen.method === 'tape-caulked' && <line {...ends} className="caulk-mark" />}
      {chosen.method === 'shield' && <line {...ends} className="shield-mark" />}
    </>
  );
}

const KEYS = [
  ['lap', 'laps over, first'],
  ['cut', 'cut to it, after'],
  ['tape', 'tape'],
  ['seal', 'its edge sealed'],
  ['caulk', 'its edge caulked'],
  ['shield', 'card or shield'],
  ['rough', 'rough: hidden later'],
] as const;

/** What each mark is, beside the drawing. */
export function Legend({ marks }: { marks: ReadonlySet<string> }) {
  return (
    <ul className="line-legend" aria-label="Marks of lines">
      {KEYS.filter(([key]) => marks.has(key)).map(([key, word]) => (
        <li key={key}>
          <svg width="34" height="16" aria-hidden="true">
            {key === 'lap' && <rect x="0" y="8" width="34" height="7" className="lap-mark key" />}
            {key === 'tape' && <rect x="0" y="1" width="34" height="6" className="tape-mark" />}
            <line x1="0" y1="8" x2="34" y2="8" className={key === 'rough' ? 'cut-mark rough' : 'cut-mark'} />
            {(key === 'seal' || key === 'caulk' || key === 'shield') && (
              <line x1="0" y1="8" x2="34" y2="8" className={`${key}-mark`} />
            )}
          </svg>
          {word}
        </li>
      ))}
    </ul>
  );
}

/** The marks that a room's lines have. */
export function marksIn(lines: readonly MadeLine[]): ReadonlySet<string> {
  const marks = new Set<string>(['cut']);
  for (const { line, chosen } of lines) {
    if (line.hidden) marks.add('rough');
    else if (line.sides[chosen.first].s) marks.add('lap');
    if (chosen.stays) marks.add('tape');
    if (chosen.method === 'tape-sealed') marks.add('seal');
    if (chosen.method === 'tape-caulked') marks.add('caulk');
    if (chosen.method === 'shield') marks.add('shield');
  }
  return marks;
}
