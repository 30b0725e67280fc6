/** SI inside the core; people's units only where text is read or shown. */
export type Metres = number;
export type SquareMetres = number;
export type Litres = number;
export type Minutes = number;
export type Degrees = number;
/** Integer minor units (cents, pence). */
export type Money = number;

export type Units = 'imperial' | 'metric';
/** Units, and whose words with them where those are not the usual ones: American in feet and inches, British in metres. */
export type System = Units | 'imperial-british' | 'metric-american';
/** Whether lengths are read and shown in feet and inches. */
export const isImperial = (system: System): boolean => system === 'imperial' || system === 'imperial-british';
export type LengthUnit = 'ft' | 'in' | 'm' | 'cm' | 'mm';

/** Exact by definition: international foot and inch; US gallon = 231 in3 [NIST SP 811, Appendix B]. */
export const FOOT = 0.3048;
export const INCH = 0.0254;
export const GALLON = 3.785411784;
export const QUART = GALLON / 4;
export const PINT = GALLON / 8;
export const FLUID_OUNCE = GALLON / 128;
export const SQUARE_FOOT = FOOT * FOOT;

export const METRES_PER: Readonly<Record<LengthUnit, Metres>> = { ft: FOOT, in: INCH, m: 1, cm: 0.01, mm: 0.001 };
