/** A job file is read whole; a larger one is refused before that. */
export const MAX_JOB_BYTES = 20 * 1024 * 1024;

/** Why a file of so many bytes is not read. */
export const tooLarge = (bytes: number): string =>
  `This file is ${Math.round(bytes / 1024 / 1024)} MB; a job file is at most ${MAX_JOB_BYTES / 1024 / 1024} MB. It was not read.`;

/** How many characters, or how many of a thing, a job holds: fields, edits and the door read the same table. */
export const MOST = {
  name: 80,
  /** What the tape said, as typed. */
  typed: 80,
  source: 200,
  client: 200,
  notes: 4000,
  batch: 40,
  key: 300,
  /** Of a surface, or a scope of them; of an operation, which may be at two surfaces. */
  scope: 200,
  operation: 1000,
  rooms: 500,
  walls: 400,
  openings: 400,
  parts: 400,
  /** Walls, openings and parts of all rooms. */
  measured: 10_000,
  diagonals: 60,
  /** Heights between the ends of a wall. */
  heights: 8,
  steps: 60,
  panels: 12,
  /** Of a climate log, kept with a job. */
  readings: 300,
  count: 999,
  pieces: 9999,
  products: 500,
  colours: 25_000,
  /** Surfaces and scopes that have an answer, a finish or a decision of their own. */
  scopes: 20_000,
  sizes: 40,
  people: 8,
  pins: 400,
  /** Holidays, and days that somebody is away. */
  days: 400,
  /** Days after the first. */
  day: 3652,
  tasks: 20_000,
  /** Lines of a log's file, characters of one, and lines of it that are kept although they are no entries. */
  logLines: 100_000,
  logLine: 65_536,
  aside: 10_000,
  /** Copies that a copy of a job remembers it was made from. */
  exchanges: 64,
  stretches: 6,
  shelf: 500,
  options: 100,
  surfaces: 500,
  oldColours: 4,
  learned: 500,
  /** Defects of a job, and colours that are tried. */
  defects: 2000,
  samples: 200,
  looks: 200,
  /** Paints one over the other on a surface. */
  layers: 40,
  formula: 200,
  leftovers: 500,
  /** Numbers of a stroke, and strokes of a signature. */
  stroke: 4000,
  strokes: 60,
} as const;

export type Ends = readonly [least: number, most: number];
/** What a quantity may be, in the core's units: below, the figures made of it are no longer figures. */
/** Of the first day of a job, ISO dates. */
export const START_ENDS = ['2000-01-01', '2100-12-31'] as const;
export const isStart = (day: string): boolean => day >= START_ENDS[0] && day <= START_ENDS[1];

export const ENDS = {
  /** Logarithm of a rate over the planned one: from a fiftieth to fifty times. */
  learned: [-4, 4],
  /** A length that cannot be nothing, m. */
  size: [0.001, 10_000],
  /** Where something is, m. */
  place: [0, 10_000],
  /** m2/L. */
  rate: [0.5, 100],
  /** Of a can, L. */
  can: [0.05, 1000],
  /** In a can on the shelf, L. */
  shelf: [0.01, 1000],
  /** Volume solids, of 1; and a dry film, m. */
  solids: [0.05, 0.99],
  dryFilm: [0.000_005, 0.002],
  /** Contrast ratio, of 1. */
  contrast: [0.3, 0.9999],
  minutes: [0, 100_000],
  /** Minor units. */
  money: [0, 99_999_999_999],
  share: [0, 1],
  margin: [0, 0.99],
  /** Days a quote holds. */
  valid: [0, 365],
  /** A working stretch, minutes. */
  stretch: [15, 1440],
  /** Width of a cover or a brush, m. */
  tool: [0.005, 1],
  moisture: [0, 100],
  /** Of the air: degrees Celsius; draught, m/s. */
  temperature: [-20, 60],
  draught: [0, 10],
  /** Degrees under the ceiling over those where the air is read. */
  warmer: [-5, 20],
  /** Minutes of a day. */
  clock: [0, 1440],
  /** Open time of a paint, minutes. */
  open: [0.5, 240],
  year: [1000, 2100],
  /** When an entry of a log can have been written, ms since 1970: a clock beyond these is wrong. */
  moment: [Date.UTC(2020, 0, 1), Date.UTC(2100, 0, 1)],
  latitude: [-90, 90],
  longitude: [-180, 180],
  /** Of a defect, m. */
  defect: [0.001, 50],
  /** From which a room is looked at, m. */
  distance: [0.1, 20],
} as const satisfies Record<string, Ends>;

/** Whether a value lies between its ends, both included. */
export const within = (value: number, [least, most]: Ends): boolean => value >= least && value <= most;
