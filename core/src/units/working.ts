import type { Word } from './word.ts';
import { at } from './list.ts';

/**
 * A figure that explains itself: the arithmetic is kept as a tree of named terms, so a view can show the formula with
 * this job's numbers and a test can evaluate it again to the value shown.
 */
export type Dimension = 'length' | 'area' | 'volume' | 'spread' | 'minutes' | 'ratio' | 'count';

export interface Given {
  readonly op: 'given';
  readonly name: Word;
  readonly value: number;
  readonly dimension: Dimension;
}
export interface Computed {
  readonly op: 'sum' | 'difference' | 'product' | 'quotient' | 'mean';
  readonly name: Word;
  readonly value: number;
  readonly dimension: Dimension;
  readonly of: readonly Working[];
}
export type Working = Given | Computed;

/** Left to right, without a list of values in between: figures are made by the ten thousand. */
function apply(op: Computed['op'], of: readonly Working[], valueOf: (term: Working) => number): number {
  const [first] = of;
  if (!first) return op === 'product' ? 1 : 0;
  let result = valueOf(first);
  for (let i = 1; i < of.length; i++) {
    const value = valueOf(at(of, i));
    if (op === 'sum' || op === 'mean') result += value;
    else if (op === 'difference') result -= value;
    else if (op === 'product') result *= value;
    else result /= value;
  }
  return op === 'mean' ? result / of.length : result;
}
const valueOf = (term: Working): number => term.value;

/** A figure that is measured, typed or a starting value: where a working ends. */
export const given = (name: Word, value: number, dimension: Dimension): Given => ({
  op: 'given',
  name,
  value,
  dimension,
});

/** A figure made of others, in SI units of its dimension. */
export function compute(op: Computed['op'], name: Word, dimension: Dimension, ...of: readonly Working[]): Computed {
  return { op, name, dimension, of, value: apply(op, of, valueOf) };
}

/** A figure whose terms are made when somebody opens it: most are never opened. */
class Unopened implements Computed {
  private made: Computed | null = null;
  constructor(
    readonly value: number,
    private readonly make: () => Computed,
  ) {}
  private get tree(): Computed {
    this.made ??= this.make();
    return this.made;
  }
  get op(): Computed['op'] {
    return this.tree.op;
  }
  get name(): Word {
    return this.tree.name;
  }
  get dimension(): Dimension {
    return this.tree.dimension;
  }
  get of(): readonly Working[] {
    return this.tree.of;
  }
}
/** `value` is what the tree comes to: tests evaluate every figure the core hands out. */
export const unopened = (value: number, make: () => Computed): Computed => new Unopened(value, make);

/** Evaluates the tree from its leaves; equals `working.value` for every figure the core hands out. */
export const evaluate = (working: Working): number =>
  working.op === 'given' ? working.value : apply(working.op, working.of, evaluate);
