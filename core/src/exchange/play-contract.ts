import { systemOf } from '../job/region.ts';
import type { Job } from '../job/types.ts';
import { coatsOf } from '../plays/plays.ts';
import { bad, good, type Result } from '../units/problem.ts';
import { heading, said } from '../units/word.ts';
import { playFor } from '../whole/play.ts';
import { wholeOf } from '../whole/whole.ts';
import { nameWord } from '../words/names.ts';
import { reasonWord } from '../words/reasons.ts';

/**
 * `play`: one coat of a surface, stroke by stroke. Options: `surface`, a takeoff's id; `coat`, from 1; `layer`, finish or primer;
 * `hand`, right or left.
 */
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
  const layer = options.get('layer') ?? 'finish';
  if (layer !== 'finish' && layer !== 'primer') return bad(`--layer is “${layer}”; finish and primer are accepted.`);
  const hand = options.get('hand') ?? null;
  if (hand !== null && hand !== 'right' && hand !== 'left')
    return bad(`--hand is “${hand}”; right and left are accepted.`);
  const coats = coatsOf({ specified: found, layer });
  if (coats === 0) return bad('This surface gets no full coat of primer; without --layer its finish is told.');
  const text = options.get('coat') ?? '1';
  const coat = /^\d{1,2}$/.test(text) ? Number(text) : NaN;
  const play = coat >= 1 && coat <= coats ? playFor(job, found.surface.id, { coat, layer, hand }) : null;
  if (!play) return bad(`--coat is “${text}”; this surface gets ${coats}, so 1 to ${coats} is accepted.`);
  const system = systemOf(job);
  return good({
    ...play,
    name: heading(nameWord(found.surface.name), system),
    how: play.how.map((reason) => ({ rule: reason.rule, text: said(reasonWord(reason), system) })),
  });
}
