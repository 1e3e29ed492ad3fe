import Sequencer from '@jest/test-sequencer';

/** Long files first, so that no browser is left alone with one at the end; the others by size, as is usual. */
const LONG = ['screens', 'torture', 'story', 'converter', 'stripDown', 'endurance', 'keeping'];

export default class LongestFirst extends Sequencer {
  sort(tests) {
    const rank = ({ path }) => {
      const at = LONG.findIndex((name) => path.includes(`/e2e/${name}`));
      return at === -1 ? LONG.length : at;
    };
    return super.sort(tests).toSorted((a, b) => rank(a) - rank(b));
  }
}
