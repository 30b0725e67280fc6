import { setting, type DefaultKey } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import type { Opening, Part } from '../job/measured.ts';
import { FIXTURE_KINDS, type FixtureWay, type PartKind, type SurfaceKind } from '../job/vocabulary.ts';
import type { Metres } from '../units/si.ts';
import { compute, given, type Given, type Working } from '../units/working.ts';
import { openingArea } from './openings.ts';
import type { Box, Outline } from './outline.ts';

type Dimension = 'width' | 'height' | 'depth' | 'at' | 'sill';

/** What a part's dimensions are called, where they are not plain. */
type Words = Readonly<Partial<Record<Dimension, string>>>;

/** Sizes of one part, ready for a working. */
interface Sizes {
  readonly w: Given;
  readonly h: Given;
  readonly d: Given;
  readonly n: Given;
  /** Ends that stand free: not against the wall's own ends. */
  readonly ends: Given;
  readonly job: Pick<Job, 'settings'>;
  /** Openings on its wall within its width. */
  readonly openings: readonly Opening[];
  readonly raised: boolean;
}

export interface PartRule {
  readonly place: 'wall' | 'room' | 'ceiling' | 'anywhere';
  readonly needs: readonly Dimension[];
  /** Also offered, beyond what is needed. */
  readonly takes: readonly Dimension[];
  readonly counted?: string;
  readonly words?: Words;
  /** As long as its wall, whatever that comes to. */
  readonly along?: true;
  /** On the wall: takes a finish of its own, or hides the wall. */
  readonly layer?: 'region' | 'cover';
  /** Interrupts baseboard and rails where it stands before them. */
  readonly breaksRuns?: boolean;
  /** What there is to paint of it; null: nothing. */
  readonly paints: SurfaceKind | null;
  readonly area?: (s: Sizes) => Working;
  /** A run brushed as a line rather than an area. */
  readonly run?: (s: Sizes) => Metres;
  /** Plan area it takes from the ceiling. */
  readonly ofCeiling?: (s: Sizes) => Working;
}

const face = (name: string, ...of: readonly Working[]) => compute('product', name, 'area', ...of);
const faces = (...of: readonly Working[]) => compute('sum', 'faces', 'area', ...of);
const two = given('faces', 2, 'count');

const onWall = { place: 'wall', needs: ['width', 'height', 'at'], takes: ['sill'], paints: null } as const;
const solid = { place: 'room', needs: ['width', 'height', 'depth'], takes: [], paints: 'piece' } as const;
const fixture = {
  place: 'anywhere',
  needs: [],
  takes: ['width', 'height'],
  counted: 'How many',
  paints: null,
} as const;

/** What each kind of part needs, hides and adds, by simple solids. */
export const PART_RULES: Readonly<Record<PartKind, PartRule>> = {
  dado: { place: 'wall', needs: ['height'], takes: [], along: true, layer: 'region', paints: 'wall' },
  panel: { ...onWall, layer: 'region', paints: 'wall' },
  // from its picture rail, or any height, to the ceiling
  frieze: { place: 'wall', needs: ['sill'], takes: [], along: true, layer: 'region', paints: 'wall' },
  tile: { ...onWall, layer: 'cover', breaksRuns: true },
  cabinet: { ...onWall, layer: 'cover', breaksRuns: true },
  soffit: {
    place: 'wall',
    needs: ['width', 'height', 'depth', 'at'],
    takes: [],
    words: { height: 'Drop' },
    layer: 'cover',
    paints: 'wall',
    area: ({ w, h, d, ends }) => faces(face('front', w, h), face('underside', w, d), face('ends', d, h, ends)),
    ofCeiling: ({ w, d }) => face('soffit', w, d),
  },
  recess: {
    place: 'wall',
    needs: ['width', 'height', 'depth', 'at'],
    takes: ['sill'],
    layer: 'cover',
    breaksRuns: true,
    paints: 'wall',
    area: ({ w, h, d, raised }) =>
      faces(
        face('back', w, h),
        face('sides', d, h, two),
        face('head', w, d),
        ...(raised ? [face('bottom', w, d)] : []),
      ),
  },
  pilaster: {
    place: 'wall',
    needs: ['width', 'height', 'depth', 'at'],
    takes: ['sill'],
    layer: 'cover',
    breaksRuns: true,
    paints: 'wall',
    area: ({ w, h, d, ends }) => faces(face('front', w, h), face('sides', d, h, ends)),
    ofCeiling: ({ w, d }) => face('pilaster', w, d),
  },
  closet: {
    place: 'wall',
    needs: ['width', 'height', 'depth', 'at'],
    takes: [],
    paints: 'wall',
    area: ({ w, h, d, openings }) =>
      compute(
        'difference',
        'inside walls and ceiling',
        'area',
        faces(face('back and front', w, h, two), face('sides', d, h, two), face('ceiling', w, d)),
        ...openings.map(openingArea),
      ),
  },
  column: {
    ...solid,
    needs: ['width', 'depth', 'height'],
    paints: 'wall',
    area: ({ w, h, d }) => faces(face('two sides', w, h, two), face('other two', d, h, two)),
    ofCeiling: ({ w, d }) => face('column', w, d),
  },
  'round-column': {
    ...solid,
    needs: ['width', 'height'],
    words: { width: 'Diameter' },
    paints: 'wall',
    area: ({ w, h }) => face('round', given('π', Math.PI, 'ratio'), w, h),
    ofCeiling: ({ w }) => face('round column', given('π / 4', Math.PI / 4, 'ratio'), w, w),
  },
  beam: {
    ...solid,
    words: { width: 'Length', height: 'Drop', depth: 'Width' },
    paints: 'ceiling',
    area: ({ w, h, d }) => faces(face('sides', w, h, two), face('underside', w, d)),
    ofCeiling: ({ w, d }) => face('beam', w, d),
  },
  'half-wall': {
    ...solid,
    words: { width: 'Length', depth: 'Thickness' },
    counted: 'Free ends',
    paints: 'wall',
    area: ({ w, h, d, n }) => faces(face('sides', w, h, two), face('top', w, d), face('ends', d, h, n)),
  },
  hatch: {
    place: 'ceiling',
    needs: ['width', 'depth'],
    takes: [],
    words: { depth: 'Length' },
    paints: null,
    ofCeiling: ({ w, d }) => face('hatch', w, d),
  },
  skylight: {
    place: 'ceiling',
    needs: ['width', 'depth', 'height'],
    takes: [],
    words: { depth: 'Length', height: 'Shaft depth' },
    paints: 'ceiling',
    area: ({ w, h, d }) => faces(face('shaft sides', w, h, two), face('shaft ends', d, h, two)),
    ofCeiling: ({ w, d }) => face('skylight', w, d),
  },
  // its upright sides go round the inner edge: takeoff.ts knows how long that is
  tray: {
    place: 'ceiling',
    needs: ['height', 'depth'],
    takes: [],
    words: { height: 'Rise', depth: 'Border' },
    paints: null,
  },
  stringer: {
    place: 'room',
    needs: ['width', 'height'],
    takes: [],
    words: { width: 'Length', height: 'Girth' },
    counted: 'How many',
    paints: 'stair',
    area: ({ w, h, n }) => face('stringers', w, h, n),
    run: ({ w, n }) => w.value * n.value,
  },
  spindles: {
    place: 'room',
    needs: ['width', 'height'],
    takes: [],
    words: { width: 'Girth', height: 'Length' },
    counted: 'How many',
    paints: 'stair',
    area: ({ w, h, n }) => face('spindles', w, h, n),
    run: ({ h, n }) => h.value * n.value,
  },
  handrail: {
    place: 'room',
    needs: ['width', 'height'],
    takes: [],
    words: { width: 'Length', height: 'Girth' },
    counted: 'How many',
    paints: 'stair',
    area: ({ w, h, n }) => face('handrails', w, h, n),
    run: ({ w, n }) => w.value * n.value,
  },
  radiator: {
    place: 'wall',
    needs: ['width', 'height', 'depth'],
    takes: ['at', 'sill'],
    counted: 'How many',
    paints: 'piece',
    // ribs and fins show about as much again as the box
    area: ({ w, h, d, n, job }) =>
      compute(
        'product',
        'radiator',
        'area',
        faces(face('front and back', w, h, two), face('ends', d, h, two), face('top and bottom', w, d, two)),
        given('ribs', setting(job, 'radiator.ribs'), 'ratio'),
        n,
      ),
  },
  shelf: {
    ...solid,
    words: { width: 'Length', height: 'Thickness' },
    counted: 'How many',
    area: ({ w, h, d, n }) =>
      compute(
        'product',
        'shelves',
        'area',
        faces(face('both faces', w, d, two), face('front edge', w, h), face('ends', d, h, two)),
        n,
      ),
  },
  'built-in': {
    place: 'wall',
    needs: ['width', 'height', 'depth', 'at'],
    takes: ['sill'],
    counted: 'Shelves in it',
    layer: 'cover',
    breaksRuns: true,
    paints: 'piece',
    area: ({ w, h, d, n }) =>
      faces(
        face('back', w, h),
        face('sides, in and out', d, h, given('faces', 4, 'count')),
        face('top, in and out, and bottom', w, d, given('faces', 3, 'count')),
        face('shelves, both faces', w, d, two, n),
      ),
  },
  furniture: {
    ...solid,
    counted: 'How many',
    area: ({ w, h, d, n }) =>
      compute(
        'product',
        'pieces',
        'area',
        faces(face('front and back', w, h, two), face('ends', d, h, two), face('top', w, d)),
        n,
      ),
  },
  drum: {
    ...solid,
    needs: ['width', 'height'],
    words: { width: 'Diameter' },
    counted: 'How many',
    area: ({ w, h, n }) =>
      compute(
        'product',
        'round pieces',
        'area',
        faces(
          face('round', given('π', Math.PI, 'ratio'), w, h),
          face('top', given('π / 4', Math.PI / 4, 'ratio'), w, w),
        ),
        n,
      ),
  },
  // a lampshade, the cap of a round tower: its mantle only
  cone: {
    ...solid,
    needs: ['width', 'height'],
    words: { width: 'Diameter' },
    counted: 'How many',
    area: ({ w, h, n }) =>
      compute(
        'product',
        'mantle',
        'area',
        given('π / 2', Math.PI / 2, 'ratio'),
        w,
        given('slant', Math.hypot(w.value / 2, h.value), 'length'),
        n,
      ),
  },
  plate: fixture,
  socket: fixture,
  light: fixture,
  detector: fixture,
  vent: fixture,
  rod: fixture,
  mirror: fixture,
  fixing: { ...fixture, takes: [] },
};

export type FixtureKind = (typeof FIXTURE_KINDS)[number];
/** Whether it is counted and painted round, not drawn as a face of its own. */
export const isFixture = (kind: PartKind): kind is FixtureKind => (FIXTURE_KINDS as readonly string[]).includes(kind);

const PLATED = ['off', 'masked', 'cut', 'replaced'] as const;
/** What can be done about a fixture, the usual first [common practice, no source]; only what stays on bare is cut round. */
export const WAYS_OF: Readonly<Record<FixtureKind, readonly [FixtureWay, ...FixtureWay[]]>> = {
  plate: [...PLATED, 'painted'],
  socket: PLATED,
  light: ['cut', 'off', 'masked', 'replaced'],
  // never painted: it would be blind
  detector: ['covered', 'off', 'replaced'],
  vent: [...PLATED, 'painted'],
  rod: ['cut', 'off', 'masked', 'replaced', 'painted'],
  mirror: ['cut', 'off', 'masked'],
  // a shelf comes back where its fixings stay
  fixing: ['stays', 'filled'],
};
/** What is done about a part of the room; null: it is no fixture. */
export const wayOf = ({ kind, way }: Pick<Part, 'kind' | 'way'>): FixtureWay | null =>
  isFixture(kind) ? (WAYS_OF[kind].find((known) => known === way) ?? WAYS_OF[kind][0]) : null;

/** Fixings that come out for good and leave a hole to fill, by the wall they are on; null: the ceiling. */
export const holesLeftBy = (parts: readonly Part[], wall: string | null): number =>
  parts.reduce((n, part) => n + (part.wall === wall && wayOf(part) === 'filled' ? part.count : 0), 0);

/** Line cut round the fixtures of a part; those taken off or covered have none. */
export function fixtureCut(job: Pick<Job, 'settings'>, part: Part): Metres {
  if (wayOf(part) !== 'cut') return 0;
  const sized = part.width && part.height ? 2 * (part.width.metres + part.height.metres) : null;
  return part.count * (sized ?? setting(job, `fixture.${part.kind}` as DefaultKey));
}

/** Where a part stands on its wall; a dado and a frieze are as long as the wall, a soffit hangs from the lowest of the top edge over it. */
export function partBox(part: Part, outline: Outline, lowest: (left: Metres, right: Metres) => Metres): Box {
  const left = part.at?.metres ?? 0;
  const { along } = PART_RULES[part.kind];
  const right = along ? outline.length : left + (part.width?.metres ?? 0);
  // a dado as high as the wall, or higher, is all of it
  const most = along ? Math.max(...outline.top.map(({ y }) => y)) : Infinity;
  if (part.kind === 'frieze') return { left, right, bottom: Math.min(part.sill?.metres ?? 0, most), top: most };
  const height = Math.min(part.height?.metres ?? 0, most);
  const bottom = part.kind === 'soffit' ? lowest(left, right) - height : (part.sill?.metres ?? 0);
  return { left, right, bottom, top: bottom + height };
}

const NEAR = 1e-3;

/** Sizes of a part as terms of a working. */
export function sizesOf(
  job: Pick<Job, 'settings'>,
  part: Part,
  outline: Outline | null,
  openings: readonly Opening[],
): Sizes {
  const words = PART_RULES[part.kind].words ?? {};
  const size = (key: 'width' | 'height' | 'depth') =>
    given((words[key] ?? key).toLowerCase(), part[key]?.metres ?? 0, 'length');
  const left = part.at?.metres ?? 0;
  const right = left + (part.width?.metres ?? 0);
  const free = outline ? Number(left > NEAR) + Number(right < outline.length - NEAR) : 2;
  return {
    w: size('width'),
    h: size('height'),
    d: size('depth'),
    n: given((PART_RULES[part.kind].counted ?? 'count').toLowerCase(), part.count, 'count'),
    ends: given('free ends', free, 'count'),
    job,
    openings: openings.filter((o) => o.at.metres >= left - NEAR && o.at.metres + o.width.metres <= right + NEAR),
    raised: (part.sill?.metres ?? 0) > 0,
  };
}
