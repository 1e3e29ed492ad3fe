import { By } from 'selenium-webdriver';
import type { Browser } from './browser';

const OPTIONS = '.ant-select-dropdown:not(.ant-select-dropdown-hidden) .ant-select-item-option';

/** Opens a list by its name and takes the option with just this name. @throws Error naming what was there instead */
export async function chooseOption(
  b: Browser,
  list: string | RegExp,
  option: string,
): Promise<void> {
  const select = await b.role('combobox', list);
  await select.click();
  await b.driver.wait(
    async () => (await b.driver.findElements(By.css(OPTIONS))).length > 0,
    10_000,
    `expected ${String(list)} to open`,
  );
  await b.driver.sleep(150);
  const there = await b.driver.executeScript<string[] | null>(
    `const all = [...document.querySelectorAll(arguments[0])];
     const name = (o) => (o.querySelector('.kind-name') ?? o).textContent.trim();
     const one = all.find((o) => name(o) === arguments[1]);
     if (!one) return all.map(name);
     one.click();
     return null;`,
    OPTIONS,
    option,
  );
  if (there) throw new Error(`expected an option "${option}" among: ${there.join(', ')}`);
}
