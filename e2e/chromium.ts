import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Builder, logging, Session } from 'selenium-webdriver';
import chrome from 'selenium-webdriver/chrome.js';
import type * as Http from 'selenium-webdriver/http';

// A folder, which an import can't name.
const http = createRequire(import.meta.url)('selenium-webdriver/http') as typeof Http;

/** A headless Chromium that runs: all that another process needs to drive it. */
export interface Running {
  /** Of the driver's protocol. */
  readonly session: string;
  /** Where its driver listens. */
  readonly driverUrl: string;
  readonly profile: string;
  /** Of the browser's process. */
  readonly pid: number;
}

export interface BrowserOptions {
  readonly reducedMotion?: boolean;
  /** Folder of a profile that stays when the browser ends; a fresh one when left out. */
  readonly profile?: string;
}

export const downloadsOf = ({ profile }: Pick<Running, 'profile'>): string =>
  path.join(profile, 'downloads');

/** Takes a profile away; what is left of a killed browser may write into it for some seconds more. */
export function removeProfile(profile: string): void {
  try {
    rmSync(profile, { recursive: true, force: true, maxRetries: 20 });
  } catch {
    // It lies among the temporary files: what is left of it there says nothing about the program.
  }
}

// Waiting costs nothing where a thing comes: a busy machine may take its time.
export const PATIENCE_MS = 120_000;

/** @returns the browser, and what ends it and its driver */
export async function startChromium({
  reducedMotion = true,
  profile: given,
}: BrowserOptions = {}): Promise<{ running: Running; end: () => Promise<void> }> {
  const profile = given ?? mkdtempSync(path.join(tmpdir(), 'e2e-chromium-'));
  const downloads = downloadsOf({ profile });
  const options = new chrome.Options();
  options.setChromeBinaryPath(process.env['CHROMIUM'] ?? path.resolve('scripts/chromium.sh'));
  options.addArguments(
    '--headless=new',
    '--no-sandbox',
    '--disable-gpu',
    '--disable-dev-shm-usage',
    '--disable-quic',
    '--no-first-run',
    '--no-default-browser-check',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--disable-default-apps',
    '--disable-extensions',
    '--hide-scrollbars',
    // A second name of this machine that the browser does not take for a secure place.
    '--host-resolver-rules=MAP shop.test 127.0.0.1',
    ...(reducedMotion ? ['--force-prefers-reduced-motion'] : []),
    '--force-device-scale-factor=1',
    '--force-color-profile=srgb',
    '--lang=en-US',
    // Each page lives for seconds: to compile it once more, for speed, takes an eighth of the processor's time and gains none.
    '--js-flags=--no-turbofan',
    `--user-data-dir=${profile}`,
  );
  options.setUserPreferences({
    'download.default_directory': downloads,
    'download.prompt_for_download': false,
    'profile.default_content_setting_values.automatic_downloads': 1,
  });
  const prefs = new logging.Preferences();
  prefs.setLevel(logging.Type.BROWSER, logging.Level.ALL);
  options.setLoggingPrefs(prefs);
  // An explicit driver path: nothing looks for one elsewhere.
  const driverPath = process.env['CHROMEDRIVER'] ?? '/usr/bin/chromedriver';
  const service = new chrome.ServiceBuilder(driverPath).build();
  const driverUrl = await service.start();
  const driver = await new Builder()
    .forBrowser('chrome')
    .setChromeOptions(options)
    .usingServer(driverUrl)
    .build();
  // As patient as everything else: axe alone takes long where the machine is busy.
  await driver.manage().setTimeouts({ script: PATIENCE_MS });
  const capabilities = await driver.getCapabilities();
  mkdirSync(downloads, { recursive: true });
  const running: Running = {
    session: (await driver.getSession()).getId(),
    driverUrl,
    profile,
    pid: capabilities.get('goog:processID') as number,
  };
  await driverOf(running).setDownloadPath(downloads);
  return {
    running,
    async end() {
      // Of a browser that was killed its driver has nothing to say.
      await driver.quit().catch(() => undefined);
      await service.kill();
      if (given === undefined) removeProfile(profile);
    },
  };
}

/** Commands of Chromium's own that the tests use. */
const OWN_COMMANDS = [
  ['sendDevToolsCommand', 'send_command'],
  ['sendAndGetDevToolsCommand', 'send_command_and_get_result'],
] as const;

export function driverOf({ session, driverUrl }: Running): chrome.Driver {
  const executor = new http.Executor(new http.HttpClient(driverUrl));
  for (const [name, address] of OWN_COMMANDS)
    executor.defineCommand(name, 'POST', `/session/:sessionId/chromium/${address}`);
  const Driver = chrome.Driver as unknown as new (
    session: Session,
    executor: unknown,
  ) => chrome.Driver;
  return new Driver(new Session(session, {}), executor);
}
