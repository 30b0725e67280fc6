import { isDivided } from '../sequence/needs.ts';
import type { Keep } from '../sequence/task.ts';
import type { PlayAsk } from '../plays/ground.ts';
import { coatsOf } from '../plays/plays.ts';
import type { Skill } from '../job/vocabulary.ts';
import { numberOf, rememberLast } from '../units/remember.ts';
import type { Minutes } from '../units/si.ts';
import { keepOf, type Kept } from '../wetEdge/keep.ts';
import type { Planned } from './inputs.ts';
import { playAskFor } from './play.ts';
import { handsOf, wholeOf, type LinedRoom } from './whole.ts';

/** Last coats of so many surfaces are known. */
const KNOWN = 4000;

/** How a last coat is kept wet, as long as what its play and its minutes are made of stays the same. */
const kept = rememberLast(
  KNOWN,
  ({ specified, litres }: PlayAsk, { made, takeoff }: LinedRoom, job: Planned, longest: Minutes) => {
    const { settings, practice, crew, air } = job;
    const parts = [specified, made, takeoff, settings, practice, handsOf(crew), air].map(numberOf);
    return [...parts, litres, longest, together(crew)].join();
  },
  (ask, _room, { crew, practice }, longest): Kept | null => {
    const apart = practice.division === 'seal-cut-roll' && isDivided({ crew, practice });
    return keepOf(ask, { hours: crew.hours, people: together(crew), apart }, longest);
  },
);

/** Two where one can cut while another rolls behind. */
function together({ people }: Planned['crew']): number {
  const able = (skill: Skill) => people.filter((person) => person.skills?.includes(skill) ?? true);
  return able('cut').some((one) => able('roll').some((other) => other !== one)) ? people.length : 1;
}

/** For the planner: how the last coat of a surface is kept wet; null: nothing has to be. */
export function keepFor(job: Planned): Keep {
  if (job.practice.roles === 'cut-all') return () => null;
  const rooms = new Map(
    wholeOf(job).lines.flatMap((room) => room.painted.map((s) => [s.surface.id, { room, s }] as const)),
  );
  return (surface, longest) => {
    const found = rooms.get(surface);
    const coat = found ? coatsOf({ specified: found.s, layer: 'finish' }) : 0;
    const ask = playAskFor(job, surface, { coat });
    return found && ask ? kept(ask, found.room, job, longest) : null;
  };
}
