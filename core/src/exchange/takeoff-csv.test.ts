import { expect, test } from '@jest/globals';
import { cottage } from '../testing/jobs.ts';
import { heading } from '../units/word.ts';
import { nameWord } from '../words/names.ts';
import Papa from 'papaparse';
import { applyEdit } from '../job/edits.ts';
import type { Job } from '../job/types.ts';
import { takeoffJob } from '../measure/takeoff.ts';
import { alike, differences } from '../specify/alike.ts';
import type { Specified } from '../specify/specify.ts';
import { FOOT } from '../units/si.ts';
import { scheduleCsv } from './schedule-csv.ts';
import { toCsv } from './csv.ts';
import { wholeOf } from '../whole/whole.ts';
import { takeoffCsv } from './takeoff-csv.ts';
import { at } from '../units/list.ts';

const parse = (text: string) => Papa.parse<Record<string, string>>(text.trim(), { header: true });

test('every surface is a row, with the figures of the takeoff and a total a room', () => {
  const job = cottage();
  const { data, errors } = parse(takeoffCsv(job));
  expect(errors).toEqual([]);
  const takeoffs = takeoffJob(job);
  expect(data).toHaveLength(takeoffs.reduce((n, t) => n + t.surfaces.length + 1, 0));
  const wall = data.find((r) => r['room'] === 'Loft bedroom' && r['surface'] === 'Wall C');
  const true_ = takeoffs[1]?.walls[2];
  expect(Number(wall?.['net (ft2)'])).toBeCloseTo((true_?.net.value ?? 0) / FOOT ** 2, 3);
  expect(Number(wall?.['reading (ft)'])).toBe(12.5);
  for (const t of takeoffs) {
    const rows = data.filter((r) => r['room'] === t.room.name);
    const sum = rows.filter((r) => r['surface'] !== 'total').reduce((s, r) => s + Number(r['painted (ft2)']), 0);
    expect(Number(rows.at(-1)?.['painted (ft2)'])).toBeCloseTo(sum, 1);
  }
});

test('metric headings and values; a name that looks like a formula is only text', () => {
  const job = cottage();
  const [first] = job.rooms.order;
  const room = job.rooms.byId[first ?? ''];
  if (!room) throw new Error('no room');
  const named: Job = {
    ...job,
    units: 'metric',
    rooms: { ...job.rooms, byId: { ...job.rooms.byId, [room.id]: { ...room, name: '=cmd|calc, "a"' } } },
  };
  const { data } = parse(takeoffCsv(named));
  expect(Object.keys(data[0] ?? {})).toContain('gross (m2)');
  expect(data[0]?.['room']).toBe(`'=cmd|calc, "a"`);
});

test('the finish schedule as CSV counts overrules, and surfaces with one system stand together', () => {
  const job = cottage();
  const surfaces = wholeOf(job).surfaces;
  const [first] = surfaces.filter((s) => s.surface.kind === 'wall');
  const done = applyEdit(job, {
    name: 'decide',
    args: { surface: first?.surface.id ?? '', member: 'sheen', value: 'satin' },
  });
  if (!done.ok || !first) throw new Error('refused');
  const after = wholeOf(done.value.job).surfaces;
  const rows = Papa.parse<Record<string, string>>(scheduleCsv(done.value.job, after), {
    header: true,
    skipEmptyLines: true,
  }).data;
  expect(rows).toHaveLength(surfaces.length);
  expect(rows.find((r) => r['surface'] === heading(nameWord(first.surface.name), done.value.job.units))).toMatchObject({
    room: 'Parlour',
    sheen: 'satin',
    coats: expect.stringMatching(/^\d$/) as unknown as string,
  });
  const groups = alike(after);
  expect(groups.flat()).toHaveLength(surfaces.length);
  for (const group of groups) for (const s of group) expect(differences(at(group, 0), s)).toEqual([]);
  const changed = after.find((s) => s.surface.id === first.surface.id) as Specified;
  expect(differences(first, changed)).toContain('sheen');
  expect(groups.find((g) => g.includes(changed))).toHaveLength(1);
});

test('text that a spreadsheet would run is neutralised in any width; figures stay figures', () => {
  const cells = ['=1+1', '＝1+1', ' ＋2', '－3', '@sum', '\t=4', '\u200b=5', 'Bay', -5];
  expect(toCsv([cells])).toBe(`"'=1+1","'＝1+1","' ＋2","'－3","'@sum","'\t=4","'\u200b=5",Bay,-5\r\n`);
});
