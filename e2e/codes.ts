import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { prepareZXingModule as prepareReader } from 'zxing-wasm/reader';
import { prepareZXingModule as prepareWriter } from 'zxing-wasm/writer';

/** Another decoder and encoder of codes than the application's (ZXing's, in C++), from the disk: it would fetch itself otherwise. */
export async function prepared(part: 'reader' | 'writer'): Promise<void> {
  const file = join(import.meta.dirname, `../node_modules/zxing-wasm/dist/${part}/zxing_${part}.wasm`);
  const overrides = { wasmBinary: Uint8Array.from(readFileSync(file)).buffer };
  const prepare = part === 'reader' ? prepareReader : prepareWriter;
  await prepare({ overrides, fireImmediately: true });
}
