import { suspectsOf } from '@kovelin/core/measure/suspects.ts';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState } from 'react';
import { useJob } from '../app/job-context.ts';
import { UnrolledRoom, type Coat } from '../drawing/UnrolledRoom.tsx';
import { ClosurePlan, Suspects } from './ClosurePlan.tsx';
import { MeasurePanel } from './MeasurePanel.tsx';
import { Rows } from './Rows.tsx';
import { Shorthand } from './Shorthand.tsx';

const BARE: Coat = { fill: 'var(--wall)' };

export default function MeasureView() {
  const view = useJob();
  const [way, setWay] = useState<'rows' | 'text'>('rows');
  const { takeoff, room } = view;
  if (!room || !takeoff)
    return (
      <main className="middle empty-view">
        <p>This job has no rooms. Add one on the left to begin.</p>
      </main>
    );
  const suspicion = suspectsOf(view.state.shown, takeoff);
  const suspects = new Set(suspicion.classes[0]?.walls.map((s) => s.wall.id) ?? []);
  const paint = (id: string): Coat =>
    id.endsWith('/ceiling') ? { fill: 'var(--ceiling)' } : id.endsWith('/field') ? BARE : { fill: 'var(--trim)' };
  return (
    <>
      <main className="middle" aria-label="Measure">
        <UnrolledRoom
          view={view}
          takeoff={takeoff}
          paint={paint}
          suspects={suspects}
          aside={<ClosurePlan view={view} />}
        />
        {takeoff.closure?.provisional && <Suspects view={view} suspicion={suspicion} />}
        <div className="entry-panel">
          <div className="panel-head">
            <h2>{room.name}</h2>
            <ToggleButtonGroup
              exclusive
              size="small"
              value={way}
              onChange={(_, next: 'rows' | 'text' | null) => next && setWay(next)}
              aria-label="How to enter"
            >
              <ToggleButton value="rows">Row by row</ToggleButton>
              <ToggleButton value="text">Shorthand</ToggleButton>
            </ToggleButtonGroup>
            <button
              type="button"
              className="tool remove-room"
              onClick={() => view.session.edit({ name: 'removeRoom', args: { room: room.id } })}
            >
              Remove this room
            </button>
          </div>
          {way === 'rows' ? (
            <Rows key={room.id} view={view} room={room} takeoff={takeoff} />
          ) : (
            <Shorthand key={room.id} view={view} room={room} takeoff={takeoff} />
          )}
        </div>
      </main>
      <MeasurePanel view={view} />
    </>
  );
}
