import { converter } from 'culori';
import { rows } from '../core/src/job/table.ts';
import { takeoffJob } from '../core/src/measure/takeoff.ts';
import { bandsOf } from '../core/src/specify/colour.ts';
import { specifyRoom } from '../core/src/specify/specify.ts';
import { line, manyRooms, median, ms, times } from './rooms.ts';

/** Systems with their hiding curves, against the colour library's bare conversions of as many colours. */
export function benchSpecify(): void {
  console.log('\nCore: every surface of 30 rooms specified, hiding curves included');
  const job = manyRooms(30);
  const takeoffs = takeoffJob(job);
  const lab = converter('lab65');
  // each run has its own colours, so that no answer is remembered from the run before
  let run = 0;
  const recoloured = () => {
    run++;
    const shift = (hex: string) =>
      `#${((parseInt(hex.slice(1), 16) + run * 0x010203) & 0xffffff).toString(16).padStart(6, '0')}`;
    const colours = Object.fromEntries(Object.values(job.colours).map((c) => [c.id, { ...c, hex: shift(c.hex) }]));
    return { ...job, colours };
  };
  let surfaces = 0;
  let looks: string[] = [];
  const cold = median(() => {
    const now = recoloured();
    const all = takeoffs.flatMap((t) => specifyRoom(now, t));
    surfaces = all.length;
    looks = all.flatMap((s) => s.hiding.looks.flatMap((l) => [l.mean, l.thin, l.cut]));
  }, 15);
  const bare = median(() => {
    for (const hex of looks) {
      lab(hex);
      bandsOf(hex);
    }
  }, 15);
  line(
    `${surfaces} surfaces of ${rows(job.rooms).length} rooms, new colours each time`,
    ms(cold),
    times(cold, bare, `${looks.length} bare conversions`),
  );
}
