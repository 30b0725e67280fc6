import { airAt } from '../climate/air.ts';
import { touchDryOf } from '../climate/open.ts';
import { setting } from '../job/defaults.ts';
import type { Product } from '../job/paints.ts';
import type { Job } from '../job/types.ts';
import { familyOf, type OperationKind, type TaskKind } from '../job/vocabulary.ts';
import { effective } from '../specify/reasons.ts';
import { labOf } from '../specify/colour.ts';
import { cutCoatsOf } from '../specify/specify.ts';
import { finishOf } from '../lines/finishes.ts';
import { ruleOf, type Lags } from '../paces/rules.ts';
import type { Minutes } from '../units/si.ts';
import type { RuleId } from '../words/reasons.ts';
import { paintOf, type Go } from './goes.ts';
import { deepestIn } from './preparation.ts';

type Waiting = Pick<Job, 'settings' | 'practice' | 'air'>;

/** What one go waits for, elapsed minutes after the other ends; drying runs through breaks. */
export interface Lag {
  readonly from: Go;
  readonly to: Go;
  readonly least: Minutes;
  /** Not later than; null: as late as one likes. */
  readonly most: Minutes | null;
  readonly because: RuleId;
}
interface LagRow {
  readonly rule: RuleId;
  readonly from: readonly TaskKind[];
  readonly to: readonly TaskKind[];
  readonly lag: (from: Go, job: Waiting) => Minutes;
  /** Only where the two touch; left out: all over the room. */
  readonly touching?: (from: Go, to: Go) => boolean;
}

/** What dries after a go: the longest of its operations. */
export function driesAfter(job: Waiting, go: Go): Lags {
  const product = inTheAir(job, go);
  const lags = go.operations.flatMap((op) => {
    const deepest = op.specified ? deepestIn(op.specified.survey, op.coat) : null;
    return ruleOf(op.kind).dries?.({ job, product, deepest }) ?? [];
  });
  return { touch: Math.max(0, ...lags.map((l) => l.touch)), next: Math.max(0, ...lags.map((l) => l.next)) };
}
/** What was laid, as soon dry to the touch as it is in the rooms' air: warmer under a ceiling. */
function inTheAir({ air }: Waiting, go: Go): Product | null {
  const product = paintOf(go);
  const up = go.specified?.surface.kind === 'ceiling' ? 1 : 0;
  return product && { ...product, dry: touchDryOf(product, airAt(air, null, up)).value };
}
const next = (from: Go, job: Waiting): Minutes => driesAfter(job, from).next;
const atOnce = (): Minutes => 0;

/** Another step of the room, or a coat of a surface that the step was done to. */
const onIt = (from: Go, to: Go): boolean =>
  to.specified === null || from.operations.some((op) => op.surface === to.surface);
/** A joint is the trim's and the wall's; a ceiling is beside one only where a crown is, and no lap in a corner is. */
const besideJoints = (from: Go, to: Go): boolean =>
  to.kind === 'lap' && to.specified && familyOf(to.specified.surface.kind) === 'wall'
    ? false
    : to.specified?.surface.kind !== 'ceiling' || from.operations.some((op) => op.specified?.surface.kind === 'crown');

const FIRST_COATS: readonly TaskKind[] = ['prime-cut', 'prime-roll', 'prime-brush', 'lap', 'cut', 'roll', 'brush'];
/** In the order in which a room is prepared. */
const PREPARING: readonly TaskKind[] = ['protect', 'wash', 'fill', 'sand', 'caulk', 'spot'];

/** Before the first coat of a room; a new lag is a row. [common practice, no source; the times are starting values] */
const PREPARED: readonly LagRow[] = [
  {
    rule: 'lag.covered',
    from: ['protect'],
    to: ['wash', 'fill', 'sand', 'caulk', 'spot', 'mask', ...FIRST_COATS],
    lag: atOnce,
  },
  { rule: 'lag.washed', from: ['wash'], to: ['fill', 'sand', 'caulk', 'spot', 'mask', ...FIRST_COATS], lag: next },
  { rule: 'lag.visit', from: ['fill'], to: ['fill'], lag: next },
  { rule: 'lag.filled', from: ['fill'], to: ['sand', 'caulk', 'spot', 'mask', ...FIRST_COATS], lag: next },
  { rule: 'lag.dust', from: ['sand'], to: ['caulk', 'spot', 'mask', ...FIRST_COATS], lag: next },
  { rule: 'lag.caulked', from: ['caulk'], to: ['mask', ...FIRST_COATS], lag: next, touching: besideJoints },
  { rule: 'lag.spotted', from: ['spot'], to: ['mask', ...FIRST_COATS], lag: next, touching: onIt },
];

/** Which goes a row speaks of: tasks of a kind, or a point on the coats of each surface of a family. */
type Where =
  | { readonly tasks: TaskKind }
  | { readonly of: Path['kind'] | 'any'; readonly at: 'start' | 'first' | 'firstEnd' | 'end' };
interface PathRow {
  readonly rule: RuleId;
  readonly when?: (job: Waiting, paths: readonly Path[]) => boolean;
  readonly from: Where;
  readonly to: Where;
  readonly lag: (from: Go, job: Waiting, to: Go) => Minutes;
}
const trimFirst = (job: Waiting): boolean => job.practice.trimOrder === 'trim-first';
const trimLast = (job: Waiting): boolean => !trimFirst(job);
const isOneDay = (job: Waiting): boolean => job.practice.trimOrder === 'one-day';
const touch = (from: Go, job: Waiting): Minutes => driesAfter(job, from).touch;
const dryTrim = (_: Go, job: Waiting): Minutes => setting(job, 'mask.dry');
/** From the first coat on: top down, by the school of trim, looked at when dry; pieces hold up nothing. */
const PAINTED: readonly PathRow[] = [
  { rule: 'lag.top-down', from: { of: 'ceiling', at: 'firstEnd' }, to: { of: 'wall', at: 'first' }, lag: touch },
  { rule: 'lag.over-trim', from: { of: 'ceiling', at: 'end' }, to: { of: 'trim', at: 'start' }, lag: atOnce },
  {
    rule: 'lag.trim-first',
    when: trimFirst,
    from: { of: 'trim', at: 'end' },
    to: { of: 'wall', at: 'first' },
    lag: dryTrim,
  },
  {
    rule: 'lag.walls-first',
    when: trimLast,
    from: { of: 'wall', at: 'end' },
    to: { of: 'trim', at: 'first' },
    lag: touch,
  },
  {
    rule: 'lag.dry-to-mask',
    // card shields the floor from the trim's paint; where none is painted it lies there from the beginning
    when: (job, paths) => trimLast(job) && paths.some((path) => path.kind === 'trim'),
    from: { of: 'wall', at: 'end' },
    to: { tasks: 'card' },
    lag: touch,
  },
  { rule: 'lag.masked', from: { tasks: 'card' }, to: { of: 'trim', at: 'first' }, lag: atOnce },
  {
    rule: 'lag.look',
    from: { of: 'any', at: 'end' },
    to: { tasks: 'look' },
    lag: (_, job) => setting(job, 'look.dry'),
  },
  { rule: 'lag.look-whole', from: { tasks: 'unmask' }, to: { tasks: 'look' }, lag: atOnce },
  { rule: 'lag.look-whole', from: { tasks: 'mend' }, to: { tasks: 'touch-up' }, lag: next },
  { rule: 'lag.touch-up', from: { tasks: 'look' }, to: { tasks: 'touch-up' }, lag: atOnce },
  { rule: 'lag.clear', from: { tasks: 'touch-up' }, to: { tasks: 'clear' }, lag: atOnce },
];

/** All lags of the goes of one room. How a cut of a last coat is rolled while it is wet is Sequence's. */
export function lagsOf(job: Waiting, goes: readonly Go[]): Lag[] {
  // all in a day, laps that get tape are laid before anything else: they are no part of their surface's coats
  const early = isOneDay(job) ? goes.filter((go) => go.kind === 'lap') : [];
  const paths = pathsOf(goes.filter((go) => !early.includes(go)));
  const at = (where: Where): readonly Go[] =>
    'tasks' in where
      ? goes.filter((go) => go.kind === where.tasks)
      : paths.filter((path) => where.of === 'any' || path.kind === where.of).map((path) => path[where.at]);
  const rows = PAINTED.filter((row) => row.when?.(job, paths) ?? true);
  const turned = turnedBy(goes);
  return [
    ...beforeCoats(job, goes, [...early, ...paths.map((path) => path.start)]),
    ...paths.flatMap((path) => betweenCoats(job, path)),
    ...rows.flatMap((row) =>
      at(row.from).flatMap((from) =>
        at(row.to).flatMap((to) => (turned(from, to) ? [] : [lag(from, to, row.rule, row.lag(from, job, to))])),
      ),
    ),
    ...alongLines(job, goes, paths),
    ...faceWax(job, goes, paths),
    ...mending(job, goes, paths),
    ...(isOneDay(job) ? allInADay(early, paths) : []),
  ];
}

const lag = (from: Go, to: Go, because: RuleId, least: Minutes = 0, most: Minutes | null = null): Lag => ({
  from,
  to,
  because,
  least,
  most,
});

/** The coats of one surface in order. */
interface Path {
  readonly goes: readonly Go[];
  readonly kind: 'ceiling' | 'wall' | 'trim' | 'piece';
  /** The first go of all, and of the first finish coat; the last of that coat, and of all. */
  readonly start: Go;
  readonly first: Go;
  readonly firstEnd: Go;
  readonly end: Go;
}
function pathsOf(goes: readonly Go[]): Path[] {
  const bySurface = new Map<string, Go[]>();
  for (const go of goes) if (isCoat(go)) bySurface.set(go.surface, [...(bySurface.get(go.surface) ?? []), go]);
  return [...bySurface.values()].map((own): Path => {
    const [start, end] = [own[0] as Go, own.at(-1) as Go];
    const finish = own.filter((go) => !go.kind.startsWith('prime'));
    const first = finish[0] ?? start;
    const { kind } = (start.specified as NonNullable<Go['specified']>).surface;
    const firstEnd = finish.find((go) => go.kind !== 'lap' && go.kind !== 'cut') ?? first;
    return {
      goes: own,
      kind: kind === 'piece' ? 'piece' : familyOf(kind),
      start,
      first,
      firstEnd,
      end,
    };
  });
}

/** Part of a coat of a surface; tape is not, nor what keeps a window from sticking. */
const isCoat = (go: Go): boolean =>
  go.specified !== null && go.kind !== 'mend' && go.kind !== 'mask' && go.kind !== 'unmask' && !isFaceWax(go);
/** Whether it is waxing of a face. */
export const isFaceWax = ({ operations }: Go): boolean => operations[0]?.kind === 'face-wax';

/** Windows are waxed where they meet when their last coat is dry, before they are looked over. */
const faceWax = (job: Waiting, goes: readonly Go[], paths: readonly Path[]): Lag[] =>
  goes
    .filter(isFaceWax)
    .flatMap((wax) => [
      ...paths
        .filter((path) => path.end.surface === wax.surface)
        .map(({ end }) => lag(end, wax, 'lag.face-waxed', touch(end, job))),
      ...goes.filter((go) => go.kind === 'look').map((look) => lag(wax, look, 'lag.look-whole')),
    ]);

/**
 * A surface is mended when it was looked at; or, where a defect was seen on an earlier coat, when that is dry and before the next, which
 * hides it.
 */
function mending(job: Waiting, goes: readonly Go[], paths: readonly Path[]): Lag[] {
  const visits = goes.filter((go) => go.kind === 'mend');
  const looks = goes.filter((go) => go.kind === 'look');
  return visits.flatMap((go): Lag[] => {
    const before = visits.find((other) => other.surface === go.surface && other.coat === go.coat - 1);
    const later = before ? [lag(before, go, 'lag.mended', next(before, job))] : [];
    const path = paths.find(({ end }) => end.surface === go.surface);
    const after = go.operations[0]?.after ?? null;
    const dry = setting(job, 'look.dry');
    const coats = path?.goes.filter((own) => !own.kind.startsWith('prime')) ?? [];
    const seenOn = after === null ? undefined : coats.findLast((own) => fieldCoat(own) <= after);
    const hides = coats.slice(seenOn ? coats.indexOf(seenOn) + 1 : coats.length);
    if (!hides.length || !seenOn) return before ? later : looks.map((look) => lag(look, go, 'lag.mend'));
    const last = !visits.some((other) => other.surface === go.surface && other.coat === go.coat + 1);
    return [
      ...later,
      ...(before ? [] : [lag(seenOn, go, 'lag.mend', dry)]),
      ...(last ? [lag(go, hides[0] as Go, 'lag.mend-first', next(go, job))] : []),
    ];
  });
}

/** Each step waits for those before it that no step in between waits for long enough. */
function beforeCoats(job: Waiting, goes: readonly Go[], firsts: readonly Go[]): Lag[] {
  const steps = goes
    .filter((go) => PREPARING.includes(go.kind))
    .sort((a, b) => PREPARING.indexOf(a.kind) - PREPARING.indexOf(b.kind) || a.coat - b.coat);
  const targets = [...steps, ...goes.filter((go) => go.kind === 'mask'), ...firsts];
  const comesBefore = (a: Go, b: Go) => a.kind !== b.kind || a.coat < b.coat;
  const rowOf = (from: Go, to: Go) =>
    comesBefore(from, to)
      ? PREPARED.find((r) => r.from.includes(from.kind) && r.to.includes(to.kind) && (r.touching?.(from, to) ?? true))
      : undefined;
  return targets.flatMap((to) =>
    steps.flatMap((from, i): Lag[] => {
      const row = rowOf(from, to);
      if (!row) return [];
      const least = row.lag(from, job);
      const covered = steps
        .slice(i + 1)
        .some((mid) => rowOf(mid, to) !== undefined && (rowOf(from, mid)?.lag(from, job) ?? -1) >= least);
      return covered ? [] : [lag(from, to, row.rule, least)];
    }),
  );
}

/** The coat of the field that a go belongs to: cuts may be more. */
const fieldCoat = (go: Go): number => (go.kind === 'cut' || go.kind === 'lap' ? go.coat - earlyCuts(go) : go.coat);
/** Cuts that go before the first coat of the field, numbered with its own. */
const earlyCuts = ({ specified: s }: Go): number => (s ? cutCoatsOf(s) - effective(s.system.coats) : 0);

/** A coat is cut, then rolled, the last one while its cut is wet; then it dries for the next. */
function betweenCoats(job: Waiting, { goes, end }: Path): Lag[] {
  return goes.slice(1).map((to, i): Lag => {
    const from = goes[i] as Go;
    const follows =
      ((from.kind === 'cut' || from.kind === 'lap') && to.kind === 'roll') ||
      (from.kind === 'prime-cut' && to.kind === 'prime-roll') ||
      // a coat that is rolled before it is cut
      (from.kind === 'roll' && to.kind === 'cut' && from.coat === to.coat - earlyCuts(to));
    if (from.kind === 'lap' && to.kind === 'cut') return lag(from, to, 'lag.lap-first');
    if (to.kind === 'wax') return lag(from, to, 'lag.waxed', next(from, job));
    if (!follows)
      return lag(
        from,
        to,
        to.kind.startsWith('prime') || !from.kind.startsWith('prime') ? 'lag.recoat' : 'lag.primed',
        next(from, job),
      );
    return lag(from, to, to === end && from.kind !== 'roll' ? 'lag.wet-cut' : 'lag.cut-first');
  });
}

/** All in a day: taped laps first thing, and of the walls those with the deepest colour, for they dry slowly. */
function allInADay(early: readonly Go[], paths: readonly Path[]): Lag[] {
  const walls = paths.filter((path) => path.kind === 'wall');
  const lightness = ({ start }: Path): number => (start.specified ? labOf(start.specified.colour.hex).l : 100);
  const deepest = Math.min(...walls.map(lightness));
  const [deep, others] = [walls.filter((w) => lightness(w) === deepest), walls.filter((w) => lightness(w) > deepest)];
  return [
    ...early.flatMap((lap) => paths.map((path) => lag(lap, path.start, 'lag.first-thing'))),
    ...deep.flatMap((one) => others.map((other) => lag(one.first, other.first, 'lag.deep-first'))),
  ];
}

/** Where some line is made the other way round, its finish does not wait for the one that waits for it. */
function turnedBy(goes: readonly Go[]): (from: Go, to: Go) => boolean {
  const finishes = new Map(
    goes.flatMap(({ surface, specified }) => (specified ? [[surface, finishOf(specified)]] : [])),
  );
  const before = new Set(
    goes.flatMap(({ surface, operations }) =>
      operations.flatMap(({ kind, against }) =>
        against !== null && finishes.has(against) && CUTS.has(kind)
          ? [`${finishes.get(against)}>${finishes.get(surface)}`]
          : [],
      ),
    ),
  );
  return (from, to) =>
    finishes.has(to.surface) && before.has(`${finishes.get(to.surface)}>${finishes.get(from.surface)}`);
}
const CUTS: ReadonlySet<OperationKind> = new Set<OperationKind>(['cut', 'trim-edge']);

/** Tape is pulled not later than this many times the minutes that paint takes to get tacky [starting judgement]. */
const TACKY = 3;

/**
 * What the lines ask: what lapped is dry before the other side's last coat is cut to it; tape lies on paint that has
 * hardened, before the coat that it is for, and comes off as the practice has it.
 */
function alongLines(job: Waiting, goes: readonly Go[], paths: readonly Path[]): Lag[] {
  const ends = new Map(paths.map((path) => [path.end.surface, path.end]));
  const lapped = new Map<string, Go>();
  const cuts = new Map<string, Map<number, Go>>();
  for (const go of goes)
    for (const { line, against, kind, coat, surface } of go.operations) {
      if (line === null) continue;
      if (kind === 'lap') lapped.set(line, go);
      if (against === null || !CUTS.has(kind)) continue;
      const key = `${line} ${surface}`;
      cuts.set(key, (cuts.get(key) ?? new Map<number, Go>()).set(coat, go));
    }
  const lags = new Map<string, Lag>();
  const add = (from: Go | undefined, to: Go | undefined, rule: RuleId, least: Minutes, most: Minutes | null = null) => {
    if (!from || !to || from === to) return;
    const key = `${from.id}>${to.id}`;
    const known = lags.get(key);
    if (!known || known.least < least) lags.set(key, lag(from, to, rule, least, most));
  };
  const dry = (from: Go): Minutes => {
    const own = driesAfter(job, from).touch;
    return from.specified && familyOf(from.specified.surface.kind) === 'trim' ? dryTrim(from, job) : own;
  };
  for (const go of goes)
    for (const { line, against, kind, coat, surface } of go.operations) {
      if (line === null || against === null) continue;
      const own = cuts.get(`${line} ${surface}`);
      const first = lapped.get(line) ?? ends.get(against);
      if (CUTS.has(kind) && own && coat === Math.max(...own.keys()) && first) add(first, go, 'lag.lapped', dry(first));
      // all in a day, the tape lies on what was lapped first thing
      const there = (isOneDay(job) ? lapped.get(line) : undefined) ?? ends.get(against);
      if (kind === 'spatter') {
        if (there) add(there, go, 'lag.dry-to-mask', dry(there));
        add(go, paths.find((path) => path.start.surface === surface)?.first, 'lag.masked', 0);
      }
      if (kind === 'mask') {
        if (there) add(there, go, 'lag.tape-after', tapeAfter(job, there));
        add(go, own?.get(coat), 'lag.masked', driesAfter(job, go).touch);
      }
      if (kind === 'unmask' && go.kind === 'unmask') {
        const laid = own?.get(coat);
        const tacky = setting(job, 'tape.tacky');
        if (job.practice.pull === 'tacky') add(ends.get(surface), go, 'lag.pull-tacky', tacky, tacky * TACKY);
        else add(ends.get(surface) ?? laid, go, 'lag.pull-dry', laid ? dry(laid) : 0);
      }
    }
  return [...lags.values()];
}

/** How long paint hardens before tape lies on it: by its label, else the starting value. */
const tapeAfter = (job: Waiting, { specified }: Go): Minutes =>
  specified?.product.tapeAfter ?? setting(job, 'tape.after');
