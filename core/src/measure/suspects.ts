import type { Job } from '../job/types.ts';
import type { Wall } from '../job/measured.ts';
import { rows } from '../job/table.ts';
import { remember } from '../units/remember.ts';
import type { Metres } from '../units/si.ts';
import { findSlips, tellingDiagonal, type Slip } from './slips.ts';
import { closureSettings, readingsOf, type RoomTakeoff } from './takeoff.ts';
import { at } from '../units/list.ts';

export interface Suspect {
  readonly wall: Wall;
  readonly reading: Metres;
  readonly corrected: Metres;
}
/** A class of walls that explain the readings equally well by one kind of slip. */
export interface SuspectClass {
  readonly slip: Slip;
  readonly walls: readonly Suspect[];
  /** Misclosure that would remain. */
  readonly remains: Metres;
  /** Lower is likelier: squared misfit and rarity. */
  readonly cost: number;
}
export interface Suspicion {
  readonly classes: readonly SuspectClass[];
  /** The diagonal, between the starting corners of two walls, that would split the first class best. */
  readonly tell: {
    readonly from: Wall;
    readonly to: Wall;
    readonly expected: readonly { readonly wall: Wall; readonly length: Metres }[];
  } | null;
}

const NONE: Suspicion = { classes: [], tell: null };
const MOST_CLASSES = 5;

/** Which single slips would bring a walk outside tolerance back. Never changes a reading. */
export const suspectsOf = (job: Pick<Job, 'settings'>, takeoff: RoomTakeoff): Suspicion =>
  remembered(takeoff, job.settings);

const remembered = remember((takeoff: RoomTakeoff, settings: Job['settings']): Suspicion => {
  const { room, closure } = takeoff;
  if (!closure || closure.withinTolerance) return NONE;
  const walls = rows(room.walls);
  const readings = { ...readingsOf(room), typed: walls.map((wall) => wall.length?.typed ?? '') };
  const limits = closureSettings({ settings });
  const found = findSlips(readings, limits).slice(0, MOST_CLASSES);
  const telling = found[0] ? tellingDiagonal(readings, found[0], limits) : null;
  return {
    classes: found.map(({ slip, members, remains, cost }) => ({
      slip,
      remains,
      cost,
      walls: members.map(({ wall, reading, corrected }) => ({ wall: at(walls, wall), reading, corrected })),
    })),
    tell: telling && {
      from: at(walls, telling.from),
      to: at(walls, telling.to),
      expected: telling.expected.map((e) => ({ wall: at(walls, e.wall), length: e.length })),
    },
  };
});
