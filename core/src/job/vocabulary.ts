/** The published enums. Terms follow ISO 4618 where it has one (coat, primer, undercoat, sheen). */
export const SHEENS = ['flat', 'matte', 'eggshell', 'satin', 'semi-gloss', 'gloss'] as const;
export type Sheen = (typeof SHEENS)[number];

export const ROOM_USES = ['living', 'bedroom', 'kitchen', 'bathroom', 'hall', 'other'] as const;
export type RoomUse = (typeof ROOM_USES)[number];

export const SUBSTRATES = ['drywall', 'plaster', 'wood', 'mdf', 'metal', 'masonry', 'unknown'] as const;
export type Substrate = (typeof SUBSTRATES)[number];

export const TEXTURES = [
  'smooth',
  'orange-peel',
  'knockdown',
  'rough-plaster',
  'popcorn',
  'brick',
  'deep-stucco',
] as const;
export type Texture = (typeof TEXTURES)[number];

export const EXISTING_COATS = ['water-borne', 'oil', 'clear', 'bare', 'unknown'] as const;
export type ExistingCoat = (typeof EXISTING_COATS)[number];

export const CONDITIONS = ['sound', 'chalky', 'peeling', 'weak'] as const;
export type Condition = (typeof CONDITIONS)[number];

export const REPAIRS = ['none', 'few', 'many'] as const;
export type Repairs = (typeof REPAIRS)[number];

/** What alcohol on a rag did: colour came off (water-borne), or nothing did (oil). */
export const SOLVENT_RUBS = ['not-done', 'comes-off', 'stays'] as const;
export type SolventRub = (typeof SOLVENT_RUBS)[number];

/** Finish level of a board wall [GA-214]; `unknown` where nobody looked. */
export const BOARD_LEVELS = ['unknown', '3', '4', '5'] as const;
export type BoardLevel = (typeof BOARD_LEVELS)[number];

export const PRIMER_KINDS = ['none', 'bonding', 'blocking', 'penetrating', 'board', 'undercoat'] as const;
export type PrimerKind = (typeof PRIMER_KINDS)[number];

export const PRIMER_EXTENTS = ['none', 'spot', 'full'] as const;
export type PrimerExtent = (typeof PRIMER_EXTENTS)[number];

export const PREP_STEPS = [
  'plates-off',
  'hardware-off',
  'wash',
  'degrease',
  'scrape',
  'fill',
  'degloss',
  'sand',
  'dust',
  'caulk',
] as const;
export type PrepStep = (typeof PREP_STEPS)[number];

/** Pile heights in metres; each stands for the trade's range (labels are in specify/wording). */
export const PILES = [0.005, 0.01, 0.013, 0.018, 0.028] as const;
export type Pile = (typeof PILES)[number];

export const FABRICS = ['microfibre', 'woven', 'nylon-polyester', 'foam', 'mohair'] as const;
export type Fabric = (typeof FABRICS)[number];

export const BRUSH_SHAPES = ['angled-sash', 'flat', 'fine'] as const;
export type BrushShape = (typeof BRUSH_SHAPES)[number];

export const BRISTLES = ['synthetic', 'natural'] as const;
export type Bristle = (typeof BRISTLES)[number];

export const OPENING_KINDS = ['door', 'window', 'opening'] as const;
export type OpeningKind = (typeof OPENING_KINDS)[number];

export const LEAVES = ['flush', 'panelled', 'glazed', 'none'] as const;
export type Leaf = (typeof LEAVES)[number];

/** The head of an opening: straight, half round, a flatter arc, a gable (a triangle over what is upright), or a full circle. */
export const OPENING_SHAPES = ['rectangle', 'round', 'segmental', 'gable', 'circle'] as const;
export type OpeningShape = (typeof OPENING_SHAPES)[number];

/** How a painted window opens; `none`: its sash is not painted. */
export const SASHES = ['none', 'fixed', 'casement', 'hung', 'sliding'] as const;
export type Sash = (typeof SASHES)[number];

export const TRIM_KINDS = ['baseboard', 'crown', 'chair-rail', 'picture-rail'] as const;
export type TrimKind = (typeof TRIM_KINDS)[number];

/** Parts of a wall that take a finish of their own, and things that hide wall. */
export const REGION_KINDS = ['dado', 'panel'] as const;
export const COVER_KINDS = ['tile', 'cabinet'] as const;
/** What stands out of a wall or back into it, stands in the room, or is let into the ceiling. */
export const BODY_KINDS = [
  'soffit',
  'recess',
  'pilaster',
  'closet',
  'column',
  'round-column',
  'beam',
  'half-wall',
] as const;
export const CEILING_PART_KINDS = ['hatch', 'skylight', 'tray'] as const;
export const STAIR_KINDS = ['stringer', 'spindles', 'handrail'] as const;
export const PIECE_KINDS = ['radiator', 'shelf', 'built-in', 'furniture', 'drum', 'cone'] as const;
/** Cut round, taken off or covered. */
export const FIXTURE_KINDS = ['plate', 'socket', 'light', 'detector', 'vent', 'rod', 'mirror'] as const;
export const PART_KINDS = [
  ...REGION_KINDS,
  ...COVER_KINDS,
  ...BODY_KINDS,
  ...CEILING_PART_KINDS,
  ...STAIR_KINDS,
  ...PIECE_KINDS,
  ...FIXTURE_KINDS,
] as const;
export type PartKind = (typeof PART_KINDS)[number];

export const SURFACE_KINDS = [
  'ceiling',
  'wall',
  ...TRIM_KINDS,
  'casing',
  'door',
  'frame',
  'sash',
  'board',
  'stair',
  'piece',
] as const;
export type SurfaceKind = (typeof SURFACE_KINDS)[number];

/** Surfaces that usually share a finish. */
export type Family = 'ceiling' | 'wall' | 'trim';
export const familyOf = (kind: SurfaceKind): Family => (kind === 'ceiling' || kind === 'wall' ? kind : 'trim');

export const TRIM_ORDERS = ['trim-first', 'trim-last'] as const;
export type TrimOrder = (typeof TRIM_ORDERS)[number];

export const OPENING_SCHOOLS = ['net', 'gross'] as const;
export type OpeningSchool = (typeof OPENING_SCHOOLS)[number];

export const BASES = ['water-borne', 'oil'] as const;
export type Base = (typeof BASES)[number];
