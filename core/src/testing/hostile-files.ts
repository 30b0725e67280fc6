import { openJob } from '../job/open.ts';
import { takeoffJob } from '../measure/takeoff.ts';
import { smallJob } from './hostile.ts';
import { readHouse, systemOfHouse } from '../exchange/house.ts';
import { readPalette } from '../exchange/palette.ts';
import { outlinesOf } from '../exchange/plan/chains.ts';
import { readPlan } from '../exchange/plan/read.ts';
import { decodeList, headOf, readPriceList } from '../exchange/price-list.ts';
import { readForView } from '../exchange/read.ts';
import { assignReadings, readReadings } from '../exchange/readings.ts';

/** Small files that once froze the page: each read, to its figures, in time that a normal file of its size takes. */
type Read = (text: string) => unknown;
const room = Object.values(smallJob().rooms.byId)[0];
export const HOSTILE_READERS: Readonly<
  Record<'plan' | 'sheet' | 'house' | 'job' | 'list' | 'palette' | 'readings', Read>
> = {
  plan: (text) => {
    const plan = readPlan(text);
    return plan.ok && plan.value.layers.map((layer) => outlinesOf(plan.value, layer.name, 0.001));
  },
  sheet: (text) => {
    const opened = readForView(text, 'x');
    return opened.ok && takeoffJob(opened.value);
  },
  house: (text) => readHouse(text, systemOfHouse(text), 'h'),
  job: openJob,
  list: (text) => {
    const head = headOf(decodeList(new TextEncoder().encode(text)));
    const all = { separator: head.ok ? head.value.separator : ',', columns: { name: 0, price: 1, size: -1, code: -1 } };
    return head.ok && readPriceList(text, all, () => true);
  },
  palette: readPalette,
  readings: (text) => room && assignReadings(room, readReadings(text, 'imperial').readings),
};
/** A fifth of what once froze the page for half a minute tells as much. */
const SCALE = 0.2;
const times = (n: number, of: (i: number) => string, between = '\n') =>
  Array.from({ length: Math.ceil(n * SCALE) }, (_, i) => of(i)).join(between);
const dxf = (n: number, of: (i: number) => readonly [number, number, number, number]) =>
  `0\nSECTION\n2\nENTITIES\n${times(n, (i) => {
    const [a, b, c, d] = of(i);
    return `0\nLINE\n8\nw\n10\n${a}\n20\n${b}\n11\n${c}\n21\n${d}`;
  })}\n0\nENDSEC\n0\nEOF`;
const svg = (inside: string) => `<svg xmlns="http://www.w3.org/2000/svg">${inside}</svg>`;
const sheet = (lines: string) => `units m\nroom R\nheight 2.4\n${lines}`;
const job = JSON.stringify(smallJob());
const digits = '1'.repeat(300_000);

/** A normal file, and ten hostile ones of at most about its size. */
export const HOSTILE_FILES: Readonly<
  Record<keyof typeof HOSTILE_READERS, { normal: string; hostile: readonly string[] }>
> = {
  plan: {
    normal: dxf(20_000, (i) => [i, 0, i + 1, 0]),
    hostile: [
      dxf(20_000, (i) => [0, 0, Math.cos(i) * 9000, Math.sin(i) * 9000]),
      dxf(20_000, () => [0, 0, 1, 1]),
      dxf(20_000, (i) => [i % 2, 0, 0, i % 2]),
      dxf(20_000, (i) => [0, 0, i / 1e6, 0]),
      dxf(20_000, (i) => [1e9, -1e9, 1e9 - i, 1e9]),
      svg(`<path d="M0 0A${digits}"/>`),
      svg(`<path d="M0 0A${'0 '.repeat(150_000)}"/>`),
      svg(`<path d="M0 0${'a1 1 0 0 0 '.repeat(30_000)}"/>`),
      svg(`<polygon points="${'1,'.repeat(200_000)}"/>`),
      svg(times(20_000, (i) => `<line x1="0" y1="0" x2="${i}" y2="1"/>`, '')),
    ],
  },
  sheet: {
    normal: times(25, (r) => `room R${r}\nheight 2.4 m\n${times(400, (i) => `wall w${i} ${1 + (i % 9)}.5 m R`)}`),
    hostile: [
      sheet(times(19_990, (i) => `wall w${i} 3.5 R`)),
      sheet(times(19_990, () => 'wall A 3 R')),
      sheet(times(19_990, (i) => `check a${i} b${i} 3`)),
      sheet(times(19_990, (i) => `door d${i} on x${i} 0.8 x 2 at 1`)),
      times(19_990, (i) => `room R${i}`),
      sheet(`wall A ${times(60_000, () => '1', '+')}`),
      sheet(`wall A 4 R h 2 ${times(30_000, () => 'peak 3 at 1', ' ')}`),
      sheet(`wall A ${'('.repeat(200_000)}`),
      sheet(`wall "${'\\"'.repeat(100_000)}`),
      '#'.repeat(400_000),
    ],
  },
  house: {
    normal: `room,length,width\n${times(2400, (i) => `Room ${i},${2 + (i % 7)},3`)}`,
    hostile: [
      `length,width\n${times(60_000, () => '4,3')}`,
      `length,width\n${','.repeat(90_000)}`,
      `length,width\n${'\n'.repeat(900_000)}`,
      `length,width\n"${'a line in a cell\n'.repeat(60_000)}",1`,
      `length,width\n"${'4 '.repeat(200_000)}`,
      `length,width\n${times(2400, () => `${'('.repeat(400)},3`)}`,
      `length,width\n${times(2400, () => '60,60,20,99,99')}`,
      `length,width,doors\n${times(2400, () => '60 m,60 m,99')}`,
      `length (${'ft '.repeat(30_000)}x),width\n4,3`,
      `length,width,${times(90_000, (i) => `c${i}`, ',')}\n4,3`,
    ],
  },
  job: {
    normal: JSON.stringify({
      ...smallJob(),
      noted: Object.fromEntries(Array.from({ length: 20_000 }, (_, i) => [`k${i}`, '2026-11-26'])),
    }),
    hostile: [
      job.replace('{', `{${times(400_000, (i) => `"${i.toString(36)}":1`, ',')},`),
      job.replace('"noted":{', `"noted":{${times(60_000, (i) => `"${i}":1`, ',')}`),
      job.replace('"r1":{', `"r1":{${times(90_000, (i) => `"u${i}":1`, ',')},`),
      job.replace('"rooms":', `"rooms":${'['.repeat(5000)}${']'.repeat(5000)},"rooms":`),
      `${'['.repeat(200_000)}`,
      `{"format":"kovelin-job","version":1,"rooms":{"byId":{${times(60_000, (i) => `"r${i}":{}`, ',')}},"order":[]}}`,
      job.replace('"order":["r1"]', `"order":[${times(90_000, (i) => `"x${i}"`, ',')}]`),
      job.replace('"name":"Small"', `"name":"${'x'.repeat(900_000)}"`),
      job.replace('"colours":{', `"colours":{${times(20_000, (i) => `"c${i}":{"id":"c","name":"","hex":""}`, ',')},`),
      `{"a":NaN,"b":"${'\\"'.repeat(400_000)}"}`,
    ],
  },
  list: {
    normal: `name,price\n${times(60_000, (i) => `Paint ${i},12.5`)}`,
    hostile: [
      `name,price\n${'x'.repeat(1_000_000)}`,
      // long enough to be read in several chunks
      `name,price\n"${'a line in a cell\n'.repeat(60_000)}",1`,
      `"${'x'.repeat(900_000)}`,
      `name,price\n${'"a""'.repeat(200_000)}`,
      `name,price\n${times(60_000, () => '"a"b"c')}`,
      `name,price\n${','.repeat(90_000)}`,
      `name,price\n${'\n'.repeat(900_000)}`,
      `name,price\n${times(60_000, () => '"",""')}`,
      `${times(90_000, (i) => `c${i}`, ';')}\n1;2`,
      `name,price\n${times(200_000, () => ';;')}`,
    ],
  },
  palette: {
    normal: times(19_000, (i) => `Sand ${i},#dfd6c2`),
    hostile: [
      times(300_000, () => 'x'),
      `GIMP Palette\n${times(300_000, () => '1 2')}`,
      `GIMP Palette\n${times(60_000, () => '1 2 3')}`,
      `GIMP Palette\n${' '.repeat(90_000)}x`,
      times(60_000, () => '"'),
      'x'.repeat(900_000),
      times(60_000, () => 'a,1,2'),
      `L,a,b\n${times(60_000, () => '50,0,0')}`,
      `<CxF><Resources><ObjectCollection>${times(30_000, () => '<Object/>', '')}</ObjectCollection></Resources></CxF>`,
      `<CxF>${times(30_000, () => '<a>', '')}`,
    ],
  },
  readings: {
    normal: times(19_000, (i) => `${1 + (i % 9)}'6`),
    hostile: [
      times(300_000, () => 'x'),
      times(19_000, (i) => `w${i}, 3'`),
      times(19_000, () => `1${'+1'.repeat(6)}`),
      `12'${'6'.repeat(300_000)}`,
      'x'.repeat(2_100_000),
      ','.repeat(99_000),
      '"'.repeat(99_000),
      times(19_000, () => '"'),
      times(19_000, () => '((((('),
      times(900_000, () => ''),
    ],
  },
};
