import type { Litres, Minutes } from '../units/si.ts';
import { groupBy } from '../units/group.ts';
import type { PotLine, SiteState } from './fold.ts';
import { learn, type Believed, type Learned } from './paces.ts';
import { at } from '../units/list.ts';

/** What the order reckoned of a paint for a task, losses and flow conditioner left out. */
export interface PlannedPaint {
  readonly operation: string;
  /** Key of its order line. */
  readonly paint: string;
  /** Of the surface that it goes on. */
  readonly texture: string;
  readonly litres: Litres;
}
/** Between two levels that were read of a paint: what it took, and what had been reckoned for what was done. */
export interface Used {
  readonly paint: string;
  /** null: surfaces of several textures. */
  readonly texture: string | null;
  readonly from: Minutes;
  readonly to: Minutes;
  readonly planned: Litres;
  readonly used: Litres;
  /** ln(spread / planned spread): square metres a litre. */
  readonly y: number;
}
export interface LearnedSpread extends Learned {
  readonly paint: string;
  readonly texture: string | null;
  readonly entries: readonly Used[];
}

/** Less than a glass is lost in reading a dip, litres. */
const LEAST = 0.1;

/** What each paint took between one reading and the next, where something was done with it meanwhile. */
export function usedOf({ pots, tasks }: SiteState, planned: readonly PlannedPaint[]): Used[] {
  const done = planned.flatMap((own) => {
    const at = tasks.get(own.operation)?.done;
    return at === null || at === undefined ? [] : [{ ...own, at }];
  });
  return [...groupBy(pots, ({ paint }) => paint)].flatMap(([paint, lines]) =>
    betweenReadings(lines).flatMap(({ from, to, used }): Used[] => {
      const here = done.filter((own) => own.paint === paint && own.at > from && own.at <= to);
      const litres = here.reduce((sum, own) => sum + own.litres, 0);
      if (used < LEAST || litres < LEAST) return [];
      const textures = new Set(here.map((own) => own.texture));
      const texture = textures.size === 1 ? (here[0]?.texture ?? null) : null;
      return [{ paint, texture, from, to, planned: litres, used, y: Math.log(litres / used) }];
    }),
  );
}
function betweenReadings(lines: readonly PotLine[]): { from: Minutes; to: Minutes; used: Litres }[] {
  const found: { from: Minutes; to: Minutes; used: Litres }[] = [];
  let [from, litres] = [-Infinity, 0];
  for (const { at, opened, left } of lines) {
    litres += opened;
    if (left === null) continue;
    found.push({ from, to: at, used: litres - left });
    [from, litres] = [at, left];
  }
  return found;
}

/** Spread rates of each paint on each texture. */
export function spreadsOf(used: readonly Used[], believed: Believed): LearnedSpread[] {
  const groups = groupBy(used, ({ paint, texture }) => JSON.stringify([paint, texture]));
  return [...groups.values()].map((entries): LearnedSpread => {
    const { paint, texture } = at(entries, 0);
    return {
      paint,
      texture,
      entries,
      ...learn(
        entries.map(({ y }) => y),
        believed,
      ),
    };
  });
}
