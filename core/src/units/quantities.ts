import { trimNumber } from './length.ts';
import { bad, good, type Result } from './problem.ts';
import {
  FLUID_OUNCE,
  GALLON,
  PINT,
  QUART,
  SQUARE_FOOT,
  type Litres,
  type Minutes,
  type Money,
  type SquareMetres,
  type System,
  isImperial,
} from './si.ts';

type Factors = Readonly<Record<string, number>>;

function parseWith(factors: Factors, accepted: string) {
  return (text: string): Result<number> => {
    const found = /^\s*(-?)(\d+(?:[.,]\d+)?)\s*(.*?)\s*$/.exec(text);
    const unit = found?.[3]?.toLowerCase() ?? '';
    const factor = Object.hasOwn(factors, unit) ? (factors[unit] ?? 0) : null;
    if (!found || factor === null) return bad(`“${shown(text)}” was not understood. ${accepted}`, { column: 1 });
    if (found[1]) return bad(`A negative quantity cannot be. ${accepted}`, { column: 1 });
    return finite(Number((found[2] ?? '').replace(',', '.')) * factor, text);
  };
}
/** What was typed, as much of it as fits into a sentence. */
const shown = (text: string): string => [...text.trim()].slice(0, 40).join('');
/** A figure that is one: hundreds of digits are none. */
const finite = (value: number, text: string): Result<number> =>
  Number.isFinite(value) ? good(value) : bad(`“${shown(text)}” is more than any figure here.`, { column: 1 });

/** A share of 0 to 1, written as per cent: 55, 55 %, 55,5. Errors: anything else, and nothing at all. */
export function parsePercent(text: string): Result<number> {
  const found = /^\s*(\d{1,3}(?:[.,]\d+)?)\s*%?\s*$/.exec(text);
  const share = found ? Number((found[1] ?? '').replace(',', '.')) / 100 : NaN;
  return share <= 1
    ? good(share)
    : bad(
        `${text.trim() ? `“${shown(text)}” is not understood. ` : ''}A share of 0 to 100 % is accepted, such as 55.`,
        {
          column: 1,
        },
      );
}

/** Volumes in litres, US measures: `1 gal`, `2 qt`, `1 pt`, `8 fl oz`, `0.5 L`, `500 mL`. */
export const parseVolume = parseWith(
  {
    gal: GALLON,
    gallon: GALLON,
    gallons: GALLON,
    qt: QUART,
    quart: QUART,
    quarts: QUART,
    pt: PINT,
    pint: PINT,
    'fl oz': FLUID_OUNCE,
    oz: FLUID_OUNCE,
    l: 1,
    litre: 1,
    litres: 1,
    ml: 0.001,
  },
  'Write gallons, quarts, pints, fl oz (US), litres or mL.',
);

/** Spread rates in m2/L: `400 sq ft/gal`, `10 m2/L`. */
export const parseSpread = parseWith(
  {
    'sq ft/gal': SQUARE_FOOT / GALLON,
    'ft2/gal': SQUARE_FOOT / GALLON,
    'ft²/gal': SQUARE_FOOT / GALLON,
    'm2/l': 1,
    'm²/l': 1,
  },
  'Write 400 sq ft/gal or 10 m2/L.',
);

/** 11 h 20 min, 40 min. */
export function formatMinutes(minutes: Minutes): string {
  const whole = Math.round(minutes);
  const hours = Math.floor(whole / 60);
  return [hours ? `${hours} h` : '', whole % 60 || !hours ? `${whole % 60} min` : ''].filter(Boolean).join(' ');
}

const plain = [0, 1, 2].map(
  (digits) => new Intl.NumberFormat('en-US', { minimumFractionDigits: digits, maximumFractionDigits: digits }),
);

/** With as many digits as a tape is good for: 93.1 ft², 8.65 m². */
export function formatArea(area: SquareMetres, system: System): string {
  const value = isImperial(system) ? area / SQUARE_FOOT : area;
  const digits = isImperial(system) ? (value < 100 ? 1 : 0) : value < 100 ? 2 : 1;
  return `${plain[digits]?.format(value)} ${isImperial(system) ? 'ft²' : 'm²'}`;
}

/** 2.25 gal, 2.22 qt, 27 fl oz; 1.5 L, 800 mL. */
export function formatVolume(litres: Litres, system: System): string {
  if (!isImperial(system)) return litres < 1 ? `${Math.round(litres * 1000)} mL` : `${trimNumber(litres, 2)} L`;
  if (litres === 0) return '0 gal';
  if (litres >= GALLON * 0.995) return `${trimNumber(litres / GALLON, 2)} gal`;
  return litres >= QUART * 0.995
    ? `${trimNumber(litres / QUART, 2)} qt`
    : `${trimNumber(litres / FLUID_OUNCE, 0)} fl oz`;
}

/** A spreading rate. @param rate in m2/L. */
export const formatSpread = (rate: number, system: System): string =>
  isImperial(system) ? `${Math.round((rate * GALLON) / SQUARE_FOOT)} ft²/gal` : `${trimNumber(rate, 1)} m²/L`;

/** A sign, a code (ISO 4217) or what people write for it: $, CHF, zł. */
const CURRENCY_BEFORE = /^(?:\p{Sc}|[A-Z]{3}|kr\.?|Fr\.?|zł)/u;
const CURRENCY_BEHIND = /(?:\p{Sc}|[A-Z]{3}|kr\.?|Fr\.?|zł)$/u;
/**
 * Money typed by people, to integer minor units: `12.50`, `12,50`, `$12.5`, `1 200`, `1,234.50`, `1.234,50 zł`.
 * Errors: negative, more than two decimals that are no thousands, anything else.
 * @param currency of the job (ISO 4217): what is typed in another is refused; absent: any is passed over.
 */
export function parseMoney(text: string, currency?: string): Result<Money> {
  const bare = text.replace(/\s/g, '');
  const sign = CURRENCY_BEFORE.exec(bare)?.[0] ?? CURRENCY_BEHIND.exec(bare)?.[0];
  if (currency !== undefined && sign !== undefined && !meansCurrency(sign, currency))
    return bad(
      `${text.trim().slice(0, 20)} is another currency; this job counts in ${currency}, and nothing is converted. Write what it costs in ${currency}.`,
    );
  const amount = bare.replace(CURRENCY_BEFORE, '').replace(CURRENCY_BEHIND, '');
  if (/^[-−]/.test(amount)) return bad('A price cannot be negative. Write 12.50.', { column: 1 });
  const [, whole, minor = ''] = /^(\d{1,9}|[1-9]\d{0,2}(?:[.,'’]\d{3})+)(?:[.,](\d{1,2}))?$/.exec(amount) ?? [];
  if (whole === undefined) return bad(`“${text.trim()}” is not an amount of money. Write 12.50.`, { column: 1 });
  return good(Number(whole.replace(/\D/g, '')) * 100 + Number(minor.padEnd(2, '0')));
}

/** Whether a sign or code is one that people write for a currency: kr. and Fr. are several's. */
function meansCurrency(sign: string, currency: string): boolean {
  const written = sign.replace(/\.$/, '');
  const signs = ['symbol', 'narrowSymbol'].map((currencyDisplay) =>
    new Intl.NumberFormat('en', { style: 'currency', currency, currencyDisplay: currencyDisplay as 'symbol' })
      .formatToParts(0)
      .find(({ type }) => type === 'currency'),
  );
  if (written === 'Fr') return currency === 'CHF';
  return written === currency || signs.some((part) => part?.value === written);
}

const currencies = new Map<string, Intl.NumberFormat>();

/** Minor units as money of a currency (ISO 4217): $6,484.34. */
export function formatMoney(minor: Money, currency: string): string {
  const format =
    currencies.get(currency) ??
    new Intl.NumberFormat('en-US', { style: 'currency', currency, currencyDisplay: 'narrowSymbol' });
  currencies.set(currency, format);
  return format.format(minor / 100);
}

/** A share as per cent: a digit after the point under 10 %; “<0.1 %”. */
export const formatPercent = (fraction: number): string => {
  const percent = fraction * 100;
  return percent > 0 && percent < 0.1 ? '<0.1 %' : `${trimNumber(percent, percent < 10 ? 1 : 0)} %`;
};
