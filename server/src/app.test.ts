import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createApp } from './app.ts';

let server: Server;
let url = '';
beforeAll(async () => {
  const dist = mkdtempSync(join(tmpdir(), 'kovelin-'));
  mkdirSync(join(dist, 'assets'));
  writeFileSync(join(dist, 'index.html'), '<title>Kovelin</title>');
  writeFileSync(join(dist, 'assets/app-1.js'), `export const text = '${'paint '.repeat(500)}';`);
  server = createApp(dist).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(() => {
  server.close();
});

test('every page of the application is the same document, never cached, under a strict policy', async () => {
  for (const path of ['/', '/job/x/measure?room=a']) {
    const page = await fetch(url + path);
    expect([page.status, page.headers.get('cache-control'), page.headers.get('x-powered-by')]).toEqual([
      200,
      'no-cache',
      null,
    ]);
    const policy = page.headers.get('content-security-policy') ?? '';
    expect(policy).toContain("default-src 'none'");
    expect(policy).not.toMatch(/unsafe|\*|https?:/);
    expect(page.headers.get('x-content-type-options')).toBe('nosniff');
  }
});

test('hashed assets are immutable and compressed; a missing file is a 404, not a page', async () => {
  const asset = await fetch(`${url}/assets/app-1.js`);
  expect([asset.headers.get('cache-control'), asset.headers.get('content-encoding')]).toEqual([
    'public, max-age=31536000, immutable',
    'gzip',
  ]);
  expect((await fetch(`${url}/assets/gone.js`)).status).toBe(404);
  expect((await fetch(`${url}/robots.txt`)).status).toBe(404);
  expect((await fetch(`${url}/..%2f..%2fpackage.json`)).status).not.toBe(200);
});
