import { setting } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import { effective } from '../specify/reasons.ts';
import type { PaintLine } from './paint.ts';
import { thinnestFilm, type SimPaint } from './simulate.ts';

/** What is asked of the simulation for a paint: plain numbers, fit to be handed to a worker. */
export function simulated(job: Pick<Job, 'settings'>, line: PaintLine): SimPaint {
  const elsewhere = new Set(line.shelf.flatMap((use) => use.walls));
  const uses = line.uses.filter((use) => !elsewhere.has(use.specified.surface.id));
  const surfaces = uses.map(({ specified: s, litres, layer, coats: own }) => {
    const coats = effective(s.system.coats);
    return {
      litres: litres.value,
      coats: layer === 'mending' ? own.length : coats,
      thinnest: line.product.role === 'finish' ? thinnestFilm(s.question, coats) : 0,
    };
  });
  return {
    surfaces,
    fixed: line.demand.mean - surfaces.reduce((sum, s) => sum + s.litres, 0),
    spreadCv: setting(job, 'spread.cv'),
    measureCv: setting(job, 'measure.cv'),
  };
}
