import type { PaintLine } from '@kovelin/core/order/paint.ts';
import { daysBetween, today } from '@kovelin/core/units/date.ts';

/** “Wall paint, matte, W1 warm white”. */
export const paintWord = (p: Pick<PaintLine, 'product' | 'sheen' | 'colour'>): string =>
  [p.product.name, p.product.role === 'primer' ? '' : p.sheen, p.colour?.name ?? ''].filter(Boolean).join(', ');

/** Days after which a price is called old. */
const OLD = 14;
export function ageWord(date: string): string {
  const days = daysBetween(date, today());
  return days > OLD ? `${date}, ${days} days old` : date;
}
