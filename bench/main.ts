import { benchCore } from './core.ts';
import { benchMeasure } from './measure.ts';
import { benchOrder } from './order.ts';
import { benchSpecify } from './specify.ts';
import { benchWeb } from './web.ts';

/** `npm run bench` for all of it, `npm run bench -- core measure specify order size keys slider memory` for parts. */
const parts = process.argv.slice(2);
const wanted = (part: string) => parts.length === 0 || parts.includes(part);

if (wanted('core')) benchCore();
if (wanted('measure')) benchMeasure();
if (wanted('specify')) benchSpecify();
if (wanted('order')) await benchOrder();
await benchWeb(wanted);
