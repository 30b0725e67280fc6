import { outlinesOf } from '../core/src/exchange/plan/chains.ts';
import { readDxf } from '../core/src/exchange/plan/dxf-read.ts';
import { parseTapeSheet } from '../core/src/exchange/tapesheet.ts';
import { close } from '../core/src/measure/closure.ts';
import { directions, polygonArea, walk } from '../core/src/measure/geometry.ts';
import { findSlips, type TypedWalk } from '../core/src/measure/slips.ts';
import { takeoffRoom } from '../core/src/measure/takeoff.ts';
import { rows } from '../core/src/job/table.ts';
import type { Job } from '../core/src/job/types.ts';
import { seeded } from '../core/src/units/random.ts';
import { pick, plant, PLANTED, readRoom, SETTINGS, SHAPES, trueRoom } from '../core/src/testing/rooms.ts';
import { line, manyRooms, median, ms, times } from './rooms.ts';

/** How often the slip finder names the wall, by shape of room; and what measuring costs against a bare shoelace. */
export function benchMeasure(): void {
  console.log('\nMeasure: one planted slip beyond tolerance, 400 rooms of each shape');
  for (const diagonals of [0, 1])
    for (const shape of SHAPES) {
      const random = seeded(1 + diagonals);
      let [rooms, found, single, size] = [0, 0, 0, 0];
      while (rooms < 400) {
        const imperial = random() < 0.5;
        const readings = readRoom(random, trueRoom(random, shape), imperial, diagonals);
        const wall = Math.floor(random() * readings.lengths.length);
        const wrong = plant(random, readings, wall, pick(random, PLANTED), imperial);
        if (!wrong || close(wrong, SETTINGS).withinTolerance) continue;
        rooms++;
        const [first] = findSlips(wrong, SETTINGS);
        if (first?.members.some((m) => m.wall === wall)) found++;
        if (first?.members.length === 1) single++;
        size += first?.members.length ?? 0;
      }
      line(
        `${shape}${diagonals ? ' with a diagonal' : ''}: wall in the first class`,
        `${((100 * found) / rooms).toFixed(1)} %`,
        `class of ${(size / rooms).toFixed(2)} walls; a single wall in ${((100 * single) / rooms).toFixed(0)} %`,
      );
    }

  console.log('\nMeasure: adjust and take off');
  const cost = (count: number) => {
    const job = manyRooms(count);
    const text = JSON.stringify(job);
    const fresh = Array.from({ length: 8 }, () => JSON.parse(text) as Job);
    let at = 0;
    return median(() => {
      const mine = fresh[at++ % fresh.length] as Job;
      for (const room of rows(mine.rooms)) takeoffRoom(mine, room);
    }, 3);
  };
  const plans = rows(manyRooms(1000).rooms).map((room) =>
    walk(
      rows(room.walls).map((w) => w.length?.metres ?? 0),
      directions(rows(room.walls).map((w) => w.turn)),
    ),
  );
  const shoelace = median(() => plans.forEach((plan) => polygonArea(plan)));
  const [hundred, thousand] = [cost(100), cost(1000)];
  line('bare shoelace of 1,000 rooms', ms(shoelace));
  line(
    'adjust + takeoff of 1,000 rooms',
    ms(thousand),
    `${times(thousand, shoelace, 'the shoelace')}; ${times(thousand, hundred, '100 rooms')} for 10 x the rooms`,
  );
  // a wall with piers: out and back again, then round the room
  const comb = (piers: number): TypedWalk => {
    const lengths = [...Array.from({ length: piers }, () => [0.7, 0.4, 0.8, 0.4]).flat(), 0.5, 3, 1.5 * piers + 0.5, 3];
    const turns = [...Array.from({ length: piers }, () => [-90, 90, 90, -90]).flat(), 90, 90, 90, 90];
    return { lengths, turns, typed: lengths.map((l) => `${l.toFixed(3)} m`), turnsMeasured: false, diagonals: [] };
  };
  const search = (teeth: number) => {
    const room = comb(teeth);
    const wrong = { ...room, lengths: room.lengths.map((l, i) => (i === 2 ? l + 0.5 : l)) };
    return [room.lengths.length, median(() => void findSlips(wrong, SETTINGS), 5)] as const;
  };
  const [few, short] = search(2);
  const [many, long] = search(14);
  line(`slip search, ${many} walls`, ms(long), `${times(long, short, `that of ${few} walls`)}`);

  console.log('\nFiles: ten times the lines against ten times the time');
  // a room holds four hundred walls
  const walls = (n: number) =>
    `units m\n${Array.from({ length: n }, (_, i) => `${i % 400 ? '' : `room R${i}\nheight 2.4\n`}wall w${i} ${1 + (i % 9)}.5 R`).join('\n')}`;
  const drawing = (n: number) => {
    const side = (i: number) => `0\nLINE\n8\nwalls\n10\n${i}\n20\n${i % 7}\n11\n${i + 1}\n21\n${(i + 1) % 7}`;
    return `0\nSECTION\n2\nENTITIES\n${Array.from({ length: n }, (_, i) => side(i)).join('\n')}\n0\nENDSEC\n0\nEOF`;
  };
  const reading = (n: number) => {
    const text = walls(n);
    return median(() => void parseTapeSheet(text), 5);
  };
  const joining = (n: number) => {
    const text = drawing(n);
    return median(() => {
      const file = readDxf(text);
      if (!file.ok) throw new Error('the drawing was refused');
      outlinesOf(file.value, 'walls', 1);
    }, 5);
  };
  for (const [name, cost] of [
    ['tape sheet', reading],
    ['DXF read, its lines joined', joining],
  ] as const) {
    const [one, ten] = [cost(1_000), cost(10_000)];
    line(`${name}, 10,000 lines`, ms(ten), times(ten, one, 'that of 1,000 lines'));
  }
}
