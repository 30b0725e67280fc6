import express, { Router } from 'express';
import type { DeskItem, PriceDesk } from './desk.ts';

const MOST = 500;
const EXPECTED = `Send {"currency": "USD", "items": [{"code": "...", "litres": 3.785 or null}]}, at most ${MOST} items.`;

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
  router.post('/prices', express.json({ limit: '100kb' }), (request, response) => {
    const { currency, items } = (request.body ?? {}) as { currency?: unknown; items?: unknown };
    response.set('Cache-Control', 'no-store');
    if (!Array.isArray(items) || items.length > MOST || !items.every(isItem))
      response.status(400).json({ problem: `This is not a list of items. ${EXPECTED}` });
    else if (currency !== desk.currency)
      response.status(400).json({ problem: `This desk quotes in ${desk.currency} only. ${EXPECTED}` });
    else if (desk.busy) response.status(503).json({ problem: 'Nobody is at the desk just now; ask again.' });
    else
      response.json({
        desk: 'Simulated trade counter',
        protocol: 1,
        at: desk.at,
        currency: desk.currency,
        prices: items.map((item) => desk.price(item)),
      });
  });
  router.use((error: unknown, _: express.Request, response: express.Response, next: express.NextFunction) => {
    if (response.headersSent) next(error);
    else response.status(400).json({ problem: `This could not be read as JSON. ${EXPECTED}` });
  });
  return router;
}
