import { describe, expect, test } from '@jest/globals';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { rows } from '../job/table.ts';
import { PART_KINDS } from '../job/vocabulary.ts';
import { sentence } from '../units/problem.ts';
import { said } from '../units/word.ts';
import { GLOSSARY } from '../words/glossary.ts';
import { readAny } from './read.ts';

const root = join(__dirname, '../../..');
const text = (path: string) => readFileSync(join(root, path), 'utf8');
const formats = text('docs/formats.md');
/** What stands indented below a line `units`, as it would be typed. */
const sheets = formats
  .split(/\n(?! {4}|\n)/)
  .flatMap((part) => /(?: {4}.*\n|\n)* {4}units (?:.*\n| {4}.*\n|\n)*/.exec(`${part}\n`)?.[0] ?? [])
  .map((block) => block.replaceAll(/^ {4}/gm, '').trim());

describe('formats.md', () => {
  test('its tape sheet is a room: four walls, a door, a window, a diagonal, trim, a dado and lights', () => {
    const read = readAny(sheets[0] ?? '', 'x');
    if (!read.ok) throw new Error(read.problems.map(sentence).join('\n'));
    const [room] = rows(read.value.job.rooms);
    expect(room).toMatchObject({ name: 'Loft bedroom', trim: { baseboard: { girth: { typed: '6 1/2"' } } } });
    expect([room?.walls, room?.openings, room?.parts].map((table) => table?.order.length)).toEqual([4, 2, 2]);
    expect(room?.checks).toHaveLength(1);
  });
  test('its sheet of a whole job says all that it says', () => {
    const whole = sheets[1]?.replace(
      '...',
      'wall B 3 R\nwall C 3.6 R\nwall D 3 R\nheight 2.4\ndoor d1 on A 0.76 x 1.98 at 1 casing none\nwindow w1 on C 1 x 1 at 1 sill 1',
    );
    const read = readAny(whole ?? '', 'x');
    if (!read.ok) throw new Error(read.problems.map(sentence).join('\n'));
    const { job } = read.value;
    expect([job.region.country, job.crew.people.map(({ name }) => name)]).toEqual(['GB', ['Ana']]);
    expect(Object.values(job.products).some(({ name }) => name === 'Own wall paint')).toBe(true);
    expect(Object.values(job.survey).some((given) => given.coat === 'oil' && given.built === 1931)).toBe(true);
    expect(Object.values(job.colours).map(({ hex }) => hex)).toEqual(expect.arrayContaining(['#dfd6c2', '#22394f']));
  });
  test('its grammar names every kind of part', () => {
    for (const kind of PART_KINDS) expect(formats).toContain(kind);
  });
});

describe('what is read', () => {
  const pages = [
    'README.md',
    'CONTRIBUTING.md',
    ...['docs', 'docs/guide'].flatMap((folder) =>
      readdirSync(join(root, folder))
        .filter((name) => name.endsWith('.md'))
        .map((name) => `${folder}/${name}`),
    ),
  ];
  test.each(pages)('%s leads only to what is there, pictures with it', (page) => {
    const links = [...text(page).matchAll(/\]\((?!https?:)([^)#\s]+)(?:#[^)]*)?\)/g)].map(([, to]) => to ?? '');
    expect(links.filter((to) => !existsSync(join(root, dirname(page), to)))).toEqual([]);
  });
  test('a guide a step, each with a heading', () => {
    for (const step of ['measure', 'specify', 'order', 'technique', 'sequence', 'site', 'inspect', 'record', 'work'])
      expect(text(`docs/guide/${step}.md`)).toMatch(/^# \S/);
  });
  test('words of the trade: each once, in order, in whole sentences, in its reader’s English', () => {
    expect(new Set(GLOSSARY.map(({ key }) => key)).size).toBe(GLOSSARY.length);
    const both = GLOSSARY.map(({ term, meaning }) =>
      (['imperial', 'metric'] as const).map((system) => [said(term, system), said(meaning, system)] as const),
    );
    for (const [, meaning] of both.flat()) expect(meaning).toMatch(/^\S.*[.]$/);
    for (const [, meaning] of both.flat()) expect(meaning.charAt(0)).toBe(meaning.charAt(0).toUpperCase());
    const british = both.map(([, [term, meaning] = ['', '']]) => `${term} ${meaning}`).join(' ');
    for (const word of ['skirting', 'Tins', 'keying', 'matt,', 'sleeve']) expect(british).toContain(word);
    expect(british).not.toMatch(/baseboard|\bcans\b|matte|degloss|latex/i);
  });
});
