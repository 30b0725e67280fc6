import { setting } from '../job/defaults.ts';
import type { DefectKind } from '../job/recorded.ts';
import type { SurfaceId } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import { familyOf } from '../job/vocabulary.ts';
import type { SiteState } from '../site/fold.ts';
import { labOf } from '../specify/colour.ts';
import { holesOf, isDamp, isRaked } from '../specify/case.ts';
import type { Specified } from '../specify/specify.ts';
import type { Minutes } from '../units/si.ts';
import { glossOf } from './touchUp.ts';

/** A surface that is to be looked at: when, and how often it was. */
export interface Look {
  readonly surface: SurfaceId;
  /** When its last coat so far was laid, and which; minutes from the job's start. */
  readonly laid: Minutes;
  readonly coat: number;
  /** Not before: it is dry. Some lines vanish as they dry. */
  readonly first: Minutes;
  /** Again: what shows up late has shown up. */
  readonly second: Minutes;
}
const COATED = /^(.+):(?:roll|wet|brush)(\d*)(?:\/\d+)?$/;

/** Looks that follow from what was done: of each surface after the last coat that it has. */
export function looksOf(job: Pick<Job, 'settings'>, state: Pick<SiteState, 'tasks'>): Look[] {
  const last = new Map<SurfaceId, Look>();
  for (const { operation, done } of state.tasks.values()) {
    const [, surface, coat] = COATED.exec(operation) ?? [];
    if (surface === undefined || done === null || done < (last.get(surface)?.laid ?? -Infinity)) continue;
    const first = done + setting(job, 'look.dry');
    last.set(surface, {
      surface,
      laid: done,
      coat: Number(coat) || 1,
      first,
      second: done + setting(job, 'look.again'),
    });
  }
  return [...last.values()].sort((a, b) => a.first - b.first);
}

/** What tends to show on a surface, and why. */
export interface Shows {
  readonly kind: DefectKind;
  /** 0-1: how plainly, beside the others. */
  readonly weight: number;
  readonly because: readonly ShowsBecause[];
}
export type ShowsBecause =
  | 'sheen'
  | 'deep'
  | 'raked'
  | 'lap'
  | 'patches'
  | 'stains'
  | 'level'
  | 'texture'
  | 'damp'
  | 'edges'
  | 'moves'
  | 'batches';

/** What is asked of a surface besides its system. */
export interface ShowsAsk {
  /** Chance that one of its edges laps; null: it is not rolled in strips. */
  readonly laps: number | null;
  /** It is cut to tape somewhere. */
  readonly taped: boolean;
  /** Cans are used as they come. */
  readonly unboxed: boolean;
}

/** What to look for first on a surface, by its sheen, depth, light, laps and ground [common practice, no source; weights starting judgement]. */
export function showsOn(s: Specified, { laps, taped, unboxed }: ShowsAsk): Shows[] {
  const shine = Math.min(1, glossOf(s.sheen) / 40);
  const deep = Math.max(0, (70 - labOf(s.colour.hex).l) / 70);
  const raked = isRaked(s) ? 1 : 0;
  const broad = familyOf(s.surface.kind) !== 'trim';
  const light = 0.3 + 0.4 * raked + 0.3 * shine;
  const found: Shows[] = [];
  const add = (kind: DefectKind, weight: number, ...because: readonly (ShowsBecause | false)[]) => {
    const said = because.filter((one) => one !== false);
    if (weight >= LEAST) found.push({ kind, weight: Math.min(1, weight), because: said });
  };
  if (broad) {
    if (laps !== null)
      add(
        'lap',
        laps * (light + 0.4 * deep),
        'lap',
        deep > 0.35 && 'deep',
        raked > 0 && 'raked',
        shine > 0.5 && 'sheen',
      );
    add('halo', 0.25 * (light + deep), 'edges', deep > 0.35 && 'deep', shine > 0.5 && 'sheen');
    add('tracks', 0.3 * light, raked > 0 && 'raked', shine > 0.5 && 'sheen');
    add('miss', 0.2 + 0.3 * deep, deep > 0.35 && 'deep');
    if (s.survey.level !== '5' && s.survey.substrate === 'drywall')
      add('flashing', 0.25 * light, 'level', raked > 0 && 'raked');
  } else {
    add('run', 0.3 + 0.3 * shine, 'edges', shine > 0.5 && 'sheen');
    if (s.surface.kind === 'sash' || s.surface.kind === 'door') add('blocking', 0.4, 'moves');
  }
  if (holesOf(s.survey) > 0)
    add('flashing', (0.2 + Math.min(0.4, holesOf(s.survey) / 50)) * (0.6 + light), 'patches', raked > 0 && 'raked');
  if (s.survey.stains.length) add('bleeding', 0.5, 'stains');
  if (isDamp(s.survey)) add('blistering', 0.6, 'damp');
  if (taped)
    add('tape-bleed', s.survey.texture === 'smooth' ? 0.2 : 0.5, 'edges', s.survey.texture !== 'smooth' && 'texture');
  if (unboxed && broad) add('shade', 0.3 * (0.5 + deep), 'batches');
  // the same from two reasons is told once, with the plainer
  const plainest = new Map<DefectKind, Shows>();
  for (const one of found) if ((plainest.get(one.kind)?.weight ?? -1) < one.weight) plainest.set(one.kind, one);
  return [...plainest.values()].sort((a, b) => b.weight - a.weight);
}
/** Below this nobody need look for it. */
const LEAST = 0.08;
