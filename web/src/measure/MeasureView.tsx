import type { Opening } from '@kovelin/core/job/measured.ts';
import { suspectsOf } from '@kovelin/core/measure/suspects.ts';
import { tapeReading } from '@kovelin/core/units/reading.ts';
import { lazy, Suspense, useCallback, useEffect, useState } from 'react';
import { useJob } from '../app/job-context.ts';
import { Sides } from '../ui/Sides.tsx';
import { UnrolledRoom, type Coat } from '../drawing/UnrolledRoom.tsx';
import type { Placing } from '../drawing/placing.ts';
import { ClosurePlan, verdictOf } from './ClosurePlan.tsx';
import { MeasurePanel, type Explained } from './MeasurePanel.tsx';
import { Rows } from './Rows.tsx';
import { Toggle } from '../ui/Toggle.tsx';
import Button from '@mui/material/Button';
import './measure.css';

const BARE: Coat = { fill: 'var(--wall)' };
const FILLS: readonly (readonly [RegExp, Coat])[] = [
  [/\/ceiling$/, { fill: 'var(--ceiling)' }],
  [/\/field$/, BARE],
  [/\/region\//, { fill: 'var(--region)' }],
];
const paint = (id: string): Coat => FILLS.find(([pattern]) => pattern.test(id))?.[1] ?? { fill: 'var(--trim)' };

const Shorthand = lazy(() => import('./Shorthand.tsx'));
const LaserBar = lazy(() => import('./LaserBar.tsx'));
const NumberPad = lazy(() => import('./NumberPad.tsx'));
const TakeoffTable = lazy(() => import('./TakeoffTable.tsx'));
const BringIn = lazy(() => import('./BringIn.tsx'));

type Way = 'rows' | 'text' | 'table';
const WAYS: readonly (readonly [Way, string])[] = [
  ['rows', 'Row by row'],
  ['text', 'Shorthand'],
  ['table', 'Takeoff'],
];

/** A room row by row, in shorthand or as its takeoff, under the drawing that follows each key. */
export default function MeasureView() {
  const view = useJob();
  const [way, setWay] = useState<Way>('rows');
  const [laser, setLaser] = useState(false);
  // where the finger is the pointer, the pad is there from the start
  const [pad, setPad] = useState(() => matchMedia('(pointer: coarse)').matches);
  const [bringing, setBringing] = useState(false);
  const [explained, setExplained] = useState<Explained | null>(null);
  const [owner] = useState(() => ({}));
  const { session } = view;
  // left in the middle of a drag
  useEffect(() => () => session.setDraft(owner, null), [session, owner]);
  const toFirst = useCallback(() => {
    const lengths = [...document.querySelectorAll<HTMLInputElement>('input[data-length][id^="length-"]')];
    (lengths.find((input) => !input.value) ?? lengths[0])?.focus();
  }, []);
  const { takeoff, room } = view;
  if (!room || !takeoff)
    return (
      <main className="middle empty-view">
        <p>This job has no rooms. Add one on the left to begin.</p>
      </main>
    );
  const suspicion = suspectsOf(view.state.shown, takeoff);
  const suspects = new Set(suspicion.classes[0]?.walls.map((s) => s.wall.id) ?? []);
  return (
    <>
      <main className={pad ? 'middle with-pad' : 'middle'} aria-label="Measure">
        <p className="unseen" role="status">
          {verdictOf(view)}
        </p>
        <UnrolledRoom
          view={view}
          takeoff={takeoff}
          paint={paint}
          suspects={suspects}
          placing={placingOf(view, room.id, owner, () => setWay('rows'))}
          aside={way === 'table' ? null : <ClosurePlan view={view} suspicion={suspicion} />}
        />
        <div className={way === 'table' ? 'entry-panel wide' : 'entry-panel'}>
          <div className="panel-head">
            <h2>{room.name}</h2>
            <Sides label="How to enter" sides={WAYS} value={way} onChange={setWay} />
            <Toggle pressed={laser} onChange={() => setLaser(!laser)}>
              Laser
            </Toggle>
            <Toggle pressed={pad} onChange={() => setPad(!pad)}>
              Pad
            </Toggle>
            <Button size="small" onClick={() => setBringing(true)}>
              Import …
            </Button>
          </div>
          <Suspense fallback={null}>{laser && <LaserBar onNoTarget={toFirst} />}</Suspense>
          {way === 'rows' && <Rows key={room.id} view={view} room={room} takeoff={takeoff} />}
          <Suspense fallback={<p className="waiting">One moment …</p>}>
            {way === 'text' && <Shorthand key={room.id} view={view} room={room} takeoff={takeoff} />}
            {way === 'table' && <TakeoffTable view={view} onExplain={setExplained} />}
          </Suspense>
        </div>
        <Suspense fallback={null}>
          {pad && way === 'rows' && <NumberPad system={view.system} onClose={() => setPad(false)} />}
          {bringing && <BringIn key={room.id} view={view} room={room} onClose={() => setBringing(false)} />}
        </Suspense>
      </main>
      <MeasurePanel view={view} explained={way === 'table' ? explained : null} />
    </>
  );
}

/** An opening dragged or nudged on the drawing is an edit of its distance, written as its tape would say it. */
function placingOf(
  { session, system }: ReturnType<typeof useJob>,
  room: string,
  owner: object,
  showRows: () => void,
): Placing {
  const edit = (opening: Opening, at: number) => ({
    name: 'setOpening' as const,
    args: { room, opening: opening.id, set: { at: tapeReading(at, system) } },
  });
  return {
    draft: (opening, at) => session.setDraft(owner, at === null ? null : edit(opening, at)),
    commit: (opening, at) => void session.run(edit(opening, at)),
    type: (opening) => {
      showRows();
      requestAnimationFrame(() => document.getElementById(`at-${opening.id}`)?.focus());
    },
    open: (opening) => {
      showRows();
      requestAnimationFrame(() => {
        const field = document.getElementById(`width-${opening.id}`);
        field?.scrollIntoView({ block: 'nearest' });
        field?.focus({ preventScroll: true });
      });
    },
  };
}
