import type { Wall } from '@kovelin/core/job/measured.ts';
import { tapeReading, type Reading } from '@kovelin/core/units/reading.ts';
import { Choice } from '../ui/Choice.tsx';
import { DraftField } from '../ui/DraftField.tsx';
import { LengthField } from '../ui/LengthField.tsx';
import Button from '@mui/material/Button';
import { AddToWall } from './AddToWall.tsx';
import { HEIGHT, OFFSET, problemsAt, WALL, type RoomProps } from './parts.ts';
import { freshId } from '../store/ids.ts';
import { readCount } from '../ui/read.ts';

type Change = Partial<Omit<Wall, 'id'>>;

interface MoreProps extends RoomProps {
  readonly wall: Wall;
  /** The new wall is to be typed. */
  readonly onInserted: (wall: string) => void;
}
/** What few walls have: what is built into them, more heights, a curve, stairs beside them; and their place. */
export default function WallMore({ view, room, takeoff, wall, onInserted }: MoreProps) {
  const { session, system } = view;
  const edit = (set: Change) => ({ name: 'setWall' as const, args: { room: room.id, wall: wall.id, set } });
  const draft = (set: Change | null) => set && edit(set);
  const commit = (set: Change) => session.edit(edit(set));
  const problem = (place: string) => problemsAt({ room, takeoff }, `walls/${wall.id}/${place}`)[0] ?? null;
  const common = { system };
  const { order } = room.walls;
  const at = order.indexOf(wall.id);
  const insert = () => {
    const id = freshId();
    onInserted(id);
    session.run({ name: 'addWall', args: { room: room.id, id, after: wall.id } });
  };
  const { bow, foot, peaks } = wall;
  const length = wall.length?.metres ?? 3;
  return (
    <div className="more">
      <AddToWall view={view} room={room} wall={wall} />
      <fieldset>
        <legend>Its place in the walk</legend>
        <span className="row-buttons">
          {([-1, 1] as const).map((by) => (
            <Button
              key={by}
              size="small"
              variant="outlined"
              disabled={!order[at + by]}
              onClick={() => session.run({ name: 'moveWall', args: { room: room.id, wall: wall.id, to: at + by } })}
            >
              {by < 0 ? 'Move up' : 'Move down'}
            </Button>
          ))}
          <Button size="small" variant="outlined" onClick={insert}>
            Insert a wall after it
          </Button>
        </span>
      </fieldset>
      <fieldset>
        <legend>Heights between its ends</legend>
        {peaks.map((peak, i) => {
          const set = (part: 'height' | 'at') => (reading: Reading | null) => ({
            peaks: peaks.flatMap((p, j) => (j !== i ? [p] : reading ? [{ ...p, [part]: reading }] : [])),
          });
          return (
            <span key={i} className="pair">
              <LengthField
                {...common}
                label={`Height ${i + 1}`}
                optional
                value={peak.height}
                options={HEIGHT}
                problem={i === 0 ? problem('peak') : null}
                drafts={(r) => draft(r && set('height')(r))}
                onCommit={(r) => commit(set('height')(r))}
              />
              <LengthField
                {...common}
                label="at"
                value={peak.at}
                options={WALL}
                drafts={(r) => draft(r && set('at')(r))}
                onCommit={(r) => commit(set('at')(r))}
              />
            </span>
          );
        })}
        <Button
          size="small"
          variant="outlined"
          disabled={peaks.length >= 8}
          onClick={() => {
            const after = peaks.at(-1)?.at.metres ?? 0;
            const at = tapeReading((after + length) / 2, system);
            commit({
              peaks: [...peaks, { height: peaks.at(-1)?.height ?? room.height ?? tapeReading(2.4, system), at }],
            });
          }}
        >
          Add a height
        </Button>
      </fieldset>
      <fieldset>
        <legend>Curved: the length is its chord</legend>
        <span className="pair">
          <Choice<'no' | 'out' | 'in'>
            label="Bows"
            value={bow?.side ?? 'no'}
            options={[
              ['no', 'not at all'],
              ['out', 'out of the room'],
              ['in', 'into the room'],
            ]}
            onChange={(side) =>
              commit({ bow: side === 'no' ? null : { side, rise: bow?.rise ?? tapeReading(length / 10, system) } })
            }
          />
          {bow && (
            <LengthField
              {...common}
              label="by"
              value={bow.rise}
              problem={problem('bow')}
              drafts={(rise) => draft(rise && { bow: { ...bow, rise } })}
              onCommit={(rise) => (rise ? commit({ bow: { ...bow, rise } }) : null)}
            />
          )}
        </span>
      </fieldset>
      <fieldset>
        <legend>Stairs beside it</legend>
        <span className="pair">
          <Choice<'no' | 'up' | 'down'>
            label="Its foot goes"
            value={!foot ? 'no' : foot.down ? 'down' : 'up'}
            options={[
              ['no', 'level'],
              ['up', 'up'],
              ['down', 'down'],
            ]}
            onChange={(way) =>
              commit({
                foot:
                  way === 'no'
                    ? null
                    : {
                        from: foot?.from ?? { typed: '0', metres: 0 },
                        to: foot?.to ?? tapeReading(length, system),
                        rise: foot?.rise ?? tapeReading(1, system),
                        steps: foot?.steps ?? 0,
                        down: way === 'down',
                      },
              })
            }
          />
          {foot &&
            (['from', 'to', 'rise'] as const).map((key) => (
              <LengthField
                key={key}
                {...common}
                label={key === 'rise' ? 'rising' : key}
                value={foot[key]}
                options={key === 'rise' ? HEIGHT : OFFSET}
                problem={key === 'from' ? problem('foot') : null}
                drafts={(r) => draft(r && { foot: { ...foot, [key]: r } })}
                onCommit={(r) => (r ? commit({ foot: { ...foot, [key]: r } }) : null)}
              />
            ))}
          {foot && (
            <DraftField
              label="risers (0: raking)"
              value={String(foot.steps)}
              parse={readCount(60)}
              drafts={(steps) => draft(steps === null ? null : { foot: { ...foot, steps } })}
              onCommit={(steps) => commit({ foot: { ...foot, steps } })}
            />
          )}
        </span>
      </fieldset>
    </div>
  );
}
