// Makes examples/keepers-cottage.json from its tape sheet and the named edits below: tsx scripts/cottage.ts
import { readFileSync, writeFileSync } from 'node:fs';
import { readAny } from '../core/src/exchange/read.ts';
import { applyEdit, type Edit } from '../core/src/job/edits.ts';
import { personOf } from '../core/src/job/crew.ts';
import { rows } from '../core/src/job/table.ts';
import type { EarlierPaint } from '../core/src/job/recorded.ts';
import type { Job } from '../core/src/job/types.ts';

const read = readAny(readFileSync('examples/keepers-cottage.tape', 'utf8'), "Keeper's cottage");
if (!read.ok) throw new Error(read.problems.map((p) => `${p.line}: ${p.message}`).join('\n'));
let job: Job = { ...read.value.job, id: 'keepers-cottage', name: 'Keeper’s cottage' };

const room = (name: string) => {
  const found = rows(job.rooms).find((r) => r.name === name);
  if (!found) throw new Error(name);
  return found;
};
const wall = (name: string, label: string) => rows(room(name).walls).find((w) => w.label === label)?.id ?? '';
const colour = (id: string, name: string, hex: string): Edit => ({
  name: 'setColour',
  args: { colour: { id, name, hex } },
});
const finish = (scope: string, product: string, id: string): Edit => ({
  name: 'setFinish',
  args: { scope, finish: { product, colour: id } },
});
const parlour = room('Parlour').id;
const loft = room('Loft bedroom').id;
const washroom = room('Washroom').id;
const passage = room('Passage').id;

const wallPaint = job.products['paint-wall'];
if (!wallPaint) throw new Error('paint-wall');
const piece = rows(room('Parlour').parts).find((p) => p.kind === 'built-in')?.id ?? '';

/** What somebody found when they went round; what is left out was not looked at. */
const SOUND = {
  texture: 'smooth',
  coat: 'water-borne',
  condition: 'sound',
  adhesion: null,
  stains: [],
  touched: [],
  repairs: { pinhole: 0, coin: 0, large: 0, anchor: 0 },
} as const;
const FEW = { pinhole: 5, coin: 0, large: 0, anchor: 0 };
const SOME = { pinhole: 10, coin: 2, large: 0, anchor: 2 };

const WASHROOM_WALLS = rows(room('Washroom').walls).map(({ id }) => `${id}/field`);
const NOT_KNOWN = {
  code: '',
  formula: '',
  primer: '',
  thinner: '',
  wax: '',
  note: '',
  source: 'By hand',
  certain: false,
} as const;
/** As the builders left it: one thin coat, sprayed. */
const BUILDERS: EarlierPaint = {
  ...NOT_KNOWN,
  id: 'builders',
  coats: 1,
  product: '',
  colour: 'white',
  hex: '#eeeae0',
  sheen: 'flat',
  base: 'water-borne',
  batch: '',
  fabric: null,
  pile: null,
  laid: 'spray',
  when: '1998',
  who: '',
};
const LAST_TIME: EarlierPaint = {
  ...NOT_KNOWN,
  id: 'last-time',
  coats: 2,
  product: 'Wet room paint, water-borne',
  colour: 'P3 shell',
  code: 'P3',
  formula: 'B 4, Y 2',
  hex: '#e3dccb',
  sheen: 'matte',
  base: 'water-borne',
  batch: '0311',
  fabric: 'microfibre',
  pile: 0.01,
  laid: 'roller',
  when: '2019-05',
  who: 'Ines',
  source: 'The label behind the plate',
};

const edits: Edit[] = [
  {
    name: 'setProduct',
    args: {
      product: {
        ...wallPaint,
        id: 'paint-wall-dense',
        name: 'Wall paint, dense',
        code: 'PAINT-WALL-DENSE',
        contrast: 0.99,
        cans: wallPaint.cans.map((can) => ({ ...can, price: Math.round((can.price * 1.45) / 100) * 100 })),
      },
    },
  },
  {
    name: 'addShelfCan',
    args: {
      can: { id: 'shelf-1', product: 'paint-wall', sheen: 'matte', colour: 'colour-wall', litres: 1.2, batch: '0417' },
    },
  },
  {
    name: 'addOption',
    args: {
      option: {
        id: 'option-1',
        name: 'The parlour’s built-in',
        surfaces: [`${piece}/faces`],
        finish: null,
        taken: false,
      },
    },
  },
  { name: 'setPricing', args: { set: { tax: 0.07, taxName: 'Sales tax', client: 'the harbour trust' } } },
  {
    name: 'setPricing',
    args: {
      set: {
        firm: { name: 'Two Lamps Painting', contact: '555 0134', address: 'The old boathouse, Skerry Point' },
      },
    },
  },
  colour('green', 'G4 pale sea green', '#c3cdbd'),
  colour('deep', 'B7 deep water blue', '#22394f'),
  colour('stone', 'S2 sand stone', '#dfd6c2'),
  finish(`${parlour}:wall`, 'paint-wall', 'green'),
  finish(`${wall('Loft bedroom', 'C')}/field`, 'paint-wall', 'deep'),
  { name: 'setRoom', args: { room: loft, set: { focal: wall('Loft bedroom', 'C') } } },
  // its corner under the slope was never straight
  {
    name: 'setLine',
    args: {
      key: `corner:${[wall('Loft bedroom', 'C'), wall('Loft bedroom', 'D')]
        .map((id) => `${id}/field`)
        .sort()
        .join('+')}:1`,
      set: { wavy: true },
    },
  },
  finish(`${passage}:wall`, 'paint-wall', 'stone'),
  finish(`${washroom}:wall`, 'paint-wet', 'colour-wall'),
  finish(`${washroom}:ceiling`, 'paint-wet', 'colour-ceiling'),
  ...(['all:wall', 'all:ceiling', 'all:trim'] as const).map((scope): Edit => ({
    name: 'setSurvey',
    args: { scope, set: SOUND },
  })),
  { name: 'setSurvey', args: { scope: 'all:wall', set: { substrate: 'plaster', sheen: 'matte', colour: '#e3dccb' } } },
  {
    name: 'setSurvey',
    args: { scope: 'all:ceiling', set: { substrate: 'plaster', sheen: 'flat', colour: '#efece4' } },
  },
  {
    name: 'setSurvey',
    args: { scope: 'all:trim', set: { substrate: 'wood', sheen: 'semi-gloss', colour: '#ece8dc' } },
  },
  {
    name: 'setSurvey',
    args: {
      scope: `${parlour}/ceiling`,
      set: { texture: 'popcorn', colour: '#d9d2c2' },
    },
  },
  {
    name: 'setSurvey',
    args: { scope: `${parlour}:wall`, set: { texture: 'orange-peel', colour: '#b9a98c', repairs: FEW } },
  },
  { name: 'setSurvey', args: { scope: `${loft}:wall`, set: { colour: '#e9e4d6', repairs: FEW } } },
  { name: 'setSurvey', args: { scope: `${washroom}:wall`, set: { repairs: SOME } } },
  { name: 'setSurvey', args: { scope: `${washroom}:trim`, set: { coat: 'oil', sheen: 'gloss', colour: '#e8e2d0' } } },
  { name: 'setSurvey', args: { scope: `${washroom}/ceiling`, set: { stains: ['water'], colour: '#e2d9c4' } } },
  {
    name: 'setSurvey',
    args: {
      scope: `${passage}:wall`,
      set: { touched: ['children', 'hands'], repairs: { pinhole: 24, coin: 4, large: 1, anchor: 3 } },
    },
  },
  {
    name: 'setCrew',
    args: {
      set: {
        people: [
          personOf({ id: 'p1', name: 'Ines', day: 36_000, hand: 'right' }),
          personOf({ id: 'p2', name: 'Tomas', day: 31_500, hand: 'right' }),
        ],
        start: '2026-12-01',
      },
    },
  },
  // on an invented shore; the bay looks south over the sea
  { name: 'setPlace', args: { place: { latitude: 43.9, longitude: -69.2 } } },
  ...[
    [parlour, 0],
    [loft, 0],
    [washroom, 0],
    [passage, 90],
  ].map(([id, bearing]): Edit => ({ name: 'setRoom', args: { room: String(id), set: { bearing: Number(bearing) } } })),
  // the washroom was painted before, and shows it
  { name: 'addEarlier', args: { surfaces: WASHROOM_WALLS, paint: BUILDERS } },
  { name: 'addEarlier', args: { surfaces: WASHROOM_WALLS, paint: LAST_TIME } },
  {
    name: 'addDefect',
    args: {
      defect: {
        id: 'defect-1',
        surface: `${wall('Washroom', 'C')}/field`,
        at: { x: 1.35, y: 1.5 },
        size: 0.35,
        kind: 'flashing',
        seen: '2026-11-20',
        by: 'Ines',
        coat: null,
        signs: { from: 'side', where: 'patches' },
        cause: null,
        remedy: null,
        state: 'open',
        note: 'Where the old cabinet hung; left from last time.',
      },
    },
  },
  {
    name: 'setLeftover',
    args: {
      key: 'paint-wet|satin|colour-wall',
      leftover: { where: 'Oil store, second shelf', litres: 0.8, date: '2026-11-20' },
    },
  },
  ...rows(job.rooms).flatMap((r) =>
    rows(r.openings)
      .filter((o) => o.kind === 'door')
      .map((o): Edit => ({ name: 'setOpening', args: { room: r.id, opening: o.id, set: { leaf: 'panelled' } } })),
  ),
];
for (const edit of edits) {
  const done = applyEdit(job, edit);
  if (!done.ok) throw new Error(done.problems[0]?.message);
  job = done.value.job;
}
writeFileSync('examples/keepers-cottage.json', `${JSON.stringify(job, null, 1)}\n`);
