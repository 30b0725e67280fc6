import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build } from 'vite';
import { line, manyRooms, ms, times } from './rooms.ts';

interface Spent {
  readonly quarter: number;
  readonly median: number;
}

/** Cold derivation from measures to price against parse and validate of the same file, bundled as it ships, at 30 and 300 rooms. */
export async function benchWhole(): Promise<void> {
  console.log('\nWhole: measures to price of a document nobody saw before, bundled; lower quartile of runs in turn');
  const folder = mkdtempSync(join(tmpdir(), 'kovelin-bench-'));
  try {
    await build({
      configFile: false,
      logLevel: 'error',
      ssr: { noExternal: true },
      build: {
        ssr: 'bench/whole-run.ts',
        outDir: folder,
        minify: true,
        rolldownOptions: { output: { format: 'esm' } },
      },
    });
    const run = (rooms: number, runs: number): Record<'open' | 'derive', Spent> => {
      const file = join(folder, `${rooms}.json`);
      writeFileSync(file, JSON.stringify(manyRooms(rooms)));
      const said = execFileSync(process.execPath, [join(folder, 'whole-run.js'), file, String(runs)], {
        encoding: 'utf8',
      });
      return JSON.parse(said) as Record<'open' | 'derive', Spent>;
    };
    const [few, many] = [run(30, 40), run(300, 8)];
    for (const [rooms, { open, derive }] of [
      [30, few],
      [300, many],
    ] as const) {
      line(`${rooms} rooms: parse and validate`, ms(open.quarter), `median ${ms(open.median)}`);
      line(
        `${rooms} rooms: derive measures to price`,
        ms(derive.quarter),
        `median ${ms(derive.median)}; ${times(derive.quarter, open.quarter, 'parse + validate')}`,
      );
    }
    line('ten times the rooms', times(many.derive.quarter, few.derive.quarter, 'the time'));
  } finally {
    rmSync(folder, { recursive: true });
  }
}
