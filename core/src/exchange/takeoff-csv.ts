import { systemOf } from '../job/region.ts';
import type { Job } from '../job/types.ts';
import { cutIn, takeoffJob } from '../measure/takeoff.ts';
import { heading } from '../units/word.ts';
import { nameWord } from '../words/names.ts';
import { toCsv } from './csv.ts';
import { FOOT, SQUARE_FOOT } from '../units/si.ts';

/** Columns of the takeoff as CSV (RFC 4180); lengths and areas in the job's units, as the heading says. */
const HEADINGS = [
  'room',
  'surface',
  'reading',
  'adjusted',
  'gross',
  'openings',
  'net',
  'painted',
  'run',
  'cut-in',
] as const;

/**
 * Every surface of the job, a row each, with a total row a room. Text that a spreadsheet would take for a formula is
 * neutralised. Figures are rounded to a thousandth of their unit.
 */
export function takeoffCsv(job: Job): string {
  const imperial = job.units === 'imperial';
  const [length, area] = imperial ? ['ft', 'ft2'] : ['m', 'm2'];
  const asLength = (metres: number) => Number((imperial ? metres / FOOT : metres).toFixed(3));
  const asArea = (m2: number) => Number((imperial ? m2 / SQUARE_FOOT : m2).toFixed(3));
  const units: Readonly<Partial<Record<(typeof HEADINGS)[number], string>>> = {
    reading: length,
    adjusted: length,
    run: length,
    'cut-in': length,
    gross: area,
    openings: area,
    net: area,
    painted: area,
  };
  const headings = HEADINGS.map((name) => (units[name] ? `${name} (${units[name]})` : name));
  const lines = takeoffJob(job).flatMap((t) => {
    const surfaces = t.surfaces.map((s) => {
      const w = t.walls.find((wall) => `${wall.wall.id}/field` === s.id);
      const sizes = w
        ? [
            asLength(w.wall.length?.metres ?? 0),
            asLength(w.adjusted),
            asArea(w.gross.value),
            asArea(w.openingArea.value),
            asArea(w.net.value),
          ]
        : ['', '', '', '', ''];
      return [
        t.room.name,
        heading(nameWord(s.name), systemOf(job)),
        ...sizes,
        asArea(s.area.value),
        s.length ? asLength(s.length) : '',
        s.cut ? asLength(s.cut) : '',
      ];
    });
    const painted = t.surfaces.reduce((sum, s) => sum + s.area.value, 0);
    return [...surfaces, [t.room.name, 'total', '', '', '', '', '', asArea(painted), '', asLength(cutIn(t))]];
  });
  return toCsv([headings, ...lines]);
}
