import { setting, type DefaultKey } from '../job/defaults.ts';
import type { Colour, Job, Product } from '../job/types.ts';
import type { Sheen } from '../job/vocabulary.ts';
import { effective } from '../specify/reasons.ts';
import { isPorous } from '../specify/system.ts';
import { dilution, type Specified } from '../specify/specify.ts';
import type { Litres } from '../units/si.ts';
import { remember } from '../units/remember.ts';
import { compute, given, type Working } from '../units/working.ts';
import { chooseCans, type CanChoice } from './cans.ts';
import { demandOf, litresFor, shortfallChance, type Demand } from './shortfall.ts';

export interface PaintUse {
  readonly specified: Specified;
  readonly litres: Working;
}
export interface PaintLine {
  readonly key: string;
  readonly product: Product;
  readonly sheen: Sheen;
  /** null: untinted primer. */
  readonly colour: Colour | null;
  readonly uses: readonly PaintUse[];
  /** On the surfaces, lost, and kept for touch-up. */
  readonly expected: Working;
  readonly demand: Demand;
  readonly wanted: Litres;
  /** null: the product has no can sizes. */
  readonly choice: CanChoice | null;
  readonly ordered: Litres;
  readonly shortfallChance: number;
}

type Ordering = Pick<Job, 'settings'>;

/** Paint per product x sheen x colour for surfaces that have their systems. Area is what is painted (trim faces off). */
export function orderPaint(job: Ordering, surfaces: readonly Specified[]): PaintLine[] {
  const groups = new Map<string, { product: Product; sheen: Sheen; colour: Colour | null; uses: PaintUse[] }>();
  const add = (product: Product, sheen: Sheen, colour: Colour | null, use: PaintUse) => {
    const key = `${product.id}|${sheen}|${colour?.id ?? ''}`;
    const group = groups.get(key) ?? { product, sheen, colour, uses: [] };
    group.uses.push(use);
    groups.set(key, group);
  };
  for (const s of surfaces) {
    const { primer, finish } = usesOf(s, job.settings);
    const { tint } = effective(s.system.primer);
    const tinted = tint ? { id: `tint-${tint}`, name: `tinted to ${tint}`, hex: tint } : null;
    if (primer && s.primer) add(s.primer, s.primer.sheens[0] ?? 'flat', tinted, primer);
    add(s.product, s.sheen, s.colour, finish);
  }
  return [...groups].map(([key, group]) => lineOf(job, key, group));
}

/** What one surface takes of its primer and of its finish. */
const usesOf = remember((s: Specified, settings: Job['settings']): { primer: PaintUse | null; finish: PaintUse } => {
  const primer = effective(s.system.primer);
  const share = primer.extent === 'spot' ? setting({ settings }, 'spot.share') : 1;
  const primes = s.primer && primer.extent !== 'none' && primer.coats > 0 ? s.primer : null;
  return {
    primer: primes && { specified: s, litres: litresOn({ settings }, s, primes, primer.coats, share, true) },
    finish: {
      specified: s,
      litres: litresOn({ settings }, s, s.product, filmsOf(s), 1, primer.extent !== 'full'),
    },
  };
});

/** Full films of paint that the coats come to: a thin first one is less, conditioner stands in for some of it. */
export const filmsOf = (s: Specified): number =>
  (s.question.first + effective(s.system.coats) - 1) * dilution(effective(s.system.conditioner));

/** area x share x texture x coats / label rate; the first coat on a porous surface takes more. */
function litresOn(
  job: Ordering,
  s: Specified,
  product: Product,
  coats: number,
  share: number,
  firstOnBare: boolean,
): Working {
  const texture = setting(job, `texture.${s.survey.texture}` as DefaultKey);
  const thirst = isPorous(s.survey) && firstOnBare ? coats + setting(job, 'order.porous') - 1 : coats;
  const terms = [given('area', s.surface.area.value, 'area'), given('full coats', thirst, 'count')];
  if (texture !== 1) terms.push(given('texture', texture, 'ratio'));
  if (share !== 1) terms.push(given('share', share, 'ratio'));
  return compute(
    'quotient',
    s.surface.name,
    'volume',
    compute('product', 'area to cover', 'area', ...terms),
    given('label rate', product.labelRate, 'spread'),
  );
}

function lineOf(
  job: Ordering,
  key: string,
  group: Pick<PaintLine, 'product' | 'sheen' | 'colour' | 'uses'>,
): PaintLine {
  const used = compute('sum', 'on the surfaces', 'volume', ...group.uses.map((use) => use.litres));
  const terms: Working[] = [
    used,
    compute(
      'product',
      'left on the can',
      'volume',
      given('on the surfaces', used.value, 'volume'),
      given('share', setting(job, 'loss.can'), 'ratio'),
    ),
    given('left in the cover', setting(job, 'loss.cover'), 'volume'),
    given('left in tray and brush', setting(job, 'loss.tray'), 'volume'),
  ];
  if (group.colour && group.product.role === 'finish')
    terms.push(given('kept for touch-up', setting(job, 'order.reserve'), 'volume'));
  const expected = compute('sum', 'wanted', 'volume', ...terms);
  const spread = demandOf(
    group.uses.map((use) => use.litres.value),
    setting(job, 'spread.cv'),
    setting(job, 'measure.cv'),
  );
  const demand = { mean: expected.value, sd: spread.sd };
  const wanted = litresFor(demand, Math.min(0.5, Math.max(1e-6, setting(job, 'order.risk'))));
  const choice = chooseCans(group.product.cans, wanted);
  const ordered = choice?.litres ?? 0;
  return {
    key,
    ...group,
    expected,
    demand,
    wanted,
    choice,
    ordered,
    shortfallChance: shortfallChance(demand, ordered),
  };
}
