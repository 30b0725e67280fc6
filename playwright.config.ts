import { defineConfig } from '@playwright/test';
import args from './scripts/chromium-args.json' with { type: 'json' };
import { chromiumHere } from './scripts/setup.mjs';

const port = Number(process.env['E2E_PORT'] ?? 4321);
const executablePath = chromiumHere();

/** The production build in Debian's Chromium. */
export default defineConfig({
  testDir: 'e2e',
  workers: 2,
  fullyParallel: true,
  timeout: 120_000,
  expect: { timeout: 25_000 },
  reporter: [['list']],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    locale: 'en-US',
    // what a page has kept for offline use would hide what the server says; its own test lets it
    serviceWorkers: 'block',
    launchOptions: { args, ...(executablePath ? { executablePath } : {}) },
  },
  webServer: {
    command: 'node_modules/.bin/tsx server/src/main.ts',
    port,
    env: { PORT: String(port) },
    reuseExistingServer: false,
  },
});
