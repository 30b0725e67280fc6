import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { join } from 'node:path';
import { Laser } from './instruments/laser.ts';
import { instruments } from './instruments/routes.ts';

/** Emotion inserts its rules through the CSSOM into an empty style element; this is the hash of the empty string. */
const EMPTY_STYLE = "'sha256-47DEQpj8HBSa+/TImW+5JCeuQeRkm5NMpJWZG3hSuFU='";

/** The built application and the simulated instruments, with strict headers: everything from its own origin only. */
export function createApp(dist: string, laser = new Laser(Math.random, () => new Date())): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          scriptSrc: ["'self'"],
          workerSrc: ["'self'"],
          styleSrc: ["'self'", EMPTY_STYLE],
          imgSrc: ["'self'", 'data:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          manifestSrc: ["'self'"],
          baseUri: ["'none'"],
          formAction: ["'none'"],
          frameAncestors: ["'none'"],
        },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use('/instruments', instruments(laser));
  app.use(compression());
  app.use('/assets', express.static(join(dist, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  app.use(express.static(dist, { maxAge: 0, index: false }));
  app.get(/.*/, (request, response) => {
    // a page of the application; a missing file is a 404, not a page
    if (/\.[a-z0-9]+$/i.test(request.path)) response.status(404).type('text').send('Not found');
    else response.sendFile(join(dist, 'index.html'), { cacheControl: false, headers: { 'Cache-Control': 'no-cache' } });
  });
  return app;
}
