// Debian's Chromium for tests, benches and screenshots; and the built application on a free port.
import { chromium as playwright } from '@playwright/test';
import args from './chromium-args.json' with { type: 'json' };
import { chromium } from './setup.mjs';

export const launch = () => playwright.launch({ executablePath: chromium(), args });
