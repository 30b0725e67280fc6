import babel from '@rolldown/plugin-babel';
import mdx from '@mdx-js/rollup';
import react, { reactCompilerPreset } from '@vitejs/plugin-react';
import remarkGfm from 'remark-gfm';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { byScript } from './fonts.ts';

/** What the compiler finds wrong, or passes over: a view that is not compiled renders at every key. */
const faults: string[] = [];
const compiler = reactCompilerPreset({
  // what the rules of the linter look at, found here while all views are compiled anyway
  environment: {
    validateNoSetStateInEffects: true,
    validateNoDerivedComputationsInEffects: true,
    validateNoJSXInTryStatements: true,
    validateNoImpureFunctionsInRender: true,
    validateStaticComponents: true,
    validateNoFreezingKnownMutableFunctions: true,
    validateNoVoidUseMemo: true,
  },
  logger: {
    logEvent(file, event) {
      if (event.kind === 'CompileError') faults.push(`${file} ${event.detail.toString()}`);
      if (event.kind === 'PipelineError') faults.push(`${file} ${event.data}`);
    },
  },
});
// a file without elements or hooks has nothing for it
compiler.rolldown.filter = { code: /<\/|\/>|\buse[A-Z]\w*\(/ };

export default defineConfig({
  root: import.meta.dirname,
  plugins: [
    // the guides, read once here and not in every browser
    mdx({ format: 'md', remarkPlugins: [remarkGfm] }),
    byScript(),
    react(),
    babel({ presets: [compiler], include: /\/web\/src\/.*\.tsx?$/ }),
    {
      name: 'faults-of-the-compiler',
      buildEnd() {
        if (faults.length > 0) this.error(faults.join('\n\n'));
      },
    },
    {
      // how much of each file is ours, for the table of sizes (bench/web.ts)
      name: 'our-share',
      generateBundle(_, files) {
        const shares = Object.values(files).flatMap((file) => {
          if (file.type !== 'chunk') return [];
          const all = Object.entries(file.modules).map(([id, { renderedLength }]) => ({ id, renderedLength }));
          const length = (list: typeof all) => list.reduce((sum, each) => sum + each.renderedLength, 0);
          return [[file.fileName, length(all.filter(({ id }) => !id.includes('node_modules'))) / (length(all) || 1)]];
        });
        this.emitFile({
          type: 'asset',
          fileName: '.our-share.json',
          source: JSON.stringify(Object.fromEntries(shares)),
        });
      },
    },
    // all of the application is there without a network; a newer one is offered and never forced
    VitePWA({
      registerType: 'prompt',
      injectRegister: false,
      includeAssets: ['mark.svg', 'layers.css'],
      manifest: {
        id: '/',
        name: 'Kovelin',
        short_name: 'Kovelin',
        description: 'Repainting interior rooms: measured, specified, ordered, planned and done.',
        start_url: '/',
        display: 'standalone',
        background_color: '#f4f1ea',
        theme_color: '#f4f1ea',
        // a file that another application shares, or that is opened with Kovelin
        share_target: {
          action: '/bring-in',
          method: 'POST',
          enctype: 'multipart/form-data',
          params: { files: [{ name: 'file', accept: ['application/zip', '.zip', 'text/plain', '.txt'] }] },
        },
        icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['assets/**', '*.svg', '*.css'],
        // what a browser that keeps pages never asks for
        globIgnores: ['**/barlow-*.woff'],
        // the page is made by the server, with a word of its own for what may be styled: it is kept as it came
        templatedURLs: { '/': ['index.html'] },
        navigateFallback: '/',
        navigateFallbackDenylist: [/^\/(instruments|desk)\b/],
        maximumFileSizeToCacheInBytes: 8 * 1024 * 1024,
        importScripts: ['share-target.js'],
        inlineWorkboxRuntime: true,
        cleanupOutdatedCaches: true,
      },
    }),
  ],
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    target: 'es2022',
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 700,
  },
  worker: { format: 'es' },
  server: { host: '127.0.0.1' },
});
