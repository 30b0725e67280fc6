import { bad, good, type Result } from './problem.ts';
import { isImperial, type System } from './si.ts';

/** Degrees Celsius; Fahrenheit where feet are. */
const toFahrenheit = (c: number): number => (c * 9) / 5 + 32;
const fromFahrenheit = (f: number): number => ((f - 32) * 5) / 9;

/** 68 °F, 20 °C. */
export const formatTemperature = (celsius: number, system: System): string =>
  isImperial(system) ? `${Math.round(toFahrenheit(celsius))} °F` : `${Number(celsius.toFixed(1))} °C`;

/** A difference of temperatures. */
export const formatDegrees = (celsius: number, system: System): string =>
  isImperial(system) ? `${Number(((celsius * 9) / 5).toFixed(1))} °F` : `${Number(celsius.toFixed(1))} °C`;

const read = (text: string, system: System): { readonly value: number; readonly fahrenheit: boolean } | null => {
  const found = /^\s*([-−]?\d+(?:[.,]\d+)?)\s*°?\s*([CF])?\s*$/i.exec(text);
  if (!found) return null;
  const value = Number((found[1] ?? '').replace(',', '.').replace('−', '-'));
  return Number.isFinite(value)
    ? { value, fahrenheit: found[2] ? found[2].toUpperCase() === 'F' : isImperial(system) }
    : null;
};

/** Reads a temperature as it is written: 20, 68 F, 20 °C; without a letter, in the degrees of the job. */
export function parseTemperature(text: string, system: System): Result<number> {
  const found = read(text, system);
  if (!found) return bad(`“${text}” is no temperature; ${isImperial(system) ? '68 or 20 C' : '20 or 68 F'} is.`);
  return good(found.fahrenheit ? fromFahrenheit(found.value) : found.value);
}
/** The same of a difference. */
export function parseDegrees(text: string, system: System): Result<number> {
  const found = read(text, system);
  if (!found) return bad(`“${text}” is no number of degrees; 2 is.`);
  return good(found.fahrenheit ? (found.value * 5) / 9 : found.value);
}
