import { defineConfig } from 'vite';
import { catalogues } from './tools/catalogues.ts';

/** The programs that run in Node: server, command line, benches. They share the core with the app. */
export default defineConfig({
  publicDir: false,
  plugins: [catalogues],
  oxc: { decorator: { legacy: true } },
  build: {
    ssr: true,
    outDir: 'dist-node',
    emptyOutDir: true,
    target: 'node20',
    reportCompressedSize: false,
    rollupOptions: {
      input: { server: 'src/server/main.ts', yardmist: 'src/cli/main.ts', bench: 'bench/main.ts' },
      output: { entryFileNames: '[name].js' },
    },
  },
});
