import type { Reading } from '../units/reading.ts';
import { isImperial, type System } from '../units/si.ts';
import type { OpeningKind } from './vocabulary.ts';

/** What an opening measures as a rule: offered, stated, and the user's to change. */
export interface UsualOpening {
  readonly width: Reading;
  readonly height: Reading;
  /** null: it stands on the floor. */
  readonly sill: Reading | null;
  readonly casing: Reading;
}
export interface Usual {
  readonly openings: Readonly<Record<OpeningKind, UsualOpening>>;
  readonly baseboard: Reading;
  /** Of a room. */
  readonly height: Reading;
}

const ft = (typed: string, metres: number): Reading => ({ typed, metres });
const m = (metres: number): Reading => ({ typed: `${metres} m`, metres });
const mm = (millimetres: number): Reading => ({ typed: `${millimetres} mm`, metres: millimetres / 1000 });

/** Sizes of the trade [common practice, no source]: doors of the merchant's list, a casing and a baseboard of the shelf. */
const FEET: Usual = {
  openings: {
    door: { width: ft(`2'6`, 0.762), height: ft(`6'8`, 2.032), sill: null, casing: ft(`2 1/2"`, 0.0635) },
    window: { width: ft(`3'`, 0.9144), height: ft(`4'`, 1.2192), sill: ft(`2'6`, 0.762), casing: ft(`2 1/2"`, 0.0635) },
    opening: { width: ft(`3'`, 0.9144), height: ft(`6'8`, 2.032), sill: null, casing: ft(`2 1/2"`, 0.0635) },
  },
  baseboard: ft(`5"`, 0.127),
  height: ft(`8'`, 2.4384),
};
const METRES: Usual = {
  openings: {
    door: { width: m(0.76), height: m(1.98), sill: null, casing: mm(65) },
    window: { width: m(1.2), height: m(1.2), sill: m(0.9), casing: mm(65) },
    opening: { width: m(0.9), height: m(2), sill: null, casing: mm(65) },
  },
  baseboard: mm(120),
  height: m(2.4),
};

/** Usual sizes of openings and trim where a job is measured so, m and as they are typed. */
export const usualOf = (system: System): Usual => (isImperial(system) ? FEET : METRES);
