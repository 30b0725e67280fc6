import { describe, expect, test } from '@jest/globals';
import { HOSTILE_FILES, HOSTILE_READERS } from '../testing/hostile-files.ts';
import { keysOf } from '../units/list.ts';

// how long each takes beside a normal file of its size is shown by `npm run bench -- hostile`
describe.each(keysOf(HOSTILE_FILES))('%s', (kind) => {
  test('ten hostile files are read to the end, or refused: none throws, none holds the reader up', () => {
    const { hostile } = HOSTILE_FILES[kind];
    expect(hostile).toHaveLength(10);
    for (const text of hostile) expect(() => HOSTILE_READERS[kind](text)).not.toThrow();
  });
});
