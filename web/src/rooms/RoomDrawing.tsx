import type { Room } from '@kovelin/core/job/measured.ts';
import { rows } from '@kovelin/core/job/table.ts';
import { aboutLength } from '@kovelin/core/units/length.ts';
import type { System } from '@kovelin/core/units/si.ts';
import './rooms.css';

const WIDTH = 560;
const TOP = 26;
const MOST_HIGH = 210;
/** Below a row of walls, for what they are called. */
const UNDER = 36;

/** The walls of a room as they will be measured: side by side in two rows, to scale, with what is in them. */
export function RoomDrawing({ room, system, isTyped }: { room: Room; system: System; isTyped: boolean }) {
  const height = room.height?.metres ?? 0;
  const walls = rows(room.walls);
  const [long = 0, short = 0] = walls.map((wall) => wall.length?.metres ?? 0);
  const scale = Math.min((WIDTH - 8) / (long + short), MOST_HIGH / height);
  const from = (WIDTH - (long + short) * scale) / 2;
  const face = (room.trim.baseboard?.face.metres ?? 0) * scale;
  const placed = walls.map((wall, i) => ({
    wall,
    width: (wall.length?.metres ?? 0) * scale,
    x: from + (i % 2 ? long * scale : 0),
    floor: TOP + height * scale + (i < 2 ? 0 : height * scale + UNDER),
  }));
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${TOP + 2 * (height * scale + UNDER)}`}
      className={isTyped ? 'room-drawing typed' : 'room-drawing'}
      role="img"
      aria-label="The four walls of the room side by side, with its doors and windows"
    >
      {placed.map(({ wall, x, width, floor }) => (
        <g key={wall.id}>
          <rect x={x} y={floor - height * scale} width={width} height={height * scale} className="room-wall" />
          {face > 0 && <rect x={x} y={floor - face} width={width} height={face} className="room-trim" />}
          {rows(room.openings)
            .filter((o) => o.wall === wall.id)
            .map((o) => {
              const box = {
                x: x + o.at.metres * scale,
                y: floor - ((o.sill?.metres ?? 0) + o.height.metres) * scale,
                width: o.width.metres * scale,
                height: o.height.metres * scale,
              };
              return (
                <g key={o.id}>
                  <rect {...box} className={`room-${o.kind}`} />
                  {o.kind === 'window' && (
                    <path
                      d={`M${box.x + box.width / 2} ${box.y}v${box.height}M${box.x} ${box.y + box.height / 2}h${box.width}`}
                      className="room-bar"
                    />
                  )}
                </g>
              );
            })}
          <text x={x + width / 2} y={floor + 20} textAnchor="middle" className="room-size">
            {wall.label} · {aboutLength(wall.length?.metres ?? 0, system)}
          </text>
        </g>
      ))}
      <text x={from} y={TOP - 9} className="room-size">
        {aboutLength(height, system)} high
      </text>
    </svg>
  );
}
