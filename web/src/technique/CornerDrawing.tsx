import type { MadeLine } from '@kovelin/core/lines/lines.ts';
import { lapOf, sideWord } from '@kovelin/core/lines/say.ts';
import { isTaped } from '@kovelin/core/lines/methods.ts';
import type { RoomTakeoff } from '@kovelin/core/measure/takeoff.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { across } from '@kovelin/core/words/systems.ts';

/** Ground, first film with its lap, second film, where tape lies and where its edge is: a section at each kind of corner. */
const SECTIONS = {
  inside: {
    ground: 'M8 8H30V90H142V104H8Z',
    first: 'M30 8H37V83H60L64 90H30Z',
    second: 'M37 76H60L68 83H142V90H64L60 83H37Z',
    tape: 'M37 46H40V76H37Z',
    edge: [37, 80],
  },
  outside: {
    ground: 'M8 46H86V104H8Z',
    first: 'M8 39H93V64L86 68V46H8Z',
    second: 'M93 46H100V66L93 74V104H86V68L93 64Z',
    tape: 'M52 36H93V39H52Z',
    edge: [95, 44],
  },
  step: {
    ground: 'M8 8H30V62H64V104H8Z',
    first: 'M30 40H37V55H71V104H64V62H30Z',
    second: 'M30 8H37V40H44V55H37V40H30Z',
    tape: 'M40 52H68V55H40Z',
    edge: [41, 54],
  },
  flush: {
    ground: 'M8 60H142V104H8Z',
    first: 'M8 53H84L88 60H8Z',
    second: 'M74 46H84L92 53H142V60H88L84 53H74Z',
    tape: 'M44 50H74V53H44Z',
    edge: [74, 51],
  },
} as const;

/** A line cut across, and seen from before it: what lies over what, not to scale. */
export function CornerDrawing({ made, takeoff, system }: { made: MadeLine; takeoff: RoomTakeoff; system: System }) {
  const { line, chosen } = made;
  const [first, cut] = [line.sides[chosen.first], line.sides[1 - chosen.first] ?? line.sides[0]];
  const section = SECTIONS[line.corner];
  const fills = { first: first.s?.colour.hex ?? 'var(--void)', cut: cut.s?.colour.hex ?? 'var(--void)' };
  const taped = isTaped(chosen.method);
  const [x, y] = section.edge;
  const names = { first: heading(sideWord(first, takeoff), system), cut: heading(sideWord(cut, takeoff), system) };
  const level = line.corner !== 'inside' || line.kind !== 'corner';
  return (
    <div className="corner-drawings">
      <figure>
        <svg viewBox="0 0 150 112" role="img" aria-label={`Cut across: ${names.first} under ${names.cut}`}>
          <path d={section.ground} className="ground" />
          <path d={section.first} fill={fills.first} className="film" />
          <path d={section.second} fill={fills.cut} className="film" />
          {taped && <path d={section.tape} className="tape-mark" />}
          {chosen.method === 'tape-caulked' && <circle cx={x} cy={y} r="3.4" className="bead" />}
          {chosen.method === 'tape-sealed' && <circle cx={x} cy={y} r="2.4" className="sealed" fill={fills.first} />}
        </svg>
        <figcaption>Cut across</figcaption>
      </figure>
      <figure>
        <svg viewBox="0 0 150 112" role="img" aria-label={`From before it: ${names.first}, then ${names.cut}`}>
          {level ? (
            <>
              <rect x="4" y="4" width="142" height="50" fill={fills.first} className="film" />
              <rect x="4" y="54" width="142" height="54" fill={fills.cut} className="film" />
              {first.s && <rect x="4" y="54" width="142" height="16" className="lapped" />}
              {taped && <rect x="4" y="42" width="142" height="12" className="tape-mark" />}
              <line x1="4" y1="54" x2="146" y2="54" className="cut-mark" />
            </>
          ) : (
            <>
              <rect x="4" y="4" width="68" height="104" fill={fills.first} className="film" />
              <rect x="72" y="4" width="74" height="104" fill={fills.cut} className="film" />
              {first.s && <rect x="72" y="4" width="18" height="104" className="lapped" />}
              {taped && <rect x="60" y="4" width="12" height="104" className="tape-mark" />}
              <line x1="72" y1="4" x2="72" y2="108" className="cut-mark" />
            </>
          )}
        </svg>
        <figcaption>
          From before it{first.s && !line.hidden ? `; the lap, ${said(across(lapOf(first)), system)}, lies under` : ''}
        </figcaption>
      </figure>
      <p className="corner-key">
        <span>
          <span className="chip" style={{ background: fills.first }} /> {names.first}
          {first.s ? ', first' : ', there already'}
        </span>
        <span>
          <span className="chip" style={{ background: fills.cut }} /> {names.cut}, cut to it
        </span>
      </p>
    </div>
  );
}
