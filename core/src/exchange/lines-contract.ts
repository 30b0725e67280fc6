import { systemOf } from '../job/region.ts';
import type { Job } from '../job/types.ts';
import { schoolOrders, type MadeLine } from '../lines/lines.ts';
import type { Option } from '../lines/methods.ts';
import { circleSentence, lineSentence } from '../lines/say.ts';
import { heading, said } from '../units/word.ts';
import { bad, good, type Result } from '../units/problem.ts';
import { reasonWord } from '../words/reasons.ts';
import type { Whole } from '../whole/whole.ts';

/** `lines`: who laps over whom in each room, every way of making each line, and what each school would cost. */
export function linesContract(job: Job, whole: Whole): Result<unknown> {
  const system = systemOf(job);
  const rooms = [];
  for (const { takeoff, painted, made } of whole.lines) {
    const circle = circleSentence(made, takeoff);
    if (circle) return bad(`${takeoff.room.name}: ${said(circle, system)}.`, { path: `orders/${takeoff.room.id}` });
    const lost = made.lost[0];
    if (lost)
      return bad(
        `${takeoff.room.name}: “${lost.before}” is pinned before “${lost.after}”, and the room has not both finishes; pin finishes that are there: ${made.finishes.map(({ id }) => id).join(', ')}.`,
        { path: `orders/${takeoff.room.id}` },
      );
    rooms.push({
      name: takeoff.room.name,
      finishes: made.finishes.map(({ id, label, surfaces: own }) => ({
        id,
        label: heading(label, system),
        surfaces: own.map((s) => s.surface.id),
      })),
      accent: made.accent && { finish: made.accent.finish, walls: made.accent.walls, assumed: made.accent.assumed },
      lines: made.lines.map((line) => lineContract(line, said(lineSentence(line, takeoff), system), system)),
      order: made.order,
      cost: made.cost,
      minutes: made.minutes,
      gap: made.gap,
      schools: schoolOrders(job, takeoff, painted).map(({ school, order, cost, minutes, chosen }) => ({
        school,
        order,
        cost,
        minutes,
        chosen,
      })),
    });
  }
  return good({ rooms });
}

function lineContract(
  { line, options, chosen, because, pinned }: MadeLine,
  text: string,
  system: Parameters<typeof said>[1],
) {
  const [a, b] = line.sides;
  const firstOf = ({ first }: Option) => line.sides[first].finish ?? line.sides[first].id;
  const priced = (option: Option) => ({
    first: firstOf(option),
    method: option.method,
    stays: option.stays,
    minutes: option.minutes,
    spoilt: option.spoilt,
    tape: option.tape,
    cost: option.cost,
  });
  return {
    id: line.id,
    kind: line.kind,
    corner: line.corner,
    length: line.length,
    surfaces: [a.id, b.id],
    between: [a.finish, b.finish],
    wavy: line.wavy,
    options: options.map(priced),
    chosen: priced(chosen),
    pinned,
    because: because.map((reason) => ({ ...reason, text: said(reasonWord(reason), system) })),
    text,
  };
}
