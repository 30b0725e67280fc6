import { ring } from '@kovelin/core/units/list.ts';
import { placeOf, sunAt, momentOn, type SunDay } from '@kovelin/core/inspect/sun.ts';
import type { Patch } from '@kovelin/core/inspect/beam.ts';
import { bad, good, type Result } from '@kovelin/core/units/problem.ts';
import { ENDS, within, type Ends } from '@kovelin/core/job/limits.ts';
import { clockTime } from '@kovelin/core/units/date.ts';
import { compassPoint } from '@kovelin/core/specify/light.ts';
import { COUNTRY_ROWS } from '@kovelin/core/job/region.ts';
import { dayText } from '@kovelin/core/units/day-text.ts';
import { useState } from 'react';
import { DayField } from '../ui/DayField.tsx';
import { DraftField } from '../ui/DraftField.tsx';
import { path } from '../drawing/transform.ts';
import { TextButton } from '../ui/TextButton.tsx';
import { plainNumber, type Inspecting } from './shared.ts';
import Slider from '@mui/material/Slider';

interface SunBarProps extends Pick<Inspecting, 'view' | 'date' | 'minute'> {
  readonly day: SunDay | null;
  readonly patches: readonly Patch[];
  readonly onDate: (date: string) => void;
  readonly onMinute: (minute: number) => void;
}

const degrees =
  (ends: Ends, what: string) =>
  (text: string): Result<number | null> => {
    if (!text.trim()) return good(null);
    const value = plainNumber(text.replace('°', ''));
    return within(value, ends) ? good(value) : bad(`${what} from ${ends[0]} to ${ends[1]} is accepted.`);
  };

/** The sun of a day: hour by hour on the plan; where the room faces, and where it is. */
export function SunBar({ view, date, minute, day, onDate, onMinute }: Omit<SunBarProps, 'patches'>) {
  const { session, state, takeoff } = view;
  const { job } = state;
  const [open, setOpen] = useState(false);
  if (!takeoff) return null;
  const { room } = takeoff;
  const place = placeOf(job);
  const first = takeoff.walls[0]?.wall.label ?? 'A';
  const where = (set: Partial<typeof place>): boolean =>
    session.run({
      name: 'setPlace',
      args: { place: { latitude: place.latitude, longitude: place.longitude, ...set } },
    });
  return (
    <section className="sun-bar" aria-label="Sun">
      <p>
        <b className="sun-clock">{clockTime(minute)}</b>
      </p>
      <Slider
        min={0}
        max={1435}
        step={5}
        value={minute}
        aria-label="Hour of the day"
        getAriaValueText={clockTime}
        onChange={(_, next) => onMinute(next)}
      />
      <TextButton aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? 'done' : day ? dayText(date, job.region.dates) : `where does wall ${first} face?`}
      </TextButton>
      {open && (
        <div className="sun-where">
          <DayField
            label="Day"
            form={job.region.dates}
            days={[date]}
            single
            onCommit={([next]) => {
              if (next) onDate(next);
              return null;
            }}
          />
          <DraftField
            label={`Wall ${first} faces, ° from north`}
            value={room.bearing === null ? '' : `${room.bearing}`}
            placeholder="such as 180: south"
            parse={degrees([0, 359.9], 'A bearing')}
            onCommit={(bearing) =>
              session.run({ name: 'setRoom', args: { room: room.id, set: { bearing } } }) ? null : 'not taken'
            }
          />
          <DraftField
            label="Latitude, °N"
            value={place.assumed ? '' : `${place.latitude}`}
            placeholder={`${place.latitude}: ${COUNTRY_ROWS[job.region.country].name}, assumed`}
            parse={degrees(ENDS.latitude, 'A latitude')}
            onCommit={(latitude) => (latitude === null ? null : where({ latitude }) ? null : 'not taken')}
          />
          <DraftField
            label="Longitude, °E"
            value={place.assumed ? '' : `${place.longitude}`}
            placeholder={`${place.longitude}, assumed`}
            parse={degrees(ENDS.longitude, 'A longitude')}
            onCommit={(longitude) => (longitude === null ? null : where({ longitude }) ? null : 'not taken')}
          />
        </div>
      )}
    </section>
  );
}

/** Beside the ceiling: the plan with the sun on its floor, and what it is doing. */
export function SunAside({ view, date, minute, day, patches }: Omit<SunBarProps, 'onDate' | 'onMinute'>) {
  const { takeoff, state } = view;
  const { job } = state;
  if (!takeoff) return null;
  const place = placeOf(job);
  const sun = sunAt(place, momentOn(date, minute, job.crew.zone));
  const isUp = sun.altitude > 0;
  return (
    <div className="sun-aside">
      <SunPlan takeoff={takeoff} patches={patches} azimuth={isUp ? sun.azimuth : null} />
      <p>
        {!day
          ? 'Say where a wall faces, and the sun is drawn on the walls by the hour.'
          : isUp
            ? `At ${clockTime(minute)} the sun stands ${Math.round(sun.altitude)}° up in the ${compassPoint(sun.azimuth)}. Clear sky, nothing before the windows${place.assumed ? ', somewhere in the middle of the country' : ''}.`
            : `At ${clockTime(minute)} the sun is down: look with a lamp.`}{' '}
        {day?.rises != null && day.sets != null && `Up from ${clockTime(day.rises)} to ${clockTime(day.sets)}.`}
      </p>
    </div>
  );
}

const SIZE = 116;
/** The plan with the sun on its floor, an arrow from where it shines, and north. */
function SunPlan({
  takeoff,
  patches,
  azimuth,
}: {
  readonly takeoff: NonNullable<Inspecting['view']['takeoff']>;
  readonly patches: readonly Patch[];
  readonly azimuth: number | null;
}) {
  const { plan, room, corners, walls } = takeoff;
  if (plan.length < 3) return null;
  const [xs, ys] = [plan.map((p) => p.x), plan.map((p) => p.y)];
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = (SIZE - 44) / Math.max(right - left, high - low, 0.1);
  const at = (p: { x: number; y: number }) => ({
    x: SIZE / 2 + (p.x - (left + right) / 2) * scale,
    y: SIZE / 2 - (p.y - (low + high) / 2) * scale,
  });
  const centre = SIZE / 2;
  const from = (bearing: number, radius: number) => {
    const turn = ((bearing - (room.bearing ?? 0)) * Math.PI) / 180;
    return { x: centre + radius * Math.sin(turn), y: centre - radius * Math.cos(turn) };
  };
  const windows = walls.flatMap((w, i) => {
    const [a, b] = [ring(corners, i), ring(corners, i + 1)];
    const on = (x: number) => ({
      x: a.x + ((b.x - a.x) * x) / w.outline.length,
      y: a.y + ((b.y - a.y) * x) / w.outline.length,
    });
    return w.openings
      .filter(({ kind }) => kind === 'window')
      .map((o) => ({ id: o.id, a: at(on(o.at.metres)), b: at(on(o.at.metres + o.width.metres)) }));
  });
  const sun =
    azimuth === null || room.bearing === null ? null : [from(azimuth, SIZE / 2 - 4), from(azimuth, SIZE / 2 - 16)];
  const north = room.bearing === null ? null : from(0, SIZE / 2 - 8);
  return (
    <svg
      viewBox={`0 0 ${SIZE} ${SIZE}`}
      width={SIZE}
      height={SIZE}
      className="sun-plan"
      role="img"
      aria-label={`Plan of ${room.name} with the sun on its floor`}
    >
      <polygon points={path(plan.map(at))} className="sun-floor" />
      {patches
        .filter(({ wall }) => wall === 'floor')
        .map(({ points }, i) => (
          <polygon key={i} points={path(points.map(at))} className="sun-on-floor" />
        ))}
      {windows.map(({ id, a, b }) => (
        <path key={id} d={`M${a.x} ${a.y}L${b.x} ${b.y}`} className="sun-window" />
      ))}
      {north && (
        <text x={north.x} y={north.y + 5} textAnchor="middle" className="sun-north">
          N
        </text>
      )}
      {sun?.[0] && sun[1] && (
        <>
          <circle cx={sun[0].x} cy={sun[0].y} r="4" className="sun-disc" />
          <path d={`M${sun[0].x} ${sun[0].y}L${sun[1].x} ${sun[1].y}`} className="sun-ray" />
        </>
      )}
    </svg>
  );
}
