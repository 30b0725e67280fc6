import express, { Router } from 'express';
import { fileURLToPath } from 'node:url';
import { RANGE, type Laser, type Shot } from './laser.ts';

const HEARTBEAT = 15_000;

const sentence = `Send {"distance": metres}, a number from ${RANGE.least} to ${RANGE.most}.`;

/** The simulated instruments over HTTP; protocol in docs/instruments.md. */
export function instruments(laser: Laser): Router {
  const router = Router();
  router.use('/console', express.static(fileURLToPath(new URL('./console', import.meta.url)), { maxAge: 0 }));
  router.get('/laser', (_, response) => {
    response.set('Cache-Control', 'no-store').json({ instrument: 'laser', protocol: 1, unit: 'm', last: laser.last });
  });
  router.post('/laser/shots', express.json({ limit: '1kb' }), (request, response) => {
    const { distance } = (request.body ?? {}) as { distance?: unknown };
    if (typeof distance !== 'number' || !(distance >= RANGE.least && distance <= RANGE.most))
      response.status(400).json({ problem: `This is not a distance the meter can measure. ${sentence}` });
    else response.status(201).json(laser.press(distance));
  });
  router.get('/laser/events', (request, response) => {
    // no-transform: a compressed stream would be held back
    response.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store, no-transform' });
    response.flushHeaders();
    const send = (shot: Shot) => response.write(`id: ${shot.id}\nevent: shot\ndata: ${JSON.stringify(shot)}\n\n`);
    const seen = Number(request.get('Last-Event-ID') ?? laser.last?.id ?? 0);
    response.write(': open\n\n');
    for (const shot of laser.since(Number.isFinite(seen) ? seen : 0)) send(shot);
    const stop = laser.listen(send);
    const beat = setInterval(() => response.write(': here\n\n'), HEARTBEAT);
    request.on('close', () => {
      clearInterval(beat);
      stop();
    });
  });
  // a body that is no JSON, or too large
  router.use((_error: unknown, _request: express.Request, response: express.Response, next: express.NextFunction) => {
    if (response.headersSent) next(_error);
    else response.status(400).json({ problem: `This could not be read as JSON. ${sentence}` });
  });
  return router;
}
