import type { Express } from 'express';
import { createServer, type Server, type ServerOptions } from 'node:http';

/** Who sends a request drop by drop is not waited for: half a minute for all of it, half that for its head. */
const PATIENCE: ServerOptions = { requestTimeout: 30_000, headersTimeout: 15_000, connectionsCheckingInterval: 5_000 };

/** A server that answers one application. */
export const serverOf = (app: Express, patience: ServerOptions = PATIENCE): Server => createServer(patience, app);
