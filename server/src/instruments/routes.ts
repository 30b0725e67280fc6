import express, { Router, type Request, type Response } from 'express';
import { fileURLToPath } from 'node:url';
import { atMost, jsonBody, noStore, refuse } from '../guard.ts';
import { RANGE, type Laser, type Shot } from './laser.ts';
import type { ClimateLogger } from './climate.ts';
import type { ColourReader } from './reader.ts';

const HEARTBEAT = 15_000;
const MOST_STREAMS = 16;
/** No finger presses more often in a second. */
const MOST_SHOTS = 20;
/** Who reads no longer is let go when so many bytes wait for him. */
const MOST_WAITING = 64 * 1024;

const sentence = `Send {"distance": metres}, a number from ${RANGE.least} to ${RANGE.most}.`;

/** The simulated instruments over HTTP; protocol in docs/instruments.md. */
const chip = 'Send {"lab": {"l", "a", "b"}}: l from 0 to 100, a and b from -150 to 150.';
const inRange = (value: unknown, low: number, high: number): value is number =>
  typeof value === 'number' && value >= low && value <= high;

/** The simulated meter, reader and climate logger, as `docs/instruments.md` has them. */
export function instruments(laser: Laser, reader: ColourReader, climate: ClimateLogger): Router {
  const router = Router();
  router.use('/console', express.static(fileURLToPath(new URL('./console', import.meta.url)), { maxAge: 0 }));
  router.use(noStore);
  router.get('/laser', (_, response) => {
    response.json({ instrument: 'laser', protocol: 1, unit: 'm', last: laser.last });
  });
  router.post(
    '/laser/shots',
    atMost(MOST_SHOTS, 'shots'),
    jsonBody('1kb', sentence),
    (request: Request, response: Response) => {
      const { distance } = (request.body ?? {}) as { distance?: unknown };
      if (typeof distance !== 'number' || !(distance >= RANGE.least && distance <= RANGE.most))
        refuse(response, 400, `This is not a distance the meter can measure. ${sentence}`);
      else response.status(201).json(laser.press(distance));
    },
  );
  router.post(
    '/reader/readings',
    atMost(MOST_SHOTS, 'readings'),
    jsonBody('1kb', chip),
    (request: Request, response: Response) => {
      const { lab } = (request.body ?? {}) as { lab?: { l?: unknown; a?: unknown; b?: unknown } };
      const { l, a, b } = lab ?? {};
      if (inRange(l, 0, 100) && inRange(a, -150, 150) && inRange(b, -150, 150))
        response.status(201).json(reader.read({ l, a, b }));
      else refuse(response, 400, `This is not a colour. ${chip}`);
    },
  );
  router.get('/climate/today.csv', (_, response) => {
    const log = climate.today();
    if (log === null) refuse(response, 503, 'The climate logger did not answer; ask again.');
    else response.type('text/csv').send(log);
  });
  router.get('/climate/now', (_, response) => {
    const air = climate.reading();
    if (air === null) refuse(response, 503, 'The climate logger did not answer; ask again.');
    else response.json(air);
  });
  let streams = 0;
  router.get('/laser/events', (request, response) => {
    if (streams >= MOST_STREAMS)
      return refuse(response, 503, `At most ${MOST_STREAMS} listen to the meter at a time; close another.`);
    streams++;
    // no-transform: a compressed stream would be held back
    response.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store, no-transform' });
    response.flushHeaders();
    const write = (text: string) => {
      response.write(text);
      if (response.writableLength > MOST_WAITING) response.destroy();
    };
    const send = (shot: Shot) => write(`id: ${shot.id}\nevent: shot\ndata: ${JSON.stringify(shot)}\n\n`);
    const seen = Number(request.get('Last-Event-ID') ?? request.query['after'] ?? laser.last?.id ?? 0);
    response.write(': open\n\n');
    for (const shot of laser.since(Number.isFinite(seen) ? seen : 0)) send(shot);
    const stop = laser.listen(send);
    const beat = setInterval(() => write(': here\n\n'), HEARTBEAT);
    response.on('close', () => {
      streams--;
      clearInterval(beat);
      stop();
    });
  });
  return router;
}
