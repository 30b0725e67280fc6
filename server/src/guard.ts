import { rateLimit } from 'express-rate-limit';
import express, { type ErrorRequestHandler, type Request, type RequestHandler, type Response } from 'express';

/** Names a browser on this machine uses for it; a page of another name that was pointed here is no page of ours. */
const LOCAL = ['127.0.0.1', 'localhost', '[::1]'];

/** Whether the browser is on this machine, with nothing between. */
export const isHere = (request: Request): boolean =>
  LOCAL.includes(hostOf(request)) && !request.headers.via && !request.headers['x-forwarded-for'];

const hostOf = (request: Request): string => (request.headers.host ?? '').replace(/:\d+$/, '').toLowerCase();

/** Answers only to the names it listens on, whatever port: a rebound name reads nothing and presses nothing. */
export function onlyNames(own: readonly string[] = []): RequestHandler {
  const names = new Set([...LOCAL, ...own].map((name) => name.toLowerCase()));
  return (request, response, next) => {
    if (names.has(hostOf(request))) next();
    else response.status(421).type('text').send('This server does not answer to that name.');
  };
}

/** Nothing of this is kept by a browser. */
export const noStore: RequestHandler = (_, response, next) => {
  response.set('Cache-Control', 'no-store');
  next();
};

/** A JSON body of at most `limit`; another kind is refused as such. `expected` says what would be accepted. */
export function jsonBody(limit: string, expected: string): (RequestHandler | ErrorRequestHandler)[] {
  const onlyJson: RequestHandler = (request, response, next) => {
    if (request.is('application/json')) next();
    else refuse(response, 415, `Only JSON is read here (Content-Type: application/json). ${expected}`);
  };
  return [onlyJson, express.json({ limit }), jsonFaults(expected)];
}

/** At most so many requests a second, from everybody together: no hand is quicker. */
export const atMost = (perSecond: number, what: string): RequestHandler =>
  rateLimit({
    windowMs: 1000,
    limit: perSecond,
    keyGenerator: () => 'everybody',
    standardHeaders: false,
    legacyHeaders: false,
    handler: (_, response) => refuse(response, 429, `At most ${perSecond} ${what} a second; wait a moment.`),
  });

/** Refuses a request with a sentence. */
export function refuse(response: Response, status: number, problem: string): void {
  response.status(status).json({ problem });
}

interface BodyError {
  readonly type?: string;
  readonly status?: number;
}
function jsonFaults(expected: string): ErrorRequestHandler {
  return (error: BodyError, _request, response, next) => {
    if (response.headersSent) next(error);
    else if (error.type === 'entity.too.large') refuse(response, 413, `This is larger than is read here. ${expected}`);
    else if (error.type === 'encoding.unsupported' || error.type === 'charset.unsupported')
      refuse(response, 415, `This encoding is not read. ${expected}`);
    else refuse(response, 400, `This could not be read as JSON. ${expected}`);
  };
}

/** The last word on what went wrong: a status and a sentence, never a stack, a path or what was sent. */
export const lastWord: ErrorRequestHandler = (error: BodyError, request: Request, response, next) => {
  const status = error.status && error.status >= 400 && error.status < 500 ? error.status : 500;
  if (status === 500) console.error(`${request.method} was answered with 500: an error of the server itself.`);
  if (response.headersSent) next(error);
  else
    response
      .status(status)
      .type('text')
      .send(status === 404 ? 'Not found' : status === 500 ? 'The server failed.' : 'This address cannot be read.');
};
