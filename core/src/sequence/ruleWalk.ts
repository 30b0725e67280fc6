import type { Random } from '../units/random.ts';
import { Board, choiceFor, type Choice, type Rule } from './board.ts';
import type { Compiled } from './instance.ts';
import { costOf, scoreOf, tailsOf } from './score.ts';
import type { Candidate, Walk } from './walk.ts';

const { exp, floor, min } = Math;

/** A rule with what its biases are made of. */
interface Own {
  /** How urgent a minute is of what follows a task. */
  readonly urgent: number;
  readonly wait: number;
  readonly stay: number;
  readonly least: number;
  readonly stranger: number;
  /** Of each room: whose it is, and how late its turn comes. */
  readonly home: Int8Array;
  /** Of each tool: who has it in the hand; -1: whoever is in the room. */
  readonly holds: Int8Array;
  readonly turn: Float64Array;
  /** Of each task, besides. */
  readonly chance: Float64Array;
}

/** Rules made afresh before the walk goes on from the best of them. */
const AFRESH = 24;
/** Steps without getting better after which the walk goes back to its best, or begins afresh. */
const PATIENCE = 120;
/** Share of the rules by which the work is divided by tool: one cuts, another rolls. */
const BY_TOOL = 0.3;
/** How much worse than where it stands the walk may go. */
const SLACK = 3;

/** Changes the rule by which a crew takes up what may be done, and sees what plan comes of it. */
export class RuleWalk implements Walk {
  private readonly dispatched: Board;
  private readonly board: Board;
  private readonly choice: Choice;
  private readonly rooms: Int32Array;
  private readonly roomCount: number;
  private readonly tools: Int32Array;
  private readonly toolCount: number;
  private readonly tail: Float64Array;
  private now: Own | null = null;
  private nowCost = Infinity;
  private best: { readonly own: Own; readonly cost: number } | null = null;
  private taken = 0;
  private stale = 0;
  private readonly bias: Float64Array;
  private readonly home: Int8Array;

  constructor(
    private readonly problem: Compiled,
    private readonly random: Random,
  ) {
    const { count, tasks } = problem;
    this.dispatched = new Board(problem);
    this.board = new Board(problem);
    this.choice = choiceFor(problem);
    this.tail = tailsOf(problem);
    const names = [...new Set(tasks.map((task) => task.room))];
    this.rooms = Int32Array.from(tasks, (task) => names.indexOf(task.room));
    this.roomCount = names.length;
    const tools = [...new Set(tasks.map((task) => task.tool))];
    this.tools = Int32Array.from(tasks, (task) => tools.indexOf(task.tool));
    this.toolCount = tools.length;
    this.bias = new Float64Array(count);
    this.home = new Int8Array(count);
  }

  step(): Candidate | null {
    const own = this.next();
    if (!this.dispatched.dispatch(this.ruleOf(own))) return null;
    const { chains, count } = this.problem;
    const { start, on } = this.dispatched;
    for (let c = 0; c < chains.length; c++) this.choice.key[c] = start[chains[c]?.[0] as number] as number;
    for (let i = 0; i < count; i++) this.choice.who[i] = aloneOn(on[i] as number);
    if (!this.board.place(this.choice)) return null;
    const score = scoreOf(this.problem, this.board);
    const cost = costOf(this.problem, this.board, score);
    this.stale++;
    if (!this.best || cost < this.best.cost - 1e-6) {
      this.best = { own, cost };
      this.stale = 0;
    }
    if (cost < this.nowCost + (this.taken > AFRESH ? SLACK * this.random() ** 2 : 0))
      [this.now, this.nowCost] = [own, cost];
    return { score, cost, choice: this.choice };
  }

  private next(): Own {
    const n = this.taken++;
    if (n < AFRESH || !this.now) return this.afresh(n === 0);
    if (n === AFRESH || this.stale > PATIENCE) {
      this.stale = 0;
      this.nowCost = Infinity;
      if (this.best && (n === AFRESH || this.random() < 0.6)) this.now = this.best.own;
      else return this.afresh(false);
    }
    return this.changed(this.now);
  }

  private between(least: number, most: number, middle = false): number {
    return middle ? (least + most) / 2 : least + (most - least) * this.random();
  }
  private any(n: number): number {
    return min(n - 1, floor(this.random() * n));
  }
  private afresh(middle: boolean): Own {
    const { count, people } = this.problem;
    const byTool = !middle && people > 1 && this.random() < BY_TOOL;
    const turns = !middle && this.random() < 0.5 ? 30 : 0;
    return {
      urgent: this.between(0.005, 0.06, middle),
      wait: this.between(1, 3, middle),
      stay: this.between(0.5, 5, middle),
      least: this.between(5, 30, middle),
      stranger: this.random() < 0.5 && !byTool ? 0 : this.between(5, 60, middle),
      home: Int8Array.from({ length: this.roomCount }, (_, room) => room % people),
      holds: Int8Array.from({ length: this.toolCount }, () => (byTool ? this.any(people) : -1)),
      turn: Float64Array.from({ length: this.roomCount }, () => turns * this.random()),
      chance: new Float64Array(count),
    };
  }
  /** One small change: of a weight, of a room's turn or whose it is, of some tasks. */
  private changed(from: Own): Own {
    const kind = this.random();
    if (kind < 0.3) {
      const weight = (['urgent', 'wait', 'stay', 'least', 'stranger'] as const)[this.any(5)] ?? 'stay';
      return { ...from, [weight]: from[weight] * exp(this.random() - 0.5) };
    }
    if (kind < 0.4) {
      const turn = Float64Array.from(from.turn);
      const room = this.any(this.roomCount);
      turn[room] = (turn[room] as number) + this.between(-10, 10);
      return { ...from, turn };
    }
    if (kind < 0.45) {
      const home = Int8Array.from(from.home);
      home[this.any(this.roomCount)] = this.any(this.problem.people);
      return { ...from, home };
    }
    const chance = Float64Array.from(from.chance);
    for (let n = 1 + this.any(5); n > 0; n--) {
      const task = this.any(chance.length);
      chance[task] = (chance[task] as number) + this.between(-20, 20);
    }
    return { ...from, chance };
  }

  private ruleOf({ urgent, wait, stay, least, stranger, home, holds, turn, chance }: Own): Rule {
    for (let i = 0; i < this.bias.length; i++) {
      const room = this.rooms[i] as number;
      this.bias[i] = (chance[i] as number) + (turn[room] as number) - urgent * (this.tail[i] as number);
      const held = holds[this.tools[i] as number] as number;
      this.home[i] = held >= 0 ? held : (home[room] as number);
    }
    return { wait, stay, least, stranger, bias: this.bias, home: this.home };
  }
}

/** The one person of a set of bits; -1: several. */
const aloneOn = (on: number): number => (on > 0 && (on & (on - 1)) === 0 ? 31 - Math.clz32(on) : -1);
