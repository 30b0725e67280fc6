import type { PrimerChoice, PrimerLayer } from '../job/paints.ts';
import { because } from '../words/reasons.ts';
import { bestTint, hideAll, primed, type HidingQuestion, type TintedPrimer } from './hiding.ts';
import { layersOf, only, primedWith, primerFor, type Primed } from './primers.ts';
import type { Decided } from './reasons.ts';
import { isClear, type Case } from './case.ts';

/** An untinted primer dries to a broken white [starting judgement]. */
const PRIMER_WHITE = '#f0f0ea';

/** Colours that are to be hidden, `#rrggbb`: the surface’s own and its patches’. */
export const oldColours = ({ survey }: Case) => [survey.colour, ...survey.patches];

/** What the finish has to cover: the old colours, or what full primers leave of them. */
const backgroundsUnder = (c: Case, primers: readonly Primed[]): readonly string[] =>
  primers.reduce<readonly string[]>(
    (under, { layer, product }) =>
      product && layer.extent === 'full'
        ? under.map((old) => primed(old, layer.tint ?? PRIMER_WHITE, product.contrast, layer.coats))
        : under,
    oldColours(c),
  );
/** A clear finish has nothing to cover: what is seen is what it lies on. */
export const groundOf = (c: Case, primers: readonly Primed[]): readonly string[] =>
  isClear(c) ? [c.colour.hex] : backgroundsUnder(c, primers);

export interface Tints {
  /** Coats saved by tinting what goes on anyway, or by a tinted undercoat that earns its own coat: taken. */
  readonly taken: {
    readonly primer: PrimerChoice;
    readonly tint: string;
    readonly saves: number;
    readonly alone: boolean;
  } | null;
  /** One that saves no more than its own coat: said, and the user's to take. */
  readonly offered: TintedPrimer | null;
}
const NO_TINT: Tints = { taken: null, offered: null };

/** Whether a tinted primer saves coats of a paint that hides badly. */
export function tintsFor(c: Case, ask: Omit<HidingQuestion, 'background'>, primer: PrimerChoice): Tints {
  const layers = layersOf(primer);
  const primers = primedWith(c.primers, primer);
  const hiding = hideAll(ask, groundOf(c, primers));
  if (hiding.coats < 3 || isClear(c)) return NO_TINT;
  const top = layers.at(-1);
  const alone = top?.extent !== 'full';
  // a third primer would be no saving
  if (alone && layers.length > 1) return NO_TINT;
  const product = primerFor(c.primers, alone ? 'undercoat' : top.kind);
  if (!product) return NO_TINT;
  const worst = hideAll(ask, backgroundsUnder(c, alone ? primers : primers.slice(0, -1))).before;
  const tint = bestTint(
    { ...ask, background: worst },
    { white: PRIMER_WHITE, contrast: product.contrast },
    hiding.coats,
  );
  if (!tint) return NO_TINT;
  // two finish coats at least go over it, so it cannot save more than the rest
  const saves = hiding.coats - Math.max(2, tint.coats);
  if (saves < (alone ? 2 : 1)) return { taken: null, offered: alone && saves > 0 ? tint : null };
  return { taken: { primer: tintedWith(primer, tint.tint, alone), tint: tint.tint, saves, alone }, offered: null };
}

/** The top primer tinted; or an undercoat over what there is, which nobody needs to spot-prime under it. */
function tintedWith(primer: PrimerChoice, tint: string, alone: boolean): PrimerChoice {
  const undercoat: PrimerLayer = { kind: 'undercoat', extent: 'full', coats: 1, tint };
  if (alone)
    return primer.extent === 'none' || primer.kind === 'sealing' ? only(undercoat) : { ...primer, then: undercoat };
  return primer.then ? { ...primer, then: { ...primer.then, tint } } : { ...primer, tint };
}

/** A primer, tinted where that saves a finish coat. */
export const withTint = (plain: Decided<PrimerChoice>, { taken }: Tints): Decided<PrimerChoice> =>
  taken
    ? {
        value: taken.primer,
        because: [
          // under an undercoat alone no patch is primed by itself
          ...(taken.alone && taken.primer.then === null ? [] : plain.because),
          because(taken.alone ? 'primer.tint-alone' : 'primer.tint', {
            tint: taken.tint,
            saves: taken.saves,
          }),
        ],
      }
    : plain;
