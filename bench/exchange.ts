import 'fake-indexeddb/auto';
import { Database } from '../web/src/store/db.ts';
import { anyOf, aroundOf, history } from '../web/src/testing/ring.ts';
import { line } from './rooms.ts';

const RUNS = Number(process.env['HISTORIES'] ?? 200);

/** Three devices that give each other a job while each changes it, against a model that knows who had seen what. */
export async function benchExchange(): Promise<void> {
  console.log(`\nExchange: ${RUNS} random histories of three devices, ten rounds each`);
  const devices = ['desk', 'phone', 'tablet'].map((name) => new Database(name));
  for (const [name, next] of [
    ['in a ring', aroundOf(3)],
    ['to anybody', anyOf(3)],
  ] as const) {
    let [differed, named] = [0, 0];
    for (let seed = 1; seed <= RUNS; seed++) {
      const ring = await history(devices, seed, 30, next);
      differed += ring.differed;
      named += ring.named;
      for (const fault of ring.faults) {
        console.log(`fault: ${fault}`);
        process.exitCode = 1;
      }
    }
    line(
      name,
      `${differed} differences`,
      `who changed it named in ${((100 * named) / differed).toFixed(1)} %, never wrongly unless said above`,
    );
  }
  devices.forEach((db) => db.close());
}
