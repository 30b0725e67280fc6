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
  'grain',
] as const;
export type Texture = (typeof TEXTURES)[number];

export const EXISTING_COATS = ['water-borne', 'oil', 'clear', 'bare', 'unknown'] as const;
export type ExistingCoat = (typeof EXISTING_COATS)[number];

export const CONDITIONS = ['sound', 'chalky', 'peeling', 'weak', 'unknown'] as const;
export type Condition = (typeof CONDITIONS)[number];

/** What a laboratory found in an old sprayed texture, or that licensed people take it off. */
export const FIBRES = ['unknown', 'none', 'found', 'removal'] as const;
export type Fibres = (typeof FIBRES)[number];

/** An answer to what can be tested: nobody looked yet is one too. */
export const KNOWN = ['no', 'yes', 'unknown'] as const;
export type Known = (typeof KNOWN)[number];

/** Holes by class: pinholes; coin-size, backed before they are filled; larger; anchors, drawn out by their screw. */
export const REPAIR_CLASSES = ['pinhole', 'coin', 'large', 'anchor'] as const;
export type RepairClass = (typeof REPAIR_CLASSES)[number];

export const STAINS = ['water', 'smoke', 'grease', 'tannin', 'rust', 'ink', 'other'] as const;
export type Stain = (typeof STAINS)[number];

export const TOUCHERS = ['hands', 'children', 'pets'] as const;
export type Toucher = (typeof TOUCHERS)[number];

/** Does light graze it? `windows`: as the windows beside it say. */
export const RAKING = ['windows', 'no', 'yes'] as const;
export type Raking = (typeof RAKING)[number];

/** A drop of water: it stands, is gone within a minute or so, or darkens the ground at once. */
export const WATER_DROPS = ['not-done', 'stands', 'slowly', 'at-once'] as const;
export type WaterDrop = (typeof WATER_DROPS)[number];

/** A dark cloth drawn over it comes away clean, or marked with chalk. */
export const WIPES = ['not-done', 'clean', 'marks'] as const;
export type Wipe = (typeof WIPES)[number];

/** Parts of a door that are handled, or meet something, and may want more than its faces. */
export const ZONES = ['edge', 'handle'] as const;
export type Zone = (typeof ZONES)[number];

export const FLOORS = ['unknown', 'sealed', 'porous', 'carpet'] as const;
export type Floor = (typeof FLOORS)[number];

export const PAINT_FAMILIES = ['wall', 'wet-room', 'ceiling', 'enamel', 'oil-enamel', 'chalk-type', 'clear'] as const;
export type PaintFamily = (typeof PAINT_FAMILIES)[number];

export const COAT_STYLES = ['equal', 'thin-then-full', 'one-heavy'] as const;
export type CoatStyle = (typeof COAT_STYLES)[number];

/** Flow conditioner, litres to a litre of paint: none, and three doses between 4 and 8 fl oz to the quart. */
export const CONDITIONERS = [0, 0.125, 0.19, 0.25] as const;
export type Conditioner = (typeof CONDITIONERS)[number];

/** Walls that touch up (flat), walls that wipe (satin), or each weighed by its use. */
export const WALL_SCHOOLS = ['weighed', 'touch-up', 'wipe'] as const;
export type WallSchool = (typeof WALL_SCHOOLS)[number];
export const BRICK_SCHOOLS = ['long-pile', 'half-inch'] as const;
export type BrickSchool = (typeof BRICK_SCHOOLS)[number];

/** Sound old paint: washed and left to dry, or sanded and wiped damp, with no washing to wait for. */
export const PREP_SCHOOLS = ['wash', 'sand'] as const;
export type PrepSchool = (typeof PREP_SCHOOLS)[number];

/** How chalk-type paint is ended: waxed, worn through at raised edges, or with a lighter highlight; sealed with clear wax. */
export const SEALS = ['none', 'clear-wax', 'dark-wax', 'worn', 'highlight'] as const;
export type Seal = (typeof SEALS)[number];

/** Wet-scrub classes, 1 the hardest [EN 13300, from memory]. */
export const SCRUB_CLASSES = [1, 2, 3, 4, 5] as const;
export type ScrubClass = (typeof SCRUB_CLASSES)[number];

/** What alcohol on a rag did: colour came off (water-borne), or nothing did (oil). */
export const SOLVENT_RUBS = ['not-done', 'comes-off', 'stays'] as const;
export type SolventRub = (typeof SOLVENT_RUBS)[number];

/** Finish level of a board wall [GA-214]; `unknown` where nobody looked. */
export const BOARD_LEVELS = ['unknown', '3', '4', '5'] as const;
export type BoardLevel = (typeof BOARD_LEVELS)[number];

export const PRIMER_KINDS = ['none', 'bonding', 'blocking', 'penetrating', 'board', 'sealing', 'undercoat'] as const;
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
  'wipe',
  'caulk',
] as const;
export type PrepStep = (typeof PREP_STEPS)[number];

/** Pile heights in metres; each stands for the trade's range (their words are in words/systems). */
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
export const REGION_KINDS = ['dado', 'panel', 'frieze'] as const;
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
export const FIXTURE_KINDS = ['plate', 'socket', 'light', 'detector', 'vent', 'rod', 'mirror', 'fixing'] as const;
/** What is done about a fixture; a fixing (a hook, a bracket, an anchor) comes out and is filled, or stays. */
export const FIXTURE_WAYS = ['off', 'masked', 'cut', 'covered', 'replaced', 'painted', 'filled', 'stays'] as const;
export type FixtureWay = (typeof FIXTURE_WAYS)[number];
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
export const FAMILIES = ['ceiling', 'wall', 'trim'] as const;
export type Family = (typeof FAMILIES)[number];
/** Ceiling, wall, or anything that is trim. */
export const familyOf = (kind: SurfaceKind): Family => (kind === 'ceiling' || kind === 'wall' ? kind : 'trim');

/** Trim lapped onto walls that are cut to it; walls first; what is made in a day, deep colours early; or what costs least. */
export const TRIM_ORDERS = ['trim-first', 'trim-last', 'one-day', 'cheapest'] as const;
export type TrimOrder = (typeof TRIM_ORDERS)[number];

/** An accent wall laps out round its corners, first of all; its neighbours lap onto it and it is cut last; or what costs least. */
export const ACCENT_SCHOOLS = ['cheapest', 'laps-out', 'cut-last'] as const;
export type AccentSchool = (typeof ACCENT_SCHOOLS)[number];

/** When tape comes off: while the paint is wet, when it is tacky, or dry and scored. */
export const PULLS = ['wet', 'tacky', 'dry'] as const;
export type Pull = (typeof PULLS)[number];

/** Edges of tape sealed or caulked as the ground asks, or all of them caulked. */
export const TAPE_SCHOOLS = ['by-ground', 'caulk-all'] as const;
export type TapeSchool = (typeof TAPE_SCHOOLS)[number];

/** How a load is spread over its section: in a zigzag whose gaps are filled, or in upright strokes side by side. */
export const SPREADS = ['zigzag', 'upright'] as const;
export type Spread = (typeof SPREADS)[number];

/** The last, unloaded strokes of a strip: upward and back in one, or downward only. */
export const LAY_OFFS = ['up-and-back', 'down'] as const;
export type LayOff = (typeof LAY_OFFS)[number];

/** Coats before the last: cut, stopping short of the line, and then rolled; or rolled as close as can be, and cut afterwards. */
export const FIRST_COATS = ['cut-first', 'roll-first'] as const;
export type FirstCoats = (typeof FIRST_COATS)[number];

/** A textured door: its whole face rolled, then brushed out in the order of its joints; or each piece rolled and brushed by itself. */
export const DOOR_SCHOOLS = ['rolled', 'pieces'] as const;
export type DoorSchool = (typeof DOOR_SCHOOLS)[number];

export const HANDS = ['right', 'left'] as const;
export type Hand = (typeof HANDS)[number];

/**
 * How the second finish at a line is kept off the first: by hand; tape burnished down, its edge sealed with the colour
 * underneath, or caulked; a shield held to it; a wheeled edger; by hand to a lap that a wrap-round roller laid.
 */
/** `straightened`: a wavy corner sanded and run with a fine bead first, then cut by hand. */
export const LINE_METHODS = [
  'freehand',
  'straightened',
  'tape',
  'tape-sealed',
  'tape-caulked',
  'shield',
  'edger',
  'wrap',
] as const;
export type LineMethod = (typeof LINE_METHODS)[number];
/** The coats that a tape lies for. */
export const TAPE_STAYS = ['first', 'last', 'all'] as const;
export type TapeStay = (typeof TAPE_STAYS)[number];

export const OPENING_SCHOOLS = ['net', 'gross'] as const;
export type OpeningSchool = (typeof OPENING_SCHOOLS)[number];

/** Bases a colour is mixed in, by its depth. */
export const TINT_BASES = ['white', 'middle', 'deep'] as const;
export type TintBase = (typeof TINT_BASES)[number];

export const BOXINGS = ['box', 'as-they-come'] as const;
export type Boxing = (typeof BOXINGS)[number];

/** `own`: the painter's own time, which nobody pays; then there is neither overhead nor margin on it. */
export const BILLINGS = ['hours', 'days', 'own'] as const;
export type Billing = (typeof BILLINGS)[number];
export const TAXED = ['all', 'materials', 'nothing'] as const;
export type Taxed = (typeof TAXED)[number];

/** Where two surfaces of a room touch; the last three are lines of trim, which no wall or ceiling is cut in along. */
export const LINE_KINDS = [
  'wall-ceiling',
  'wall-crown',
  'crown-ceiling',
  'corner',
  'wall-baseboard',
  'wall-floor',
  'wall-stair',
  'wall-casing',
  'wall-opening',
  'wall-board',
  'wall-chair-rail',
  'wall-picture-rail',
  'region',
  'cover',
  'fixture',
  'baseboard-floor',
  'casing-frame',
  'frame-leaf',
] as const;
export type LineKind = (typeof LINE_KINDS)[number];

/** What is done, in the order a room sees it. */
export const OPERATIONS = [
  'set-up',
  'furniture-out',
  'cloths-down',
  'platform',
  'power-off',
  'detectors-covered',
  'curtains-off',
  'plates-off',
  'hardware-off',
  'fixings-out',
  'wash',
  'degrease',
  'rinse',
  'scrape',
  'fill',
  'degloss',
  'sand',
  'dust',
  'wipe',
  'caulk',
  'dab',
  'prime-spot',
  'prime-cut',
  'prime-roll',
  'prime-brush',
  'prime-faces',
  'prime-stains',
  'rub',
  'mask',
  'seal-tape',
  'caulk-tape',
  'straighten',
  'spatter',
  'mask-fixtures',
  'drape',
  'card',
  'lap',
  'cut',
  'roll',
  'brush',
  'edges',
  'faces',
  'trim-edge',
  'paint-fixtures',
  'wear',
  'highlight',
  'wax',
  'face-wax',
  'unmask',
  'look',
  'mend-scrape',
  'mend-clean',
  'mend-fill',
  'mend-sand',
  'mend-prime',
  'mend-spot',
  'mend-cut',
  'mend-coat',
  'mend-ease',
  'touch-up',
  'detectors-uncovered',
  'plates-on',
  'hardware-on',
  'fixings-back',
  'curtains-on',
  'power-on',
  'furniture-back',
  'cloths-up',
  'clean-up',
] as const;
export type OperationKind = (typeof OPERATIONS)[number];

/** Operations that are one go of work: what a plan places, in the order a room sees it. */
export const TASKS = [
  'protect',
  'wash',
  'fill',
  'sand',
  'caulk',
  'spot',
  'prime-cut',
  'prime-roll',
  'prime-brush',
  'mask',
  'card',
  'lap',
  'cut',
  'roll',
  'wet',
  'brush',
  'wax',
  'unmask',
  'look',
  'mend',
  'touch-up',
  'clear',
] as const;
export type TaskKind = (typeof TASKS)[number];

/** What labour is priced by. */
export const LABOUR_GROUPS = [
  'protect',
  'prep',
  'prime',
  'mask',
  'cut',
  'roll',
  'brush',
  'look',
  'clear',
  'travel',
  'daily',
  'spare',
] as const;
export type LabourGroup = (typeof LABOUR_GROUPS)[number];

/** What is in the hand. */
const TOOLS = ['none', 'sponge', 'scraper', 'knife', 'paper', 'gun', 'tape', 'brush', 'roller'] as const;
export type Tool = (typeof TOOLS)[number];

/** What is bought besides paint. */
export const MATERIALS = [
  'tape',
  'tape-fine',
  'film',
  'card',
  'drop-cloth',
  'caulk',
  'filler',
  'patch',
  'abrasive',
  'blades',
  'cover',
  'frame',
  'pole',
  'tray',
  'liner',
  'brush',
  'conditioner',
  'wax',
  'dark-wax',
  'highlight',
  'wash',
  'degrease',
  'rags',
  'bags',
  'mask',
  'goggles',
  'gloves',
  'respirator',
  'lead-test',
  'asbestos-test',
] as const;
export type MaterialItem = (typeof MATERIALS)[number];
/** What they are counted in. */
export const PIECES = [
  'roll',
  'shield',
  'cloth',
  'cartridge',
  'tub',
  'patch',
  'sheet',
  'pack',
  'cover',
  'frame',
  'pole',
  'tray',
  'liner',
  'brush',
  'bottle',
  'tin',
  'mask',
  'pair',
  'box',
  'kit',
  'test',
] as const;
export type PieceUnit = (typeof PIECES)[number];

export const BASES = ['water-borne', 'oil'] as const;
export type Base = (typeof BASES)[number];

/** What a hand does without stopping. */
const STROKES = [
  'cut',
  'cut-again',
  'back-roll',
  'rest',
  'dip',
  'spread',
  'ends',
  'lay-off',
  'roll-face',
  'edge',
  'reveal',
  'panel',
  'muntin',
  'rail',
  'stile',
  'bar',
  'run',
  'piece',
  'look',
] as const;
export type StrokeKind = (typeof STROKES)[number];

/** Faces of what is no wall and no run, by what they are called. */
const PIECE_FACES = [
  'all',
  'back',
  'ribs',
  'underside',
  'inside',
  'shelves',
  'ends',
  'sides',
  'head',
  'bottom',
  'front',
  'front-edge',
  'top',
  'round',
  'mantle',
  'shaft',
  'move',
] as const;
export type PieceFace = (typeof PIECE_FACES)[number];

/** What can be changed so that a wall stays wet. */
const CHANGES = ['whole', 'sections', 'conditioner', 'undosed', 'second', 'wider', 'hour', 'shut'] as const;
export type Change = (typeof CHANGES)[number];

/** Who keeps the wet edge of a last coat: alone where one person can, always alone, always two; or cut all of it and roll it later. */
export const WET_SCHOOLS = ['as-needed', 'alone', 'pair', 'cut-all'] as const;
export type WetSchool = (typeof WET_SCHOOLS)[number];
/** How the people of a crew divide the work: whoever is free; by surface; one masks and one laps; three, one after the other. */
export const DIVISIONS = ['free', 'ceilings-walls', 'mask-lap', 'seal-cut-roll'] as const;
export type Division = (typeof DIVISIONS)[number];

/** Brushes and covers washed every evening, since paint creeps into the ferrule; or wrapped to their shape for days. */
export const WASHINGS = ['daily', 'bagged'] as const;
export type Washing = (typeof WASHINGS)[number];
/** The rim of a can kept clean by holes in its groove, or by a band across the can to wipe on. */
export const RIMS = ['holes', 'band'] as const;
export type Rim = (typeof RIMS)[number];

/** Paces of first coats, and of what has none, or of later coats. */
export const COAT_CLASSES = ['first', 'later'] as const;
export type CoatClass = (typeof COAT_CLASSES)[number];
/** What a quote counts on: the plan as it is, or what eight in ten plays of it keep. */
export const PROMISES = ['plan', 'p80'] as const;
export type Promised = (typeof PROMISES)[number];
/** What somebody does on a job. */
export const SKILLS = ['prepare', 'cut', 'roll', 'brush', 'mask'] as const;
export type Skill = (typeof SKILLS)[number];
/**
 * How a last coat is kept wet: all of it cut and then rolled, in one go; section by section; one cuts and one rolls behind; two from
 * the middle outwards; every edge of the room cut first, and dry; a door face by face.
 */
const WET_METHODS = ['whole', 'sections', 'follow', 'two', 'dry-edges', 'face'] as const;
export type WetMethod = (typeof WET_METHODS)[number];

/** Why work on site is put down before it is done. */
export const STOP_REASONS = ['break', 'waits', 'trouble', 'helping', 'day-over', 'went-on'] as const;
export type StopReason = (typeof STOP_REASONS)[number];
/** How what is left in a can was found. */
export const LEVELS = ['dip', 'weight', 'eye'] as const;
export type Level = (typeof LEVELS)[number];
/**
 * What a clock runs for. Something sets and is to be done before: an edge that is wet, caulk that skins, tape by its school, a coat by its
 * label. Something dries and lets others begin: what is wet is touched, gone over, taped, cut to, looked at, washed.
 */
const CLOCK_KINDS = ['edge', 'skin', 'close', 'recoat-by', 'touch', 'opens', 'cure'] as const;
export type ClockKind = (typeof CLOCK_KINDS)[number];
export const DAY_PARTS = ['before', 'during', 'break', 'end'] as const;
export type DayPart = (typeof DAY_PARTS)[number];
/** What does not go together in a log: done without a start; said twice; stopped what nobody was on; uncovered what was not covered. */
export type Oddity = 'early' | 'done-first' | 'again' | 'not-on-it' | 'not-covered' | 'clock' | 'impossible' | 'circle';
