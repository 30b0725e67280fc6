import { rows, type Opening, type Room, type Wall } from '../job/types.ts';
import { formatLength } from '../units/length.ts';
import type { Problem } from '../units/problem.ts';
import type { Metres, System } from '../units/si.ts';
import { crossing, type Point } from './geometry.ts';
import { boxOf, heightAt, outlineOf, overlaps, type Outline } from './outline.ts';
import { HEIGHT_TOLERANCE } from './ceiling.ts';

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
  const walls = rows(room.walls);
  if (walls.length < 3)
    say(
      'walls',
      `A room needs at least three walls to enclose it; ${room.name} has ${walls.length}. Add the walls that are missing.`,
    );
  const turnsComeRound = checkTurns();
  const outlines = new Map(walls.map((wall) => [wall.id, outlineOf(room, wall, wall.length?.metres ?? null)]));
  for (const wall of walls) checkWall(wall);
  walls.forEach((wall, i) => {
    const next = walls[(i + 1) % walls.length];
    const [a, b] = [outlines.get(wall.id), next && outlines.get(next.id)];
    const [end, start] = [a?.top.at(-1)?.y, b?.top[0]?.y];
    if (next && end !== undefined && start !== undefined && Math.abs(end - start) > HEIGHT_TOLERANCE)
      warnings.push({
        path: at(`walls/${next.id}/height`),
        message: `Wall ${wall.label} ends ${show(end)} high where wall ${next.label} starts ${show(start)} high; measure that corner again if the ceiling does not step there.`,
      });
  });
  const sound: Opening[] = [];
  for (const opening of rows(room.openings)) if (checkOpening(opening)) sound.push(opening);
  checkTrim();
  return { problems, warnings, openings: sound, turnsComeRound };

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
    for (const [name, reading] of [
      ['height', wall.heightStart],
      ['height', wall.heightEnd],
      ['height', wall.peak?.height],
    ] as const)
      if (reading && !(reading.metres > 0))
        say(`${place}/${name}`, `Wall ${wall.label} has a height of nothing; measure it again.`);
    if (wall.peak && wall.length && !(wall.peak.at.metres > 0 && wall.peak.at.metres < wall.length.metres))
      say(
        `${place}/peak`,
        `The peak of wall ${wall.label} is at ${show(wall.peak.at.metres)}, but the wall is ${show(wall.length.metres)} long; it must lie between its ends.`,
      );
  }

  function checkOpening(opening: Opening): boolean {
    const before = problems.length;
    const wall = room.walls.byId[opening.wall];
    const outline = outlines.get(opening.wall);
    if (!wall || !outline || !wall.length) return false;
    const place = `openings/${opening.id}`;
    const name = `${opening.kind === 'opening' ? 'Opening' : opening.kind === 'door' ? 'Door' : 'Window'} ${opening.label}`;
    const box = boxOf(opening);
    if (opening.width.metres > outline.length + GRACE)
      say(
        `${place}/width`,
        `${name} is ${show(opening.width.metres)} wide, but wall ${wall.label} is ${show(outline.length)} long; it must fit inside its wall.`,
      );
    else if (box.right > outline.length + GRACE)
      say(
        `${place}/at`,
        `${name} ends ${show(box.right)} along wall ${wall.label}, which is ${show(outline.length)} long; move it at least ${show(box.right - outline.length)} back.`,
      );
    const low = lowestOver(outline, box.left, Math.min(box.right, outline.length));
    if (box.top > low + GRACE)
      say(
        `${place}/height`,
        `${name} reaches ${show(box.top)} up, above the ceiling, which is ${show(low)} high there; lower its sill or its height.`,
      );
    const clash = sound.find((other) => other.wall === opening.wall && overlaps(boxOf(other), box));
    if (clash)
      say(
        `${place}/at`,
        `${name} overlaps ${clash.label} on wall ${wall.label} (which takes ${show(boxOf(clash).left)} to ${show(boxOf(clash).right)}); two openings cannot share a place.`,
      );
    return problems.length === before;
  }

  function checkTrim(): void {
    const heights = [...outlines.values()].flatMap((outline) => (outline ? outline.top.map((p) => p.y) : []));
    if (!heights.length) return;
    const lowest = Math.min(...heights);
    for (const [kind, run] of Object.entries(room.trim))
      if ((run.at?.metres ?? 0) + run.face.metres > lowest)
        say(
          `trim/${kind}`,
          `The ${kind.replace('-', ' ')} reaches above the lowest wall top (${show(lowest)}); lower it.`,
        );
  }
}

function lowestOver(outline: Outline, left: Metres, right: Metres): Metres {
  const inside = outline.top.filter((p) => p.x > left && p.x < right).map((p) => p.y);
  return Math.min(heightAt(outline, left), heightAt(outline, right), ...inside);
}

/** Walls that cross each other in plan, as a problem naming both. */
export function crossingWalls(room: Room, corners: readonly Point[]): Problem | null {
  const found = crossing(corners);
  if (!found) return null;
  const walls = rows(room.walls);
  const [a, b] = found.map((i) => walls[i]?.label);
  return {
    path: `rooms/${room.id}/walls`,
    message: `Walls ${a} and ${b} of ${room.name} cross each other in plan; a length or a turn between them is wrong.`,
  };
}
