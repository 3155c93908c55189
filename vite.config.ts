import { join } from 'node:path';
import { marked } from 'marked';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { runnerImport, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { defineConfig } from 'vitest/config';
import { catalogues } from './tools/catalogues.ts';

const oxc = { decorator: { legacy: true } };

/**
 * The sample takes a second of packing to make; it is always the same, so it is made here, once, and not by each visitor.
 * It is a file beside the script, which only a new visitor asks for; where nothing is built it stands in the module.
 */
const madeSample: Plugin & { isBuilt: boolean } = {
  name: 'made-sample',
  isBuilt: false,
  configResolved({ command }) {
    madeSample.isBuilt = command === 'build';
  },
  resolveId: { filter: { id: /^virtual:sample$/ }, handler: () => '\0virtual:sample' },
  load: {
    filter: { id: /^\0virtual:sample$/ },
    async handler() {
      const from = join(import.meta.dirname, 'src/sample/household.ts');
      const { module } = await runnerImport<typeof import('./src/sample/household.ts')>(from, {
        configFile: false,
        oxc,
      });
      const packed = await runnerImport<typeof import('./src/sample/packed.ts')>(
        join(import.meta.dirname, 'src/sample/packed.ts'),
        { configFile: false, oxc },
      );
      const { packItems, packLots } = packed.module;
      const { settings, places, items, lots, projects } = module.createSampleHousehold().household;
      // All other settings are the usual ones.
      const { name, mark } = settings;
      const records = JSON.stringify({
        settings: { name, mark },
        places: [...places.values()],
        items: packItems([...items.values()]),
        lots: packLots([...lots.values()]),
        projects: [...projects.values()],
      });
      if (!madeSample.isBuilt) return `export default async () => JSON.parse(${JSON.stringify(records)})`;
      const file = this.emitFile({ type: 'asset', name: 'sample.json', source: records });
      return `export default async () => (await fetch(import.meta.ROLLUP_FILE_URL_${file})).json()`;
    },
  },
};

/** A page of docs/guide as the app shows it: its title, its picture, and what it says. */
const guidePages: Plugin = {
  name: 'guide-pages',
  transform: {
    filter: { id: /\/docs\/guide\/(?:[a-z]{2}\/)?[^/]+\.md$/ },
    handler(code) {
      const [, title, alt, picture, text] = /^# (.+)\n+!\[(.+)\]\((.+)\)\n+([^]*)$/u.exec(code) ?? [];
      if (!text) throw new Error('a page of the guide has a title, a picture and a text');
      const page = JSON.stringify({ title, alt, html: marked.parse(text, { async: false }) });
      return `import picture from ${JSON.stringify(picture)};\nexport default { ...${page}, picture };`;
    },
  },
};

export default defineConfig({
  root: 'src/ui',
  publicDir: 'public',
  plugins: [
    madeSample,
    guidePages,
    catalogues,
    react(),
    tailwindcss(),
    // Works without a network after the first visit; a new version waits until the sewist says so.
    VitePWA({
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        id: '/',
        name: 'Yardmist',
        short_name: 'Yardmist',
        lang: 'en',
        categories: ['lifestyle', 'productivity'],
        description: 'Catalog, sort, fit and find everything in a home sewing room',
        start_url: '/',
        display: 'standalone',
        background_color: '#e9edec',
        theme_color: '#e9edec',
        icons: [
          { src: '/mark.svg', sizes: 'any', type: 'image/svg+xml' },
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icon-whole-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
        shortcuts: [
          { name: 'Where is it?', url: '/find' },
          { name: 'Scan a label', url: '/scan' },
          { name: 'Put away', url: '/bench/away' },
          { name: 'Shop card', url: '/projects/shop' },
        ],
        // A household's file by a double click; photos from another app of the phone.
        file_handlers: [{ action: '/household', accept: { 'application/zip': ['.zip'] } }],
        share_target: {
          action: '/photos',
          method: 'POST',
          enctype: 'multipart/form-data',
          params: { files: [{ name: 'photos', accept: ['image/*'] }] },
        },
      },
      workbox: {
        clientsClaim: true,
        importScripts: ['/handed.js'],
        navigateFallback: '/index.html',
        // The simulated devices are pages of the server.
        navigateFallbackDenylist: [/^\/devices\//],
        // Of the fonts only the subsets that these texts use.
        globPatterns: [
          '**/*.{js,css,html,svg}',
          'assets/sample-*.json',
          'icon-*.png',
          'assets/*.{png,webp}',
          '**/*-latin-*.woff2',
          // For names that are printed.
          '**/{noto-sans,cairo}-*.woff',
        ],
      },
    }),
  ],
  oxc,
  worker: { format: 'es' },
  build: {
    outDir: '../../dist',
    emptyOutDir: true,
    manifest: true,
    target: 'es2022',
    reportCompressedSize: false,
    // Browsers of the target preload modules by themselves; what a screen is made of comes with it, for it is all on this machine.
    modulePreload: { polyfill: false, resolveDependencies: (_, deps) => deps.filter((one) => one.endsWith('.css')) },
    // Small files that nearly all screens share go in one.
    // Functions only: an index of them brings along no more than what is asked of it. Records are classes that register themselves.
    rolldownOptions: {
      output: { codeSplitting: { groups: [{ name: 'common', test: /\/src\/(core|ui)\//, minShareCount: 86 }] } },
      treeshake: { moduleSideEffects: (id) => !/\/src\/(core\/(?!records\/)|ui\/text\/)/.test(id) },
    },
  },
  server: { host: '127.0.0.1', port: 5173 },
  test: {
    root: '.',
    include: ['src/**/*.test.ts', 'src/**/*.test.tsx'],
    setupFiles: ['./tools/vitest-setup.ts'],
    // Against what never ends; how long things take is for the benches.
    testTimeout: 120_000,
    // Loading the modules anew for each file took two thirds of the time.
    isolate: false,
    maxWorkers: 2,
  },
});
