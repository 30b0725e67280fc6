import { Router, type Request, type Response } from 'express';
import { SIMULATED_DESK } from '@kovelin/core/order/samples.ts';
import Joi from 'joi';
import { jsonBody, noStore, refuse } from '../guard.ts';
import type { DeskItem, PriceDesk } from './desk.ts';

const MOST = 500;
const EXPECTED = `Send {"currency": "USD", "country": "US", "items": [{"code": "...", "litres": 3.785 or null}]}, at most ${MOST} items.`;

interface Asked {
  readonly currency: string;
  readonly country?: string;
  readonly items: readonly DeskItem[];
}
const asked = Joi.object({
  currency: Joi.string().max(10).required(),
  country: Joi.string().max(10),
  items: Joi.array()
    .items(
      Joi.object({
        code: Joi.string().max(80).allow('').required(),
        litres: Joi.number().greater(0).max(1000).allow(null).required(),
      }).unknown(),
    )
    .max(MOST)
    .required(),
}).unknown();

/** The simulated price desk over HTTP; protocol in docs/instruments.md. */
export function deskRoutes(desk: PriceDesk): Router {
  const router = Router();
  router.use(noStore);
  router.post('/prices', jsonBody('100kb', EXPECTED), (request: Request, response: Response) => {
    const { error, value } = asked.validate(request.body ?? {}, { convert: false });
    if (error) return refuse(response, 400, `This is not a list of items. ${EXPECTED}`);
    const { currency, country, items } = value as Asked;
    const from = desk.countryOf(currency, country);
    if (!from) refuse(response, 400, `This desk does not quote in ${currency} there. ${EXPECTED}`);
    else if (desk.busy) refuse(response, 503, 'Nobody is at the desk just now; ask again.');
    else
      response.json({
        desk: SIMULATED_DESK,
        protocol: 1,
        at: desk.at,
        currency,
        prices: items.map((item) => desk.price(item, from)),
      });
  });
  return router;
}
