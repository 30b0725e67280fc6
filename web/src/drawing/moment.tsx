import type { TaskKind } from '@kovelin/core/job/vocabulary.ts';
import { surfacesAt, type SurfaceNow } from '@kovelin/core/sequence/through.ts';
import type { ScheduleView } from '@kovelin/core/sequence/view.ts';
import { clock } from '../app/clock.ts';
import type { WholeView } from '../app/whole.ts';
import type { Coat } from './coat.ts';
import { lookAt } from './looks.ts';

/** The drawing at a moment of a plan: worked on, drying, ready, done. */
export function paintAt({
  view,
  schedule,
  time,
}: {
  view: WholeView;
  schedule: Pick<ScheduleView, 'tasks'>;
  time: number;
}) {
  const { derived, state } = view;
  const { crew } = state.job;
  const now = surfacesAt(schedule.tasks, time);
  const patterns = new Map<string, { colour: string; wet: boolean }>();
  const paint = (id: string): Coat => {
    const s = derived.surfaces.find((other) => other.surface.id === id);
    const state = now.get(id);
    if (!s) return { fill: 'var(--trim)' };
    if (!state) return { fill: lookAt(s, 0) };
    const colour = lookAt(s, state.state === 'done' ? 'hidden' : state.coats);
    const note = noteOf(state, (t) => clock(t, crew).time);
    if (state.state !== 'worked-on' && state.state !== 'drying') return { fill: colour, note };
    const wet = state.state === 'worked-on';
    const key = `${wet ? 'wet' : 'dry'}-${colour.slice(1)}`;
    patterns.set(key, { colour, wet });
    return { fill: `url(#${key})`, ground: colour, note };
  };
  // asked for once before the drawing is made, so that its patterns are known
  for (const s of derived.surfaces) paint(s.surface.id);
  return {
    paint,
    patterns: (undone: string) =>
      [...patterns].map(([key, { colour, wet }]) => (
        <pattern
          key={key}
          id={key}
          width={wet ? 16 : 9}
          height={wet ? 9 : 9}
          patternUnits="userSpaceOnUse"
          patternTransform={undone}
        >
          <rect width="16" height="9" fill={colour} />
          {wet ? <path d="M0 5q4 -5 8 0t8 0" className="wave" /> : <circle cx="4.5" cy="4.5" r="1.2" className="dot" />}
        </pattern>
      )),
  };
}

const DOING: Readonly<Partial<Record<TaskKind, string>>> = {
  cut: 'cut in',
  roll: 'rolled',
  wet: 'cut and rolled',
  brush: 'painted',
  mask: 'masked',
};
function noteOf({ state, kind, coats, of, until }: SurfaceNow, at: (t: number) => string): string {
  const ends = until === null ? '' : ` until ${at(until)}`;
  if (state === 'waits') return 'not begun';
  if (state === 'done') return '✓ done';
  if (state === 'drying') return `drying${ends}`;
  if (state === 'worked-on') return `${(kind && DOING[kind]) ?? 'at work'}${ends}`;
  return coats < of ? `ready for coat ${coats + 1}` : 'dry';
}
