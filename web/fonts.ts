import { readFile } from 'node:fs/promises';
import { basename } from 'node:path';
import subset from 'subset-font';
import type { Plugin } from 'vite';
import { isMark, SCRIPT_NAMES, scriptOf, type Script } from '../core/src/exchange/pdf.ts';

/** Letters are looked for up to here: the planes of Unicode that scripts in use are in. */
const LAST = 0x1ffff;
/** What each script is written with, and the marks of all of them. */
function lettersByScript(): { readonly by: ReadonlyMap<Script, string>; readonly marks: string } {
  const by = new Map<Script, string>(SCRIPT_NAMES.map((name) => [name, '']));
  let marks = '';
  for (let code = 0x20; code <= LAST; code++) {
    // halves of a pair are no letters
    if (code >= 0xd800 && code <= 0xdfff) continue;
    const char = String.fromCodePoint(code);
    if (isMark(char)) marks += char;
    else by.set(scriptOf(char), `${by.get(scriptOf(char))}${char}`);
  }
  return { by, marks };
}

/** A typeface as files of one script each: `import files from 'face.ttf?by-script'` gives the address of each. */
export const byScript = (): Plugin => ({
  name: 'typeface-by-script',
  enforce: 'pre',
  async load(id) {
    const [file, query] = id.split('?');
    if (!file || query !== 'by-script') return null;
    const face = await readFile(file);
    const letters = lettersByScript();
    const parts = SCRIPT_NAMES.map(async (script) => {
      const source = await subset(face, `${letters.by.get(script)}${letters.marks}`, { targetFormat: 'woff' });
      if (this.environment.mode === 'dev')
        return `'${script}': 'data:font/woff;base64,${Buffer.from(source).toString('base64')}'`;
      const name = `${basename(file, '.ttf')}-${script}.woff`;
      return `'${script}': import.meta.ROLLUP_FILE_URL_${this.emitFile({ type: 'asset', name, source })}`;
    });
    return `export default { ${(await Promise.all(parts)).join(', ')} }`;
  },
});
