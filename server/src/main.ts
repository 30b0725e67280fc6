import { fileURLToPath } from 'node:url';
import { createApp } from './app.ts';

const port = Number(process.env['PORT'] ?? 4173);
const host = process.env['HOST'] ?? '127.0.0.1';
const dist = fileURLToPath(new URL('../../web/dist', import.meta.url));

const server = createApp(dist).listen(port, host, (error?: Error) => {
  if (error) {
    console.error(`Kovelin cannot listen on ${host}:${port}: ${error.message}. Set PORT to a free one.`);
    process.exit(1);
  }
  console.log(`Kovelin is open at http://${host}:${port}${process.env['OPEN_AT'] ?? '/'}`);
});
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => {
    server.close(() => process.exit(0));
    // an instrument's event stream would stay open for ever
    server.closeAllConnections();
  });
