import type { Defect, RemedyKind } from '../job/recorded.ts';
import { rows } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import type { OperationKind } from '../job/vocabulary.ts';
import { setting } from '../job/defaults.ts';
import { effective } from '../specify/reasons.ts';
import type { Specified } from '../specify/specify.ts';
import type { MendingCoat } from '../specify/spots.ts';
import { groupBy } from '../units/group.ts';
import type { Metres, SquareMetres } from '../units/si.ts';
import { operation, type Labouring, type Operation } from './operation.ts';

/** What of a defect a step is done over. */
type Over = 'spot' | 'surface' | 'run' | 'once';
interface Step {
  readonly kind: OperationKind;
  readonly over: Over;
}
const step = (kind: OperationKind, over: Over = 'spot'): Step => ({ kind, over });
/** A dry place is scraped, filled, sanded, primed and painted, each in its own visit. */
const FILLED = [step('mend-fill'), step('mend-sand'), step('mend-prime'), step('mend-spot')];

/** Each remedy, a visit after the other: what one leaves dries before the next [common practice, no source]. */
export const REMEDY_STEPS: Readonly<Record<RemedyKind, readonly Step[]>> = {
  'ridge-corner': [step('mend-sand'), step('mend-coat', 'surface')],
  'ridge-only': [step('mend-sand'), step('mend-spot')],
  'recoat-section': [step('mend-coat', 'surface')],
  'another-coat': [step('mend-coat', 'surface')],
  'filler-again': FILLED,
  'wipe-off': [step('mend-clean'), step('mend-spot'), step('mend-coat', 'surface')],
  'block-stain': [step('mend-prime'), step('mend-spot')],
  'ease-sash': [step('mend-ease', 'once')],
  'cut-again': [step('mend-cut', 'run')],
  'flatten-spot': [step('mend-sand'), step('mend-spot')],
  'scrape-back': [step('mend-scrape'), ...FILLED],
  'spot-in': [step('mend-spot')],
};

/** Feathered out over so much more than the place itself, m [starting judgement]. */
const FEATHER: Metres = 0.1;
/** What a spot of a size takes, feathered out on each side, m2. @param size in m. */
export const spotArea = (size: Metres): SquareMetres => (size + FEATHER) ** 2;

/** Defects that are to be mended, with what is done about them. */
export interface Mend {
  readonly defect: Defect & { readonly remedy: RemedyKind };
  readonly specified: Specified;
}
/** Open defects that have a remedy, each with its surface. */
export function mendsOf({ defects }: Pick<Job, 'defects'>, surfaces: readonly Specified[]): Mend[] {
  if (!defects.order.length) return [];
  const byId = new Map(surfaces.map((s) => [s.surface.id, s]));
  return rows(defects).flatMap((defect): Mend[] => {
    const specified = byId.get(defect.surface);
    const { remedy } = defect;
    return specified && remedy && defect.state === 'open' ? [{ specified, defect: { ...defect, remedy } }] : [];
  });
}

/** The coat after which a surface is mended: that on which the first of its defects was seen. */
const mendedAfter = (mends: readonly Mend[], coats: number): number =>
  Math.min(coats, ...mends.map(({ defect }) => defect.coat ?? coats));

interface MendedSurface {
  readonly specified: Specified;
  readonly mends: readonly Mend[];
  /** The coat after which it is mended; null: the last. */
  readonly after: number | null;
  readonly steps: (mend: Mend) => readonly Step[];
}
function mendedSurfaces(mends: readonly Mend[]): MendedSurface[] {
  return [...groupBy(mends, ({ defect }) => defect.surface).values()].map((own) => {
    const [{ specified }] = own as [Mend];
    const coat = mendedAfter(own, Infinity);
    const more = coat < effective(specified.system.coats);
    // where coats are still to come, the next one is the coat that would mend it
    const steps = ({ defect }: Mend) =>
      REMEDY_STEPS[defect.remedy].filter(({ kind }) => !(more && kind === 'mend-coat'));
    return { specified, mends: own, after: more ? coat : null, steps };
  });
}

/** What has to be primed again, by what the remedy is for. */
const PRIMED_WITH = { stain: ['blocking'], filled: ['sealing', 'undercoat'] } as const;

/** Paint and primer that remedies take: places by brush, a surface that is coated again once. */
export function mendingCoats(job: Pick<Job, 'settings'>, mends: readonly Mend[]): MendingCoat[] {
  return mendedSurfaces(mends).flatMap(({ specified, mends: own, steps }) => {
    const all = own.flatMap((mend) => steps(mend).map(({ kind }) => ({ kind, defect: mend.defect })));
    const places = all.flatMap(({ kind, defect }): MendingCoat[] => {
      const area = spotArea(defect.size);
      if (kind === 'mend-spot') return [{ specified, primer: null, area }];
      if (kind === 'mend-cut') return [{ specified, primer: null, area: runOf(defect) * setting(job, 'cut.band') }];
      if (kind !== 'mend-prime') return [];
      return [{ specified, primer: PRIMED_WITH[defect.remedy === 'block-stain' ? 'stain' : 'filled'], area }];
    });
    const again = all.some(({ kind }) => kind === 'mend-coat') ? [{ specified, primer: null, area: null }] : [];
    return [...places, ...again];
  });
}

/** Operations that mend what was found: on each surface visit by visit, all its defects together. */
export function mendingOf(job: Labouring, surfaces: readonly Specified[]): Operation[] {
  return mendedSurfaces(mendsOf(job, surfaces)).flatMap(({ specified, mends, after, steps }) => {
    const place = { room: specified.surface.room, specified, after };
    const visits = Math.max(0, ...mends.map((mend) => steps(mend).length));
    return Array.from({ length: visits }, (_, i) => i).flatMap((i) => {
      const kinds = groupBy(
        mends.flatMap((mend) => {
          const own = steps(mend)[i];
          return own ? [{ mend, own }] : [];
        }),
        ({ own }) => own.kind,
      );
      return [...kinds].flatMap(([kind, list]) => {
        const amounts = list.map(({ mend, own }) => ({ name: 'defects', quantity: quantityOf(mend, own) }));
        // a surface is coated once, however many defects ask for it
        const once = list[0]?.own.over === 'surface' ? amounts.slice(0, 1) : amounts;
        return operation(job, place, kind, once, { coat: i + 1 });
      });
    });
  });
}
/** A line that is cut again is at least a hand long. */
const runOf = ({ size }: Pick<Defect, 'size'>): Metres => Math.max(0.1, size);
function quantityOf({ defect, specified }: Mend, { over }: Step): number {
  if (over === 'once') return 1;
  if (over === 'run') return runOf(defect);
  return over === 'surface'
    ? specified.surface.area.value
    : Math.min(specified.surface.area.value, spotArea(defect.size));
}
