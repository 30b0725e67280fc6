import { TIMES_OF_LIGHT, type Liking, type Sample, type TimeOfLight } from '../job/recorded.ts';
import type { Id, Scope } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import { rows } from '../job/table.ts';
import type { Edit } from '../job/edits.ts';
import { hexOfLab, labOf } from '../specify/colour.ts';
import { bearingsOf, compassPoint } from '../specify/light.ts';
import { underLight, type LightName } from '../specify/lights.ts';

/** The light of a time of day as a screen can show it: cool before noon, daylight, low sun, a lamp [our model]. */
const LIGHT: Readonly<Record<TimeOfLight, LightName>> = {
  morning: 'overcast',
  noon: 'day',
  evening: 'evening',
  lamp: 'lamp',
};
/** A colour as it looks then. */
export const seenIn = (hex: string, light: TimeOfLight): string => underLight(hex, LIGHT[light]);

/** How strongly an undertone is shown beside the colour itself. */
const TIMES = 3;
/** The colour with its undertone made plain: whites that look alike differ in it. */
export function undertoneOf(hex: string): string {
  const { l, a, b } = labOf(hex);
  return hexOfLab({ l: Math.min(l, 88), a: a * TIMES, b: b * TIMES }).hex;
}

/** The sides that the windows of a room look to; none: no windows, or nobody said where its walls face. */
export function windowsTo(room: Job['rooms']['byId'][Id]): readonly string[] {
  const bearings = bearingsOf(room);
  const walls = new Set(rows(room.openings).flatMap(({ kind, wall }) => (kind === 'window' ? [wall] : [])));
  return bearings
    ? [
        ...new Set(
          [...walls].flatMap((wall) => {
            const bearing = bearings.get(wall);
            return bearing === undefined ? [] : [compassPoint(bearing)];
          }),
        ),
      ]
    : [];
}

/** What was thought of a colour so far: how often yes, not sure and no, and the lights it was seen in. */
export interface Opinion {
  readonly counts: Readonly<Record<Liking, number>>;
  /** Lights that it was not looked at in yet. */
  readonly unseen: readonly TimeOfLight[];
}
/** What was said of a colour on trial, and in which light nobody has seen it. */
export function opinionOf({ seen }: Pick<Sample, 'seen'>): Opinion {
  const counts: Record<Liking, number> = { no: 0, unsure: 0, yes: 0 };
  for (const { liking } of seen) counts[liking]++;
  return { counts, unseen: TIMES_OF_LIGHT.filter((light) => seen.every((look) => look.light !== light)) };
}

/** Samples for one scope that are still in, and those that were put aside. */
export function samplesFor(
  job: Pick<Job, 'samples'>,
  scope: Scope,
): { readonly still: readonly Sample[]; readonly aside: readonly Sample[] } {
  const own = rows(job.samples).filter((sample) => sample.scope === scope);
  return { still: own.filter(({ dropped }) => dropped === null), aside: own.filter(({ dropped }) => dropped !== null) };
}

/** The colour is chosen: it goes on its scope in the paint that is there, and the others are put aside. @param product of the scope now */
export function chosenEdits(job: Pick<Job, 'samples'>, sample: Sample, product: Id, date: string): Edit[] {
  return [
    { name: 'setFinish', args: { scope: sample.scope, finish: { product, colour: sample.colour } } },
    ...samplesFor(job, sample.scope)
      .still.filter(({ id }) => id !== sample.id)
      .map(({ id }): Edit => ({ name: 'setSample', args: { sample: id, set: { dropped: date } } })),
  ];
}
