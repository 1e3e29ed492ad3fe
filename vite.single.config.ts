import { fileURLToPath } from 'node:url';
import { defineConfig, type Plugin } from 'vite';
import react from '@vitejs/plugin-react';
import { viteSingleFile } from 'vite-plugin-singlefile';
import { leftOut, NO_FORMS, NO_SCHEMA_WRITERS, type LeftOut } from './scripts/leftOut';

const WORKER =
  /new Worker\(\s*new URL\('\.\/([\w]+)\.worker\.ts', import\.meta\.url\),\s*\{ type: 'module' \},?\s*\)/g;
const INSIDE = fileURLToPath(new URL('web/single/insideWorker.ts', import.meta.url));

/** A page that plays by itself starts its own script again as a worker. */
const workersInside: Plugin = {
  name: 'workers-inside',
  enforce: 'pre',
  transform(code, id) {
    if (!/web[\\/]workers[\\/]/.test(id) || !code.includes('.worker.ts')) return null;
    const changed = code.replace(WORKER, (_all, name: string) => `insideWorker('${name}')`);
    return { code: `import { insideWorker } from '${INSIDE}';\n${changed}`, map: null };
  },
};

/** What a page does without. */
const LEFT_OUT: LeftOut = [
  ...NO_FORMS,
  ...NO_SCHEMA_WRITERS,
  [/node_modules[\\/]papaparse[\\/]/, 'export default {};'],
  [/words[\\/]teach\.en\.json$/, '{}'],
  [/workers[\\/](files|search)\.worker\.ts$/, ''],
];
/** A light page is for lessons about gear sets and whole units: what else can be asked stays away, with its words. */
const HEAVY: LeftOut = [
  [/words[\\/](bench|strip)\.en\.json$/, '{}'],
  [/families[\\/]converter[\\/]Stage\.tsx$/, 'export const ConverterStage = () => null;'],
  [/families[\\/]clutch[\\/]Stage\.tsx$/, 'export const ClutchStage = () => null;'],
  [/families[\\/]fault[\\/]Stage\.tsx$/, 'export const FaultStage = () => null;'],
  [/families[\\/]strip-down[\\/]Stage\.tsx$/, 'export const StripStage = () => null;'],
  [/families[\\/]gearbox[\\/]Stage\.tsx$/, 'export const GearboxStage = () => null;'],
  [/families[\\/]oil[\\/]Stage\.tsx$/, 'export const OilStage = () => null;'],
  [/families[\\/]oil[\\/]words\.ts$/, 'export const OIL_WORDS = {};'],
  [/player[\\/]ShiftBenchStage\.tsx$/, 'export const ShiftBenchStage = () => null;'],
  [/families[\\/]converter[\\/]words\.ts$/, 'export const CONVERTER_WORDS = {};'],
  [/families[\\/]clutch[\\/]words\.ts$/, 'export const CLUTCH_WORDS = {};'],
  [/families[\\/]fault[\\/]words\.ts$/, 'export const FAULT_WORDS = {};'],
  [/families[\\/]strip-down[\\/]words\.ts$/, 'export const STRIP_WORDS = {};'],
  [/families[\\/]gearbox[\\/]words\.ts$/, 'export const GEARBOX_WORDS = {};'],
  [/player[\\/]ConverterBenchStage\.tsx$/, 'export const ConverterBenchStage = () => null;'],
  [
    /player[\\/]ClutchBenchStage\.tsx$/,
    'export const ClutchBenchStage = () => null; export const PackBenchStage = () => null;',
  ],
  [/apply[\\/]CrossingView\.tsx$/, 'export const CrossingView = () => null;'],
  [/player[\\/]FaultTableStage\.tsx$/, 'export const FaultTableStage = () => null;'],
  [/workers[\\/](clutch|converter|fault|oil)\.worker\.ts$/, ''],
];
const light = process.env['SINGLE'] === 'light';

/** Words of screens that a page does not have, by their first name, besides the parts that it leaves out whole. */
const NO_SCREENS = new Set('import keys models everything failures tells newVersion'.split(' '));
const fewerWords: Plugin = {
  name: 'fewer-words',
  enforce: 'pre',
  transform(code, id) {
    if (!/app[\\/]words[\\/]en\.json$/.test(id)) return null;
    const words = Object.entries(JSON.parse(code) as Record<string, unknown>);
    return {
      code: JSON.stringify(Object.fromEntries(words.filter(([k]) => !NO_SCREENS.has(k)))),
      map: null,
    };
  },
};

/** The script is a worker, too, and no worker that is made of a text knows where it came from. */
const placeless: Plugin = {
  name: 'placeless',
  enforce: 'post',
  generateBundle(_options, bundle) {
    for (const chunk of Object.values(bundle))
      if (chunk.type === 'chunk')
        chunk.code = chunk.code
          .replaceAll('import.meta.resolve', 'undefined')
          .replaceAll('import.meta.url', '"/"');
  },
};

export default defineConfig({
  root: 'web/single',
  base: '/',
  publicDir: false,
  plugins: [
    workersInside,
    leftOut([...LEFT_OUT, ...(light ? HEAVY : [])]),
    fewerWords,
    react(),
    placeless,
    viteSingleFile(),
  ],
  build: {
    outDir: `../../dist/${light ? 'light' : 'single'}`,
    emptyOutDir: true,
    modulePreload: false,
    target: 'esnext',
    assetsInlineLimit: 1e8,
    chunkSizeWarningLimit: 9000,
  },
  worker: { format: 'es' },
});
