import { build, type Rolldown } from 'vite';

/** A module of `bench/browser` with all that it imports, as one script for a page. */
export async function bundle(name: string): Promise<string> {
  const built = (await build({
    root: '.',
    configFile: false,
    logLevel: 'error',
    build: {
      write: false,
      lib: { entry: `bench/browser/${name}.ts`, formats: ['es'], fileName: name },
      rolldownOptions: { output: { codeSplitting: false } },
    },
  })) as Rolldown.RolldownOutput[];
  const [chunk] = built[0]?.output ?? [];
  return chunk?.code ?? '';
}
