import { benchFullDisk } from './full-disk.ts';
import { benchAxe } from './axe.ts';
import { benchExchange } from './exchange.ts';
import { benchHostile, benchHostileFiles } from './hostile.ts';
import { benchKills } from './kills.ts';
import { benchLaws } from './laws.ts';
import { benchLines } from './lines.ts';
import { benchMeasure } from './measure.ts';
import { benchMutants } from './mutants.ts';
import { benchOrder } from './order.ts';
import { benchPlan } from './plan.ts';
import { benchRecord } from './record.ts';
import { benchSite } from './site.ts';
import { benchSpecify } from './specify.ts';
import { benchWeb } from './web.ts';
import { benchWet } from './wet.ts';
import { benchWhole } from './whole.ts';
import { benchWork } from './work.ts';

/**
 * `npm run bench` for all that is quick, `npm run bench -- whole work plan lines wet measure specify order site record size start keys open slider memory` for parts; `hostile`,
 * `kills`, `exchange`, `full-disk` and `axe` (every view, scheme and size) take minutes and are run when they are asked for, as are the laws of the tests over 10,000 cases each:
 * `laws`, or `laws core/src/lines` for some; and rules turned round, to see whether a test notices: `mutants`, or `mutants seed=2 count=20 order`.
 */
const given = process.argv.slice(2);
// what follows these says which of them
const parts = ['laws', 'mutants'].includes(given[0] ?? '') ? given.slice(0, 1) : given;
const wanted = (part: string) => parts.length === 0 || parts.includes(part);

if (wanted('whole')) await benchWhole();
if (wanted('work')) benchWork();
if (wanted('plan')) await benchPlan();
if (wanted('lines')) await benchLines();
if (wanted('wet')) benchWet();
if (wanted('measure')) benchMeasure();
if (wanted('specify')) benchSpecify();
if (wanted('order')) await benchOrder();
if (wanted('site')) await benchSite();
if (wanted('record')) await benchRecord();
if (parts.includes('hostile')) {
  benchHostileFiles();
  await benchHostile();
}
if (parts[0] === 'laws') benchLaws(given.slice(1));
if (parts[0] === 'mutants') await benchMutants(given.slice(1));
if (parts.includes('axe')) await benchAxe();
if (parts.includes('kills')) await benchKills();
if (parts.includes('exchange')) await benchExchange();
if (parts.includes('kills') || parts.includes('full-disk')) await benchFullDisk();
if (['size', 'start', 'keys', 'open', 'slider', 'memory'].some(wanted)) await benchWeb(wanted);
