import type { EarlierPaint } from '@kovelin/core/job/recorded.ts';
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

/** Where a tab keeps what is said of an earlier paint until it is put on record: a reload or another step takes nothing away. */
export const placeOfDraft = (job: string, surface: string): string => `kovelin-earlier|${job}|${surface}`;

/** @returns null where nothing is half typed; what a draft leaves out is taken from `blank`. */
export function draftAt(place: string, blank: EarlierPaint): EarlierPaint | null {
  try {
    const kept = JSON.parse(sessionStorage.getItem(place) ?? 'null') as Partial<EarlierPaint> | null;
    return kept && { ...blank, ...kept };
  } catch {
    // a browser that keeps nothing has nothing half typed
    return null;
  }
}

/** @param paint null: it is on record, or was given up. */
export function keepDraft(place: string, paint: EarlierPaint | null): void {
  try {
    if (paint) sessionStorage.setItem(place, JSON.stringify(paint));
    else sessionStorage.removeItem(place);
  } catch {
    // then it lasts as long as the form is open
  }
}
