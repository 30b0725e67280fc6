import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { MOST } from '../job/limits.ts';
import { rows } from '../job/table.ts';
import { takeoffJob } from '../measure/takeoff.ts';
import { opened, value } from '../testing/jobs.ts';
import { runs } from '../testing/runs.ts';
import { HOUSE_EXAMPLE, isHouse, readHouse, systemOfHouse } from './house.ts';
import { readAny } from './read.ts';

const HEAD = 'room,length,width,height,doors,windows,use';
const house = (text: string) => value(readHouse(text, 'metric', 's'));
/** The notes, or why it was refused, as somebody reads them. */
const told = (text: string): string[] => {
  const read = readHouse(text, 'metric', 's');
  return (read.ok ? read.value.notes : read.problems).map(({ line, message }) => `${line ?? ''}: ${message}`);
};

test('the example is the file that ships, and a job of four rooms with what stands in it', () => {
  expect(readFileSync('examples/rooms.csv', 'utf8')).toBe(HOUSE_EXAMPLE);
  const job = opened(HOUSE_EXAMPLE);
  expect(takeoffJob(job).map(({ room, floorArea }) => [room.name, room.use, floorArea])).toEqual([
    ['Living room', 'living', expect.closeTo(4.85 * 3.6, 9)],
    ['Bedroom', 'bedroom', expect.closeTo(3.9 * 3.2, 9)],
    ['Bathroom', 'bathroom', expect.closeTo(2.3 * 1.7, 9)],
    ['Hall', 'hall', expect.closeTo(4.1 * 1.2, 9)],
  ]);
  // five doors of the usual size find room on the long walls of a hall
  expect(rows(job.rooms).map((room) => room.openings.order.length)).toEqual([3, 2, 2, 5]);
});

test('law: the same house by any separator, order of columns, unit and case of headings', () => {
  const cm = (min: number, max: number) => fc.integer({ min, max });
  const room = fc.record({ length: cm(200, 900), width: cm(200, 900), height: cm(220, 320) });
  const written = fc.record({
    rooms: fc.array(room, { minLength: 1, maxLength: 6 }),
    separator: fc.constantFrom(',', ';', '\t', '|'),
    unit: fc.constantFrom('cm', 'm', 'mm', 'comma'),
    order: fc.shuffledSubarray(['room', 'length', 'width', 'height'], { minLength: 4 }),
    loud: fc.boolean(),
    inHeading: fc.boolean(),
  });
  fc.assert(
    fc.property(written, ({ rooms, separator, unit, order, loud, inHeading }) => {
      const own = unit === 'comma' ? 'm' : unit;
      const size = (centimetres: number) => {
        const n = own === 'mm' ? centimetres * 10 : own === 'm' ? centimetres / 100 : centimetres;
        const text = unit === 'comma' ? `"${String(n).replace('.', ',')}"` : String(n);
        return inHeading ? text : text.replace(/"?$/, (end) => ` ${own}${end}`);
      };
      const headings = order.map((column) => (inHeading && column !== 'room' ? `${column} (${own})` : column));
      const lines = rooms.map((one, i) =>
        order.map((column) => (column === 'room' ? `R${i}` : size(one[column as 'length']))).join(separator),
      );
      const text = [headings.map((word) => (loud ? word.toUpperCase() : word)).join(separator), ...lines].join('\r\n');
      const read = house(text);
      expect(read.notes).toEqual([]);
      expect(
        read.rooms.map((one) => [...rows(one.walls).map((wall) => wall.length?.metres), one.height?.metres]),
      ).toEqual(
        rooms.map(({ length: l, width: w, height: h }) => [l, w, l, w, h].map((c) => expect.closeTo(c / 100, 9))),
      );
    }),
    runs(60),
  );
});

test.each([
  ['Hall,4.1,,2.5,1,0,hall', /^2: “Hall, 4\.1, , 2\.5, 1, 0, hall” was not read: it has no width\.$/],
  ['Hall,4.1,1.2,-2.5', /^2: .* its height: A length cannot be negative/],
  [
    'Hall,4,1,1,2,2,5,1,0,hall',
    /^2: .* it has 10 parts under 7 headings\. Write 3\.82, or put 3,82 in quotation marks\.$/,
  ],
  ['Hall,long,1.2', /its length: “long” is not a length/],
  ['Hall,410,120', /its length: A length of 410 m is over the limit of 60 m; was a unit or a mark left out\?/],
  ['Hall,4.1,1.2,2.5,two', /“two” is no number of doors; 0 to 99 was expected/],
] as const)('“%s” is left out with its line and what it looked like; the rest is taken', (line, sentence) => {
  const [first] = told(`${HEAD}\n${line}\nBedroom,3.9,3.2\n`);
  expect(first).toMatch(sentence);
  expect(house(`${HEAD}\n${line}\nBedroom,3.9,3.2\n`).rooms.map(({ name }) => name)).toEqual(['Bedroom']);
  expect(readAny(`${HEAD}\n${line}\n`, 'House').ok).toBe(false);
});

test('what is taken with a word: a use that is none, openings without a place; feet, a cell over two lines, no headings, too many', () => {
  expect(told(`${HEAD}\nCloset,0.9,0.9,2.4,2,1,spaceship\n`)).toEqual([
    expect.stringMatching(/^2: 3 of the doors and windows of Closet/),
    expect.stringMatching(/^2: “spaceship” is no use of a room: living, bedroom/),
  ]);
  const feet = `\n\nRoom;Length;Width;Height\n"Living\nroom";12'6;10;8'\nStudy;x;10\n`;
  expect(systemOfHouse(feet)).toBe('imperial');
  // a name says nothing of units
  expect(systemOfHouse(`${HEAD}\nBedroom 2 in the attic,3.9,3.2\n`)).toBe('metric');
  const read = value(readHouse(feet, 'imperial', 's'));
  expect(read.rooms[0]?.name).toBe('Living room');
  expect(rows(read.rooms[0]?.walls ?? { byId: {}, order: [] })[0]?.length).toEqual({
    typed: `12'6`,
    metres: expect.closeTo(3.81, 9),
  });
  expect(read.notes.map(({ line }) => line)).toEqual([6]);
  expect(isHouse('room Hall\nheight 2.5\nwall A 4 R\n')).toBe(false);
  expect(told('Hall,4.1,1.2')).toEqual([expect.stringMatching(/^1: The first line names no length and no width/)]);
  expect(told(`${HEAD}\n`)).toEqual([': This table has no rooms: a line a room was expected.']);
  expect(told(`${HEAD}\n${'Room,4,3\n'.repeat(10_000)}`)).toEqual([
    `: This table has 10,000 rooms; a job holds ${MOST.rooms}. Nothing was read: make a table a floor or a house.`,
  ]);
});
