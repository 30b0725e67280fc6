import type highsLoader from 'highs';

/**
 * Least cost of a linear order by HiGHS, a general MILP solver: a 0/1 variable a pair, and no triangle that turns in a circle.
 */
export function orderedByMilp(
  highs: Awaited<ReturnType<typeof highsLoader>>,
  costs: readonly (readonly number[])[],
): number {
  const n = costs.length;
  const x = (i: number, j: number) => (i < j ? `x${i}_${j}` : `x${j}_${i}`);
  const terms: string[] = [];
  let base = 0;
  for (let i = 0; i < n; i++)
    for (let j = i + 1; j < n; j++) {
      const [there, back] = [costs[i]?.[j] ?? 0, costs[j]?.[i] ?? 0];
      base += back;
      terms.push(`${there - back < 0 ? '-' : '+'} ${Math.abs(there - back)} ${x(i, j)}`);
    }
  const rows: string[] = [];
  for (let i = 0; i < n; i++)
    for (let j = i + 1; j < n; j++)
      for (let k = j + 1; k < n; k++)
        rows.push(` ${x(i, j)} + ${x(j, k)} - ${x(i, k)} <= 1`, ` ${x(i, j)} + ${x(j, k)} - ${x(i, k)} >= 0`);
  const all = [...new Set(terms.map((t) => t.split(' ').at(-1)))].join(' ');
  const found = highs.solve(
    `Minimize\n o: ${terms.join(' ')}\nSubject To\n${rows.map((r, i) => ` c${i}:${r}`).join('\n')}\nBinary\n ${all}\nEnd`,
  );
  return base + found.ObjectiveValue;
}
