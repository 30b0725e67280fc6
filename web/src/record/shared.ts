import type { JobRecord } from '@kovelin/core/whole/record.ts';
import type { SurfaceRecord } from '@kovelin/core/record/layer.ts';
import type { SiteLog } from '../app/useLog.ts';
import type { WholeView } from '../app/whole.ts';

/** What every part of Record is given. */
export interface Recording {
  readonly view: WholeView;
  readonly record: JobRecord;
  readonly log: SiteLog;
}

export const ofRoom = ({ record }: Pick<Recording, 'record'>, room: string): readonly SurfaceRecord[] =>
  record.surfaces.filter(({ specified }) => specified.surface.room === room);
