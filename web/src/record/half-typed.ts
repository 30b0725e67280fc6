import type { EarlierPaint } from '@kovelin/core/job/recorded.ts';
import { halfTyped } from '../app/half-typed.ts';
import { freshId } from '../store/ids.ts';

/** Of which nothing is known yet. */
export const unknownPaint = (): EarlierPaint => ({
  id: freshId(),
  coats: 1,
  product: '',
  colour: '',
  code: '',
  formula: '',
  hex: null,
  sheen: null,
  base: null,
  batch: '',
  primer: '',
  fabric: null,
  pile: null,
  laid: null,
  thinner: '',
  wax: '',
  when: '',
  who: '',
  note: '',
  source: 'By hand',
  certain: false,
});

/** Where a tab keeps what is said of an earlier paint until it is put on record. */
export const placeOfDraft = (job: string, surface: string): string => `${job}|${surface}|earlier`;

/** @returns null where nothing is half said; what a draft leaves out is taken from `blank`. */
export function draftAt(place: string, blank: EarlierPaint): EarlierPaint | null {
  const kept = halfTyped<Partial<EarlierPaint>>(place);
  return kept && { ...blank, ...kept };
}
