import { describe, expect, test } from '@jest/globals';
import { cottage as openCottage } from '../testing/jobs.ts';
import ICAL from 'ical.js';
import Papa from 'papaparse';
import { viewSchedule } from '../sequence/view.ts';
import { basePlan } from '../whole/plan.ts';
import { wholeOf } from '../whole/whole.ts';
import { planCsv, planIcs } from './plan-files.ts';

const opened = openCottage();
const cottage = { ...opened, crew: { ...opened.crew, zone: 'Europe/Berlin' } };
const plan = viewSchedule(basePlan(cottage), wholeOf(cottage).takeoffs);

describe('a plan as files', () => {
  // read back by ical.js, a library of its own
  test('a calendar has an event a piece of work, at its hour in the zone of the job, with alarms for coats and tape', () => {
    const written = planIcs(cottage, plan);
    if (!written.ok) throw new Error(written.problems[0]?.message);
    const calendar = new ICAL.Component(ICAL.parse(written.value) as unknown[]);
    const events = calendar.getAllSubcomponents('vevent').map((own) => new ICAL.Event(own));
    expect(events).toHaveLength(plan.tasks.reduce((sum, task) => sum + task.pieces.length, 0));
    expect(new Set(events.map((event) => event.uid)).size).toBe(events.length);
    // 1 December 2026, 8:20 in Berlin, is 7:20 in UTC: twenty minutes are for setting up
    expect(events[0]?.startDate.toJSDate().toISOString()).toBe('2026-12-01T07:20:00.000Z');
    for (const event of events) expect(event.endDate.toUnixTime()).toBeGreaterThan(event.startDate.toUnixTime());
    const alarmed = events.filter((event) => event.component.getFirstSubcomponent('valarm'));
    expect(alarmed.length).toBeGreaterThan(10);
    expect(alarmed.length).toBeLessThan(events.length);
    const weekend = events.filter((event) => [0, 6].includes(event.startDate.toJSDate().getUTCDay()));
    expect(weekend).toEqual([]);
  });
  test('without a first day there are no dates, which is said', () => {
    const written = planIcs({ ...cottage, crew: { ...cottage.crew, start: null } }, plan);
    expect(written).toMatchObject({
      ok: false,
      problems: [{ message: 'A calendar needs dates: choose the first day of the job.' }],
    });
  });
  test('a table has a row a piece of work, in order, and all its minutes', () => {
    const { data } = Papa.parse<Record<string, string>>(planCsv(cottage, plan).trim(), { header: true });
    expect(data).toHaveLength(plan.tasks.reduce((sum, task) => sum + task.pieces.length, 0));
    expect(data[0]).toMatchObject({ day: '1', from: '8:20' });
    const minutes = data.reduce((sum, row) => sum + Number(row['minutes']), 0);
    expect(Math.abs(minutes - plan.tasks.reduce((sum, task) => sum + task.work, 0))).toBeLessThan(data.length);
  });
});
