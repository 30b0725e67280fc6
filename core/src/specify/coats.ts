import type { Sheen } from '../job/vocabulary.ts';
import { because, type Reason } from '../words/reasons.ts';
import { bandsOf, deltaE } from './colour.ts';
import type { Hiding, TintedPrimer } from './hiding.ts';
import type { Opacity } from './opacity.ts';
import type { Primed } from './primers.ts';
import type { Decided } from './reasons.ts';
import { isClear, type Case } from './case.ts';
import { oldColours } from './tints.ts';

/** Colours this close are one [CIEDE2000; starting judgement]. */
const SAME_COLOUR = 1;

/** Coats from hiding, never under the minimum: two, or one for a like-for-like refresh of a sound coat. */
export function coatsFor(
  c: Case,
  sheen: Sheen,
  primers: readonly Primed[],
  { hiding, limit }: { readonly hiding: Hiding; readonly limit: number },
  opacity: Opacity,
  tinted: TintedPrimer | null,
): Decided<number> {
  if (isClear(c)) return { value: 2, because: [because('coats.clear')] };
  const like =
    c.survey.condition === 'sound' &&
    c.survey.sheen === sheen &&
    primers.every(({ layer }) => layer.extent !== 'full') &&
    c.survey.coat !== 'bare' &&
    oldColours(c).every((old) => deltaE(bandsOf(old), bandsOf(c.colour.hex)) <= SAME_COLOUR);
  const minimum = like ? 1 : 2;
  const look = hiding.looks.find((l) => l.coats === hiding.coats);
  const used = {
    hiding: hiding.coats,
    delta: look?.thinDelta ?? 0,
    limit,
  };
  const reasons: Reason[] = [because(hiding.hides ? 'coats.hiding' : 'coats.not-hiding', used)];
  if (opacity.from === 'starting' && opacity.family)
    reasons.push(
      because('coats.opacity', { hue: opacity.family, contrast: opacity.contrast, label: c.product.contrast }),
    );
  if (hiding.coats < minimum) reasons.push(because('coats.minimum', { minimum }));
  if (like) reasons.push(because('coats.refresh'));
  if (!like && hiding.cutCoats > Math.max(minimum, hiding.coats))
    reasons.push(because('coats.cut-band', { coats: hiding.cutCoats }));
  // the minimum holds over a tinted primer as well
  const over = tinted ? Math.max(minimum, tinted.coats) : hiding.coats;
  if (tinted && over < hiding.coats)
    reasons.push(
      because('coats.tint', {
        tint: tinted.tint,
        saves: hiding.coats - over,
        coats: over,
      }),
    );
  return { value: Math.max(minimum, hiding.coats), because: reasons };
}
