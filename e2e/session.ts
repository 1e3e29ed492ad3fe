import { openBrowser, type Browser } from './browser';
import { sharedBrowser, sharedUrl } from './pool';

/** Browsers for one test file; a console message of a warning or worse fails the test. */
export interface Session {
  /** Address of a route. */
  at(route: string): string;
  browser(name?: string): Browser;
}

interface SessionOptions {
  /** Every browser is one that has never met the application: no cache, no scripts of other tests. */
  readonly fresh?: boolean;
}

/**
 * Registers set-up, tear-down and the console check with the test runner.
 * @param names one browser for each; the first is the one that this worker's files share
 */
export function session(
  names: readonly string[] = ['main'],
  { fresh = false }: SessionOptions = {},
): Session {
  const browsers = new Map<string, Browser>();
  beforeAll(async () => {
    for (const name of names) {
      const shared = fresh || browsers.size > 0 ? null : await sharedBrowser();
      browsers.set(name, shared ?? (await openBrowser()));
    }
  });
  afterAll(async () => {
    for (const browser of browsers.values()) await browser.quit();
  });
  afterEach(async () => {
    for (const browser of browsers.values()) expect(await browser.consoleProblems()).toEqual([]);
  });
  return {
    at: (route) => `${sharedUrl()}${route}`,
    browser: (name = names[0]!) => {
      const browser = browsers.get(name);
      if (!browser) throw new Error(`session: expected one of ${names.join(', ')}, got "${name}"`);
      return browser;
    },
  };
}
