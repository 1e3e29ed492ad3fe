import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { error, Key, logging, type WebDriver, type WebElement } from 'selenium-webdriver';
import { KEPT_MARK } from '../web/app/keptFiles';
import {
  downloadsOf,
  driverOf,
  PATIENCE_MS,
  startChromium,
  type BrowserOptions,
  type Running,
} from './chromium';

/**
 * A headless Chromium with a fresh profile, and what a person does with it: find by role and name, press,
 * type, look. Tests and picture-taking share it.
 */
export interface Browser {
  readonly driver: WebDriver;
  /** Where its downloads land. */
  readonly downloads: string;
  open(url: string): Promise<void>;
  /** To another screen as a link of the application goes there: the page stays. */
  go(route: string): Promise<void>;
  /** Is at this address with nothing begun there: by a link where the application is open, which is quicker, or else opened. */
  visit(url: string): Promise<void>;
  /** The element with this role and accessible name; waits for it, fails when there are several. */
  role(role: string, name?: string | RegExp): Promise<WebElement>;
  /** How many elements have this role and name now. */
  count(role: string, name?: string | RegExp): Promise<number>;
  press(role: string, name?: string | RegExp): Promise<void>;
  /** Replaces the text of a field. */
  fill(role: string, name: string | RegExp, text: string): Promise<void>;
  /** Waits until the field with this role and name holds just this. */
  holds(role: string, name: string | RegExp, value: string): Promise<void>;
  /** Waits until the page's text holds this. */
  see(text: string | RegExp): Promise<void>;
  text(): Promise<string>;
  viewport(width: number, height: number): Promise<void>;
  /** Pressed by a finger, or by a mouse. */
  finger(on: boolean): Promise<void>;
  /** Takes the network away, or brings it back. */
  offline(off: boolean): Promise<void>;
  /** Opens the same page as a browser that may fetch ahead, and waits until all files are there. */
  kept(): Promise<void>;
  /** A command of Chromium's own. @returns what it answers */
  devtools(command: string, parameters?: object): Promise<unknown>;
  /** Console messages of level warning and above since the last call. */
  consoleProblems(): Promise<string[]>;
  /** What axe finds: by all its rules, or by those named. */
  axe(rules?: readonly string[]): Promise<string[]>;
  /** The page has been laid out and painted since. */
  settled(): Promise<void>;
  picture(file: string): Promise<void>;
  quit(): Promise<void>;
  /** Ends the browser at once, as when the current fails; its profile stays. */
  kill(): Promise<void>;
}

const require = createRequire(import.meta.url);
const source = (file: string) => readFileSync(require.resolve(file), 'utf8');
const AXE = source('axe-core/axe.min.js');
const QUERIES = source('@testing-library/dom/dist/@testing-library/dom.umd.min.js');
export { PATIENCE_MS };
const LOOK_AGAIN_MS = 100;

const find = `
  const [role, name, isPattern, flags] = arguments;
  const wanted = name === null ? {} : { name: isPattern ? new RegExp(name, flags) : name };
  const found = window.TestingLibraryDom.queryAllByRole(document.body, role, wanted);
`;

export async function openBrowser(options: BrowserOptions = {}): Promise<Browser> {
  const { running, end } = await startChromium(options);
  return browserOf(running, end);
}

/** @param end what `quit` does */
export async function browserOf(running: Running, end: () => Promise<void>): Promise<Browser> {
  const driver = driverOf(running);
  // The driver's own pause between two looks is twice as long.
  const wait = driver.wait.bind(driver);
  driver.wait = ((
    ...[condition, timeout, message, pause = LOOK_AGAIN_MS]: Parameters<typeof wait>
  ) => wait(condition, timeout, message, pause)) as typeof wait;
  const downloads = downloadsOf(running);

  const devtools = (command: string, parameters: object = {}): Promise<unknown> =>
    driver.sendAndGetDevToolsCommand(command, parameters);
  const viewport = (width: number, height: number) =>
    devtools('Emulation.setDeviceMetricsOverride', {
      width,
      height,
      deviceScaleFactor: 1,
      mobile: false,
    });
  await viewport(1280, 800);

  // Hundreds of files are fetched ahead for nothing where no test takes the network away.
  const savesData = (dataSaverEnabled: boolean) =>
    devtools('Emulation.setDataSaverOverride', { dataSaverEnabled });
  await savesData(true);

  async function look<T>(what: string, role: string, name?: string | RegExp): Promise<T[]> {
    const has = await driver.executeScript<boolean>('return !!window.TestingLibraryDom');
    if (!has)
      await driver.executeScript(
        `${QUERIES}; window.TestingLibraryDom = globalThis.TestingLibraryDom ?? self.TestingLibraryDom;`,
      );
    const pattern = name instanceof RegExp;
    return driver.executeScript<T[]>(
      `${find} return ${what};`,
      role,
      name === undefined ? null : pattern ? name.source : name,
      pattern,
      pattern ? name.flags : '',
    );
  }

  const all = (role: string, name?: string | RegExp) => look<WebElement>('found', role, name);
  const valuesOf = (role: string, name: string | RegExp) =>
    look<string>('found.map((e) => e.value)', role, name);

  async function role(wanted: string, name?: string | RegExp): Promise<WebElement> {
    let found: WebElement[] = [];
    await driver
      .wait(async () => (found = await all(wanted, name)).length > 0, PATIENCE_MS)
      .catch(async () => {
        throw new Error(
          `expected a ${wanted} named ${String(name)} on the page, which says:\n${await text()}`,
        );
      });
    if (found.length > 1)
      throw new Error(`${found.length} elements are a ${wanted} named ${String(name)}`);
    return found[0]!;
  }

  /** A person presses what stands there: when a redraw replaces the element meanwhile, look again. */
  async function unlessReplaced(act: () => Promise<void>): Promise<void> {
    for (let attempt = 1; ; attempt += 1) {
      try {
        return await act();
      } catch (problem) {
        if (!(problem instanceof error.StaleElementReferenceError) || attempt === 3) throw problem;
      }
    }
  }

  const text = () => driver.executeScript<string>('return document.body.innerText');

  const open = async (url: string) => {
    await driver.get(url);
    await driver.wait(
      () => driver.executeScript<boolean>('return !!document.querySelector("main")'),
      PATIENCE_MS,
    );
  };
  const go = (route: string) =>
    driver.executeScript<void>(
      `const state = { usr: null, key: String(Math.random()), idx: (history.state?.idx ?? 0) + 1 };
       history.pushState(state, '', arguments[0]);
       dispatchEvent(new PopStateEvent('popstate', { state }));`,
      route,
    );

  return {
    driver,
    downloads,
    role,
    text,
    devtools,
    viewport: async (width, height) => void (await viewport(width, height)),
    open,
    go,
    async visit(url) {
      const { origin, pathname, search } = new URL(url);
      const route = pathname + search;
      const at = 'document.querySelector("[data-at]")?.dataset.at';
      // The same address again would leave what stands there; and a dialog belongs to the screen below it.
      const linked = await driver.executeScript<boolean>(
        `return location.origin === arguments[0] && !!${at} && ${at} !== arguments[1]
           && !document.querySelector('[role="dialog"]')`,
        origin,
        route,
      );
      if (!linked) return open(url);
      await driver.executeScript('sessionStorage.clear()');
      await go(route);
      await driver.wait(
        () => driver.executeScript<boolean>(`return ${at} === arguments[0]`, route),
        PATIENCE_MS,
      );
    },
    count: async (wanted, name) => (await all(wanted, name)).length,
    press: (wanted, name) =>
      unlessReplaced(async () => {
        const element = await role(wanted, name);
        await driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', element);
        // A radio or checkbox drawn by its label is pressed there.
        const target = await driver.executeScript<WebElement>(
          'const e = arguments[0]; return e.matches("input") ? (e.closest("label") ?? e) : e',
          element,
        );
        await target.click();
      }),
    fill: (wanted, name, value) =>
      unlessReplaced(async () => {
        const element = await role(wanted, name);
        await driver.executeScript(
          'arguments[0].scrollIntoView({ block: "center" }); arguments[0].focus()',
          element,
        );
        await element.sendKeys(Key.chord(Key.CONTROL, 'a'), value);
      }),
    async holds(wanted, name, value) {
      let now: string | null = null;
      const holds = async () => {
        // In one look: between two, the page may draw the field anew.
        const fields = await valuesOf(wanted, name);
        now = fields.length === 1 ? fields[0]! : null;
        return now === value;
      };
      await driver.wait(holds, PATIENCE_MS).catch(() => {
        throw new Error(
          `expected ${String(name)} to hold "${value}", it holds "${now ?? 'nothing'}"`,
        );
      });
    },
    async see(wanted) {
      const holds = async () => {
        const now = await text();
        return typeof wanted === 'string' ? now.includes(wanted) : wanted.test(now);
      };
      await driver.wait(holds, PATIENCE_MS).catch(async () => {
        throw new Error(`expected to see ${String(wanted)} in:\n${(await text()).slice(0, 3000)}`);
      });
    },
    finger: async (enabled) =>
      void (await devtools('Emulation.setTouchEmulationEnabled', { enabled })),
    offline: async (off) =>
      void (await devtools('Network.emulateNetworkConditions', {
        offline: off,
        latency: 0,
        downloadThroughput: -1,
        uploadThroughput: -1,
      })),
    async kept() {
      await savesData(false);
      await open(await driver.getCurrentUrl());
      const kept = () =>
        driver.executeScript<boolean>(
          `return performance.getEntriesByName(${JSON.stringify(KEPT_MARK)}).length > 0`,
        );
      await driver.wait(kept, PATIENCE_MS).catch(() => {
        throw new Error('expected all files to be kept');
      });
    },
    async consoleProblems() {
      const entries = await driver.manage().logs().get(logging.Type.BROWSER);
      return entries
        .filter((e) => e.level.value >= logging.Level.WARNING.value)
        .map((e) => `${e.level.name} ${e.message}`);
    },
    async settled() {
      const coming = await driver.executeAsyncScript<string | null>(
        `const [patience, done] = arguments, until = Date.now() + patience;
         const comes = () => document.querySelector('[data-parts-coming], .shell-loading, .shell-screen .ant-spin-spinning');
         const look = () => {
           const coming = comes();
           if (!coming) requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done, 40, null)));
           else if (Date.now() < until) setTimeout(look, 50);
           else done(coming.cloneNode().outerHTML);
         };
         look();`,
        PATIENCE_MS / 2,
      );
      if (coming !== null) throw new Error(`still on its way: ${coming}`);
    },
    async axe(rules) {
      if (!(await driver.executeScript<boolean>('return !!window.axe')))
        await driver.executeScript(AXE);
      // None of its rules looks into style sheets: they need not be gathered.
      return driver.executeAsyncScript<string[]>(
        `const done = arguments[arguments.length - 1];
         axe.run(document, { resultTypes: ['violations'], preload: false, ...(arguments[0] ? { runOnly: arguments[0] } : {}) }).then(
           (r) => done(r.violations.map((v) => v.impact + ' ' + v.id + ': ' + v.nodes.map((n) => n.target.join(' ') + ' ' + n.html.slice(0, 120)).join(' | '))),
           (e) => done(['axe failed: ' + e]));`,
        rules ?? null,
      );
    },
    async picture(file) {
      await driver.executeScript('return document.fonts.ready.then(() => true)');
      writeFileSync(file, Buffer.from(await driver.takeScreenshot(), 'base64'));
    },
    async kill() {
      process.kill(running.pid, 'SIGKILL');
      // What is left of the driver ends too.
      await end();
    },
    quit: end,
  };
}
