import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import type { Job } from '../job/types.ts';
import { keysOf } from '../units/list.ts';

/** Latin as our own fonts have it; the extended Latin letters come in a file of their own. */
const OWN =
  /^[\u0020-\u007e\u00a0-\u00ff\u0131\u0152\u0153\u02c6\u02da\u02dc\u2013\u2014\u2018-\u201e\u2022\u2026\u20ac\u2122\u2212]$/u;
const EXTENDED = /^[\u0100-\u02ba\u1e00-\u1e9f\u1ef2-\u1eff\u20a0-\u20ab\u20ad-\u20c0]$/u;
/** Signs of drawings that the text font lacks, as a typewriter has them. */
const PLAIN: Readonly<Record<string, string>> = { '\u2044': '/', '\u2032': "'", '\u2033': '"', '\u202f': '\u00a0' };

/** The widest typeface lies in a file for each script: the first whose letter it is. */
const SCRIPTS = {
  Latin: /\p{Script=Latin}/u,
  Greek: /\p{Script=Greek}/u,
  Cyrillic: /\p{Script=Cyrillic}/u,
  Armenian: /\p{Script=Armenian}/u,
  Hebrew: /\p{Script=Hebrew}/u,
  Arabic: /\p{Script=Arabic}/u,
  Georgian: /\p{Script=Georgian}/u,
  Signs: /\p{Script=Common}/u,
  Others: /./su,
} as const;
export type Script = keyof typeof SCRIPTS;
export const SCRIPT_NAMES = keysOf(SCRIPTS);
export const scriptOf = (char: string): Script => SCRIPT_NAMES.find((name) => SCRIPTS[name].test(char)) ?? 'Others';
/** A mark stands on the letter before it, in whatever script that is: each file has them all. */
export const isMark = (char: string): boolean => /\p{Script=Inherited}/u.test(char);

type Font = 'TextExt' | Script;
type Run = { text: string; font?: Font };

function fontOf(char: string, before: Run | undefined): Font | undefined {
  if (isMark(char)) return before?.font && before.font !== 'TextExt' ? before.font : 'Latin';
  if (OWN.test(char)) return undefined;
  return EXTENDED.test(char) ? 'TextExt' : scriptOf(char);
}
/** Text in runs of the fonts that can show it. */
export function runs(text: string): Run[] {
  const list: Run[] = [];
  // a PDF is laid out as it is written: marks of direction would only show as boxes
  for (const raw of text.replace(/[\u200e\u200f\u202a-\u202e\u2066-\u2069]/g, '').normalize('NFC')) {
    const char = PLAIN[raw] ?? raw;
    const last = list.at(-1);
    const font = fontOf(char, last);
    if (last && last.font === font) last.text += char;
    else list.push(font ? { text: char, font } : { text: char });
  }
  return list;
}
/** The scripts of a document: their files are fetched, and no others. */
export const scriptsIn = (document: unknown): Script[] => {
  const text = JSON.stringify(document);
  return SCRIPT_NAMES.filter((name) => text.includes(`"font":"${name}"`));
};

/** A text in the fonts that can show it. */
export const t = (text: string, more: Record<string, unknown> = {}): Content =>
  ({ text: runs(text), ...more }) as Content;
/** A heading. @param size in points, as the space above it. */
export const head = (text: string, size: number, above = 14): Content =>
  t(text, { fontSize: size, bold: true, margin: [0, above, 0, 4], color: '#23564F' });
/** A list with points. */
export const bullets = (lines: readonly string[]): Content => ({
  ul: lines.map((line) => t(line)),
  margin: [0, 0, 0, 2],
});

export const LINES = {
  hLineWidth: () => 0.5,
  vLineWidth: () => 0,
  hLineColor: () => '#CFC8B8',
  paddingTop: () => 5,
  paddingBottom: () => 5,
};

/** Pages on the paper of the region, numbered. */
export const page = (job: Pick<Job, 'region'>, content: Content[]): TDocumentDefinitions => ({
  pageSize: job.region.paper === 'letter' ? 'LETTER' : 'A4',
  pageMargins: [48, 48, 48, 56],
  content,
  defaultStyle: { font: 'Text', fontSize: 10, lineHeight: 1.2, color: '#20302F' },
  footer: (current, count) => ({
    text: `page ${current} of ${count}`,
    alignment: 'right',
    margin: [0, 16, 48, 0],
    fontSize: 9,
    color: '#566260',
  }),
});
