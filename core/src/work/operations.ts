import { setting } from '../job/defaults.ts';
import type { Id, SurfaceId } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import { familyOf, REPAIR_CLASSES, type OperationKind } from '../job/vocabulary.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import { effective } from '../specify/reasons.ts';
import { conditionOf } from '../specify/system.ts';
import type { Specified } from '../specify/specify.ts';
import { remember } from '../units/remember.ts';
import { compute, given, unopened, type Working } from '../units/working.ts';

/** One piece of work on one surface (or on a room): the only place where minutes are made. */
export interface Operation {
  readonly id: string;
  readonly room: Id;
  /** The surface, or the room's id for what is done to the room. */
  readonly surface: SurfaceId;
  readonly kind: OperationKind;
  /** Which coat, from 1; 0 where there is none. */
  readonly coat: number;
  /** Person-minutes. */
  readonly minutes: Working;
  readonly specified: Specified | null;
}

type Labouring = Pick<Job, 'settings' | 'practice'>;

const remembered = remember(
  (surfaces: readonly Specified[], takeoff: RoomTakeoff, settings: Job['settings'], practice: Job['practice']) =>
    list({ settings, practice }, takeoff, surfaces),
);

/** All operations of a room, in no order: sequence/ puts them in one. */
export const operationsOf = (job: Labouring, takeoff: RoomTakeoff, surfaces: readonly Specified[]): Operation[] =>
  remembered(surfaces, takeoff, job.settings, job.practice);

function list(job: Labouring, takeoff: RoomTakeoff, surfaces: readonly Specified[]): Operation[] {
  const room = takeoff.room.id;
  const of = (kind: OperationKind, minutes: Working, specified: Specified | null = null, coat = 0): Operation => {
    const surface = specified?.surface.id ?? room;
    return { id: `${surface}:${kind}${coat || ''}`, room, surface, kind, coat, minutes, specified };
  };
  const pace = (
    name: string,
    value: number,
    key: Parameters<typeof setting>[1],
    dimension: 'area' | 'length',
  ): Working => {
    const each = setting(job, key);
    return unopened(value / each, () =>
      compute('quotient', name, 'minutes', given(name, value, dimension), given('done in a minute', each, dimension)),
    );
  };
  const loading = setting(job, 'load.minutes');
  const withLoad = (name: string, work: Working) =>
    unopened(work.value + loading, () =>
      compute('sum', name, 'minutes', work, given('fetch, stir and load', loading, 'minutes')),
    );
  const floor = takeoff.floorArea ?? 0;
  const operations: Operation[] = [];
  if (surfaces.length === 0) return operations;
  operations.push(
    of('protect', pace('cover the floor', floor, 'pace.protect', 'area')),
    of('clear', pace('clear the room', floor, 'pace.clear', 'area')),
  );

  for (const s of surfaces) {
    const area = labourArea(job, takeoff, s);
    const broad = familyOf(s.surface.kind) !== 'trim';
    const run = s.surface.length > 0;
    const poor = !['sound', 'unknown'].includes(conditionOf(s.survey));
    const prep = run
      ? pace('prepare', s.surface.length, 'pace.prepTrim', 'length')
      : pace('prepare', area, 'pace.prep', 'area');
    const surfaceWork = poor
      ? compute('product', 'prepare', 'minutes', prep, given('poor surface', setting(job, 'prep.poor'), 'ratio'))
      : prep;
    const holes = REPAIR_CLASSES.filter((hole) => s.survey.repairs[hole] > 0).map((hole) =>
      compute(
        'product',
        `${hole} holes`,
        'minutes',
        given('holes', s.survey.repairs[hole], 'count'),
        given('minutes each', setting(job, `fill.${hole}`), 'minutes'),
      ),
    );
    operations.push(
      of('prep', holes.length ? compute('sum', 'prepare', 'minutes', surfaceWork, ...holes) : surfaceWork, s),
    );
    const primer = effective(s.system.primer);
    const share = primer.extent === 'spot' ? setting(job, 'spot.share') : 1;
    if (primer.extent !== 'none')
      for (let coat = 1; coat <= primer.coats; coat++) {
        const whole = run
          ? pace('prime', s.surface.length * share, 'pace.trim', 'length')
          : pace('prime', s.surface.area.value * share, 'pace.prime', 'area');
        operations.push(of('prime', withLoad('prime', whole), s, coat));
      }
    const overhead = s.surface.kind === 'ceiling';
    for (let coat = 1; coat <= effective(s.system.coats); coat++) {
      if (broad) {
        operations.push(
          of(
            'cut',
            withLoad('cut in', pace('cut in', s.surface.cut, overhead ? 'pace.cutOverhead' : 'pace.cut', 'length')),
            s,
            coat,
          ),
          of(
            'roll',
            withLoad('roll', pace('roll', area, overhead ? 'pace.rollOverhead' : 'pace.roll', 'area')),
            s,
            coat,
          ),
        );
      } else {
        const work = run
          ? pace('brush', s.surface.length, 'pace.trim', 'length')
          : pace('paint the leaf', s.surface.area.value, 'pace.leaf', 'area');
        operations.push(of('brush', withLoad('brush', work), s, coat));
      }
    }
  }
  const masked = maskedLength(job, takeoff);
  if (masked > 0)
    operations.push(
      of('mask', pace('mask', masked, 'pace.mask', 'length')),
      of('unmask', pace('pull the tape', masked, 'pace.unmask', 'length')),
    );
  return operations;
}

/** The gross school leaves ordinary openings in, to pay for the slow edges round them. */
function labourArea(job: Labouring, takeoff: RoomTakeoff, s: Specified): number {
  const wall = job.practice.openings === 'gross' ? takeoff.walls.find((w) => w.wall.id === s.surface.wall) : undefined;
  return wall && s.surface.kind === 'wall' ? wall.grossSchool.value : s.surface.area.value;
}

/** Trim first: its top edges are taped before the walls. Trim last: card is set along the floor below the baseboard. */
export function maskedLength(job: Pick<Job, 'practice'>, takeoff: RoomTakeoff): number {
  if (job.practice.trimOrder === 'trim-first')
    return takeoff.lines
      .filter((l) => l.kind === 'wall-baseboard' || l.kind === 'wall-casing')
      .reduce((sum, l) => sum + l.length.value, 0);
  return takeoff.trim.find((t) => t.kind === 'baseboard')?.length.value ?? 0;
}
