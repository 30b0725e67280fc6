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
      const sun = Math.sin((Math.PI * (at - 6 * 60)) / (14 * 60));
      const temperature = 17 + 5 * Math.max(0, sun) + NOISE.temperature * this.normal();
      const humidity = 58 - 12 * Math.max(0, sun) + NOISE.humidity * this.normal();
      const draught = Math.max(0, 0.1 + NOISE.draught * this.normal());
      const clock = `${String(Math.floor(at / 60)).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`;
      rows.push(`${date} ${clock},${temperature.toFixed(1)},${humidity.toFixed(0)},${draught.toFixed(2)}`);
    }
    return ['Time,Temperature (°C),Relative humidity (%),Draught (m/s)', ...rows, ''].join('\r\n');
  }
}

/** From six in the morning to eight at night [starting judgements, as all of these]. */
const [FROM, TO, STEP] = [6 * 60, 20 * 60, 15];
const GAP = 0.03;
const LOST = 0.05;
const NOISE = { temperature: 0.2, humidity: 1, draught: 0.02 } as const;
