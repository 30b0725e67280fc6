import { normals, type Random } from '@kovelin/core/units/random.ts';

/** A simulated climate logger in a room: a day's curve with the noise, the gaps and the lost connections that such things have. */
export class ClimateLogger {
  private readonly normal: Random;
  constructor(
    private readonly random: Random,
    private readonly now: () => Date,
  ) {
    this.normal = normals(random);
  }

  /** What it reads now; null: the connection was lost. */
  reading(): AirRead | null {
    if (this.random() < LOST) return null;
    const now = this.now();
    return { at: now.toISOString(), ...this.airAt(now.getHours() * 60 + now.getMinutes()) };
  }

  /** The air at a minute of the day, with its noise. */
  private airAt(minute: number): Omit<AirRead, 'at'> {
    const sun = Math.max(0, Math.sin((Math.PI * (minute - 6 * 60)) / (14 * 60)));
    const round = (value: number, digits: number) => Number(value.toFixed(digits));
    return {
      temperature: round(17 + 5 * sun + NOISE.temperature * this.normal(), 1),
      humidity: round((58 - 12 * sun + NOISE.humidity * this.normal()) / 100, 2),
      draught: round(Math.max(0, 0.1 + NOISE.draught * this.normal()), 2),
    };
  }

  /** The log of today as CSV, a row a quarter of an hour; null: the connection was lost on the way. */
  today(): string | null {
    if (this.random() < LOST) return null;
    const date = this.now().toISOString().slice(0, 10);
    const rows: string[] = [];
    for (let at = FROM; at <= TO; at += STEP) {
      if (this.random() < GAP) {
        // out of battery, or out of reach, for a while
        at += STEP * (2 + Math.floor(this.random() * 4));
        continue;
      }
      const { temperature, humidity, draught } = this.airAt(at);
      const clock = `${String(Math.floor(at / 60)).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`;
      rows.push(`${date} ${clock},${temperature.toFixed(1)},${(humidity * 100).toFixed(0)},${draught.toFixed(2)}`);
    }
    return ['Time,Temperature (°C),Relative humidity (%),Draught (m/s)', ...rows, ''].join('\r\n');
  }
}

export interface AirRead {
  /** ISO time. */
  readonly at: string;
  /** °C, a share of 1, and m/s. */
  readonly temperature: number;
  readonly humidity: number;
  readonly draught: number;
}

/** From six in the morning to eight at night [starting judgements, as all of these]. */
const [FROM, TO, STEP] = [6 * 60, 20 * 60, 15];
const GAP = 0.03;
const LOST = 0.05;
const NOISE = { temperature: 0.2, humidity: 1, draught: 0.02 } as const;
