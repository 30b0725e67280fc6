import type { SurfaceId } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import type { TaskKind } from '../job/vocabulary.ts';
import type { Minutes } from '../units/si.ts';
import type { WetEdgePlan } from '../wetEdge/decide.ts';
import type { Go } from '../work/goes.ts';
import type { Operation } from '../work/operations.ts';
import type { RuleId } from '../words/reasons.ts';
import type { Activity, Wait } from './instance.ts';

export type Sequencing = Pick<Job, 'settings' | 'practice' | 'crew' | 'air' | 'pins' | 'wanted'>;

export interface Lag extends Wait {
  readonly because: RuleId;
}
/** A go of work that is planned. */
export interface Task extends Activity {
  readonly go: Go;
  readonly surface: SurfaceId;
  readonly kind: TaskKind;
  readonly coat: number;
  readonly operations: readonly Operation[];
  readonly after: readonly Lag[];
  /** What then dries, minutes after its end, before the next coat. */
  readonly drying: Minutes;
  /** Of `work` with all who are on it: changing tools and waiting for each other, which no operation holds. */
  readonly idle: Minutes;
  /** How a last coat is kept wet; null: nothing of it has to be. */
  readonly kept: WetEdgePlan | null;
}

/** How the last coat of a surface is kept wet; null: it is not rolled in strips. */
export type Keep = (surface: SurfaceId) => WetEdgePlan | null;
