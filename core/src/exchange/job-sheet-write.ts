import { useFromName } from '../job/blank.ts';
import { STARTING_PRODUCTS } from '../job/library.ts';
import { rows, type Id } from '../job/table.ts';
import type { Product } from '../job/paints.ts';
import type { Room } from '../job/measured.ts';
import type { Survey } from '../job/surveyed.ts';
import type { Job } from '../job/types.ts';
import { REPAIR_CLASSES } from '../job/vocabulary.ts';
import { trimNumber } from '../units/length.ts';
import { scopeWords } from './sheet-scope.ts';
import { techniqueLines } from './technique-lines.ts';
import { quote } from './line.ts';
import { formatRoom } from './tapesheet-write.ts';

/** The whole job as a tape sheet: measures, and where it is, who works in what air, what goes on, what is there now. */
export function formatJobSheet(job: Job): string {
  const about = linesAbout(job);
  const technique = techniqueLines(job, label);
  const head = [
    `units ${job.units === 'imperial' ? 'ft' : 'm'}`,
    `region ${job.region.country}`,
    ...ownPaints(job).map(paintLine),
    ...crewLines(job),
    airLine(job),
    ...(about.get(null) ?? []),
    ...(technique.get(null) ?? []),
  ];
  const own = rows(job.rooms).map((room) =>
    [
      formatRoom(room, job.units),
      ...useLine(room),
      ...(about.get(room.id) ?? []),
      ...(technique.get(room.id) ?? []),
    ].join('\n'),
  );
  return [head.join('\n'), ...own].join('\n\n') + '\n';
}

const label = (text: string): string => (/^[^\s"#\\]+$/.test(text) ? text : quote(text));
const useLine = ({ name, use }: Room): string[] => (use === useFromName(name) ? [] : [`use ${use}`]);

/** Paints that are no starting ones, or say otherwise than those do. */
function ownPaints(job: Job): Product[] {
  const same = (p: Product) =>
    STARTING_PRODUCTS.some(
      (s) =>
        s.id === p.id &&
        s.name === p.name &&
        s.labelRate === p.labelRate &&
        s.contrast === p.contrast &&
        s.recoat === p.recoat &&
        s.scrub === p.scrub,
    );
  return Object.values(job.products).filter((p) => p.role === 'finish' && !same(p));
}
function paintLine(p: Product): string {
  const like = STARTING_PRODUCTS.find((s) => s.family === p.family && s.role === 'finish') ?? STARTING_PRODUCTS[0];
  const scrub = p.scrub === null ? '' : ` scrub ${p.scrub}`;
  const rate = trimNumber(p.labelRate, 4);
  return `paint ${p.id} ${quote(p.name)} like ${like?.id ?? ''} spread ${rate} contrast ${trimNumber(p.contrast * 100, 3)}% recoat ${p.recoat}${scrub}`;
}

const clock = (minutes: number): string =>
  minutes % 60 ? `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}` : String(minutes / 60);
const crewLines = ({ crew }: Job): string[] =>
  crew.people.map(
    ({ name, day, hand }) =>
      `crew ${label(name)} hours ${crew.hours.map(([from, to]) => `${clock(from)}-${clock(to)}`).join(', ')} day ${(day / 100).toFixed(2)}${hand === 'left' ? ' hand left' : ''}`,
  );
const airLine = ({ air }: Job): string =>
  `air ${trimNumber(air.temperature, 1)} ${trimNumber(air.humidity * 100, 1)}% ${trimNumber(air.draught, 2)}`;

/** Survey, finish and sheen lines by the room they stand in; null: before the first. */
function linesAbout(job: Job): ReadonlyMap<Id | null, string[]> {
  const lines = new Map<Id | null, string[]>();
  const add = (scope: string, word: 'survey' | 'finish', text: string) => {
    const where = scopeWords(job, scope, label);
    if (where && text) lines.set(where.room, [...(lines.get(where.room) ?? []), `${word} ${where.words} ${text}`]);
  };
  for (const [scope, set] of widestFirst(job.survey)) add(scope, 'survey', answers(set));
  for (const [scope, { product, colour }] of widestFirst(job.finishes)) {
    const hue = job.colours[colour];
    add(scope, 'finish', `product ${product} colour ${hue?.hex ?? ''} ${quote(hue?.name ?? '')}`);
  }
  for (const [surface, { sheen }] of Object.entries(job.decisions)) if (sheen) add(surface, 'finish', `sheen ${sheen}`);
  return lines;
}
/** A kind before a surface, so that the nearer is said later. */
const widestFirst = <T>(map: Readonly<Record<string, T>>): [string, T][] =>
  Object.entries(map).sort(([a], [b]) => Number(a.includes('/')) - Number(b.includes('/')));

/** Answers as a survey line has them; a door’s edges apart have no words there. */
function answers(set: Partial<Survey>): string {
  const said = Object.entries(set).flatMap(([key, value]): string[] => {
    if (key === 'zones') return [];
    if (key === 'repairs')
      return [`repairs ${REPAIR_CLASSES.map((hole) => `${hole} ${set.repairs?.[hole] ?? 0}`).join(', ')}`];
    if (typeof value === 'boolean') return [`${key} ${value ? 'yes' : 'no'}`];
    if (Array.isArray(value)) return key === 'patches' && !value.length ? [] : [`${key} ${value.join(', ') || 'none'}`];
    return [`${key} ${String(value ?? 'none')}`];
  });
  return said.join(' ');
}
