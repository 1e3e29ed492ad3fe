import { existsSync, readdirSync, readFileSync, writeFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { By, until } from 'selenium-webdriver';
import { PATIENCE_MS, type Browser } from './browser';

/** Files in and out of the browser, as a person would choose and receive them. */

/** The next file whose download completes and whose name ends so. */
export async function downloaded(browser: Browser, ending: string): Promise<string> {
  let name: string | undefined;
  await browser.driver
    .wait(() => {
      if (!existsSync(browser.downloads)) return false;
      // The browser makes room for a file under its name before it has written it.
      name = readdirSync(browser.downloads).find(
        (f) => f.endsWith(ending) && statSync(path.join(browser.downloads, f)).size > 0,
      );
      return name !== undefined;
    }, PATIENCE_MS)
    .catch(() => {
      throw new Error(`expected a file that ends in ${ending} to be downloaded`);
    });
  return path.join(browser.downloads, name!);
}

export const bytesOf = (file: string): Uint8Array => new Uint8Array(readFileSync(file));

/** Chooses a file in the page's one visible file field's place, once the screen has one. */
export async function chooseFile(browser: Browser, file: string): Promise<void> {
  const field = until.elementLocated(By.css('main input[type=file]'));
  const input = await browser.driver.wait(field, PATIENCE_MS);
  await input.sendKeys(file);
}

export function writeFile(browser: Browser, name: string, content: string | Uint8Array): string {
  const file = path.join(path.dirname(browser.downloads), name);
  writeFileSync(file, content);
  return file;
}
