import express, { Router } from 'express';
import { fileURLToPath } from 'node:url';
import { RANGE, type Laser, type Shot } from './laser.ts';
import type { ColourReader } from './reader.ts';

const HEARTBEAT = 15_000;

const sentence = `Send {"distance": metres}, a number from ${RANGE.least} to ${RANGE.most}.`;

/** The simulated instruments over HTTP; protocol in docs/instruments.md. */
const chip = 'Send {"lab": {"l", "a", "b"}}: l from 0 to 100, a and b from -150 to 150.';
const inRange = (value: unknown, low: number, high: number): value is number =>
  typeof value === 'number' && value >= low && value <= high;

export function instruments(laser: Laser, reader: ColourReader): Router {
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
  router.post('/reader/readings', express.json({ limit: '1kb' }), (request, response) => {
    const { lab } = (request.body ?? {}) as { lab?: { l?: unknown; a?: unknown; b?: unknown } };
    const { l, a, b } = lab ?? {};
    if (inRange(l, 0, 100) && inRange(a, -150, 150) && inRange(b, -150, 150))
      response.status(201).json(reader.read({ l, a, b }));
    else response.status(400).json({ problem: `This is not a colour. ${chip}` });
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
  router.use((error: unknown, request: express.Request, response: express.Response, next: express.NextFunction) => {
    if (response.headersSent) next(error);
    else
      response
        .status(400)
        .json({ problem: `This could not be read as JSON. ${request.path.startsWith('/reader') ? chip : sentence}` });
  });
  return router;
}
