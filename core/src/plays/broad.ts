import { groupBy } from '../units/group.ts';
import { setting } from '../job/defaults.ts';
import { overlay, type Layer } from '../measure/overlay.ts';
import { effective } from '../specify/reasons.ts';
import { because, type Reason } from '../words/reasons.ts';
import { groundOf, isCut, type CutLine, type Ground, type PlayAsk } from './ground.ts';
import { howOf, mannerOf, type Manner } from './manner.ts';
import { areaOf, type Done, type Draft, type Drafted } from './play.ts';
import { layersOf, rolledStrokes, stripsOf, wayOf, type Seen } from './rolled.ts';
import { bandAlong, joined, within } from './shapes.ts';
import { stationsOf } from './stations.ts';

const stretchId = ({ id }: CutLine, i: number): string => `cut:${id}/${i + 1}`;

function bandsOf({ lines, box }: Ground, { band }: Manner): Layer[] {
  return lines.flatMap((line) =>
    line.stretches.flatMap((stretch, i): Layer[] => {
      const points = within(bandAlong(stretch, band), box);
      return points.length > 2 ? [{ id: stretchId(line, i), points }] : [];
    }),
  );
}

/** What is left of the time along a line for rolling over its band. */
const BACK_ROLL = 0.15;

/** Each line in stretches; again where it is cut more often; then the band rolled over, while it is wet. */
function cutStrokes(
  { done, job }: PlayAsk,
  { lines, stretch }: Ground,
  { backRolled, band }: Manner,
  seen: Seen,
): Draft[] {
  return lines.flatMap((line): Draft[] => {
    const isOf = (d: Done) =>
      isCut(d) && (d.line === line.id || (d.line === null && (line.blind || d.kind === 'prime-cut')));
    const passes = [...new Set(done.filter(isOf).map((d) => d.coat))].sort((a, b) => a - b);
    const ids = line.stretches.map((_, i) => stretchId(line, i)).filter((id) => seen.shapes(id).length > 0);
    const share = backRolled && ids.length ? 1 - BACK_ROLL : 1;
    return passes.flatMap((coat, pass): Draft[] => {
      const of = (d: Done) => isOf(d) && d.coat === coat;
      const name = (id: string) => (pass ? `${id}~${pass + 1}` : id);
      // round fittings, and frames that the drawing has no place for
      const step = `cut:${line.id}`;
      const placeless: Draft = {
        step,
        id: name(`cut:${line.id}`),
        kind: pass ? 'cut-again' : 'cut',
        of,
        weight: line.length,
      };
      if (!ids.length) return [placeless];
      const strokes = line.stretches.flatMap((segment, i): Draft[] => {
        const id = stretchId(line, i);
        const shape = seen.shapes(id);
        if (!shape.length) return [];
        // a brushed film is thinner; its first coat is counted with the field
        const film = seen.area(id) * (pass ? setting(job, 'hiding.cutFilm') : 1);
        // what is hidden of a line takes no time
        const weight = (Math.max(seen.area(id), 1e-9) / band) * share;
        const plain = { id: name(id), step, path: segment, of, weight, film };
        return [
          pass
            ? { ...plain, kind: 'cut-again', overlaps: shape.map((one) => ({ stroke: id, shape: one })) }
            : { ...plain, kind: 'cut', shape, area: areaOf(shape) * stretch },
        ];
      });
      const again: Draft = {
        id: name(`band:${line.id}`),
        kind: 'back-roll',
        step,
        overlaps: ids.flatMap((id) => seen.shapes(id).map((shape) => ({ stroke: name(id), shape }))),
        of,
        weight: strokes.reduce((sum, s) => sum + s.weight, 0) * (BACK_ROLL / (1 - BACK_ROLL)),
      };
      return backRolled ? [...strokes, again] : strokes;
    });
  });
}

/** Cut along each line, then rolled out of the corner, each strip into the last while that is wet; a first coat may be rolled before it is cut. */
export function broadPlay(ask: PlayAsk): Drafted | null {
  const cover = effective(ask.specified.system.cover).width;
  const ground = groundOf(ask, cover);
  if (!ground) return null;
  const manner = mannerOf(ask);
  const strips = stripsOf(ask, ground, manner);
  // a strip that reaches beyond a wall's slopes is told by the layer it lies on: only what is over the surface is its own
  const { pieces } = overlay([...ground.under, ...layersOf(strips), ...bandsOf(ground, manner), ...ground.over]);
  const shapes = new Map(
    [...groupBy(pieces, ({ id }) => id)].map(([id, own]) => [id, joined(own.map(({ points }) => points))]),
  );
  const seen: Seen = {
    shapes: (id) => shapes.get(id) ?? [],
    area: (id) => areaOf(shapes.get(id) ?? []) * ground.stretch,
  };
  const cuts = cutStrokes(ask, ground, manner, seen);
  const { drafts: rolled, together } = rolledStrokes(ask, ground, manner, strips, seen);
  const drafts = manner.rollFirst ? [...rolled, ...cuts] : [...cuts, ...rolled];
  const stations = stationsOf(ask, ground, drafts);
  const twice: Reason[] = drafts.some((d) => d.kind === 'cut-again') ? [because('play.twice')] : [];
  const ladder: Reason[] = stations.some((s) => s.kind === 'ladder') ? [because('play.ladder')] : [];
  const tray: Reason[] = stations.some((s) => s.kind === 'tray') ? [because('play.tray')] : [];
  const how = howOf(ask, ground, manner, { strips: strips.length, together, cover });
  const [from, to] = wayOf(ground);
  return {
    drafts,
    stations,
    way: { axis: ground.upright ? 'x' : 'y', from, to },
    how: [...how, ...twice, ...tray, ...ladder],
  };
}
