import { setting, type DefaultKey } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import { effective } from '../specify/reasons.ts';
import type { Specified } from '../specify/specify.ts';
import type { Metres, Money } from '../units/si.ts';
import { compute, given, type Working } from '../units/working.ts';
import { maskedLength } from '../work/operations.ts';

export const MATERIALS = ['tape', 'drop-cloth', 'cover', 'brush', 'caulk', 'abrasive'] as const;
export type MaterialItem = (typeof MATERIALS)[number];

export interface MaterialLine {
  readonly item: MaterialItem;
  /** What tells two lines of one item apart: pile and width of a cover, width of a brush. */
  readonly size: { readonly pile?: Metres; readonly width?: Metres; readonly fabric?: string };
  /** Whole pieces. */
  readonly quantity: number;
  readonly unit: 'roll' | 'cloth' | 'cover' | 'brush' | 'cartridge' | 'sheet';
  readonly working: Working;
  readonly cost: Money;
}

/** A cartridge of caulk holds 300 mL [common practice, no source]. */
const CARTRIDGE = 0.0003;

/** What else to buy, each by its formula, rounded up to whole pieces. */
export function orderMaterials(
  job: Job,
  takeoffs: readonly RoomTakeoff[],
  surfaces: readonly Specified[],
): MaterialLine[] {
  const lines: MaterialLine[] = [];
  const buy = (
    item: MaterialItem,
    unit: MaterialLine['unit'],
    price: DefaultKey,
    working: Working,
    size: MaterialLine['size'] = {},
  ) => {
    const quantity = Math.ceil(working.value - 1e-9);
    if (quantity > 0)
      lines.push({ item, unit, size, quantity, working, cost: Math.round(quantity * setting(job, price)) });
  };
  const sum = (name: string, dimension: 'length' | 'area', terms: readonly Working[]) =>
    compute('sum', name, dimension, ...terms);
  const per = (name: string, total: Working, key: DefaultKey) =>
    compute('quotient', name, 'count', total, given('one holds', setting(job, key), total.dimension));

  if (job.practice.trimOrder === 'trim-first')
    buy(
      'tape',
      'roll',
      'price.tape',
      per(
        'tape',
        sum(
          'lines taped',
          'length',
          takeoffs.map((t) => given(t.room.name, maskedLength(job, t), 'length')),
        ),
        'tape.length',
      ),
    );
  const floors = takeoffs.map((t) => t.floorArea ?? 0);
  buy(
    'drop-cloth',
    'cloth',
    'price.dropcloth',
    per('drop cloths', given('largest floor', Math.max(0, ...floors), 'area'), 'dropcloth.area'),
  );

  const covers = new Map<string, { size: MaterialLine['size']; paints: Set<string> }>();
  const brushes = new Map<string, { size: MaterialLine['size']; paints: Set<string> }>();
  const note = (map: typeof covers, size: MaterialLine['size'], paint: string) => {
    const key = JSON.stringify(size);
    const entry = map.get(key) ?? { size, paints: new Set() };
    entry.paints.add(paint);
    map.set(key, entry);
  };
  for (const s of surfaces) {
    const [cover, brush] = [effective(s.system.cover), effective(s.system.brush)];
    const paint = `${s.product.id}|${s.sheen}|${s.colour.id}`;
    note(covers, { pile: cover.pile, width: cover.width, fabric: cover.fabric }, paint);
    note(brushes, { width: brush.width }, s.product.id);
  }
  for (const { size, paints } of covers.values())
    buy('cover', 'cover', 'price.cover', given('paints rolled with it', paints.size, 'count'), size);
  for (const { size, paints } of brushes.values())
    buy('brush', 'brush', 'price.brush', given('products brushed with it', paints.size, 'count'), size);

  const bead = setting(job, 'caulk.bead');
  const joints = sum(
    'joints',
    'length',
    takeoffs.flatMap((t) => t.trim.map((run) => given(`${t.room.name}, ${run.kind}`, run.length.value, 'length'))),
  );
  const volume = compute('product', 'bead', 'area', joints, given('section', (bead * bead) / 2, 'area'));
  buy(
    'caulk',
    'cartridge',
    'price.caulk',
    compute('quotient', 'caulk', 'count', volume, given('a cartridge', CARTRIDGE, 'volume')),
  );
  const sanded = surfaces.filter((s) => effective(s.system.prep).includes('sand'));
  buy(
    'abrasive',
    'sheet',
    'price.abrasive',
    per(
      'abrasive',
      sum(
        'sanded',
        'area',
        sanded.map((s) => given(s.surface.name, s.surface.area.value, 'area')),
      ),
      'abrasive.area',
    ),
  );
  return lines;
}
