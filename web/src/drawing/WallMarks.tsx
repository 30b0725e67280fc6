import { FINGER } from '../ui/theme.ts';
import type { ReactNode } from 'react';
import { formatLength } from '@kovelin/core/units/length.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { openingWord, partWord } from '@kovelin/core/words/names.ts';
import { PART } from '@kovelin/core/words/terms.ts';
import { inkOn, type Coat } from './coat.ts';
import { DIMENSION_LETTER, LOWER, type PlacedWall } from './layout.ts';
import type { OpeningShape, PartShape } from './shapes.ts';
import type { Transform } from './transform.ts';
import { type Placing, usePlacing } from './placing.ts';

/** Mean advance of the condensed face at its sizes here, px: lettering that would not fit is left to the table. */
const NOTE_WIDTH = 5.6;

export interface WallProps {
  readonly wall: PlacedWall;
  /** How long it is, as the row of dimensions says it. */
  readonly size: string;
  readonly system: System;
  readonly paint: (id: string) => Coat;
  readonly trim: (kind: string) => string;
  readonly surface: (id: string, label: string) => object;
  readonly select: (id: string) => void;
  readonly suspect: boolean;
  readonly placing: Placing | null;
}

/** What is drawn in metres; lettering and dimensions stand beside it, in pixels. */
export const InMetres = ({ at, children }: { readonly at: Transform; readonly children: ReactNode }) => (
  <g transform={at.toString()}>{children}</g>
);

/** A note in lines of so many letters, two at most; none where a word is too long for that. */
function wrapped(note: string, letters: number): string[] {
  const lines: string[] = [];
  for (const word of note.split(' ').filter(Boolean)) {
    const longer = `${lines.at(-1) ?? ''} ${word}`.trim();
    if (lines.length && longer.length < letters) lines[lines.length - 1] = longer;
    else lines.push(word);
  }
  return lines.length <= 2 && lines.every((line) => line.length < letters) ? lines : [];
}

/** One wall with all that stands on it, its letter, its note and its length. */
export function Wall(props: WallProps) {
  const { wall, size, system, paint, trim, surface, suspect, placing } = props;
  const { takeoff, shapes, at } = wall;
  const { label, id } = takeoff.wall;
  const coat = paint(`${id}/field`);
  const clip = `clip-${id}`;
  return (
    <>
      <InMetres at={at}>
        <g {...surface(`${id}/field`, `Wall ${label}, ${size} long${suspect ? ', perhaps misread' : ''}`)}>
          <polygon points={shapes.points} fill={coat.fill} className="edge" data-wall={label} />
        </g>
        <Film id={id} points={shapes.points} coat={coat} at={at} clip={clip} />
        {(shapes.regions.length > 0 || shapes.covers.length > 0 || coat.cut) && (
          <clipPath id={clip}>
            <polygon points={shapes.points} />
          </clipPath>
        )}
        {shapes.regions.map(({ part, points }) => (
          <g
            key={part.id}
            clipPath={`url(#${clip})`}
            {...surface(`${id}/region/${part.id}`, `Wall ${label}, ${said(partWord(part), system)}`)}
          >
            <polygon points={points} fill={paint(`${id}/region/${part.id}`).fill} className="edge" />
          </g>
        ))}
        <g clipPath={shapes.covers.length ? `url(#${clip})` : undefined}>
          {shapes.covers.map((shape) => (
            <CoverMark key={shape.part.id} shape={shape} {...props} />
          ))}
        </g>
        <g className="trim-shapes">
          {shapes.trim.map(({ kind, points }) => (
            <polygon key={`${kind}${points}`} points={points} fill={trim(kind)} className="thin" />
          ))}
        </g>
      </InMetres>
      {shapes.openings.map((shape) => {
        const mark = (
          <InMetres at={at}>
            <OpeningMark
              shape={shape}
              fill={trim('casing')}
              leaf={paint(`${shape.opening.id}/leaf`).fill}
              surface={surface}
              system={system}
            />
          </InMetres>
        );
        return placing ? (
          <Movable key={shape.opening.id} {...props} shape={shape} placing={placing}>
            {mark}
          </Movable>
        ) : (
          <g key={shape.opening.id}>{mark}</g>
        );
      })}
      {suspect && (
        <InMetres at={at}>
          <polygon points={shapes.points} className="suspect" />
        </InMetres>
      )}
      <LengthMark wall={wall} size={size} />
    </>
  );
}

/** Its letter and its note, and the names of what hides it: above all that is drawn on it. */
export function Lettering({
  wall,
  coat,
  suspect,
  system,
}: { readonly coat: Coat } & Pick<WallProps, 'wall' | 'suspect' | 'system'>) {
  const { takeoff, shapes, at, label } = wall;
  const note = wrapped(coat.note ?? '', label.width / NOTE_WIDTH);
  const ink = inkOn(coat.ground ?? coat.fill);
  return (
    <g className="lettering" aria-hidden="true">
      {shapes.covers.map(({ part, box }) => {
        const words = said(PART[part.kind], system);
        const [width, height] = [(box.right - box.left) * at.scale, (box.top - box.bottom) * at.scale];
        return width > words.length * NOTE_WIDTH + 8 && height > 18 ? (
          <text key={part.id} x={at.across(box.left) + 5} y={at.up(box.top) + 14} className="cover-word">
            {words}
          </text>
        ) : null;
      })}
      <text x={label.x} y={label.y} className="label" style={{ fill: ink, stroke: coat.ground ?? coat.fill }}>
        {takeoff.wall.label}
        {suspect && ' ?'}
      </text>
      {note.length > 0 && (
        <text x={label.x} y={label.y + 17} className="note" style={{ fill: ink }}>
          {note.map((line, i) => (
            <tspan key={i} x={label.x} dy={i ? 15 : 0}>
              {line}
            </tspan>
          ))}
        </text>
      )}
    </g>
  );
}

/** How long it is, dimensioned below it. */
function LengthMark({ wall: { takeoff, shapes, at, lowered }, size }: { wall: PlacedWall; size: string }) {
  const [from, to] = [at.x, at.across(takeoff.outline.length)];
  const bottom = at.up(shapes.foot);
  const y = bottom + 18;
  return (
    <g className="dimension" aria-hidden="true">
      <path
        d={`M${from + 0.5} ${bottom + 4}V${y + 5}M${to - 0.5} ${bottom + 4}V${y + 5}M${from} ${y}H${to}M${from - 3} ${y + 3}l6 -6M${to - 3} ${y + 3}l6 -6`}
      />
      {to - from > size.length * DIMENSION_LETTER * (lowered ? 0.5 : 0.7) && (
        <text x={(from + to) / 2} y={y + 15 + (lowered ? LOWER : 0)} textAnchor="middle">
          {size}
        </text>
      )}
    </g>
  );
}

/** Width of the band cut in with a brush [common practice, no source], m. */
const CUT_BAND = 0.035;

/** A film as it would dry: uneven where it is thin, and a band along the edges where a brush laid less. */
function Film({ id, points, coat, at, clip }: { id: string; points: string; coat: Coat; at: Transform; clip: string }) {
  const { fill, thin, cut } = coat;
  if (!thin && !cut) return null;
  return (
    <g className="lettering" aria-hidden="true">
      {thin && thin !== fill && (
        <>
          <pattern
            id={`thin-${id}`}
            width="74"
            height="58"
            patternUnits="userSpaceOnUse"
            patternTransform={`${at.undone} rotate(-7)`}
          >
            <g fill={thin}>
              <path d="M5 9q9-7 17-1q7 5-2 9q-13 4-15-8Z" />
              <path d="M41 22q12-5 19 2q4 6-7 8q-14 1-12-10Z" />
              <path d="M12 39q8-6 15 0q5 6-5 8q-12 1-10-8Z" />
              <path d="M55 46q7-4 12 1q2 5-6 6q-8 0-6-7Z" />
            </g>
          </pattern>
          <polygon points={points} fill={`url(#thin-${id})`} data-thin={thin} />
        </>
      )}
      {cut && cut !== fill && (
        <polygon
          points={points}
          fill="none"
          stroke={cut}
          strokeWidth={Math.max(at.metres(3), 2 * CUT_BAND)}
          clipPath={`url(#${clip})`}
        />
      )}
      <polygon points={points} fill="none" className="edge" />
    </g>
  );
}

/** An opening that can be moved along its wall: by dragging it or its grip, or with the arrow keys. */
function Movable({
  wall,
  shape,
  system,
  placing,
  select,
  children,
}: WallProps & { shape: OpeningShape; placing: Placing; children: ReactNode }) {
  const { opening, box } = shape;
  const { at } = wall;
  const { resting, pointer, onKeyDown } = usePlacing(opening, wall.takeoff, at.scale, system, placing);
  const from = formatLength(opening.at.metres, system);
  const rest = wall.takeoff.outline.length - opening.at.metres - opening.width.metres;
  const [left, right] = [at.across(box.left), at.across(box.right)];
  const [mid, floor, top] = [(left + right) / 2, at.y, at.up(box.top)];
  const words = `${from}, ${formatLength(Math.max(0, rest), system)} to its end`;
  return (
    <g
      className={resting ? 'movable moving' : 'movable'}
      {...pointer}
      onClick={({ target }) => {
        // what has no face of its own stands for its wall
        if (opening.leaf === 'none') select(`${wall.takeoff.wall.id}/field`);
        // the grip keeps the focus: its arrows move the opening
        if (!(target as Element).closest('.grip')) placing.open(opening);
      }}
      data-opening={opening.label}
    >
      {right - left < FINGER && (
        <rect x={mid - FINGER / 2} y={top} width={FINGER} height={Math.max(0, floor - top)} className="finger" />
      )}
      {children}
      <g
        className="grip"
        role="slider"
        tabIndex={0}
        aria-label={`Place of ${opening.label} along wall ${wall.takeoff.wall.label}`}
        aria-valuemin={0}
        aria-valuemax={Number(Math.max(0, rest + opening.at.metres).toFixed(4))}
        aria-valuenow={Number(opening.at.metres.toFixed(4))}
        aria-valuetext={words}
        onKeyDown={onKeyDown}
      >
        <rect x={mid - 14} y={floor - 12} width={28} height={24} className="grip-target" />
        <rect x={mid - FINGER / 2} y={floor - FINGER / 2} width={FINGER} height={FINGER} className="finger" />
        <path d={`M${mid - 9} ${floor - 5}h18M${mid - 9} ${floor}h18M${mid - 9} ${floor + 5}h18`} />
      </g>
      {resting && (
        <g className="placing" aria-hidden="true">
          <path d={`M${at.x} ${top - 10}H${left}M${right} ${top - 10}H${at.across(wall.takeoff.outline.length)}`} />
          <text x={mid} y={top - 26} textAnchor="middle">
            {from} from the start{resting.why ? `, ${said(resting.why, system)}` : ''}
          </text>
        </g>
      )}
    </g>
  );
}

function CoverMark({ shape: { part, points }, paint, surface, system }: WallProps & { shape: PartShape }) {
  const bare = part.kind === 'tile' || part.kind === 'cabinet';
  const faces = `${part.id}/faces`;
  const body = <polygon points={points} fill={bare ? 'url(#hatch)' : paint(faces).fill} className="edge" />;
  return bare ? <g className="opening">{body}</g> : <g {...surface(faces, heading(partWord(part), system))}>{body}</g>;
}

function OpeningMark({
  shape,
  fill,
  leaf,
  surface,
  system,
}: {
  shape: OpeningShape;
  system: System;
  fill: string;
  leaf: string;
  surface: WallProps['surface'];
}) {
  const { opening, box, points, cased } = shape;
  const { left, bottom } = box;
  const [width, height] = [box.right - left, box.top - bottom];
  const frame = cased && <polygon points={cased} fill={fill} className="thin" />;
  const { rows, columns } = opening.panels;
  if (opening.kind === 'window') {
    // a hung sash meets in the middle of the window, a sliding one in the middle of its width
    const across = opening.sash === 'hung' ? 2 * rows : rows;
    const down = opening.sash === 'sliding' ? 2 * columns : columns;
    const lines = [
      ...Array.from({ length: across - 1 }, (_, i) => `M${left} ${bottom + (height * (i + 1)) / across}h${width}`),
      ...Array.from({ length: down - 1 }, (_, i) => `M${left + (width * (i + 1)) / down} ${bottom}v${height}`),
    ];
    const plain = opening.shape === 'rectangle';
    return (
      <g className="opening">
        {frame}
        <polygon points={points} className="glass" />
        <path d={plain ? lines.join('') || `M${left} ${bottom + height / 2}h${width}` : ''} className="bar" />
      </g>
    );
  }
  if (opening.kind === 'opening' || opening.leaf === 'none')
    return (
      <g className="opening">
        {frame}
        <polygon points={points} className="void" />
      </g>
    );
  return (
    <g {...surface(`${opening.id}/leaf`, heading(openingWord(opening), system))}>
      {frame}
      <polygon points={points} fill={leaf} className="edge" />
      {opening.leaf !== 'flush' && <Panels shape={shape} />}
      <path d={`M${box.right - Math.min(BACKSET, width / 5)} ${bottom + height * 0.48}h0`} className="knob" />
    </g>
  );
}

/** From the edge of a leaf to its handle [common practice, no source], m. */
const BACKSET = 0.07;

/** Panels of a leaf, or its panes, between stiles and rails of one width. */
function Panels({ shape }: { shape: OpeningShape }) {
  const { opening, box } = shape;
  const { rows, columns } = opening.panels;
  const [width, height] = [box.right - box.left, box.top - box.bottom];
  const stile = width * 0.14;
  const [w, h] = [(width - (columns + 1) * stile) / columns, (height - (rows + 1) * stile) / rows];
  if (w <= 0 || h <= 0) return null;
  return Array.from({ length: rows * columns }, (_, i) => (
    <rect
      key={i}
      x={box.left + stile + (i % columns) * (w + stile)}
      y={box.bottom + stile + Math.floor(i / columns) * (h + stile)}
      width={w}
      height={h}
      className={opening.leaf === 'glazed' ? 'glass' : 'panel'}
    />
  ));
}
