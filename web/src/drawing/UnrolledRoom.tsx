import type { JobView } from '../app/job-context.ts';
import type { RoomTakeoff } from '@kovelin/core/measure/takeoff.ts';
import { formatLength } from '@kovelin/core/units/length.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { type KeyboardEvent, type ReactNode, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { layoutRoom, type OpeningShape, type RoomLayout, type WallShape } from './layout.ts';

/** How a step paints one surface: its colour, and what is written on it. */
export interface Coat {
  readonly fill: string;
  readonly note?: string;
}
export interface UnrolledRoomProps {
  /** Where the surface looked at is known, and chosen. */
  readonly view: Pick<JobView, 'system' | 'surface' | 'select'>;
  readonly takeoff: RoomTakeoff;
  readonly paint: (surfaceId: string) => Coat;
  /** Walls under suspicion, by id: dashed, and with a question mark. */
  readonly suspects?: ReadonlySet<string>;
  /** Something to say beside the ceiling. */
  readonly aside?: ReactNode;
}

/** Mean advance of the condensed face at its sizes here, px: lettering that would not fit is left to the table. */
const NOTE_WIDTH = 5.6;
const DIMENSION_WIDTH = 5;

/** Dark or light lettering, whichever reads on the fill. */
function inkOn(fill: string): string | undefined {
  const found = /^#(..)(..)(..)$/.exec(fill);
  if (!found) return undefined;
  const [r, g, b] = found.slice(1).map((part) => parseInt(part, 16)) as [number, number, number];
  return 0.299 * r + 0.587 * g + 0.114 * b > 128 ? '#20302f' : '#fbf9f4';
}

function useSize() {
  const ref = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return;
    const observer = new ResizeObserver(
      ([entry]) => entry && setSize({ width: entry.contentRect.width, height: entry.contentRect.height }),
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, size] as const;
}

/** The room unrolled: ceiling above, walls side by side in walking order, trim below; true to one scale. */
export function UnrolledRoom(props: UnrolledRoomProps) {
  const [ref, { width, height }] = useSize();
  const layout = useMemo(() => layoutRoom(props.takeoff, width, height), [props.takeoff, width, height]);
  const beside = layout !== null && layout.aside.width > 230 && layout.aside.height > 80;
  return (
    <>
      <div className="drawing" ref={ref}>
        {layout ? (
          <Sheet {...props} layout={layout} height={height} />
        ) : (
          width > 0 && <Waiting labels={props.takeoff.missing} width={width} height={height} />
        )}
        {beside && props.aside && (
          <div
            className="aside"
            style={{
              left: layout.aside.x,
              top: layout.aside.y,
              width: layout.aside.width,
              height: layout.aside.height,
            }}
          >
            {props.aside}
          </div>
        )}
      </div>
      {!beside && props.aside && width > 0 && <div className="aside-below">{props.aside}</div>}
    </>
  );
}

/** Before the first length: the walls that are waited for, in the order of the walk. */
function Waiting({ labels, width, height }: { labels: readonly string[]; width: number; height: number }) {
  const each = Math.min(170, (width - 80) / Math.max(1, labels.length));
  const tall = Math.min(each * 0.72, height - 90);
  const left = (width - each * labels.length) / 2;
  const top = (height - tall) / 2;
  return (
    <svg width={width} height={height} role="img" aria-label={`Waiting for the first length: wall ${labels[0] ?? 'A'}`}>
      {labels.map((label, i) => (
        <g key={label} className="waited">
          <rect x={left + i * each + 2} y={top} width={each - 4} height={tall} />
          <text x={left + i * each + 14} y={top + 24} className="label">
            {label}
          </text>
        </g>
      ))}
      <text x={width / 2} y={top + tall + 34} textAnchor="middle" className="note">
        Tape the walls clockwise, standing inside. Each is drawn as you type it.
      </text>
    </svg>
  );
}

function Sheet({
  view,
  layout,
  takeoff,
  paint,
  suspects,
  height,
}: UnrolledRoomProps & { layout: RoomLayout; height: number }) {
  const { system, select: onSelect } = view;
  const selected = view.surface?.id ?? null;
  const ceilingId = `${takeoff.room.id}/ceiling`;
  const surface = (id: string, label: string) => ({
    role: 'button',
    tabIndex: 0,
    'aria-pressed': selected === id,
    'aria-label': label,
    'data-surface': id,
    className: selected === id ? 'surface chosen' : 'surface',
    onClick: () => onSelect(id),
    onKeyDown: (event: KeyboardEvent) => {
      if (event.key === 'Enter' || event.key === ' ') {
        event.preventDefault();
        onSelect(id);
      }
    },
  });
  const trim = (kind: string) => paint(`${takeoff.room.id}/${kind}`).fill;
  const { ceiling } = layout;
  const ceilingCoat = paint(ceilingId);
  const last = layout.walls.find((w) => `${w.takeoff.wall.id}/field` === selected);
  return (
    <svg
      width={layout.width}
      height={height}
      role="group"
      aria-label={`${takeoff.room.name}, unrolled`}
      data-scale={layout.scale}
    >
      {ceiling && (
        <g {...surface(ceilingId, `Ceiling of ${takeoff.room.name}`)}>
          <polygon points={ceiling.points} fill={ceilingCoat.fill} className="edge" />
          <text x={ceiling.x + 9} y={ceiling.y + 20} className="label" style={{ fill: inkOn(ceilingCoat.fill) }}>
            Ceiling
          </text>
          {ceilingCoat.note && (
            <text x={ceiling.x + 9} y={ceiling.y + 38} className="note" style={{ fill: inkOn(ceilingCoat.fill) }}>
              {ceilingCoat.note}
            </text>
          )}
        </g>
      )}
      {layout.walls.map((wall) => (
        <Wall
          key={wall.takeoff.wall.id}
          wall={wall}
          floor={layout.floor}
          system={system}
          paint={paint}
          trim={trim}
          surface={surface}
          suspect={suspects?.has(wall.takeoff.wall.id) ?? false}
        />
      ))}
      {last && <polygon points={last.points} className="ring" />}
      {ceiling && selected === ceilingId && <polygon points={ceiling.points} className="ring" />}
      <HeightMark layout={layout} system={system} />
    </svg>
  );
}

interface WallProps {
  readonly wall: WallShape;
  readonly floor: number;
  readonly system: System;
  readonly paint: (id: string) => Coat;
  readonly trim: (kind: string) => string;
  readonly surface: (id: string, label: string) => object;
  readonly suspect: boolean;
}

function Wall({ wall, floor, system, paint, trim, surface, suspect }: WallProps) {
  const { takeoff, x, width, label } = wall;
  const id = `${takeoff.wall.id}/field`;
  const coat = paint(id);
  const ink = inkOn(coat.fill);
  const reading = takeoff.wall.length?.metres ?? 0;
  const size = formatLength(reading, system);
  const y = floor + 18;
  return (
    <>
      <g {...surface(id, `Wall ${takeoff.wall.label}, ${size} long${suspect ? ', perhaps misread' : ''}`)}>
        <polygon points={wall.points} fill={coat.fill} className="edge" data-wall={takeoff.wall.label} />
      </g>
      <g className="trim-shapes">
        {wall.rails.map((rail) => (
          <rect
            key={rail.y}
            x={x}
            y={rail.y}
            width={width}
            height={Math.max(1.5, rail.height)}
            fill={trim('chair-rail')}
            className="thin"
          />
        ))}
        {wall.baseboard?.runs.map(([a, b]) => (
          <rect
            key={a}
            x={a}
            y={floor - (wall.baseboard?.height ?? 0)}
            width={b - a}
            height={wall.baseboard?.height}
            fill={trim('baseboard')}
            className="thin"
          />
        ))}
      </g>
      {wall.openings.map((opening) => (
        <OpeningMark
          key={opening.opening.id}
          shape={opening}
          fill={trim('casing')}
          leaf={paint(`${opening.opening.id}/leaf`).fill}
          surface={surface}
        />
      ))}
      {suspect && <polygon points={wall.points} className="suspect" />}
      <g className="lettering" aria-hidden="true">
        <text x={label.x} y={label.y} className="label" style={{ fill: ink }}>
          {takeoff.wall.label}
          {suspect && ' ?'}
        </text>
        {coat.note && label.width > coat.note.length * NOTE_WIDTH && (
          <text x={label.x} y={label.y + 17} className="note" style={{ fill: ink }}>
            {coat.note}
          </text>
        )}
      </g>
      <g className="dimension" aria-hidden="true">
        <path
          d={`M${x + 0.5} ${floor + 4}V${y + 5}M${x + width - 0.5} ${floor + 4}V${y + 5}M${x} ${y}H${x + width}M${x - 3} ${y + 3}l6 -6M${x + width - 3} ${y + 3}l6 -6`}
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
  const { opening, x, y, width, height, casing } = shape;
  const onFloor = !opening.sill?.metres;
  const frame = (
    <rect
      x={x - casing}
      y={y - casing}
      width={width + 2 * casing}
      height={height + casing * (onFloor ? 1 : 2)}
      fill={fill}
      className="thin"
    />
  );
  if (opening.kind === 'window')
    return (
      <g className="opening">
        {casing > 0 && frame}
        <rect x={x} y={y} width={width} height={height} className="glass" />
        <path d={`M${x} ${y + height / 2}h${width}`} className="bar" />
      </g>
    );
  if (opening.kind === 'opening' || opening.leaf === 'none')
    return (
      <g className="opening">
        {casing > 0 && frame}
        <rect x={x} y={y} width={width} height={height} className="void" />
      </g>
    );
  const inset = Math.min(width, height) * 0.14;
  const panel = (top: number, h: number) => (
    <rect x={x + inset} y={y + top} width={width - 2 * inset} height={h} className="panel" />
  );
  return (
    <g {...surface(`${opening.id}/leaf`, `Door ${opening.label}`)}>
      {casing > 0 && frame}
      <rect x={x} y={y} width={width} height={height} fill={leaf} className="edge" />
      {opening.leaf === 'panelled' && panel(inset, height * 0.42 - inset)}
      {opening.leaf === 'panelled' && panel(height * 0.5, height * 0.5 - inset)}
      <circle cx={x + width - Math.min(6, width / 5)} cy={y + height * 0.52} r="1.6" className="knob" />
    </g>
  );
}

/** The first wall's height, dimensioned at its left. */
function HeightMark({ layout, system }: { layout: RoomLayout; system: System }) {
  const first = layout.walls[0];
  if (!first) return null;
  const height = first.takeoff.outline.top[0]?.y ?? 0;
  const [x, top] = [first.x - 14, first.top];
  return (
    <g className="dimension" aria-hidden="true">
      <path
        d={`M${first.x - 3} ${top}H${x - 5}M${first.x - 3} ${layout.floor}H${x - 5}M${x} ${top}V${layout.floor}M${x - 3} ${top + 3}l6 -6M${x - 3} ${layout.floor + 3}l6 -6`}
      />
      <text transform={`translate(${x - 7} ${(top + layout.floor) / 2}) rotate(-90)`} textAnchor="middle">
        {formatLength(height, system)}
      </text>
    </g>
  );
}
