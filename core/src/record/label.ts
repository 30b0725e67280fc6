import type { EarlierPaint } from '../job/recorded.ts';
import { FABRICS, PILES, SHEENS, type Fabric, type Pile, type Sheen } from '../job/vocabulary.ts';
import { bad, good, type Problem, type Result } from '../units/problem.ts';

/**
 * The text of a label's code: `KOVELIN/1`, then a line a key, readable by anybody with any phone (docs/formats.md). At most 300 bytes of
 * UTF-8, so that the code stays coarse enough to be read from a lid.
 */
export const LABEL_KEYS = [
  'PAINT',
  'COLOUR',
  'HEX',
  'FORMULA',
  'SHEEN',
  'PRIMER',
  'BATCH',
  'COVER',
  'COATS',
  'DATE',
  'ROOM',
  'SURFACE',
  'LEFT',
  'NOTE',
] as const;
export type LabelKey = (typeof LABEL_KEYS)[number];
/** What a label says; a key that is left out is not known. */
export type Label = Readonly<Partial<Record<LabelKey, string>>>;

const HEAD = 'KOVELIN/1';
export const MAX_LABEL_BYTES = 300;
/** Shortened in this order where all of it is too long. */
const GIVES_WAY: readonly LabelKey[] = [
  'NOTE',
  'FORMULA',
  'PRIMER',
  'SURFACE',
  'BATCH',
  'COVER',
  'PAINT',
  'ROOM',
  'COLOUR',
];

const encoder = new TextEncoder();
/** Bytes of a text in UTF-8: a code holds so many. */
export const bytesOf = (text: string): number => encoder.encode(text).length;
const characters = new Intl.Segmenter('en', { granularity: 'grapheme' });

/** One line without control characters, and no spaces round it. */
const line = (text: string): string =>
  text
    .replace(/\p{Cc}+|[\u2028\u2029]/gu, ' ')
    .replace(/\s+/gu, ' ')
    .trim();

/** As many whole characters as fit into so many bytes. */
function fitting(text: string, bytes: number): string {
  let kept = '';
  let size = 0;
  for (const { segment } of characters.segment(text)) {
    size += bytesOf(segment);
    if (size > bytes) break;
    kept += segment;
  }
  return kept.trimEnd();
}

const textOf = (label: Label): string =>
  [HEAD, ...LABEL_KEYS.flatMap((key) => (label[key] ? [`${key}:${label[key]}`] : []))].join('\n');

/** The label as it goes into its code: each value a line, the note cut first where all of it is longer than 300 bytes. */
export function fitLabel(label: Label): Label {
  const fit: Partial<Record<LabelKey, string>> = {};
  for (const key of LABEL_KEYS) {
    const value = line(label[key] ?? '');
    if (value) fit[key] = value;
  }
  for (const key of GIVES_WAY) {
    const over = bytesOf(textOf(fit)) - MAX_LABEL_BYTES;
    if (over <= 0) break;
    const value = fit[key];
    if (value === undefined) continue;
    const left = fitting(value, bytesOf(value) - over);
    if (left) fit[key] = left;
    else Reflect.deleteProperty(fit, key);
  }
  return fit;
}
/** At most 300 bytes of UTF-8. */
export const writeLabel = (label: Label): string => textOf(fitLabel(label));

/** A label read from a code, and what of it was not understood. */
export interface ReadLabel {
  readonly label: Label;
  readonly warnings: readonly string[];
}
const isKey = (key: string): key is LabelKey => (LABEL_KEYS as readonly string[]).includes(key);
const shown = (text: string): string => {
  const start = line(text).slice(0, 40);
  return start.length < line(text).length ? `${start}…` : start;
};

/** Reads what a code says. Errors: a code of something else, of a newer Kovelin, or one that is damaged; never throws. */
export function readLabel(text: string): Result<ReadLabel> {
  const [head = '', ...lines] = text.replace(/^\uFEFF/, '').split(/\r\n|\n|\r/);
  const version = /^KOVELIN\/(\d+)$/.exec(head.trim())?.[1];
  if (version === undefined)
    return bad(
      head.trim()
        ? `This code says “${shown(head)}”. A Kovelin label begins with the line ${HEAD}.`
        : `This code is empty. A Kovelin label begins with the line ${HEAD}.`,
    );
  if (version !== '1')
    return bad(`This label was written by a newer Kovelin (KOVELIN/${version}). Labels of ${HEAD} are read here.`);
  const label: Partial<Record<LabelKey, string>> = {};
  const warnings: string[] = [];
  const problems: Problem[] = [];
  for (const [i, own] of lines.entries()) {
    if (!own.trim()) continue;
    const at = own.indexOf(':');
    const key = own.slice(0, Math.max(0, at)).trim().toUpperCase();
    const value = line(own.slice(at + 1));
    const say = (message: string) => problems.push({ path: `line ${i + 2}`, message });
    if (at < 1) say(`“${shown(own)}” is no KEY:VALUE. The label is damaged, or was not read whole.`);
    else if (!isKey(key)) warnings.push(`${shown(key)} is not known here and was left out.`);
    else if (label[key] !== undefined) say(`${key} stands here twice.`);
    else if (value && !isValue(key, value)) say(`${key} is “${shown(value)}”; ${ACCEPTED[key] ?? ''} is accepted.`);
    else if (value) label[key] = value;
  }
  if (problems.length) return { ok: false, problems };
  if (!Object.keys(label).length) return bad('This label says nothing: no line after its first one.');
  return good({ label, warnings });
}

const ACCEPTED: Readonly<Partial<Record<LabelKey, string>>> = {
  HEX: 'a colour such as #d5d6d2',
  COATS: 'a whole number from 1 to 20',
  DATE: 'a year, a month or a day such as 2026-11-26',
  LEFT: 'litres such as 0.8 L',
};
const PATTERNS: Readonly<Partial<Record<LabelKey, RegExp>>> = {
  HEX: /^#[0-9a-f]{6}$/i,
  COATS: /^(?:[1-9]|1\d|20)$/,
  DATE: /^\d{4}(-\d{2}(-\d{2})?)?$/,
  LEFT: /^\d{1,4}([.,]\d{1,3})? L$/,
};
const isValue = (key: LabelKey, value: string): boolean => PATTERNS[key]?.test(value) ?? true;

/** A sheen by its English word, whichever side of the ocean wrote it; null: another word, or none. */
function sheenFrom(text: string | undefined): Sheen | null {
  const word = (text ?? '').toLowerCase();
  return word === 'matt' ? 'matte' : (SHEENS.find((sheen) => sheen === word) ?? null);
}
/** “microfibre 10 mm” both ways. */
export const coverText = (fabric: Fabric | null, pile: Pile | null): string =>
  [fabric, pile === null ? null : `${Math.round(pile * 1000)} mm`].filter((part) => part !== null).join(' ');
/** Fabric and pile of a cover as a label says them; null: it does not. */
function coverFrom(text: string | undefined): { readonly fabric: Fabric | null; readonly pile: Pile | null } {
  const words = (text ?? '').toLowerCase();
  const mm = Number(/(\d+) mm/.exec(words)?.[1]);
  return {
    fabric: FABRICS.find((fabric) => words.includes(fabric)) ?? null,
    pile: PILES.find((pile) => Math.round(pile * 1000) === mm) ?? null,
  };
}
/** Paint of earlier days as a label has it: what it does not say is unknown, and none of it is certain. */
export function paintFromLabel(id: string, label: Label, source: string): EarlierPaint {
  const said = (key: LabelKey): string => (label[key] ?? '').slice(0, 200);
  const unread = [
    label.SHEEN && !sheenFrom(label.SHEEN) ? `SHEEN:${label.SHEEN}` : '',
    label.LEFT ? `LEFT:${label.LEFT}` : '',
  ];
  return {
    id,
    coats: Number(label.COATS) || 1,
    product: said('PAINT'),
    colour: said('COLOUR'),
    code: '',
    formula: said('FORMULA'),
    hex: label.HEX?.toLowerCase() ?? null,
    sheen: sheenFrom(label.SHEEN),
    base: null,
    batch: said('BATCH'),
    primer: said('PRIMER'),
    ...coverFrom(label.COVER),
    laid: null,
    thinner: '',
    wax: '',
    when: label.DATE ?? '',
    who: '',
    note: [label.NOTE ?? '', ...unread].filter(Boolean).join(' · '),
    source,
    certain: false,
  };
}
