import type { JobView } from '../app/job-context.ts';
import type { RoomTakeoff } from '@kovelin/core/measure/takeoff.ts';
import { formatLength, lengthRow } from '@kovelin/core/units/length.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { Fragment, type KeyboardEvent, type ReactNode, useMemo, useRef } from 'react';
import { inkOn, type Coat } from './coat.ts';
import { layoutRoom, type PlacedWall, type RoomLayout } from './layout.ts';
import type { Placing } from './placing.ts';
import type { Transform } from './transform.ts';
import { useSize } from './useSize.ts';
import { useZoom } from './useZoom.ts';
import { InMetres, Lettering, Wall } from './WallMarks.tsx';
import Button from '@mui/material/Button';
import './drawing.css';

export type { Coat } from './coat.ts';

export interface UnrolledRoomProps {
  /** Where the surface looked at is known, and chosen. */
  readonly view: Pick<JobView, 'system' | 'surface' | 'select'>;
  readonly takeoff: RoomTakeoff;
  readonly paint: (surfaceId: string) => Coat;
  /** Walls under suspicion, by id: dashed, and with a question mark. */
  readonly suspects?: ReadonlySet<string>;
  /** Openings can be moved along their walls. */
  readonly placing?: Placing;
  /** Drawn over a wall, in pixels. */
  readonly over?: (wall: PlacedWall) => ReactNode;
  /** The same over the ceiling, whose metres are those of the plan. */
  readonly overCeiling?: (at: Transform) => ReactNode;
  /** Patterns that coats are filled with; `undone` undoes the scale of the drawing. */
  readonly patterns?: (undone: string) => ReactNode;
  /** Something to say beside the ceiling. */
  readonly aside?: ReactNode;
}

/** How long each wall is, in one unit. */
const sizesOf = ({ walls }: RoomTakeoff, system: System): readonly string[] =>
  lengthRow(
    walls.map(({ wall }) => wall.length?.metres ?? 0),
    system,
  );

/** The room unrolled: ceiling above, walls side by side in walking order, trim below; true to one scale. */
export function UnrolledRoom(props: UnrolledRoomProps) {
  const [ref, { width, height }] = useSize();
  const { system } = props.view;
  const sizes = useMemo(() => sizesOf(props.takeoff, system), [props.takeoff, system]);
  const layout = useMemo(
    () =>
      layoutRoom(
        props.takeoff,
        width,
        height,
        sizes.map((size) => size.length),
      ),
    [props.takeoff, width, height, sizes],
  );
  const beside = layout !== null && layout.aside.width > 230 && layout.aside.height > 80;
  return (
    <>
      <div className="drawing" ref={ref}>
        {layout ? (
          <Sheet {...props} layout={layout} height={height} sizes={sizes} />
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
  placing,
  over,
  overCeiling,
  patterns,
  height,
  sizes,
}: UnrolledRoomProps & { layout: RoomLayout; height: number; sizes: readonly string[] }) {
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
  const ground = ceilingCoat.ground ?? ceilingCoat.fill;
  // lettering that runs over the edge of a narrow ceiling keeps its ground about it
  const onCeiling = { fill: inkOn(ground), stroke: ground };
  const ring = ringOf(layout, takeoff, selected);
  const sheet = useRef<SVGSVGElement>(null);
  const group = useRef<SVGGElement>(null);
  const zoom = useZoom(sheet, group, `${layout.width}x${height}`);
  return (
    <>
      <svg
        ref={sheet}
        width={layout.width}
        height={height}
        role="group"
        aria-label={`${takeoff.room.name}, unrolled`}
        data-scale={layout.at.scale}
      >
        <defs>
          <pattern
            id="hatch"
            width="7"
            height="7"
            patternUnits="userSpaceOnUse"
            patternTransform={`${layout.at.undone} rotate(45)`}
          >
            <rect width="7" height="7" className="hatch-ground" />
            <path d="M0 0V7" className="hatch-line" />
          </pattern>
          {patterns?.(layout.at.undone)}
        </defs>
        <g ref={group}>
          {ceiling && (
            <g {...surface(ceilingId, `Ceiling of ${takeoff.room.name}`)}>
              <InMetres at={ceiling.at}>
                <polygon points={ceiling.points} fill={ceilingCoat.fill} className="edge" />
              </InMetres>
              <text x={ceiling.x + 9} y={ceiling.y + 20} className="label" style={onCeiling}>
                Ceiling
              </text>
              {ceilingCoat.note && (
                <text x={ceiling.x + 9} y={ceiling.y + 38} className="note" style={onCeiling}>
                  {ceilingCoat.note}
                </text>
              )}
            </g>
          )}
          {layout.walls.map((wall, i) => (
            <Wall
              size={sizes[i] ?? ''}
              key={wall.takeoff.wall.id}
              wall={wall}
              placing={placing ?? null}
              select={onSelect}
              system={system}
              paint={paint}
              trim={trim}
              surface={surface}
              suspect={suspects?.has(wall.takeoff.wall.id) ?? false}
            />
          ))}
          {ring && (
            <InMetres at={ring.at}>
              <polygon points={ring.points} className="ring" />
            </InMetres>
          )}
          {ceiling && overCeiling?.(ceiling.at)}
          {over && layout.walls.map((wall) => <Fragment key={wall.takeoff.wall.id}>{over(wall)}</Fragment>)}
          {layout.walls.map((wall) => {
            const { id } = wall.takeoff.wall;
            const isSuspect = suspects?.has(id) ?? false;
            return <Lettering key={id} wall={wall} coat={paint(`${id}/field`)} suspect={isSuspect} system={system} />;
          })}
          <HeightMark layout={layout} system={system} />
        </g>
      </svg>
      <div className="zoom" role="group" aria-label="Size of the drawing">
        <Button size="small" variant="outlined" aria-label="Larger" onClick={() => zoom.by(1.5)}>
          +
        </Button>
        <Button
          size="small"
          variant="outlined"
          aria-label="Smaller"
          disabled={zoom.scale <= 1}
          onClick={() => zoom.by(1 / 1.5)}
        >
          −
        </Button>
        {zoom.scale > 1 && (
          <Button size="small" variant="outlined" onClick={zoom.whole}>
            whole room
          </Button>
        )}
      </div>
    </>
  );
}

/** The outline that is drawn round the surface looked at: a wall’s, a region’s or the ceiling’s. */
function ringOf({ walls, ceiling }: RoomLayout, { room }: RoomTakeoff, selected: string | null) {
  if (selected === `${room.id}/ceiling`) return ceiling;
  for (const { takeoff, shapes, at } of walls) {
    const wall = takeoff.wall.id;
    if (selected === `${wall}/field`) return { at, points: shapes.points };
    const region = shapes.regions.find(({ part }) => selected === `${wall}/region/${part.id}`);
    if (region) return { at, points: region.points };
  }
  return null;
}

/** The first wall's height, dimensioned at its left. */
function HeightMark({ layout, system }: { layout: RoomLayout; system: System }) {
  const first = layout.walls[0];
  if (!first) return null;
  const height = first.takeoff.outline.top[0]?.y ?? 0;
  const { x: left, y: floor } = first.at;
  const [x, top] = [left - 14, first.at.up(first.shapes.top)];
  return (
    <g className="dimension" aria-hidden="true">
      <path
        d={`M${left - 3} ${top}H${x - 5}M${left - 3} ${floor}H${x - 5}M${x} ${top}V${floor}M${x - 3} ${top + 3}l6 -6M${x - 3} ${floor + 3}l6 -6`}
      />
      <text transform={`translate(${x - 7} ${(top + floor) / 2}) rotate(-90)`} textAnchor="middle">
        {formatLength(height, system)}
      </text>
    </g>
  );
}
