import { build } from 'vite';
await build({
  configFile: false,
  logLevel: 'error',
  ssr: { noExternal: true },
  build: { ssr: 'bench/whole-run.ts', outDir: '/tmp/prof/w', minify: false },
});
