import { systemOf } from '../job/region.ts';
import type { Job } from '../job/types.ts';
import { effective } from '../specify/reasons.ts';
import { bad, good, type Result } from '../units/problem.ts';
import { heading } from '../units/word.ts';
import { playFor } from '../whole/play.ts';
import { wholeOf } from '../whole/whole.ts';
import { nameWord } from '../words/names.ts';

/** `play`: one coat of a surface, stroke by stroke. Options: `surface`, a takeoff's id; `coat`, from 1. */
export function playContract(job: Job, options: ReadonlyMap<string, string>): Result<unknown> {
  const { lines } = wholeOf(job);
  const painted = lines.flatMap((room) => room.painted);
  const id = options.get('surface');
  const found = painted.find((s) => s.surface.id === id);
  if (!found) {
    const ids = painted.map((s) => s.surface.id).join(', ');
    return bad(
      id === undefined
        ? `Which surface? --surface takes one of ${ids}.`
        : `“${id}” is no surface that this job paints; --surface takes one of ${ids}.`,
    );
  }
  const coats = effective(found.system.coats);
  const text = options.get('coat') ?? '1';
  const coat = /^\d{1,2}$/.test(text) ? Number(text) : NaN;
  const play = coat >= 1 && coat <= coats ? playFor(job, found.surface.id, coat) : null;
  if (!play) return bad(`--coat is “${text}”; this surface gets ${coats}, so 1 to ${coats} is accepted.`);
  return good({ ...play, name: heading(nameWord(found.surface.name), systemOf(job)) });
}
