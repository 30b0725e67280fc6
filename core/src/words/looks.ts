import type { Opening } from '../job/measured.ts';
import { clockTime } from '../units/date.ts';
import { listed, phrase, type Word } from '../units/word.ts';
import { THE } from './terms.ts';

/** What of a surface says where to stand: sun that rakes it that day, windows beside it, or neither. */
interface Standing {
  readonly surface: string;
  readonly room: string;
  readonly sun: readonly {
    readonly from: number;
    readonly to: number;
    readonly windows: readonly string[];
    readonly side: 'left' | 'right';
  }[];
  readonly grazedBy: readonly string[];
  readonly trim: boolean;
}
interface Rooms {
  readonly rooms: {
    readonly byId: Readonly<
      Record<string, { readonly openings: { readonly byId: Readonly<Record<string, Pick<Opening, 'label'>>> } }>
    >;
  };
}
const OTHER = { left: 'right', right: 'left' } as const;

/** Where to stand, and in which light. */
export function standWord({ surface, room, sun, grazedBy, trim }: Standing, { rooms }: Rooms): Word {
  const [raked] = sun;
  if (surface.endsWith('/ceiling'))
    return grazedBy.length
      ? phrase`from the floor, looking along the ceiling towards ${windows(grazedBy)}`
      : 'from the floor, a lamp held up close under the ceiling';
  if (trim) return 'from the floor, where it is seen from; then close, along it, for runs';
  if (raked) {
    const labels = raked.windows.map((id) => rooms.byId[room]?.openings.byId[id]?.label ?? '');
    return phrase`between ${clockTime(raked.from)} and ${clockTime(raked.to)}, when the sun rakes it through ${windows(labels)}: from its ${OTHER[raked.side]} end, looking along it`;
  }
  if (grazedBy.length) return phrase`by day, from the side, looking along it towards ${windows(grazedBy)}`;
  return 'from the side, a lamp held flat to it at the other end; then from the floor, in the light it will live in';
}
const windows = (labels: readonly string[]): Word =>
  labels.length === 1 ? `window ${labels[0] ?? ''}` : phrase`windows ${listed(labels)}`;

/** Why something tends to show. */
export const SHOWS = {
  sheen: 'its sheen',
  deep: phrase`its deep colour`,
  raked: 'light grazes it',
  lap: 'its edges may set before they are met',
  patches: 'filled places',
  stains: 'stains underneath',
  level: 'board that is not skimmed',
  texture: 'a rough ground',
  damp: 'damp',
  edges: 'its edges and cuts',
  moves: 'it moves in a frame',
  batches: phrase`${THE.can}s used as they come`,
} as const satisfies Readonly<Record<string, Word>>;
