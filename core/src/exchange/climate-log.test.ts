import { describe, expect, test } from '@jest/globals';
import { readClimateLog } from './climate-log.ts';

const read = (text: string) => {
  const log = readClimateLog(text);
  if (!log.ok) throw new Error(log.problems[0]?.message);
  return log.value;
};
const refused = (text: string) => {
  const log = readClimateLog(text);
  return log.ok ? 'read' : log.problems[0]?.message;
};

describe('a climate log', () => {
  test('columns are found by their names, in any order, below a heading; commas, Fahrenheit and clocks of twelve hours are read', () => {
    const { day, date, notes } = read(
      'Logger 7\n\nHumidity %RH;Dew point °C;Date;Time;Temp °F\n50,5;9;2026-03-02;8:00 AM;68\n48;9;2026-03-02;1:30 PM;77\n',
    );
    expect(date).toBe('2026-03-02');
    expect(day.map((r) => [r.at, Number(r.temperature.toFixed(6)), r.humidity, r.draught])).toEqual([
      [480, 20, 0.505, 0.1],
      [810, 25, 0.48, 0.1],
    ]);
    expect(notes).toEqual(['Nothing from 8:00 to 13:30; what lies between is taken as straight.']);
  });
  test('times out of order are put in order and told; rows that cannot be are left out by line; of several days the last counts', () => {
    const rows = [
      'time,temperature,humidity,m/s',
      '2026-03-01 09:00,18,0.5,0.1',
      '2026-03-02 10:00,20,0.5,0.2',
      '2026-03-02 09:30,19,50,0.1',
      '2026-03-02 10:30,21,120,0.1',
      '2026-03-02 10:35,21,49,0.1',
      '2026-03-02 11:00,dead,48,0.1',
      '2026-03-02 11:15,22,47,0.1',
    ];
    const { day, notes } = read(rows.join('\r\n'));
    expect(day.map((r) => r.at)).toEqual([570, 600, 635, 675]);
    expect(notes).toEqual([
      '2 days in it; 2026-03-02 is read.',
      'Times run backwards at line 4; the readings were put in order.',
      '2 rows say no time, temperature or humidity that can be (line 5, 7); left out.',
    ]);
  });
  test('a log of a reading a minute keeps one in ten', () => {
    const rows = Array.from(
      { length: 600 },
      (_, i) => `${8 + Math.floor(i / 60)}:${String(i % 60).padStart(2, '0')},20,50`,
    );
    expect(read(['time,temperature,humidity', ...rows].join('\n')).day).toHaveLength(60);
  });
  test.each([
    ['code,name,price\n1,Wall paint,30', /No row of this file names a temperature and a humidity/],
    ['temperature,humidity\n20,50', /No column of this log is a time; its columns are temperature, humidity/],
    ['time,temperature,humidity\nsoon,20,50', /No row of this log has a time, a temperature and a humidity; line 2/],
    ['', /No row of this file names/],
  ])('%j is refused by a sentence', (text, message) => expect(refused(text)).toMatch(message));
});
