import { defineConfig, type Plugin } from 'vite';
import react from '@vitejs/plugin-react';
import { VitePWA } from 'vite-plugin-pwa';
import { componentStylesPlugin, noStyleMakers } from './scripts/componentStyles';
import { leftOut, NO_FORMS, NO_SCHEMA_WRITERS } from './scripts/leftOut';
import { KEPT_FILES } from './web/app/keptFiles';

/** What takes work out to a file is kept first; of the fonts only what the first visit would ask for. */
const rank = (file: string) =>
  /(files|documents)\.worker/.test(file) ? 0 : /\.(js|css)$/.test(file) ? 1 : 2;
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

const icon = (sizes: string, purpose: 'any' | 'maskable' = 'any') => ({
  src: `/icon-${purpose === 'any' ? '' : 'maskable-'}${sizes.split('x')[0]}.png`,
  sizes,
  type: 'image/png',
  purpose,
});

/** What makes it installable, and the worker that starts it without its server. */
const offline = VitePWA({
  strategies: 'injectManifest',
  srcDir: 'serviceWorker',
  filename: 'sw.ts',
  // The page registers it itself, when it is idle.
  injectRegister: false,
  manifest: {
    id: '/',
    name: 'Fair Sprocket',
    short_name: 'Fair Sprocket',
    description:
      'Drivetrain lessons out of live models: predict, commit, then see what the model says and why.',
    start_url: '/',
    scope: '/',
    display: 'standalone',
    background_color: '#efede5',
    theme_color: '#efede5',
    icons: [icon('192x192'), icon('512x512'), icon('512x512', 'maskable')],
  },
  includeManifestIcons: false,
  injectManifest: {
    globPatterns: [
      'index.html',
      'sprocket.svg',
      'examples/*.webp',
      'assets/*.{js,css}',
      'assets/*-latin-{wdth,wght}-*.woff2',
    ],
    maximumFileSizeToCacheInBytes: 4_000_000,
  },
});

export default defineConfig({
  root: 'web',
  plugins: [
    leftOut([...NO_FORMS, ...NO_SCHEMA_WRITERS]),
    react(),
    componentStylesPlugin('components'),
    noStyleMakers,
    listKeptFiles,
    offline,
  ],
  define: { STYLES_ARE_BUILT: 'true' },
  build: {
    outDir: '../dist/web',
    emptyOutDir: true,
    target: 'es2022',
    sourcemap: false,
    manifest: true,
    chunkSizeWarningLimit: 1200,
    // A part's style sheets come with it. Its scripts find theirs themselves: to name some sixty for each was no quicker, with
    // a server at hand or 25 ms away, and took a page 50 ms in one piece.
    modulePreload: {
      polyfill: false,
      resolveDependencies: (_part, files) => files.filter((file) => file.endsWith('.css')),
    },
  },
  worker: { format: 'es', plugins: () => [leftOut(NO_SCHEMA_WRITERS)] },
  server: { host: '127.0.0.1', port: 5173, fs: { allow: ['..'] } },
});
