import { Key } from 'selenium-webdriver';
import { PATIENCE_MS, type Browser } from './browser';

const OPTIONS = '.ant-select-dropdown:not(.ant-select-dropdown-hidden) .ant-select-item-option';

/** Opens a list by its name and takes the option with just this name. @throws Error naming what was there instead */
export async function chooseOption(
  b: Browser,
  list: string | RegExp,
  option: string,
): Promise<void> {
  const select = await b.role('combobox', list);
  await select.click();
  await takeOption(b, option);
}

/** Takes the option with just this name, or that holds what the pattern says, of the list that is open. */
export async function takeOption(b: Browser, option: string | RegExp): Promise<void> {
  let there: string[] | null = [];
  const taken = async () => {
    there = await b.driver.executeScript<string[] | null>(
      `const [options, wanted, pattern] = arguments;
       const all = [...document.querySelectorAll(options)];
       const name = (o) => (o.querySelector('.kind-name') ?? o).textContent.trim();
       const one = all.find((o) => (pattern ? new RegExp(wanted).test(name(o)) : name(o) === wanted));
       if (!one) return all.map(name);
       one.click();
       return null;`,
      OPTIONS,
      option instanceof RegExp ? option.source : option,
      option instanceof RegExp,
    );
    return there === null;
  };
  await b.driver.wait(taken, PATIENCE_MS).catch((cause: unknown) => {
    const among = (there ?? []).join(', ');
    throw new Error(`expected an option "${String(option)}" among: ${among}`, { cause });
  });
}

/** Types into a list that narrows by what is typed, and takes the first that is left. */
export async function typeOption(b: Browser, list: string, typed: string): Promise<void> {
  const select = await b.role('combobox', list);
  await select.click();
  await select.sendKeys(typed);
  const narrowed = () =>
    b.driver.executeScript<boolean>(
      `const on = document.querySelector(arguments[0] + '-active');
       return !!on && on.textContent.includes(arguments[1]);`,
      OPTIONS,
      typed,
    );
  await b.driver.wait(narrowed, PATIENCE_MS, `expected ${list} to offer "${typed}"`);
  await select.sendKeys(Key.ENTER);
}

/** Lifts the card whose grip has the focus, moves it by these keys and puts it down, as the keyboard does. */
export async function carry(b: Browser, ...moves: readonly string[]): Promise<void> {
  // What is read out to someone who can't see it says that a key was taken.
  const said = () =>
    b.driver.executeScript<string>(
      'return [...document.querySelectorAll("[id^=DndLiveRegion]")].map((e) => e.textContent).join()',
    );
  for (const key of [Key.SPACE, ...moves, Key.SPACE]) {
    const before = await said();
    await b.driver.actions().sendKeys(key).perform();
    await b.driver.wait(
      async () => (await said()) !== before,
      PATIENCE_MS,
      `expected what is carried to take a key; last said: ${before}`,
    );
    // Where things lie is measured just after.
    await b.driver.sleep(100);
  }
}
