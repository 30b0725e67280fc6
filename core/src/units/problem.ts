/** What is wrong, where, and what would be accepted. `path` names a field of the job, e.g. `rooms/r1/walls/w2/length`. */
export interface Problem {
  readonly path: string;
  readonly line?: number;
  /** 1-based column in what was typed. */
  readonly column?: number;
  readonly message: string;
}

export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly Problem[] };

/** What was wanted. */
export const good = <T>(value: T): Result<T> => ({ ok: true, value });

/** One problem, in a sentence; where, as far as that is known. */
export function bad(message: string, where: Partial<Omit<Problem, 'message'>> = {}): Result<never> {
  return { ok: false, problems: [{ path: '', ...where, message }] };
}

/** One sentence for a terminal or a log: line, column or path first, then the message. */
export function sentence(problem: Problem): string {
  const place =
    problem.line !== undefined
      ? `line ${problem.line}${problem.column === undefined ? '' : `, column ${problem.column}`}: `
      : problem.path
        ? `${problem.path}: `
        : '';
  return place + problem.message;
}
