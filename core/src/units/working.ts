/**
 * A figure that explains itself: the arithmetic is kept as a tree of named terms, so a view can show the formula with
 * this job's numbers and a test can evaluate it again to the value shown.
 */
export type Dimension = 'length' | 'area' | 'volume' | 'spread' | 'minutes' | 'money' | 'ratio' | 'count';

export interface Given {
  readonly op: 'given';
  readonly name: string;
  readonly value: number;
  readonly dimension: Dimension;
}
export interface Computed {
  readonly op: 'sum' | 'difference' | 'product' | 'quotient' | 'mean';
  readonly name: string;
  readonly value: number;
  readonly dimension: Dimension;
  readonly of: readonly Working[];
}
export type Working = Given | Computed;

const apply = (op: Computed['op'], values: readonly number[]): number => {
  const [first = 0, ...rest] = values;
  if (op === 'sum') return values.reduce((a, b) => a + b, 0);
  if (op === 'mean') return values.length ? values.reduce((a, b) => a + b, 0) / values.length : 0;
  if (op === 'difference') return rest.reduce((a, b) => a - b, first);
  if (op === 'product') return values.reduce((a, b) => a * b, 1);
  return rest.reduce((a, b) => a / b, first);
};

export const given = (name: string, value: number, dimension: Dimension): Given => ({
  op: 'given',
  name,
  value,
  dimension,
});

export function compute(op: Computed['op'], name: string, dimension: Dimension, ...of: readonly Working[]): Computed {
  return {
    op,
    name,
    dimension,
    of,
    value: apply(
      op,
      of.map((term) => term.value),
    ),
  };
}

/** Evaluates the tree from its leaves; equals `working.value` for every figure the core hands out. */
export const evaluate = (working: Working): number =>
  working.op === 'given' ? working.value : apply(working.op, working.of.map(evaluate));
