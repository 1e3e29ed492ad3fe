import { readFileSync } from 'node:fs';
import type { Plugin } from 'vite';

/** Modules that a build does without, by path, and what stands in their place. */
export type LeftOut = readonly (readonly [RegExp, string])[];

/** The component library's forms, of which its fields know without need: no screen has one. */
export const NO_FORMS: LeftOut = [
  [/antd[\\/]es[\\/]form[\\/]index\.js$/, 'export default {};'],
  [
    /@rc-component[\\/]form[\\/]es[\\/]index\.js$/,
    'export const FormProvider = ({ children }) => children; export const useForm = () => [];',
  ],
];

const EXPORTED = /^export (?:const|function) (\w+)/gm;

/** A module whose every function says that it is not there. @param file of a package */
const withoutAll = (file: string): string => {
  const names = [...readFileSync(`node_modules/${file}`, 'utf8').matchAll(EXPORTED)];
  const said = `() => { throw new Error('${file} is left out') }`;
  return names.map(([, name]) => `export const ${name} = ${said};`).join('');
};

/** Schemas are written by a script; a page only checks by them. */
export const NO_SCHEMA_WRITERS: LeftOut = [
  [
    /zod[\\/]v4[\\/]core[\\/]json-schema-processors\.js$/,
    withoutAll('zod/v4/core/json-schema-processors.js'),
  ],
  [
    /zod[\\/]v4[\\/]core[\\/]to-json-schema\.js$/,
    // A schema makes its own writers when it is made, and uses none of them.
    'const never = () => () => undefined; export { never as createToJSONSchemaMethod, never as createStandardJSONSchemaMethod, never as initializeContext, never as handleUnrepresentable, never as processSchema, never as process, never as extractDefs, never as finalize };',
  ],
];

export const leftOut = (table: LeftOut): Plugin => ({
  name: 'left-out',
  enforce: 'pre',
  load: (id) => table.find(([path]) => path.test(id))?.[1] ?? null,
});
