import { afterAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { hostileEdit, mutation, smallJob } from '../testing/hostile.ts';
import { runEdits, tryMutations } from '../testing/laws.ts';
import { EDIT_NAMES } from './edits.ts';

const RUNS = 2000;

describe('one law: what an edit accepts, the door accepts; what the door accepts, every derivation bears', () => {
  const tried = { accepted: new Set<string>(), opened: 0 };
  afterAll(() => {
    // a law over nothing holds: most edits were accepted at least once, and many files opened
    expect(EDIT_NAMES.filter((name) => !tried.accepted.has(name))).toEqual([]);
    expect(tried.opened).toBeGreaterThan(RUNS / 20);
  });

  test('open(serialise(edit(job))) is the same job, and its figures are finite', () => {
    const job = smallJob();
    fc.assert(
      fc.property(fc.array(hostileEdit, { minLength: 1, maxLength: 6 }), (edits) => {
        const { fault, accepted } = runEdits(job, edits);
        for (const name of accepted) tried.accepted.add(name);
        expect(fault).toBeNull();
      }),
      { numRuns: RUNS },
    );
  });

  test('a file with any of its places changed is refused, or opens to finite figures', () => {
    const document = smallJob();
    fc.assert(
      fc.property(fc.array(mutation, { minLength: 1, maxLength: 3 }), (mutations) => {
        const { opened, fault } = tryMutations(document, mutations);
        if (opened) tried.opened++;
        expect(fault).toBeNull();
      }),
      { numRuns: RUNS },
    );
  });
});
