import type { Product } from '../job/paints.ts';
import { dewPoint, type AirNow } from './air.ts';

/** Common limits of labels, °C and relative humidity [common practice, no source]; a label's own range outranks them. */
const LEAST = 10;
const MOST = 32;
const DAMP = 0.85;
/** A surface this near the dew point may have a film of water that nobody sees, °C [ISO 8502-4, from memory]. */
const MARGIN = 3;

export type AirLimit = 'air.cold' | 'air.hot' | 'air.damp' | 'air.dew' | 'air.still-wet';

/** What speaks against painting in this air, the gravest first. */
export function limitsOf(air: AirNow, product: Pick<Product, 'labelRange'>, drying: number): AirLimit[] {
  const { least, most } = product.labelRange ?? { least: LEAST, most: MOST };
  const rows: readonly (readonly [AirLimit, boolean])[] = [
    ['air.still-wet', drying <= 0],
    ['air.dew', air.surface - dewPoint(air) < MARGIN],
    ['air.cold', Math.min(air.temperature, air.surface) < least],
    ['air.hot', Math.max(air.temperature, air.surface) > most],
    ['air.damp', air.humidity > DAMP],
  ];
  return rows.flatMap(([limit, is]) => (is ? [limit] : []));
}
