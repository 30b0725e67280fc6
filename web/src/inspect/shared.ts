import type { InspectView } from '@kovelin/core/whole/inspect.ts';
import type { WholeView } from '../app/whole.ts';
import type { SiteLog } from '../app/useLog.ts';

/** What every part of Inspect is given. */
export interface Inspecting {
  readonly view: WholeView;
  /** null: it is being worked out. */
  readonly data: InspectView | null;
  readonly log: SiteLog;
  /** ISO day that is looked at, and minute of it. */
  readonly date: string;
  readonly minute: number;
}

/** A number as people write it, with a comma or a point. */
export const plainNumber = (text: string): number => (text.trim() === '' ? NaN : Number(text.trim().replace(',', '.')));
