import { formatLength } from '@kovelin/core/units/length.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { said } from '@kovelin/core/units/word.ts';
import { PART } from '@kovelin/core/words/terms.ts';
import { inkOn, type Coat } from './coat.ts';
import type { OpeningShape, PartShape, WallShape } from './layout.ts';
import { type Placing, usePlacing } from './placing.ts';

/** Mean advance of the condensed face at its sizes here, px: lettering that would not fit is left to the table. */
const NOTE_WIDTH = 5.6;
const DIMENSION_WIDTH = 5;

export interface WallProps {
  readonly wall: WallShape;
  readonly scale: number;
  readonly floor: number;
  readonly system: System;
  readonly paint: (id: string) => Coat;
  readonly trim: (kind: string) => string;
  readonly surface: (id: string, label: string) => object;
  readonly select: (id: string) => void;
  readonly suspect: boolean;
  readonly placing: Placing | null;
}

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
  const { wall, floor, system, paint, trim, surface, suspect, placing } = props;
  const { takeoff, x, width, label } = wall;
  const id = `${takeoff.wall.id}/field`;
  const coat = paint(id);
  const note = wrapped(coat.note ?? '', label.width / NOTE_WIDTH);
  const ink = inkOn(coat.fill);
  const reading = takeoff.wall.length?.metres ?? 0;
  const size = formatLength(reading, system);
  const bottom = Math.max(floor, floor - Math.min(...takeoff.outline.foot.map((p) => p.y)) * props.scale);
  const y = bottom + 18;
  const clip = `clip-${takeoff.wall.id}`;
  return (
    <>
      <g {...surface(id, `Wall ${takeoff.wall.label}, ${size} long${suspect ? ', perhaps misread' : ''}`)}>
        <polygon points={wall.points} fill={coat.fill} className="edge" data-wall={takeoff.wall.label} />
      </g>
      <Film id={takeoff.wall.id} points={wall.points} coat={coat} scale={props.scale} clip={clip} />
      {(wall.regions.length > 0 || wall.covers.length > 0 || coat.cut) && (
        <clipPath id={clip}>
          <polygon points={wall.points} />
        </clipPath>
      )}
      {wall.regions.map((shape) => {
        const region = `${takeoff.wall.id}/region/${shape.part.id}`;
        const words = `Wall ${takeoff.wall.label}, ${said(PART[shape.part.kind], system)} ${shape.part.label}`;
        return (
          <g key={region} clipPath={`url(#${clip})`} {...surface(region, words)}>
            <polygon points={shape.points} fill={paint(region).fill} className="edge" />
          </g>
        );
      })}
      <g clipPath={wall.covers.length ? `url(#${clip})` : undefined}>
        {wall.covers.map((shape) => (
          <CoverMark
            key={shape.part.id}
            shape={shape}
            fill={paint(`${shape.part.id}/faces`).fill}
            surface={surface}
            system={system}
          />
        ))}
      </g>
      <g className="trim-shapes">
        {wall.trim.map(({ kind, points }) => (
          <polygon key={`${kind}${points}`} points={points} fill={trim(kind)} className="thin" />
        ))}
      </g>
      {wall.openings.map((shape) => {
        const mark = (
          <OpeningMark
            shape={shape}
            fill={trim('casing')}
            leaf={paint(`${shape.opening.id}/leaf`).fill}
            surface={surface}
          />
        );
        return placing ? (
          <Movable key={shape.opening.id} {...props} shape={shape} placing={placing}>
            {mark}
          </Movable>
        ) : (
          <g key={shape.opening.id}>{mark}</g>
        );
      })}
      {suspect && <polygon points={wall.points} className="suspect" />}
      <g className="lettering" aria-hidden="true">
        <text x={label.x} y={label.y} className="label" style={{ fill: ink }}>
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
      <g className="dimension" aria-hidden="true">
        <path
          d={`M${x + 0.5} ${bottom + 4}V${y + 5}M${x + width - 0.5} ${bottom + 4}V${y + 5}M${x} ${y}H${x + width}M${x - 3} ${y + 3}l6 -6M${x + width - 3} ${y + 3}l6 -6`}
        />
        {width > size.length * DIMENSION_WIDTH && (
          <text x={x + width / 2} y={y + 15} textAnchor="middle">
            {size}
          </text>
        )}
      </g>
    </>
  );
}

/** Width of the band cut in with a brush [common practice, no source], m. */
const CUT_BAND = 0.035;

/** A film as it would dry: uneven where it is thin, and a band along the edges where a brush laid less. */
function Film({
  id,
  points,
  coat,
  scale,
  clip,
}: {
  id: string;
  points: string;
  coat: Coat;
  scale: number;
  clip: string;
}) {
  const { fill, thin, cut } = coat;
  if (!thin && !cut) return null;
  return (
    <g className="lettering" aria-hidden="true">
      {thin && thin !== fill && (
        <>
          <pattern id={`thin-${id}`} width="74" height="58" patternUnits="userSpaceOnUse" patternTransform="rotate(-7)">
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
          strokeWidth={Math.max(3, 2 * CUT_BAND * scale)}
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
  scale,
  floor,
  system,
  placing,
  select,
  children,
}: WallProps & { shape: OpeningShape; placing: Placing; children: React.ReactNode }) {
  const { opening, x, width } = shape;
  const { resting, pointer, onKeyDown } = usePlacing(opening, wall.takeoff, scale, system, placing);
  const from = formatLength(opening.at.metres, system);
  const rest = wall.takeoff.outline.length - opening.at.metres - opening.width.metres;
  const mid = x + width / 2;
  const words = `${from}, ${formatLength(Math.max(0, rest), system)} to its end`;
  return (
    <g
      className={resting ? 'movable moving' : 'movable'}
      {...pointer}
      // what has no face of its own stands for its wall
      onClick={() => opening.leaf === 'none' && select(`${wall.takeoff.wall.id}/field`)}
      data-opening={opening.label}
    >
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
        <path d={`M${mid - 9} ${floor - 5}h18M${mid - 9} ${floor}h18M${mid - 9} ${floor + 5}h18`} />
      </g>
      {resting && (
        <g className="placing" aria-hidden="true">
          <path d={`M${wall.x} ${shape.y - 10}H${x}M${x + width} ${shape.y - 10}H${wall.x + wall.width}`} />
          <text x={mid} y={shape.y - 26} textAnchor="middle">
            {from} from the start{resting.why ? `, ${said(resting.why, system)}` : ''}
          </text>
        </g>
      )}
    </g>
  );
}

type CoverProps = { readonly shape: PartShape; readonly fill: string } & Pick<WallProps, 'surface' | 'system'>;
function CoverMark({ shape, fill, surface, system }: CoverProps) {
  const { part, points, x, y, width, height } = shape;
  const bare = part.kind === 'tile' || part.kind === 'cabinet';
  const words = said(PART[part.kind], system);
  const lettered = width > words.length * NOTE_WIDTH + 8 && height > 18;
  const body = (
    <>
      <polygon points={points} fill={bare ? 'url(#hatch)' : fill} className="edge" />
      {lettered && (
        <text x={x + 5} y={y + 14} className="cover-word" aria-hidden="true">
          {words}
        </text>
      )}
    </>
  );
  return bare ? (
    <g className="opening">{body}</g>
  ) : (
    <g {...surface(`${part.id}/faces`, `${words} ${part.label}`)}>{body}</g>
  );
}

function OpeningMark({
  shape,
  fill,
  leaf,
  surface,
}: {
  shape: OpeningShape;
  fill: string;
  leaf: string;
  surface: WallProps['surface'];
}) {
  const { opening, x, y, width, height, points, cased } = shape;
  const frame = cased && <polygon points={cased} fill={fill} className="thin" />;
  const { rows, columns } = opening.panels;
  if (opening.kind === 'window') {
    // a hung sash meets in the middle of the window, a sliding one in the middle of its width
    const across = opening.sash === 'hung' ? 2 * rows : rows;
    const down = opening.sash === 'sliding' ? 2 * columns : columns;
    const lines = [
      ...Array.from({ length: across - 1 }, (_, i) => `M${x} ${y + (height * (i + 1)) / across}h${width}`),
      ...Array.from({ length: down - 1 }, (_, i) => `M${x + (width * (i + 1)) / down} ${y}v${height}`),
    ];
    const plain = opening.shape === 'rectangle';
    return (
      <g className="opening">
        {frame}
        <polygon points={points} className="glass" />
        <path d={plain ? lines.join('') || `M${x} ${y + height / 2}h${width}` : ''} className="bar" />
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
    <g {...surface(`${opening.id}/leaf`, `Door ${opening.label}`)}>
      {frame}
      <polygon points={points} fill={leaf} className="edge" />
      {opening.leaf !== 'flush' && <Panels shape={shape} />}
      <circle cx={x + width - Math.min(6, width / 5)} cy={y + height * 0.52} r="1.6" className="knob" />
    </g>
  );
}

/** Panels of a leaf, or its panes, between stiles and rails of one width. */
function Panels({ shape }: { shape: OpeningShape }) {
  const { opening, x, y, width, height } = shape;
  const { rows, columns } = opening.panels;
  const stile = width * 0.14;
  const [w, h] = [(width - (columns + 1) * stile) / columns, (height - (rows + 1) * stile) / rows];
  if (w <= 0 || h <= 0) return null;
  return Array.from({ length: rows * columns }, (_, i) => (
    <rect
      key={i}
      x={x + stile + (i % columns) * (w + stile)}
      y={y + stile + Math.floor(i / columns) * (h + stile)}
      width={w}
      height={h}
      className={opening.leaf === 'glazed' ? 'glass' : 'panel'}
    />
  ));
}
