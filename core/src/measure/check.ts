import { entriesOf, pairs } from '../units/list.ts';
import { rows } from '../job/table.ts';
import type { Opening, Part, Room, Wall } from '../job/measured.ts';
import { formatLength } from '../units/length.ts';
import type { Problem } from '../units/problem.ts';
import type { Metres, System } from '../units/si.ts';
import { crossing } from './geometry.ts';
import { placeOf } from './runs.ts';
import { boxOf, riseOf } from './openings.ts';
import { highestFoot, lowestTop, outlineOf, overlaps, type Box, type Outline } from './outline.ts';
import { PART_RULES } from './parts.ts';
import { capital, said, type Word } from '../units/word.ts';
import { openingWord, partWord } from '../words/names.ts';
import { TRIM } from '../words/terms.ts';
import { HEIGHT_TOLERANCE, type planOf } from './ceiling.ts';

/** A millimetre of grace, so that an opening as wide as its wall is not refused for rounding. */
const GRACE = 0.001;
const MEASURED_TURN_TOLERANCE = 3;

export interface RoomCheck {
  /** What cannot be: the thing named is left out of the figures until it is mended. */
  readonly problems: readonly Problem[];
  /** What looks odd, or is not known. */
  readonly warnings: readonly Problem[];
  /** Openings that are sound. */
  readonly openings: readonly Opening[];
  /** Parts that are sound. */
  readonly parts: readonly Part[];
  /** The turns come round, so the walk can be closed. */
  readonly turnsComeRound: boolean;
}

/**
 * What a room's readings cannot mean, each as a sentence with the path of its field.
 * `reversed`: walls whose turn, taken the other way, would bring the walk back; asked only when the turns do not.
 */
export function checkRoom(room: Room, system: System, reversed: () => readonly number[] = () => []): RoomCheck {
  const problems: Problem[] = [];
  const warnings: Problem[] = [];
  const at = (place: string) => `rooms/${room.id}/${place}`;
  const say = (place: string, message: string) => problems.push({ path: at(place), message });
  const show = (metres: Metres) => formatLength(metres, system);
  const heading = (word: Word) => said(capital(word), system);
  const walls = rows(room.walls);
  if (walls.length < 3)
    say(
      'walls',
      `A room needs at least three walls to enclose it; ${room.name} has ${walls.length}. Add the walls that are missing.`,
    );
  const turnsComeRound = checkTurns();
  const outlines = new Map(walls.map((wall) => [wall.id, outlineOf(room, wall, wall.length?.metres ?? null)]));
  for (const wall of walls) checkWall(wall);
  for (const [wall, next] of pairs(walls)) {
    const [a, b] = [outlines.get(wall.id), outlines.get(next.id)];
    const [end, start] = [a?.top.at(-1)?.y, b?.top[0]?.y];
    if (end !== undefined && start !== undefined && Math.abs(end - start) > HEIGHT_TOLERANCE)
      warnings.push({
        path: at(`walls/${next.id}/height`),
        message: `Wall ${wall.label} ends ${show(end)} high where wall ${next.label} starts ${show(start)} high; measure that corner again if the ceiling does not step there.`,
      });
  }
  const sound: Opening[] = [];
  for (const opening of rows(room.openings)) if (checkOpening(opening)) sound.push(opening);
  const covers: { part: Part; box: Box }[] = [];
  const parts = rows(room.parts).filter(checkPart);
  checkTrim();
  return { problems, warnings, openings: sound, parts, turnsComeRound };

  function checkTurns(): boolean {
    if (walls.length < 3) return false;
    const total = walls.reduce((sum, wall) => sum + wall.turn, 0);
    const off = Math.abs(total - 360);
    if (off < 0.01 || (room.turns === 'measured' && off <= MEASURED_TURN_TOLERANCE)) return true;
    const degrees = Number(total.toFixed(2));
    const [wrong] = walls.every((wall) => wall.length) ? reversed() : [];
    const hint =
      wrong !== undefined
        ? ` With the turn after wall ${walls[wrong]?.label} the other way round, the walk comes back.`
        : off === 180
          ? ' One R or L is probably the wrong way round.'
          : '';
    say(
      'turns',
      `The turns of ${room.name} add up to ${degrees} degrees, not 360, so the walk cannot come back to its start.${hint} Check each corner: R is 90 to the right, L is 90 to the left, 45R a canted corner.`,
    );
    return false;
  }

  function checkWall(wall: Wall): void {
    const place = `walls/${wall.id}`;
    if (wall.heightStart === null && room.height === null)
      say(
        `${place}/height`,
        `Wall ${wall.label} has no height, and the room has none to fall back on. Give the room a height.`,
      );
    for (const reading of [wall.heightStart, wall.heightEnd, ...wall.peaks.map((p) => p.height)])
      if (reading && !(reading.metres > 0))
        say(`${place}/height`, `Wall ${wall.label} has a height of nothing; measure it again.`);
    const outline = outlines.get(wall.id);
    if (!outline || !wall.length) return;
    if (wall.bow && wall.bow.rise.metres > wall.length.metres / 2 + GRACE)
      say(
        `${place}/bow`,
        `Wall ${wall.label} bows by ${show(wall.bow.rise.metres)}, more than half its chord of ${show(wall.length.metres)}; an arc that goes further round than a half circle is taped as two walls.`,
      );
    wall.peaks.forEach((peak, i) => {
      const after = wall.peaks[i - 1]?.at.metres ?? 0;
      if (!(peak.at.metres > after && peak.at.metres < outline.length))
        say(
          `${place}/peak`,
          i > 0 && peak.at.metres <= after
            ? `The heights along wall ${wall.label} must come in order: one at ${show(peak.at.metres)} follows one at ${show(after)}.`
            : `The peak of wall ${wall.label} is at ${show(peak.at.metres)}, but the wall is ${show(outline.length)} long; it must lie between its ends.`,
        );
    });
    if (wall.foot) checkFoot(wall, wall.foot, outline);
  }

  function checkFoot(wall: Wall, foot: NonNullable<Wall['foot']>, outline: Outline): void {
    const place = `walls/${wall.id}/foot`;
    const [from, to] = [foot.from.metres, foot.to.metres];
    if (Math.max(from, to) > outline.length + GRACE)
      say(
        place,
        `The stairs beside wall ${wall.label} reach ${show(Math.max(from, to))} along it, but the wall is ${show(outline.length)} long; they must lie beside it.`,
      );
    else if (from === to)
      say(
        place,
        `The stairs beside wall ${wall.label} start and end at the same place; say where they start and where they end.`,
      );
    else {
      const low = outline.foot.find((p) => p.y >= lowestTop(outline, p.x, p.x) - GRACE);
      if (low)
        say(
          place,
          `The stairs beside wall ${wall.label} climb to ${show(low.y)}, where the wall is ${show(lowestTop(outline, low.x, low.x))} high; give the wall its height measured from the floor of the room.`,
        );
    }
  }

  function checkOpening(opening: Opening): boolean {
    const before = problems.length;
    const wall = room.walls.byId[opening.wall];
    const outline = outlines.get(opening.wall);
    if (!wall || !outline || !wall.length) return false;
    const place = `openings/${opening.id}`;
    // most are sound: no name is worded for those
    const name = () => heading(openingWord(opening));
    const box = boxOf(opening, outline);
    if (opening.width.metres > outline.length + GRACE)
      say(
        `${place}/width`,
        `${name()} is ${show(opening.width.metres)} wide, but wall ${wall.label} is ${show(outline.length)} long; it must fit inside its wall.`,
      );
    else if (box.right > outline.length + GRACE)
      say(
        `${place}/at`,
        `${name()} ends ${show(box.right)} along wall ${wall.label}, which is ${show(outline.length)} long; move it at least ${show(box.right - outline.length)} back.`,
      );
    const right = Math.min(box.right, outline.length);
    const low = lowestTop(outline, box.left, right);
    if (box.top > low + GRACE)
      say(
        `${place}/height`,
        `${name()} reaches ${show(box.top)} up, above the ceiling, which is ${show(low)} high there; lower its sill or its height.`,
      );
    const floor = highestFoot(outline, box.left, right);
    if (box.left < right && (opening.sill?.metres ?? 0) < floor - GRACE)
      say(
        `${place}/sill`,
        `${name()} stands ${show(opening.sill?.metres ?? 0)} above the floor of the room, but the stairs are ${show(floor)} high there; give it a sill of at least that.`,
      );
    if (opening.shape === 'circle' && Math.abs(opening.width.metres - opening.height.metres) > GRACE)
      say(
        `${place}/height`,
        `${name()} is a circle, ${show(opening.width.metres)} wide but ${show(opening.height.metres)} high; give both the diameter.`,
      );
    else if (riseOf(opening) > opening.height.metres + GRACE)
      say(
        `${place}/rise`,
        `The head of ${name()} rises ${show(riseOf(opening))}, more than its height of ${show(opening.height.metres)}; its height is measured to the top of the head.`,
      );
    else if (opening.shape === 'segmental' && riseOf(opening) > opening.width.metres / 2 + GRACE)
      say(
        `${place}/rise`,
        `The head of ${name()} rises ${show(riseOf(opening))}, more than half its width; a flatter arc was expected, or a round head.`,
      );
    const clash = sound.find((other) => other.wall === opening.wall && overlaps(boxOf(other, outline), box));
    if (clash)
      say(
        `${place}/at`,
        `${name()} overlaps ${clash.label} on wall ${wall.label} (which takes ${show(boxOf(clash, outline).left)} to ${show(boxOf(clash, outline).right)}); two openings cannot share a place.`,
      );
    return problems.length === before;
  }

  function checkPart(part: Part): boolean {
    const before = problems.length;
    const place = `parts/${part.id}`;
    const name = () => heading(partWord(part));
    const rule = PART_RULES[part.kind];
    for (const key of rule.needs)
      if (part[key] === null || (key !== 'at' && part[key].metres <= 0))
        say(`${place}/${key}`, `${name()} needs its ${(rule.words?.[key] ?? key).toLowerCase()}.`);
    if (rule.place === 'wall' && part.wall === null) say(`${place}/wall`, `${name()} needs the wall it stands on.`);
    if ((rule.place === 'room' || rule.place === 'ceiling') && part.wall !== null)
      say(`${place}/wall`, `${name()} stands on no wall; leave the wall out.`);
    const wall = part.wall === null ? null : room.walls.byId[part.wall];
    const outline = part.wall === null ? null : outlines.get(part.wall);
    if (problems.length > before || !wall?.length || !outline || (part.at === null && !rule.along))
      return problems.length === before && (part.wall === null || Boolean(outline));
    const box = placeOf(part, outline);
    if (box.right > outline.length + GRACE)
      say(
        `${place}/at`,
        `${name()} ends ${show(box.right)} along wall ${wall.label}, which is ${show(outline.length)} long; it must stand on its wall.`,
      );
    const low = lowestTop(outline, box.left, Math.min(box.right, outline.length));
    if (rule.layer && !rule.along && box.top > low + GRACE)
      say(
        `${place}/height`,
        `${name()} reaches ${show(box.top)} up, above the ceiling, which is ${show(low)} high there; lower it.`,
      );
    if (part.kind === 'soffit' && box.bottom < 0)
      say(`${place}/height`, `${name()} drops ${show(part.height?.metres ?? 0)}, below the floor; check its drop.`);
    const cover = rule.layer === 'cover';
    const clash =
      cover &&
      ([...sound.filter((o) => o.wall === part.wall).map((o) => [o.label, boxOf(o, outline)] as const)].find(
        ([, other]) => overlaps(other, box),
      ) ??
        covers
          .filter((c) => c.part.wall === part.wall)
          .map((c) => [c.part.label, c.box] as const)
          .find(([, b]) => overlaps(b, box)));
    // tiles and cabinets may go round an opening; what stands out of the wall may not hide one
    if (clash && part.kind !== 'tile' && part.kind !== 'cabinet')
      say(`${place}/at`, `${name()} overlaps ${clash[0]} on wall ${wall.label}; two things cannot stand in one place.`);
    if (cover && problems.length === before) covers.push({ part, box });
    return problems.length === before;
  }

  function checkTrim(): void {
    const heights = [...outlines.values()].flatMap((outline) => (outline ? outline.top.map((p) => p.y) : []));
    if (!heights.length) return;
    const lowest = Math.min(...heights);
    for (const [kind, run] of entriesOf(room.trim))
      if ((run.at?.metres ?? 0) + run.face.metres > lowest)
        say(
          `trim/${kind}`,
          `The ${said(TRIM[kind], system)} reaches above the lowest wall top (${show(lowest)}); lower it.`,
        );
  }
}

/** Walls that cross each other in plan, as a problem naming both. */
export function crossingWalls(room: Room, plan: ReturnType<typeof planOf>): Problem | null {
  const found = crossing(plan.points);
  if (!found) return null;
  const walls = rows(room.walls);
  const [a, b] = found.map((i) => walls[plan.wallOf[i] ?? 0]?.label);
  return {
    path: `rooms/${room.id}/walls`,
    message: `Walls ${a} and ${b} of ${room.name} cross each other in plan; a length or a turn between them is wrong.`,
  };
}
