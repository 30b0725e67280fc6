import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { randomBytes } from 'node:crypto';
import { readFileSync } from 'node:fs';
import type { ServerResponse } from 'node:http';
import { join } from 'node:path';
import { PriceDesk } from './desk/desk.ts';
import { deskRoutes } from './desk/routes.ts';
import { isHere, lastWord, onlyNames } from './guard.ts';
import { Laser } from './instruments/laser.ts';
import { ClimateLogger } from './instruments/climate.ts';
import { ColourReader } from './instruments/reader.ts';
import { instruments } from './instruments/routes.ts';

/** Emotion inserts its rules through the CSSOM into an empty style element; this is the hash of the empty string. */
const EMPTY_STYLE = "'sha256-47DEQpj8HBSa+/TImW+5JCeuQeRkm5NMpJWZG3hSuFU='";

/** Nothing of the device is asked for but its camera, to read codes. */
const DEVICES = ['microphone', 'geolocation', 'payment', 'usb', 'serial', 'bluetooth', 'midi']
  .map((device) => `${device}=()`)
  .concat('camera=(self)')
  .join(', ');

const nonceOf = (response: ServerResponse): string =>
  String((response as ServerResponse & { locals: Record<string, unknown> }).locals['nonce']);

/** The built application, the simulated instruments and the price desk, with strict headers: everything from its own origin only. */
export function createApp(
  dist: string,
  laser = new Laser(Math.random, () => new Date()),
  reader = new ColourReader(Math.random),
  desk = new PriceDesk(Math.random, () => new Date()),
  names: readonly string[] = [],
  climate = new ClimateLogger(Math.random, () => new Date()),
): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(onlyNames(names));
  app.use((_, response, next) => {
    response.locals['nonce'] = randomBytes(16).toString('base64');
    next();
  });
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          scriptSrc: ["'self'"],
          workerSrc: ["'self'"],
          // a fresh word a page, for the one part of the toolkit that writes a style element of its own
          styleSrc: ["'self'", EMPTY_STYLE, (_, response) => `'nonce-${nonceOf(response)}'`],
          // photos that are kept here are shown from where they lie
          imgSrc: ["'self'", 'data:', 'blob:'],
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
  app.use((_, response, next) => {
    response.set('Permissions-Policy', DEVICES);
    next();
  });
  app.use('/instruments', instruments(laser, reader, climate));
  app.use('/desk', deskRoutes(desk));
  // between two programs of one machine packing costs more than it saves
  app.use(compression({ filter: (request, response) => !isHere(request) && compression.filter(request, response) }));
  app.use('/assets', express.static(join(dist, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  app.use(express.static(dist, { maxAge: 0, index: false }));
  app.get(/.*/, (request, response) => {
    // a page of the application; a missing file is a 404, not a page
    if (/\.[a-z0-9]+$/i.test(request.path)) response.status(404).type('text').send('Not found');
    else {
      const page = readFileSync(join(dist, 'index.html'), 'utf8').replaceAll('NONCE', nonceOf(response));
      response.set('Cache-Control', 'no-cache').type('html').send(page);
    }
  });
  app.use(lastWord);
  return app;
}
