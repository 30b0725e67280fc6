import type { StrokeKind } from '../job/vocabulary.ts';
import { setting } from '../job/defaults.ts';
import type { Point } from '../measure/geometry.ts';
import type { Ground, PlayAsk } from './ground.ts';
import type { Draft, Shape, Station } from './play.ts';
import { boxOf, middleOf } from './shapes.ts';

const CUT: ReadonlySet<StrokeKind> = new Set<StrokeKind>(['cut', 'cut-again']);
const ROLLED: ReadonlySet<StrokeKind> = new Set<StrokeKind>(['dip', 'spread', 'ends', 'lay-off']);

const shapesOf = ({ shape = [], overlaps = [] }: Draft): readonly Shape[] =>
  shape.length ? shape : overlaps.map((o) => o.shape);

/**
 * Where a ladder stands for what a hand does not reach from the floor, and where the tray stands, so that no load is carried
 * far: each as far along as it serves without being moved.
 */
export function stationsOf({ job }: PlayAsk, ground: Ground, drafts: readonly Draft[]): Station[] {
  const hand = setting(job, 'reach.hand');
  const isHigh = (draft: Draft): boolean =>
    ground.kind === 'ceiling' || Math.max(...shapesOf(draft).flatMap((s) => s.map((p) => p.y))) > hand;
  const high = drafts.filter((d) => CUT.has(d.kind) && shapesOf(d).length > 0 && isHigh(d));
  return [
    ...along(ground, high, setting(job, 'place.ladder'), 'ladder'),
    ...along(ground, withDips(drafts), setting(job, 'place.tray'), 'tray'),
  ];
}

/** A dip is done where the stroke that it feeds is. */
function withDips(drafts: readonly Draft[]): Draft[] {
  const byId = new Map(drafts.map((d) => [d.id, d]));
  return drafts.flatMap((d): Draft[] => {
    if (!ROLLED.has(d.kind)) return [];
    const fed = d.feeds?.map((id) => byId.get(id)).find((f) => f !== undefined);
    const placed = d.kind === 'dip' && fed ? { ...d, shape: fed.shape ?? [] } : d;
    return shapesOf(placed).length ? [placed] : [];
  });
}

/** One place after the other, each serving strokes whose middle is within its reach. */
function along(ground: Ground, drafts: readonly Draft[], reach: number, kind: Station['kind']): Station[] {
  const stations: { at: Point; strokes: string[] }[] = [];
  for (const draft of drafts) {
    const box = boxOf(shapesOf(draft).flat());
    const middle = middleOf(box);
    const at = ground.kind === 'wall' ? { x: middle.x, y: ground.box.bottom } : middle;
    const near = stations.find((s) => Math.hypot(s.at.x - at.x, s.at.y - at.y) <= reach / 2);
    if (near) near.strokes.push(draft.id);
    else stations.push({ at, strokes: [draft.id] });
  }
  return stations.map((station) => ({ kind, ...station }));
}
