import { Router, type Request, type Response } from 'express';
import { jsonBody, noStore, refuse } from '../guard.ts';
import type { DeskItem, PriceDesk } from './desk.ts';

const MOST = 500;
const EXPECTED = `Send {"currency": "USD", "country": "US", "items": [{"code": "...", "litres": 3.785 or null}]}, at most ${MOST} items.`;

const isItem = (value: unknown): value is DeskItem => {
  const { code, litres } = (value ?? {}) as { code?: unknown; litres?: unknown };
  return (
    typeof code === 'string' &&
    code.length <= 80 &&
    (litres === null || (typeof litres === 'number' && litres > 0 && litres <= 1000))
  );
};

/** The simulated price desk over HTTP; protocol in docs/instruments.md. */
export function deskRoutes(desk: PriceDesk): Router {
  const router = Router();
  router.use(noStore);
  router.post('/prices', jsonBody('100kb', EXPECTED), (request: Request, response: Response) => {
    const { currency, country, items } = (request.body ?? {}) as Readonly<Record<string, unknown>>;
    const from = desk.countryOf(String(currency), country === undefined ? undefined : String(country));
    if (!Array.isArray(items) || items.length > MOST || !items.every(isItem))
      refuse(response, 400, `This is not a list of items. ${EXPECTED}`);
    else if (!from)
      refuse(response, 400, `This desk does not quote in ${String(currency).slice(0, 10)} there. ${EXPECTED}`);
    else if (desk.busy) refuse(response, 503, 'Nobody is at the desk just now; ask again.');
    else
      response.json({
        desk: 'Simulated trade counter',
        protocol: 1,
        at: desk.at,
        currency,
        prices: items.map((item) => desk.price(item, from)),
      });
  });
  return router;
}
