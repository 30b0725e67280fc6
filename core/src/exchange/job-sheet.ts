import { applyEdit, type Edit } from '../job/edits.ts';
import { startingPaint } from '../job/create.ts';
import { nearest, scopesOf } from '../job/scope.ts';
import { MOST } from '../job/limits.ts';
import type { Id } from '../job/table.ts';
import { personOf, type Crew } from '../job/crew.ts';
import type { Room } from '../job/measured.ts';
import type { Product } from '../job/paints.ts';
import type { Job } from '../job/types.ts';
import { FAMILIES } from '../job/vocabulary.ts';
import { takeoffJob } from '../measure/takeoff.ts';
import { bad, good, type Result } from '../units/problem.ts';
import type { FinishLine, JobLine, SurveyLine } from './job-lines.ts';
import { scopesFor, type SheetScope } from './sheet-scope.ts';
import { TECHNIQUE_WORDS, techniqueEdits } from './technique-lines.ts';

/** A line that says something of the job, and the room it stands in; null: before the first. */
export interface SaidLine {
  readonly line: number;
  readonly room: Room | null;
  readonly said: JobLine;
}

/** What a sheet says of its job, done to it line by line. Errors: the line, and what would be accepted. */
export function applyLines(start: Job, lines: readonly SaidLine[]): Result<Job> {
  let job = start;
  const crew: { people: Crew['people'][number][]; hours: Crew['hours'] } = { people: [], hours: start.crew.hours };
  // what is said of lines and finishes holds for the finishes that the whole sheet says
  const isTechnique = ({ said }: SaidLine) => TECHNIQUE_WORDS.some((word) => word === said.kind);
  for (const one of [...lines.filter((l) => !isTechnique(l)), ...lines.filter(isTechnique)]) {
    const edits = one.said.kind === 'crew' ? hired(job, crew, one.said) : editsOf(job, one, one.said);
    if (typeof edits === 'string') return bad(edits, { line: one.line });
    for (const edit of edits) {
      const done = applyEdit(job, edit);
      if (!done.ok) return bad(done.problems[0]?.message ?? '', { line: one.line });
      job = done.value.job;
    }
  }
  return good(job);
}

const ORDER_OF_CREW = `A crew is one to ${MOST.people} people.`;
function hired(
  job: Job,
  crew: { people: Crew['people'][number][]; hours: Crew['hours'] },
  { name, hours, day, hand }: Extract<JobLine, { kind: 'crew' }>,
): Edit[] | string {
  if (crew.people.length === MOST.people) return ORDER_OF_CREW;
  const usual = job.crew.people[0]?.day ?? 0;
  crew.people.push(
    personOf({ id: `person-${crew.people.length + 1}`, name, day: day ?? usual, hand: hand ?? 'right' }),
  );
  if (hours) crew.hours = hours;
  return [{ name: 'setCrew', args: { set: { people: [...crew.people], hours: crew.hours } } }];
}

function editsOf(job: Job, { room }: SaidLine, said: Exclude<JobLine, { kind: 'crew' }>): Edit[] | string {
  switch (said.kind) {
    case 'region':
      // the units of the sheet hold
      return [
        { name: 'moveTo', args: { country: said.country } },
        { name: 'setUnits', args: { units: job.units } },
      ];
    case 'air':
      return [{ name: 'setAir', args: { set: said.air } }];
    case 'use':
      return room
        ? [{ name: 'setRoom', args: { room: room.id, set: { use: said.use } } }]
        : 'What a room is used for stands below its name.';
    case 'paint': {
      const like = paintNamed(job, said.like);
      if (!like) return unknownPaint(job, said.like);
      const { spread, contrast, recoat, scrub } = said;
      const product: Product = {
        ...like,
        id: said.id,
        name: said.name,
        labelRate: spread ?? like.labelRate,
        contrast: contrast ?? like.contrast,
        recoat: recoat ?? like.recoat,
        scrub: scrub ?? like.scrub,
        code: '',
        source: 'the tape sheet',
      };
      return [{ name: 'setProduct', args: { product } }];
    }
    case 'survey':
      return surveyed(job, room, said);
    case 'finish':
      return finished(job, room, said);
    case 'practice':
    case 'focal':
    case 'line':
    case 'order':
      return techniqueEdits(job, room, said);
  }
}

function surveyed(job: Job, room: Room | null, { scope, set, holes }: SurveyLine): Edit[] | string {
  const scopes = scopesFor(job, room, scope);
  if (typeof scopes === 'string') return scopes;
  if (holes && !room) return 'Holes are said below the name of a room.';
  return [
    ...(holes && room ? [{ name: 'setHoles', args: { room: room.id, how: holes } } as const] : []),
    ...(Object.keys(set).length ? [{ name: 'setSurveys', args: { scopes, set } } as const] : []),
  ];
}

const paintNamed = (job: Job, wanted: string): Product | undefined => {
  const is = (p: Product) => p.id === wanted || p.name.toLowerCase() === wanted.toLowerCase();
  return Object.values(job.products).find(is) ?? startingPaint(job, is);
};
const unknownPaint = (job: Job, wanted: string): string =>
  `“${wanted}” is no paint of this job; ${Object.keys(job.products).join(', ')} are, and what a line “paint” before it says.`;

function finished(job: Job, room: Room | null, { scope, product, colour, sheen }: FinishLine): Edit[] | string {
  const scopes = scopesFor(job, room, scope);
  if (typeof scopes === 'string') return scopes;
  const edits: Edit[] = [];
  const paint = product === null ? null : paintNamed(job, product);
  if (product !== null && !paint) return unknownPaint(job, product);
  if (paint?.role === 'primer') return `“${paint.name}” is a primer; a finish is wanted here.`;
  if (paint && !job.products[paint.id]) edits.push({ name: 'setProduct', args: { product: paint } });
  let hue: Id | null = null;
  if (colour) {
    const name = colour.name ?? colour.hex;
    const known = Object.values(job.colours).find((c) => c.hex === colour.hex && c.name === name);
    hue = known?.id ?? freeId(job, `c-${colour.hex.slice(1)}`);
    if (!known) edits.push({ name: 'setColour', args: { colour: { id: hue, name, hex: colour.hex } } });
  }
  const within = takeoffJob(job)
    .flatMap((t) => t.surfaces)
    .filter((surface) => scopes.some((one) => scopesOf(surface).includes(one)));
  if (paint || hue)
    for (const one of scopes) {
      const before =
        job.finishes[one] ?? (within[0] && nearest(job.finishes, within[0])?.value) ?? fallback(job, scope);
      edits.push({
        name: 'setFinish',
        args: { scope: one, finish: { product: paint?.id ?? before.product, colour: hue ?? before.colour } },
      });
    }
  if (sheen)
    edits.push({
      name: 'decideAll',
      args: { surfaces: within.map((s) => s.id), member: 'sheen', value: sheen },
    });
  return edits;
}
function freeId(job: Job, id: Id): Id {
  let own = id;
  for (let n = 2; job.colours[own]; n++) own = `${id}-${n}`;
  return own;
}
const fallback = (job: Job, { kind }: SheetScope) => {
  const family = FAMILIES.find((one) => one === kind) ?? 'trim';
  const found = job.finishes[`all:${family}`];
  if (!found) throw new Error('openJob refuses a job without its base finishes');
  return found;
};
