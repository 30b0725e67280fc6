import { fileURLToPath } from 'node:url';
import { createApp } from './app.ts';
import { PriceDesk } from './desk/desk.ts';
import { Laser } from './instruments/laser.ts';
import { ColourReader } from './instruments/reader.ts';
import { serverOf } from './listen.ts';

const wanted = Number(process.env['PORT'] ?? 4173);
const host = process.env['HOST'] ?? '127.0.0.1';
const dist = fileURLToPath(new URL('../../web/dist', import.meta.url));

const now = () => new Date();
const app = createApp(
  dist,
  new Laser(Math.random, now),
  new ColourReader(Math.random),
  new PriceDesk(Math.random, now),
  [host],
);
const server = serverOf(app);

/** Ports tried after the one wanted, when somebody else has it; a port that was asked for is not traded for another. */
let tries = process.env['PORT'] ? 0 : 20;
let port = wanted;
server.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EADDRINUSE' && tries-- > 0) return server.listen(++port, host);
  console.error(`Kovelin cannot listen on ${host}:${port} (${error.code ?? 'error'}). Set PORT to a free one.`);
  process.exit(1);
});
server.on('listening', () => {
  const taken = port === wanted ? '' : ` (port ${wanted} is taken)`;
  console.log(`Kovelin is open at http://${host}:${port}${process.env['OPEN_AT'] ?? '/'}${taken}`);
});
server.listen(port, host);

for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => {
    server.close(() => process.exit(0));
    // an instrument's event stream would stay open for ever
    server.closeAllConnections();
  });
