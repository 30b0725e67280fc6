import { basename, extname } from 'node:path';
import {
  orderContract,
  scheduleContract,
  specifyContract,
  takeoffContract,
  workContract,
} from '../exchange/contracts.ts';
import { playContract } from '../exchange/play-contract.ts';
import { linesContract } from '../exchange/lines-contract.ts';
import { wetContract } from '../exchange/wet-contract.ts';
import { replayContract, rescheduleContract } from '../exchange/site-contract.ts';
import { looksContract, touchUpContract } from '../exchange/inspect-contract.ts';
import { labelContract, recordContract } from '../exchange/record-contract.ts';
import { readAny } from '../exchange/read.ts';
import type { Job } from '../job/types.ts';
import { baseOrder, basePlan } from '../whole/plan.ts';
import { wholeOf } from '../whole/whole.ts';
import { today } from '../units/date.ts';
import { bad, sentence, type Result } from '../units/problem.ts';
import { said } from '../units/word.ts';

/** What stands behind `--` on the line, by name. */
type Options = ReadonlyMap<string, string>;
const OPTIONS: Readonly<Record<string, readonly string[]>> = {
  play: ['surface', 'coat', 'layer', 'hand'],
  schedule: ['log', 'now'],
  replay: ['log', 'now'],
  record: ['log'],
  label: ['surface', 'log'],
  looks: ['date', 'lat', 'lon'],
  touchup: ['surface', 'patches', 'size', 'age', 'sun', 'batch', 'cover'],
  wetedge: ['room', 'wall', 'surface', 'people', 'air', 'coat', 'uniform'],
};

type Read = (path: string) => string;
const VERBS: Readonly<Record<string, (job: Job, options: Options, read: Read, today: string) => Result<unknown>>> = {
  takeoff: (job) => ({ ok: true, value: takeoffContract(job, wholeOf(job)) }),
  specify: (job) => ({ ok: true, value: specifyContract(job, wholeOf(job), true) }),
  order: (job) => ({ ok: true, value: orderContract(job, baseOrder(job)) }),
  schedule: (job, options, read) => {
    if (options.has('log')) return rescheduleContract(job, options, read);
    if (options.has('now')) return bad('--now goes with --log, the log of the work so far.');
    const schedule = basePlan(job);
    return schedule.problems.length
      ? { ok: false, problems: schedule.problems.map((p) => ({ ...p, message: said(p.message, job.units) })) }
      : { ok: true, value: scheduleContract(job, schedule) };
  },
  lines: (job) => linesContract(job, wholeOf(job)),
  play: playContract,
  wetedge: wetContract,
  replay: replayContract,
  record: recordContract,
  label: labelContract,
  touchup: (job, options) => touchUpContract(job, options),
  looks: (job, options, _, today) => looksContract(job, options, today),
  work: (job) => ({ ok: true, value: workContract(job, wholeOf(job), basePlan(job)) }),
};

export interface Output {
  readonly code: 0 | 2;
  readonly stdout: string;
  readonly stderr: string;
}

/**
 * One call of `kovelin <verb> <file>`. `read` gets the file's text and throws when it cannot.
 * Bad call or file: code 2, nothing on stdout, a sentence per problem on stderr. Warnings go to stderr with code 0.
 */
export function run(args: readonly string[], read: Read, day = today()): Output {
  const [verb = '', path, ...more] = args;
  // the log stands behind the file without a name
  const named = verb === 'replay' && more[0] !== undefined && !more[0].startsWith('--') ? ['--log', ...more] : more;
  const options = optionsOf(named, OPTIONS[verb] ?? []);
  const action = Object.hasOwn(VERBS, verb) ? VERBS[verb] : undefined;
  if (!action || !path || !options || (verb === 'replay' && !options.has('log')))
    return fail([
      `usage: npm run -s kovelin -- <${Object.keys(VERBS).join('|')}> <job file, tape sheet or table of rooms>; play: --surface <id of takeoff> [--coat <n>] [--layer primer] [--hand left|right]; wetedge: --room <name> --wall <label> [--people 1|2] [--air C,RH,v] [--coat <n>] [--uniform]; replay: <log.jsonl> [--now <minutes>]; schedule: [--log <log.jsonl> --now <minutes>]; record: [--log <log.jsonl>]; label: --surface <id of takeoff> [--log <log.jsonl>]; looks: [--date <2026-11-26>] [--lat <degrees> --lon <degrees>]; touchup: --surface <id of takeoff> --patches <n> --size <metres> [--age <years>] [--sun <hours a day>] [--batch same|other|unknown] [--cover same|other|unknown]`,
    ]);
  let text: string;
  try {
    text = read(path);
  } catch (error) {
    return fail([`${path} cannot be read: ${error instanceof Error ? error.message : String(error)}`]);
  }
  const opened = readAny(text, basename(path, extname(path)));
  if (!opened.ok) return fail(opened.problems.map(sentence));
  const result = opened.value.job.rooms.order.length
    ? action(opened.value.job, options, read, day)
    : bad('This job has no rooms yet.');
  if (!result.ok) return fail(result.problems.map(sentence));
  const stderr = opened.value.warnings.map((warning) => `${sentence(warning)}\n`).join('');
  // a label is printed as it is
  const stdout = typeof result.value === 'string' ? result.value : `${JSON.stringify(result.value, null, 1)}\n`;
  return { code: 0, stdout, stderr };
}

const FLAGS: ReadonlySet<string> = new Set(['uniform']);
/** `--name value` pairs, each of those a verb knows at most once; null: something else stands there. */
function optionsOf(words: readonly string[], known: readonly string[]): Options | null {
  const options = new Map<string, string>();
  for (let i = 0; i < words.length; i += 2) {
    const word = words[i] ?? '';
    const name = word.replace(/^--/, '');
    // a flag has no value
    const value = FLAGS.has(name) ? 'yes' : words[i + 1];
    if (FLAGS.has(name)) i--;
    if (!word.startsWith('--') || !known.includes(name) || value === undefined || options.has(name)) return null;
    options.set(name, value);
  }
  return options;
}

const fail = (lines: readonly string[]): Output => ({
  code: 2,
  stdout: '',
  stderr: lines.map((line) => `${line}\n`).join(''),
});
