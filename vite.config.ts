import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { VitePWA } from 'vite-plugin-pwa';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  root: 'src/ui',
  publicDir: 'public',
  plugins: [
    react(),
    tailwindcss(),
    // Works without a network after the first visit; a new version waits until the sewist says so.
    VitePWA({
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        name: 'Yardmist',
        short_name: 'Yardmist',
        description: 'Catalog, sort, fit and find everything in a home sewing room',
        start_url: '/',
        display: 'standalone',
        background_color: '#e9edec',
        theme_color: '#e9edec',
        icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        clientsClaim: true,
        navigateFallback: '/index.html',
        // The simulated devices are pages of the server.
        navigateFallbackDenylist: [/^\/devices\//],
        // Of the fonts only the subsets that these texts use.
        globPatterns: ['**/*.{js,css,html,svg}', '**/*-latin-*.woff2'],
      },
    }),
  ],
  oxc: { decorator: { legacy: true } },
  worker: { format: 'es' },
  build: {
    outDir: '../../dist',
    emptyOutDir: true,
    manifest: true,
    target: 'es2022',
    reportCompressedSize: false,
    // Small files that nearly all screens share go in one.
    // Functions only: an index of them brings along no more than what is asked of it. Records are classes that register themselves.
    rolldownOptions: {
      output: { codeSplitting: { groups: [{ name: 'common', test: /\/src\/(core|ui)\//, minShareCount: 40 }] } },
      treeshake: { moduleSideEffects: (id) => !/\/src\/(core\/(?!records\/)|ui\/text\/)/.test(id) },
    },
  },
  server: { host: '127.0.0.1', port: 5173 },
  test: {
    root: '.',
    include: ['src/**/*.test.ts', 'src/**/*.test.tsx'],
    setupFiles: ['./tools/vitest-setup.ts'],
    testTimeout: 30_000,
  },
});
