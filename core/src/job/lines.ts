import type { SurfaceId } from './table.ts';
import type { LineMethod, TapeStay } from './vocabulary.ts';

/** What was said of a line, or (without `wavy` and `first`) of all lines of a kind. */
export interface LineSaid {
  /** The corner is not straight; left out: nobody looked. */
  readonly wavy?: boolean;
  /** Pinned: the side that is laid first and laps. */
  readonly first?: SurfaceId;
  readonly method?: LineMethod;
  readonly stays?: TapeStay;
}

/** One finish of a room before another, by the ids of `lines/finishes.ts`. */
export interface OrderPin {
  readonly before: string;
  readonly after: string;
}
