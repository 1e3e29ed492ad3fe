import base from './jest.config.mjs';
import { dealt } from './scripts/together.mjs';

/** All unit tests, as `npm test` runs them; for some of them by their paths there is `npm run test:unit`. */
const folders = base.roots.map((root) => root.replace('<rootDir>/', ''));

export default {
  ...base,
  roots: [...base.roots, '<rootDir>/.cache/together'],
  testMatch: dealt(folders, 2).map((file) => `<rootDir>/${file}`),
};
