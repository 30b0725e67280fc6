import Joi from 'joi';
import { ENDS, MOST } from '../job/limits.ts';
import { bad, good, type Result } from '../units/problem.ts';
import type { Litres, Metres, Money } from '../units/si.ts';

/** What devices and the price desk answer, held against their protocol (docs/instruments.md) before anything is done with it. */
export interface Shot {
  readonly id: number;
  /** null: the meter got no answer. */
  readonly metres: Metres | null;
  readonly fault: 'no-return' | null;
}
export interface ReaderLab {
  readonly l: number;
  readonly a: number;
  readonly b: number;
}
export interface DeskPrices {
  readonly desk: string;
  /** ISO time. */
  readonly at: string;
  readonly currency: string;
  readonly prices: readonly {
    readonly code: string;
    readonly litres: Litres | null;
    /** null: the desk does not sell it. */
    readonly each: Money | null;
  }[];
}

export interface AirRead {
  /** °C, a share of 1, and m/s. */
  readonly temperature: number;
  readonly humidity: number;
  readonly draught: number;
}

const shot = Joi.object({
  id: Joi.number().integer().min(1).required(),
  metres: Joi.number().min(0.001).max(1000).required().allow(null),
  fault: Joi.string().valid('no-return').required().allow(null),
}).unknown();
const reading = Joi.object({
  lab: Joi.object({
    l: Joi.number().min(0).max(100).required(),
    a: Joi.number().min(-150).max(150).required(),
    b: Joi.number().min(-150).max(150).required(),
  }).required(),
}).unknown();
const air = Joi.object({
  at: Joi.string().isoDate().required(),
  temperature: Joi.number().min(ENDS.temperature[0]).max(ENDS.temperature[1]).required(),
  humidity: Joi.number().min(0).max(1).required(),
  draught: Joi.number().min(0).max(ENDS.draught[1]).required(),
}).unknown();
const prices = Joi.object({
  desk: Joi.string().max(MOST.source).required(),
  at: Joi.string().isoDate().required(),
  currency: Joi.string().required(),
  prices: Joi.array()
    .items(
      Joi.object({
        code: Joi.string().max(MOST.name).required(),
        litres: Joi.number().min(0).max(ENDS.can[1]).required().allow(null),
        each: Joi.number().integer().min(0).max(ENDS.money[1]).required().allow(null),
      }).unknown(),
    )
    .max(500)
    .required(),
}).unknown();

function read<T>(schema: Joi.ObjectSchema, text: string, who: string): Result<T> {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return bad(`${who} answered something that is not JSON; it was not taken.`);
  }
  const { error } = schema.validate(json, { convert: false, errors: { wrap: { label: false } } });
  return error
    ? bad(`${who} answered something else than it should (${error.message}); it was not taken.`)
    : good(json as T);
}

/** One press of the laser meter as it sends it; what is none says what was sent and what is expected. */
export const readShot = (text: string): Result<Shot> => read(shot, text, 'The meter');
/** CIE L*a*b* (D65, 2°) as the colour reader sends it; what is none is a problem. */
export function readLab(text: string): Result<ReaderLab> {
  const found = read<{ lab: ReaderLab }>(reading, text, 'The reader');
  return found.ok ? good(found.value.lab) : found;
}
/** Air as the climate logger sends it: °C, relative humidity from 0 to 1, m/s; what is none is a problem. */
export function readAir(text: string): Result<AirRead> {
  const found = read<AirRead>(air, text, 'The climate logger');
  if (!found.ok) return found;
  const { temperature, humidity, draught } = found.value;
  return good({ temperature, humidity, draught });
}
/** @param currency prices in another are refused */
export function readDeskPrices(text: string, currency: string): Result<DeskPrices> {
  const found = read<DeskPrices>(prices, text, 'The desk');
  return found.ok && found.value.currency !== currency
    ? bad(`The desk answered in ${found.value.currency}, the job counts in ${currency}; nothing was taken.`)
    : found;
}
