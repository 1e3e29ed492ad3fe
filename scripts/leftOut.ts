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

export const leftOut = (table: LeftOut): Plugin => ({
  name: 'left-out',
  enforce: 'pre',
  load: (id) => table.find(([path]) => path.test(id))?.[1] ?? null,
});
