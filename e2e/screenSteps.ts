import { Key } from 'selenium-webdriver';
import type { Browser } from './browser';

/** A screen that tests look at: its name, its address, and what is pressed before. */
export type Screen = readonly [string, string, readonly (() => Promise<unknown>)[]];

/** What is done on a screen before it is looked at. */
export function screenSteps(browser: () => Browser) {
  const press = (name: string | RegExp) => () => browser().press('button', name);
  /** The first of what comes in a drawing, once up. */
  const drawUp = async () => {
    const handle = await browser().role('slider', /at 0\.3 s$/);
    await browser().driver.executeScript('arguments[0].focus()', handle);
    await browser().driver.actions().sendKeys(Key.PAGE_UP).perform();
  };
  const radio = (name: string) => () => browser().press('radio', name);
  return {
    press,
    radio,
    drawUp,
    see: (text: string | RegExp) => browser().see(text),
    fill: (...args: Parameters<Browser['fill']>) => browser().fill(...args),
    pressRole: (...args: Parameters<Browser['press']>) => browser().press(...args),
  };
}
