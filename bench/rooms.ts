import { readFileSync } from 'node:fs';
import { seededIds, toTable } from '../core/src/job/blank.ts';
import { openJob } from '../core/src/job/open.ts';
import { rows } from '../core/src/job/table.ts';
import type { Job } from '../core/src/job/types.ts';
import type { Opening, Part, Room, Wall } from '../core/src/job/measured.ts';
import { at, ring } from '../core/src/units/list.ts';

/** The keeper's cottage repeated to `count` rooms, every id new. */
export function manyRooms(count: number): Job {
  const opened = openJob(readFileSync('examples/keepers-cottage.json', 'utf8'));
  if (!opened.ok) throw new Error(opened.problems[0]?.message);
  const cottage = rows(opened.value.rooms);
  const ids = seededIds('b');
  const copy = (room: Room, n: number): Room => {
    const map = new Map([...room.walls.order, ...room.openings.order, ...room.parts.order].map((id) => [id, ids()]));
    const to = (id: string) => map.get(id) ?? '';
    return {
      ...room,
      id: ids(),
      name: `${room.name} ${n}`,
      focal: room.focal && map.has(room.focal) ? to(room.focal) : room.focal,
      walls: toTable(rows(room.walls).map((w): Wall => ({ ...w, id: to(w.id) }))),
      openings: toTable(rows(room.openings).map((o): Opening => ({ ...o, id: to(o.id), wall: to(o.wall) }))),
      parts: toTable(rows(room.parts).map((p): Part => ({ ...p, id: to(p.id), wall: p.wall && to(p.wall) }))),
      checks: room.checks.map((c) => ({ ...c, from: to(c.from), to: to(c.to) })),
    };
  };
  const rooms = Array.from({ length: count }, (_, n) => copy(ring(cottage, n), n + 1));
  return { ...opened.value, id: `many-${count}`, name: `${count} rooms`, rooms: toTable(rooms) };
}

/** Median of repeated timings in ms, after warming up. */
export function median(run: () => void, times = 25): number {
  for (let i = 0; i < 5; i++) run();
  const taken = Array.from({ length: times }, () => {
    const start = performance.now();
    run();
    return performance.now() - start;
  });
  return at(
    taken.sort((a, b) => a - b),
    times >> 1,
  );
}

export const line = (what: string, value: string, ratio = '') =>
  console.log(`${what.padEnd(58)} ${value.padStart(12)}  ${ratio}`);
export const ms = (value: number) => `${value.toFixed(value < 10 ? 2 : 1)} ms`;
export const times = (value: number, base: number, of: string) => `${(value / base).toFixed(2)} x ${of}`;
