import type { Air } from '../job/region.ts';

/** Air in which the times of a label are taken, where it names none: 23 °C, 50 % [ISO 3270, from memory], hardly moving. */
export const LABEL_AIR: Air = { temperature: 23, humidity: 0.5, draught: 0.1 };

/** Saturation vapour pressure over water, hPa; t in °C [Alduchov & Eskridge 1996, from memory]. */
export const saturation = (t: number): number => 6.1094 * Math.exp((17.625 * t) / (t + 243.04));

/** Evaporation from a wet film as warm as its air, up to a factor of its own [ASHRAE's equation for pools, from memory]. */
export function evaporation({ temperature, humidity, draught: v }: Air): number {
  const deficit = saturation(temperature) * (1 - humidity);
  return (0.089 + 0.0782 * v) * deficit;
}

/** How much faster water-borne paint dries in this air than in that of its label; 0: not at all. */
export const dryingIn = (air: Air, label: Air = LABEL_AIR): number => evaporation(air) / evaporation(label);
