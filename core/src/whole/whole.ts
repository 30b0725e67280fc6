import type { SurfaceId } from '../job/table.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import type { PaintLine } from '../order/paint.ts';
import type { Specified } from '../specify/specify.ts';
import { remember } from '../units/remember.ts';
import type { Operation } from '../work/operations.ts';
import { DECIDED, type Planned } from './inputs.ts';
import { leftOutBy, madeOf, plainly, takeoffs, type LinedRoom, type Made } from './plain.ts';
import { stage } from './stage.ts';
import { keptWet } from './wet.ts';

/** The job with the conditioner that its wet edges ask for. */
const made = stage(DECIDED, (job): Made => {
  const plain = plainly(job);
  const rooms = plain.rooms.map((room) => keptWet(job, room));
  return rooms.every((room, i) => room === plain.rooms[i]) ? plain : madeOf(job, rooms);
});

/**
 * A job from its measures to its paint: each stage is worked out when somebody looks at it, and kept while what it reads
 * stays the same. What needs a plan is in plan.ts.
 */
export class Whole {
  constructor(private readonly job: Planned) {}
  get takeoffs(): readonly RoomTakeoff[] {
    return takeoffs(this.job);
  }
  /** All surfaces with their systems. */
  get surfaces(): readonly Specified[] {
    return surfacesOf(made(this.job));
  }
  get painted(): readonly Specified[] {
    return made(this.job).painted();
  }
  /** Surfaces of options that were not taken: neither ordered nor worked on. */
  get leftOut(): ReadonlySet<SurfaceId> {
    return leftOutBy(this.job.options);
  }
  get operations(): readonly Operation[] {
    return made(this.job).operations();
  }
  /** Rooms with who laps over whom in them. */
  get lines(): readonly LinedRoom[] {
    return made(this.job).lines();
  }
  get paints(): readonly PaintLine[] {
    return made(this.job).paints();
  }
}
const surfacesOf = remember(({ rooms }: Made): readonly Specified[] => rooms.flatMap((r) => r.surfaces));
export const wholeOf = remember((job: Planned): Whole => new Whole(job));
