import MiniSearch from 'minisearch';
import type { Id } from '../job/table.ts';
import { colourWords } from '../specify/colour-words.ts';
import { deltaE, bandsOf } from '../specify/colour.ts';
import type { Litres, Units } from '../units/si.ts';

/** Something that can be looked for over all jobs: a paint on surfaces of a room, or a can that is left. */
export interface Findable {
  readonly id: string;
  readonly job: Id;
  readonly jobName: string;
  readonly room: Id | null;
  readonly roomName: string;
  /** What it is on, in words; of a can, where it stands. */
  readonly on: string;
  /** The first surface that it is on, to go there. */
  readonly surface: string | null;
  readonly kind: 'on' | 'planned' | 'earlier' | 'left' | 'look';
  readonly product: string;
  readonly colour: string;
  readonly code: string;
  readonly hex: string | null;
  readonly batch: string;
  /** ISO day, month or year; empty: not known. */
  readonly when: string;
  readonly litres: Litres | null;
  /** Units of its job. */
  readonly units: Units;
  /** Other words for the room, and a note. */
  readonly also: string;
}

const PLAIN: ReadonlySet<string> = new Set(
  'the a an in on of at and for from to with my our that which is was'.split(' '),
);

/** Found, with how near its colour is to the one that was asked for; null: none was. */
export interface Found {
  readonly of: Findable;
  readonly score: number;
  readonly deltaE: number | null;
}

/** CIEDE2000 beyond which nobody would call it the same colour [starting judgement]. */
const NEAR = 12;
const HEX = /#[0-9a-f]{6}\b/i;

/** All that can be found, to be asked again and again. */
export class Finder {
  private readonly index = new MiniSearch<Record<string, string>>({
    fields: ['room', 'on', 'product', 'colour', 'words', 'rest'],
    processTerm: (term) => (PLAIN.has(term.toLowerCase()) ? null : term.toLowerCase()),
    searchOptions: {
      combineWith: 'AND',
      prefix: true,
      fuzzy: (term) => (term.length > 4 ? 0.2 : false),
      boost: { room: 2, colour: 2 },
    },
  });
  private readonly byId = new Map<string, Findable>();

  constructor(all: Iterable<Findable>) {
    this.add(all);
  }
  add(all: Iterable<Findable>): void {
    const fresh = [...all].filter(({ id }) => !this.byId.has(id));
    for (const one of fresh) this.byId.set(one.id, one);
    this.index.addAll(fresh.map(texts));
  }
  /** What fits the words, best first; with a colour in `#rrggbb`, what is near it, nearest first. Nothing asked: everything. */
  find(query: string, most = 100): Found[] {
    const hex = HEX.exec(query)?.[0].toLowerCase() ?? null;
    const words = query.replace(HEX, ' ').trim();
    const scored = words
      ? this.index.search(words).map(({ id, score }) => ({ of: this.byId.get(String(id)) as Findable, score }))
      : [...this.byId.values()].map((of) => ({ of, score: 0 }));
    const wanted = hex === null ? null : bandsOf(hex);
    const found = scored.flatMap(({ of, score }): Found[] => {
      if (wanted === null) return [{ of, score, deltaE: null }];
      const delta = of.hex === null ? Infinity : deltaE(bandsOf(of.hex), wanted);
      return delta <= NEAR ? [{ of, score, deltaE: delta }] : [];
    });
    return found
      .sort((a, b) => (a.deltaE ?? 0) - (b.deltaE ?? 0) || b.score - a.score || (a.of.when < b.of.when ? 1 : -1))
      .slice(0, most);
  }
}
const texts = (of: Findable): Record<string, string> => ({
  id: of.id,
  room: of.roomName,
  on: of.on,
  product: of.product,
  colour: `${of.colour} ${of.code}`,
  words: of.hex === null ? '' : colourWords(of.hex).join(' '),
  rest: [
    of.jobName,
    of.batch,
    of.when,
    of.also,
    of.kind === 'left' ? 'left leftover can tin' : of.kind === 'look' ? 'look due' : '',
  ].join(' '),
});
