import type { Id, SurfaceId } from '../job/table.ts';
import type { SurfaceKind, TrimKind } from '../job/vocabulary.ts';
import type { Metres } from '../units/si.ts';
import type { Working } from '../units/working.ts';
import type { Name } from '../words/names.ts';

/** What there is to paint, measured. */
export interface TrimTakeoff {
  readonly kind: TrimKind | 'casing';
  readonly length: Working;
  readonly area: Working;
}
export interface Surface {
  readonly id: SurfaceId;
  readonly kind: SurfaceKind;
  readonly room: Id;
  readonly name: Name;
  readonly wall: Id | null;
  readonly area: Working;
  /** Run of trim; zero for broad surfaces. */
  readonly length: Metres;
  /** Lines a brush cuts in along this surface. */
  readonly cut: Metres;
  /** Painted edges of a door’s leaf; 0 for anything else. */
  readonly edges: Metres;
  /** Its highest place above the floor it is worked from; 0: within a hand's reach. */
  readonly high: Metres;
  /** It is worked over stairs. */
  readonly stairs: boolean;
}
