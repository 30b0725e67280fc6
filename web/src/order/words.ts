import type { PaintLine } from '@kovelin/core/order/paint.ts';

/** “Wall paint, matte, W1 warm white”. */
export const paintWord = (p: Pick<PaintLine, 'product' | 'sheen' | 'colour'>): string =>
  [p.product.name, p.product.role === 'primer' ? '' : p.sheen, p.colour?.name ?? ''].filter(Boolean).join(', ');

export const isoToday = (): string => new Date().toISOString().slice(0, 10);

/** Days after which a price is called old. */
const OLD = 14;
export function ageWord(date: string): string {
  const days = Math.floor((Date.now() - Date.parse(`${date}T00:00:00Z`)) / 86_400_000);
  return days > OLD ? `${date}, ${days} days old` : date;
}
