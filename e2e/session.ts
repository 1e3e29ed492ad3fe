import { openBrowser, type Browser, type BrowserOptions } from './browser';
import { startServer } from './server';

/** A server and browsers for one test file; a console message of a warning or worse fails the test. */
export interface Session {
  /** Address of a route. */
  at(route: string): string;
  browser(name?: string): Browser;
}

/**
 * Registers set-up, tear-down and the console check with the test runner.
 * @param names one browser for each
 */
export function session(
  names: readonly string[] = ['main'],
  options: BrowserOptions = {},
): Session {
  let server: Awaited<ReturnType<typeof startServer>> | undefined;
  const browsers = new Map<string, Browser>();
  beforeAll(async () => {
    server = await startServer();
    for (const name of names) browsers.set(name, await openBrowser(options));
  });
  afterAll(async () => {
    for (const browser of browsers.values()) await browser.quit();
    await server?.stop();
  });
  afterEach(async () => {
    for (const browser of browsers.values()) expect(await browser.consoleProblems()).toEqual([]);
  });
  return {
    at: (route) => `${server?.url ?? ''}${route}`,
    browser: (name = names[0]!) => {
      const browser = browsers.get(name);
      if (!browser) throw new Error(`session: expected one of ${names.join(', ')}, got "${name}"`);
      return browser;
    },
  };
}
