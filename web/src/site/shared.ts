import type { TaskView } from '@kovelin/core/sequence/view.ts';
import type { SiteView } from '@kovelin/core/whole/site.ts';
import type { WholeView } from '../app/whole.ts';
import type { Zero } from './times.ts';
import type { SiteLog } from '../app/useLog.ts';

/** What every part of Site is given. */
export interface Shared {
  readonly view: WholeView;
  /** undefined: not worked out yet. */
  readonly site: SiteView | undefined;
  readonly tasks: ReadonlyMap<string, TaskView>;
  readonly log: SiteLog;
  /** Id of whose day it is. */
  readonly who: string;
  /** Minutes from the job's start. */
  readonly now: number;
  readonly zero: Zero;
}
