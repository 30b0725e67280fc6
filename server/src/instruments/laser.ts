import { normals, type Random } from '@kovelin/core/units/random.ts';

/** A simulated laser distance meter: what it would read of a true distance, with the faults such meters have. */
export interface Shot {
  /** Counts up from 1 within this run of the server. */
  readonly id: number;
  /** Metres; null when the meter got no answer. */
  readonly metres: number | null;
  readonly fault: 'no-return' | null;
  /** ISO time. */
  readonly at: string;
}

/** Starting judgements about such meters: 1.5 mm of noise, and about one shot in twenty-five goes wrong. */
const NOISE = 0.0015;
const NO_RETURN = 0.02;
const STRAY = 0.02;
/** A stray shot ends on something nearer, at this much of the true distance. */
const NEARER = [0.55, 0.95] as const;
const KEPT = 200;

export const RANGE = { least: 0.05, most: 60 } as const;

export class Laser {
  private readonly shots: Shot[] = [];
  private readonly listeners = new Set<(shot: Shot) => void>();
  private count = 0;

  private readonly normal: Random;
  constructor(
    private readonly random: Random,
    private readonly now: () => Date,
  ) {
    this.normal = normals(random);
  }

  /** Presses the button, the meter standing `distance` metres from its target. The reading is to 0.1 mm. */
  press(distance: number): Shot {
    const luck = this.random();
    const [least, most] = NEARER;
    const hit = luck < NO_RETURN + STRAY ? distance * (least + (most - least) * this.random()) : distance;
    const noise = NOISE * this.normal();
    const lost = luck < NO_RETURN;
    const shot: Shot = {
      id: ++this.count,
      metres: lost ? null : Math.max(RANGE.least, Number((hit + noise).toFixed(4))),
      fault: lost ? 'no-return' : null,
      at: this.now().toISOString(),
    };
    this.shots.push(shot);
    if (this.shots.length > KEPT) this.shots.shift();
    for (const listener of this.listeners) listener(shot);
    return shot;
  }

  /** Shots after an id that are still kept. */
  since(id: number): readonly Shot[] {
    return this.shots.filter((shot) => shot.id > id);
  }
  get last(): Shot | null {
    return this.shots.at(-1) ?? null;
  }
  listen(listener: (shot: Shot) => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }
}
