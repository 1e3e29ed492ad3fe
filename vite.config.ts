import { defineConfig } from 'vite';
import react from '@vitejs/plugin-react';

export default defineConfig({
  root: 'web',
  plugins: [react()],
  build: {
    outDir: '../dist/web',
    emptyOutDir: true,
    target: 'es2022',
    sourcemap: false,
    manifest: true,
    chunkSizeWarningLimit: 1200,
  },
  worker: { format: 'es' },
  server: { host: '127.0.0.1', port: 5173, fs: { allow: ['..'] } },
});
