import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  root: 'src/ui',
  publicDir: 'public',
  plugins: [react(), tailwindcss()],
  oxc: { decorator: { legacy: true } },
  worker: { format: 'es' },
  build: { outDir: '../../dist', emptyOutDir: true, manifest: true, target: 'es2022', reportCompressedSize: false },
  server: { host: '127.0.0.1', port: 5173 },
  test: {
    root: '.',
    include: ['src/**/*.test.ts', 'src/**/*.test.tsx'],
    setupFiles: ['./tools/vitest-setup.ts'],
    testTimeout: 30_000,
  },
});
