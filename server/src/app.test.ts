import { afterAll, beforeAll, expect, jest, test } from '@jest/globals';
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { get, type Server } from 'node:http';
import { connect, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readAir } from '@kovelin/core/exchange/instruments.ts';
import { readClimateLog } from '@kovelin/core/exchange/climate-log.ts';
import { seeded } from '@kovelin/core/units/random.ts';
import { createApp } from './app.ts';
import { PriceDesk } from './desk/desk.ts';
import { Laser, type Shot } from './instruments/laser.ts';
import { ClimateLogger } from './instruments/climate.ts';
import { ColourReader } from './instruments/reader.ts';
import { serverOf } from './listen.ts';

let server: Server;
let url = '';
/** How lucky the next call of the price desk is. */
let luck = 0.5;
beforeAll(async () => {
  const dist = mkdtempSync(join(tmpdir(), 'kovelin-'));
  mkdirSync(join(dist, 'assets'));
  writeFileSync(join(dist, 'index.html'), '<title>Kovelin</title><meta property="csp-nonce" nonce="NONCE">');
  writeFileSync(join(dist, 'assets/app-1.js'), `export const text = '${'paint '.repeat(500)}';`);
  const now = () => new Date('2026-11-23T08:00:00Z');
  const desk = new PriceDesk(() => luck, now);
  const climate = new ClimateLogger(() => luck, now);
  server = createApp(dist, new Laser(seeded(5), now), new ColourReader(seeded(6)), desk, [], climate).listen(
    0,
    '127.0.0.1',
  );
  await new Promise((resolve) => server.once('listening', resolve));
  url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(() => {
  server.close();
  server.closeAllConnections();
});

test('every page of the application is the same document, never cached, under a strict policy', async () => {
  const nonces = new Set<string>();
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
    const nonce = /nonce="([^"]{16,})"/.exec(await page.text())?.[1] ?? 'none';
    expect(policy).toContain(`'nonce-${nonce}'`);
    expect(nonces.has(nonce)).toBe(false);
    nonces.add(nonce);
  }
});

test('hashed assets are immutable, and compressed but on this machine; a missing file is a 404, not a page', async () => {
  const asset = await fetch(`${url}/assets/app-1.js`);
  const afar = await fetch(`${url}/assets/app-1.js`, { headers: { 'x-forwarded-for': '192.0.2.1' } });
  const told = ['cache-control', 'content-encoding'].map((name) => [asset.headers.get(name), afar.headers.get(name)]);
  const kept = 'public, max-age=31536000, immutable';
  expect(told).toEqual([
    [kept, kept],
    [null, 'gzip'],
  ]);
  expect((await fetch(`${url}/assets/gone.js`)).status).toBe(404);
  expect((await fetch(`${url}/robots.txt`)).status).toBe(404);
  expect((await fetch(`${url}/..%2f..%2fpackage.json`)).status).not.toBe(200);
});

test('the simulated meter reads within a few millimetres, and now and then goes wrong as meters do', () => {
  const laser = new Laser(seeded(7), () => new Date(0));
  const shots = Array.from({ length: 4000 }, () => laser.press(4));
  const lost = shots.filter((s) => s.metres === null);
  const good = shots.filter((s) => s.metres !== null && Math.abs(s.metres - 4) < 0.01).map((s) => (s.metres ?? 0) - 4);
  const spread = Math.sqrt(good.reduce((sum, e) => sum + e * e, 0) / good.length);
  expect(lost.every((s) => s.fault === 'no-return')).toBe(true);
  expect([lost.length / 4000, 1 - good.length / 4000, spread * 1000]).toEqual([
    expect.closeTo(0.02, 1),
    expect.closeTo(0.04, 1),
    expect.closeTo(1.5, 0),
  ]);
  expect(good.length).toBeLessThan(4000 - lost.length);
});

test('its protocol: press, listen, catch up; nonsense is refused with a sentence', async () => {
  const press = (body: string) =>
    fetch(`${url}/instruments/laser/shots`, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body });
  const first = (await (await press('{"distance":3.82}')).json()) as Shot;
  expect(first).toMatchObject({ id: 1, at: '2026-11-23T08:00:00.000Z' });
  for (const [body, status] of [
    ['{"distance":"far"}', 400],
    ['{"distance":400}', 400],
    ['{}', 400],
    ['nonsense', 400],
    [`{"a":"${'x'.repeat(2000)}"}`, 413],
  ] as const) {
    const refused = await press(body);
    expect([refused.status, ((await refused.json()) as { problem: string }).problem]).toEqual([
      status,
      expect.stringMatching(/Send \{"distance": metres\}, a number from 0.05 to 60/),
    ]);
  }
  const events = await fetch(`${url}/instruments/laser/events`, { headers: { 'Last-Event-ID': '0' } });
  expect([events.headers.get('content-type')?.split(';')[0], events.headers.get('content-encoding')]).toEqual([
    'text/event-stream',
    null,
  ]);
  const reader = (events.body as ReadableStream<Uint8Array>).getReader();
  let text = '';
  const until = async (pattern: RegExp) => {
    while (!pattern.test(text)) text += new TextDecoder().decode((await reader.read()).value);
  };
  await until(/id: 1\nevent: shot\ndata: \{"id":1.*\n\n/);
  await press('{"distance":2}');
  await until(/id: 2\nevent: shot/);
  await reader.cancel();
  const state = (await (await fetch(`${url}/instruments/laser`)).json()) as { last: Shot };
  expect(state.last.id).toBe(2);
  const page = await fetch(`${url}/instruments/console/`);
  expect(await page.text()).toContain('Laser meter');
});

test('no more shots a second than a hand presses; who listens and never reads is let go', async () => {
  const press = () =>
    fetch(`${url}/instruments/laser/shots`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: '{"distance":2}',
    });
  const many = await Promise.all(Array.from({ length: 60 }, press));
  const refused = many.filter(({ status }) => status === 429);
  expect(refused.length).toBeGreaterThan(10);
  expect(await refused[0]?.json()).toEqual({ problem: expect.stringMatching(/At most 20 shots a second/) });
  // a stream that is never read, in an application of its own so that shots need no second
  const laser = new Laser(seeded(5), () => new Date(0));
  const own = createApp(mkdtempSync(join(tmpdir(), 'kovelin-')), laser).listen(0, '127.0.0.1');
  await new Promise((resolve) => own.once('listening', resolve));
  const socket = connect((own.address() as AddressInfo).port, '127.0.0.1');
  socket.write('GET /instruments/laser/events HTTP/1.1\r\nHost: localhost\r\n\r\n');
  await new Promise((resolve) => socket.once('data', resolve));
  socket.pause();
  const held = () => (laser as unknown as { listeners: Set<unknown> }).listeners.size;
  expect(held()).toBe(1);
  for (let n = 0; n < 2000 && held(); n++) {
    for (let shot = 0; shot < 500; shot++) laser.press(2);
    await new Promise((resolve) => setImmediate(resolve));
  }
  expect(held()).toBe(0);
  socket.destroy();
  own.close();
});

test('only JSON is read, only so many listen, and a reader that comes back is told what it missed', async () => {
  const asForm = await fetch(`${url}/desk/prices`, { method: 'POST', body: new URLSearchParams({ currency: 'USD' }) });
  expect([asForm.status, await asForm.text()]).toEqual([415, expect.stringContaining('Only JSON is read')]);
  const streams = await Promise.all(Array.from({ length: 17 }, () => fetch(`${url}/instruments/laser/events?after=1`)));
  expect(
    streams
      .map((s) => s.status)
      .sort()
      .slice(-2),
  ).toEqual([200, 503]);
  const open = streams.find((s) => s.status === 200)?.body?.getReader();
  const first = new TextDecoder().decode((await open?.read())?.value);
  const rest = first.includes('id: 2') ? '' : new TextDecoder().decode((await open?.read())?.value);
  expect(first + rest).toMatch(/id: 2\nevent: shot/);
  await Promise.all(streams.map((s) => (s.body?.locked ? open?.cancel() : s.body?.cancel())));
});

test('a bad address, another name, or an error of its own: a status and a sentence, nothing of the machine', async () => {
  const said = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  for (const path of [
    '/%E0%A4%A',
    '/assets/%E0%A4%A',
    '/instruments/%',
    '/desk/%00',
    '/instruments/console/..%2f..%2fx',
  ]) {
    const answer = await fetch(url + path);
    const body = await answer.text();
    expect(answer.status).toBeLessThan(500);
    expect(body).not.toMatch(/ at |node_modules|\/(home|work|tmp)|Error:/);
  }
  expect(said.mock.calls.flat().join(' ')).not.toMatch(/ at |%/);
  said.mockRestore();
  const { port } = server.address() as AddressInfo;
  const named = (host: string) =>
    new Promise<number>((resolve, reject) => {
      get({ port, host: '127.0.0.1', path: '/instruments/laser', headers: { Host: host } }, (answer) => {
        answer.resume();
        resolve(answer.statusCode ?? 0);
      }).on('error', reject);
    });
  expect(await Promise.all(['evil.example', `localhost:${port}`, '127.0.0.1.evil.example'].map(named))).toEqual([
    421, 200, 421,
  ]);
  const page = await fetch(url);
  expect(page.headers.get('permissions-policy')).toContain('camera=(self)');
  expect((await fetch(`${url}/instruments/laser`)).headers.get('cache-control')).toBe('no-store');
});

test('a body that comes drop by drop is closed', async () => {
  const patience = { requestTimeout: 300, headersTimeout: 200, connectionsCheckingInterval: 50 };
  const slow = serverOf(createApp(mkdtempSync(join(tmpdir(), 'kovelin-'))), patience).listen(0, '127.0.0.1');
  await new Promise((resolve) => slow.once('listening', resolve));
  const socket = connect((slow.address() as AddressInfo).port, '127.0.0.1');
  socket.write(
    'POST /desk/prices HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: 9\r\n\r\n{',
  );
  const answer = await new Promise<string>((resolve) => {
    let text = '';
    socket.on('data', (data) => (text += data.toString()));
    socket.on('close', () => resolve(text));
  });
  expect(answer).toMatch(/^HTTP\/1.1 408/);
  slow.close();
});

test('the colour reader scatters about the truth, is now and then on dirt, and refuses what is no colour', async () => {
  const reader = new ColourReader(seeded(3));
  const truth = { l: 62, a: -8, b: 12 };
  const read = Array.from({ length: 3000 }, () => reader.read(truth).lab);
  const dirty = read.filter((r) => r.l < 60.5).length / read.length;
  expect(dirty).toBeCloseTo(0.04, 1);
  const clean = read.filter((r) => r.l >= 60.5);
  expect(clean.reduce((s, r) => s + r.b, 0) / clean.length).toBeCloseTo(12, 1);
  const ask = (body: string) =>
    fetch(`${url}/instruments/reader/readings`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body,
    });
  expect((await ask(JSON.stringify({ lab: truth }))).status).toBe(201);
  for (const body of ['{}', '{"lab":{"l":500,"a":0,"b":0}}', 'nonsense']) {
    const refused = await ask(body);
    expect([refused.status, await refused.text()]).toEqual([400, expect.stringContaining('l from 0 to 100')]);
  }
});

test('the price desk quotes what it sells, the same all day, near its list; nobody there and nonsense are said', async () => {
  const ask = (body: unknown) =>
    fetch(`${url}/desk/prices`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: typeof body === 'string' ? body : JSON.stringify(body),
    });
  const items = [
    { code: 'PAINT-WALL', litres: 3.785411784 },
    { code: 'tape', litres: null },
    { code: 'NO-SUCH', litres: 1 },
  ];
  const [one, two] = await Promise.all([0, 1].map(async () => (await ask({ currency: 'USD', items })).json()));
  expect(one).toEqual(two);
  const { prices, at } = one as { prices: { each: number | null }[]; at: string };
  expect(at).toBe('2026-11-23T08:00:00.000Z');
  expect(prices.map((p) => p.each === null)).toEqual([false, false, true]);
  expect(Math.abs((prices[0]?.each ?? 0) / 5200 - 1)).toBeLessThanOrEqual(0.11);
  for (const [body, problem] of [
    [{ currency: 'CHF', items }, /does not quote in CHF/],
    [{ currency: 'GBP', country: 'US', items }, /does not quote in GBP there/],
    [{ currency: 'USD', items: [{ code: 'x', litres: -1 }] }, /not a list of items/],
    [{ currency: { toString: 1 }, items }, /not a list of items/],
    [{ currency: 'USD', country: ['US'], items }, /not a list of items/],
    ['{', /could not be read/],
  ] as const) {
    const refused = await ask(body);
    expect(refused.status).toBe(400);
    expect(((await refused.json()) as { problem: string }).problem).toMatch(problem);
  }
  // in another country its tins and its money
  const british = {
    currency: 'GBP',
    country: 'GB',
    items: [{ code: 'PAINT-WALL', litres: 2.5 }, ...items.slice(0, 2)],
  };
  const there = (await (await ask(british)).json()) as { prices: { each: number | null }[]; currency: string };
  expect([there.currency, ...there.prices.map((p) => p.each === null)]).toEqual(['GBP', false, true, false]);
  luck = 0.01;
  expect((await ask({ currency: 'USD', items })).status).toBe(503);
  luck = 0.5;
});

test('the climate logger sends a day as CSV that reads as a log, and what it reads now; a lost connection is told', async () => {
  luck = 0.5;
  const answer = await fetch(`${url}/instruments/climate/today.csv`);
  expect([answer.status, answer.headers.get('content-type')]).toEqual([200, 'text/csv; charset=utf-8']);
  const log = readClimateLog(await answer.text());
  expect(log.ok && [log.value.date, log.value.day.length, log.value.notes]).toEqual(['2026-11-23', 57, []]);
  const reading = await fetch(`${url}/instruments/climate/now`);
  const air = readAir(await reading.text());
  expect(air.ok && air.value.temperature > 15 && air.value.humidity < 0.7).toBe(true);
  luck = 0.01;
  const lost = await fetch(`${url}/instruments/climate/today.csv`);
  expect([lost.status, await lost.json()]).toEqual([503, { problem: 'The climate logger did not answer; ask again.' }]);
  luck = 0.5;
});
