import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import { hostileEdit, hostileEditOf, mutation, smallJob } from '../testing/hostile.ts';
import { runEdits, tryMutations } from '../testing/laws.ts';
import { editJob } from './admit.ts';
import { EDIT_NAMES, type EditName } from './edits.ts';

describe('one law: what an edit accepts, the door accepts; what the door accepts, every derivation bears', () => {
  const job = smallJob();

  test('a law over nothing holds: every named edit is accepted now and then, and refused now and then', () => {
    const answers = (name: EditName) => {
      const seen = new Set<boolean>();
      for (let seed = 1; seed <= 20 && seen.size < 2; seed++)
        for (const edit of fc.sample(hostileEditOf(name), { numRuns: 25, seed })) seen.add(editJob(job, edit).ok);
      return seen.size;
    };
    expect(EDIT_NAMES.filter((name) => answers(name) < 2)).toEqual([]);
  });

  test('open(serialise(edit(job))) is the same job, and its figures are finite', () => {
    fc.assert(
      fc.property(fc.array(hostileEdit, { minLength: 1, maxLength: 6 }), (edits) => {
        expect(runEdits(job, edits).fault).toBeNull();
      }),
      runs(34),
    );
  });

  test.each([
    ['a dado of ten kilometres', ['rooms', 'byId', 'r1', 'parts', 'byId', 'p1', 'height'], 10_000],
    ['walls of a kilometre', ['rooms', 'byId', 'r1', 'height'], 1000],
  ])('%s, which the bench found', (_, path, metres) => {
    const changed = structuredClone(job);
    const owner = path.slice(0, -1).reduce<Record<string, unknown>>((at, key) => at[key] as never, changed as never);
    owner[path.at(-1) ?? ''] = { typed: `${metres} m`, metres };
    expect(tryMutations(changed, [])).toEqual({ opened: true, fault: null });
  });

  test('a file with any of its places changed is refused, or opens to finite figures', () => {
    let opened = 0;
    fc.assert(
      fc.property(fc.array(mutation, { minLength: 1, maxLength: 3 }), (mutations) => {
        const tried = tryMutations(job, mutations);
        if (tried.opened) opened++;
        expect(tried.fault).toBeNull();
      }),
      runs(34),
    );
    // one in five does
    expect(opened).toBeGreaterThan(1);
  });
});
