import type { Air, AirReading } from '../job/region.ts';
import type { Minutes } from '../units/si.ts';

/** Air at one time and place; `surface` is as warm as what is painted. */
export interface AirNow extends Omit<AirReading, 'at'> {
  readonly surface: number;
}

/** Air in which the times of a label are taken, where it names none: 23 °C, 50 % [ISO 3270, from memory], hardly moving. */
export const LABEL_AIR: AirNow = { temperature: 23, humidity: 0.5, draught: 0.1, surface: 23 };

/** Saturation vapour pressure over water, hPa; t in °C [Alduchov & Eskridge 1996, from memory]. */
export const saturation = (t: number): number => 6.1094 * Math.exp((17.625 * t) / (t + 243.04));

/** Temperature at which this air is saturated, °C: the inverse of `saturation`; dry air has none. */
export function dewPoint({ temperature, humidity }: Pick<AirNow, 'temperature' | 'humidity'>): number {
  const x = Math.log((humidity * saturation(temperature)) / 6.1094);
  return (243.04 * x) / (17.625 - x);
}

/** Evaporation from a wet film, up to a factor of its own; 0 or less: it does not dry [ASHRAE's equation for pools, from memory]. */
export function evaporation({ temperature, humidity, draught: v, surface }: AirNow): number {
  const deficit = saturation(surface) - humidity * saturation(temperature);
  return (0.089 + 0.0782 * v) * deficit;
}

/** How much faster water-borne paint dries in this air than in that of its label; 0 or less: not at all. */
export const dryingIn = (air: AirNow, label: AirNow = LABEL_AIR): number => evaporation(air) / evaporation(label);

/** Outside a quarter to four times the evaporation of its label's air the model is not to be trusted. */
export const isDoubtful = (drying: number): boolean => drying < 1 / 4 || drying > 4;

/** The air of a job at a minute of the day, straight between two readings; `up`: 0 where it is read, 1 under the ceiling. */
export function airAt(air: Air, at: Minutes | null, up = 0): AirNow {
  const { temperature, humidity, draught } = readingAt(air, at);
  const warmer = air.ceiling * up;
  // the same water in warmer air
  const share = (humidity * saturation(temperature)) / saturation(temperature + warmer);
  const surface = (air.surface ?? temperature) + warmer;
  return { temperature: temperature + warmer, humidity: Math.min(1, share), draught, surface };
}

function readingAt({ day, ...plain }: Air, at: Minutes | null): Omit<AirReading, 'at'> {
  const [first] = day;
  if (!first || at === null) return plain;
  const next = day.findIndex((reading) => reading.at > at);
  const [p, q] = next < 0 ? [day.at(-1) ?? first, null] : [day[next - 1] ?? first, day[next] ?? first];
  if (!q || q === p) return p;
  const share = (at - p.at) / (q.at - p.at);
  const between = (key: 'temperature' | 'humidity' | 'draught') => p[key] + (q[key] - p[key]) * share;
  return { temperature: between('temperature'), humidity: between('humidity'), draught: between('draught') };
}
