import { defineConfig, type Plugin } from 'vite';
import react from '@vitejs/plugin-react';
import { KEPT_FILES } from './web/app/keptFiles';

/** What takes work out to a file is kept first; of the fonts only what the first visit would ask for. */
const rank = (file: string) => (/files\.worker/.test(file) ? 0 : /\.(js|css)$/.test(file) ? 1 : 2);
const isKept = (file: string) => /\.(js|css)$/.test(file) || /-latin-(wdth|wght)-/.test(file);

/** Writes into the page which files it is made of. */
const listKeptFiles: Plugin = {
  name: 'list-kept-files',
  apply: 'build',
  transformIndexHtml: {
    order: 'post',
    handler: (_html, { bundle = {} }) => {
      const files = Object.keys(bundle).filter(isKept);
      files.sort((a, b) => rank(a) - rank(b) || a.localeCompare(b));
      const children = JSON.stringify(files.map((file) => `/${file}`));
      const attrs = { id: KEPT_FILES, type: 'application/json' };
      return [{ tag: 'script', attrs, children, injectTo: 'body' }];
    },
  },
};

export default defineConfig({
  root: 'web',
  plugins: [react(), listKeptFiles],
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
