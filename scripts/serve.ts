import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { createApp } from '../server/src/app.ts';
import { serverOf } from '../server/src/listen.ts';

/** The built application on a free port of this machine. @returns its address and how to end it. */
export async function serve(): Promise<{ url: string; stop: () => void; end: () => Promise<void> }> {
  const server = serverOf(createApp(join(process.cwd(), 'web/dist'))).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    stop: () => server.close(),
    /** At once, whoever is connected. */
    end: async () => {
      server.closeAllConnections();
      await new Promise((done) => server.close(done));
    },
  };
}
