import type { SuspectClass, Suspicion } from '@kovelin/core/measure/suspects.ts';
import { aboutLength, formatLength, typeLength } from '@kovelin/core/units/length.ts';
import { formatArea } from '@kovelin/core/units/quantities.ts';
import { Fragment, useState } from 'react';
import type { JobView } from '../app/job-context.ts';
import { useArrival } from '../app/useArrival.ts';
import Button from '@mui/material/Button';
import { ClosureSketch } from './ClosureSketch.tsx';

const SLIP_WORDS: Readonly<Record<SuspectClass['slip'], string>> = {
  foot: 'A foot too many or too few',
  inch: 'An inch too many or too few',
  decimetre: 'A decimetre too many or too few',
  round: 'A round length too many or too few',
  digits: 'Two digits changed places',
  unit: 'Read in another unit',
  turn: 'A turn the other way',
  misread: 'A stretch left out, or a figure misread',
  doubled: 'A stretch counted twice',
};

/** A class this much costlier than the first (squared standard errors) is not worth a painter's time. */
const WORTH_SAYING = 6;

/** The verdict on the walk in one sentence, for those who hear it; empty while walls are missing or something is typed. */
export function verdictOf({ takeoff, system, state }: JobView): string {
  const { closure, missing = [] } = takeoff ?? {};
  if (!closure || missing.length || state.isDraft) return '';
  const gap = formatLength(closure.misclosure, system);
  if (closure.provisional) return `The walls do not fit: ${gap} apart.`;
  return closure.misclosure < 0.0005 ? 'The walls fit exactly.' : `The walls fit: ${gap} apart, which is shared out.`;
}

/** Does the walk come back to its start? Said in words and figures beside the ceiling; if not, what single slip would do it. */
export function ClosurePlan({ view, suspicion }: { view: JobView; suspicion: Suspicion }) {
  const { takeoff, system } = view;
  const [taken, setTaken] = useState(0);
  const verdict = useArrival<HTMLHeadingElement>(taken);
  if (!takeoff) return null;
  const { closure, missing, floorArea, ceilingArea, ceiling } = takeoff;
  if (missing.length)
    return (
      <p className="closing">Waiting for wall {missing.join(', ')}. The plan closes when every wall has its length.</p>
    );
  if (!closure) return null;
  const gap = formatLength(closure.misclosure, system);
  const careful = `the ${aboutLength(closure.tolerance, system)} a careful tape allows`;
  if (closure.provisional)
    return (
      <div className="closing with-sketch">
        <div>
          <h3 ref={verdict} tabIndex={-1}>
            The walls do not fit
          </h3>
          <p className="attention">
            They are {gap} apart, more than {careful}. Nothing was changed; what may have been misread stands below.
          </p>
          <Suspects view={view} suspicion={suspicion} onTaken={() => setTaken(taken + 1)} />
        </div>
        <ClosureSketch closure={closure} />
      </div>
    );
  return (
    <div className="closing with-sketch">
      <div>
        <h3 ref={verdict} tabIndex={-1}>
          The walls fit
        </h3>
        <p>
          {closure.misclosure < 0.0005
            ? 'Exactly: nothing to share out.'
            : `${gap} apart, ${aboutLength(closure.tolerance, system)} allowed. The lengths share it, so that the corners meet.`}
        </p>
        <dl className="facts">
          <div>
            <dt>Floor</dt>
            <dd>{floorArea === null ? 'open' : formatArea(floorArea, system)}</dd>
          </div>
          <div>
            <dt>Ceiling</dt>
            <dd>{ceilingArea === null ? 'open' : formatArea(ceilingArea.value, system)}</dd>
          </div>
          <div>
            <dt>Shape</dt>
            <dd>
              {ceiling === null
                ? 'not known'
                : { flat: 'flat', slope: 'one slope', ridge: 'two slopes', vault: 'slopes and a flat' }[ceiling.shape]}
            </dd>
          </div>
        </dl>
      </div>
      <ClosureSketch closure={closure} />
    </div>
  );
}

/** The likeliest slips; taking one is an edit like any other, and can be undone. */
function Suspects({
  view,
  suspicion,
  onTaken,
}: {
  readonly view: JobView;
  readonly suspicion: Suspicion;
  readonly onTaken: () => void;
}) {
  const { session, system, room } = view;
  const { classes, tell } = suspicion;
  if (!classes.length || !room)
    return <p className="suspects">No single slip explains it: tape the walls again before you buy paint.</p>;
  const show = (metres: number) => formatLength(metres, system);
  return (
    <ul className="suspects" aria-label="What may have been misread">
      {classes
        .filter((c) => c.cost - (classes[0]?.cost ?? 0) < WORTH_SAYING)
        .map((found, i) => (
          <li key={`${found.slip}${i}`}>
            <b>{SLIP_WORDS[found.slip]}</b>
            {found.walls.map(({ wall, reading, corrected }) => (
              <Button
                size="small"
                variant="outlined"
                key={wall.id}
                onClick={() => {
                  session.run({
                    name: 'setWall',
                    args: {
                      room: room.id,
                      wall: wall.id,
                      set: { length: { typed: typeLength(corrected, system), metres: corrected } },
                    },
                  });
                  onTaken();
                }}
              >
                take {wall.label} as {show(corrected)}, not {show(reading)}
              </Button>
            ))}
          </li>
        ))}
      {tell && (
        <li>
          Tape the diagonal from the start of {tell.from.label} to the start of {tell.to.label}.
          {tell.expected.map(({ wall, length }) => (
            <Fragment key={wall.id}>
              {' '}
              If it tapes about {aboutLength(length, system)}, wall {wall.label} is the one.
            </Fragment>
          ))}
        </li>
      )}
    </ul>
  );
}
