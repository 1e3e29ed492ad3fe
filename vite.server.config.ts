import { defineConfig } from 'vite';

// One ESM file for the server; npm packages stay outside it.
export default defineConfig({
  build: {
    ssr: 'server/main.ts',
    outDir: 'dist/server',
    emptyOutDir: true,
    target: 'node20',
    sourcemap: true,
  },
});
