import { NEVER_GIVEN } from '../web/app/neverGiven';
import type { Browser } from './browser';
import { layoutProblems, smallLetters, smallTargets } from './layoutProblems';
import { screenList } from './screenList';
import type { Session } from './session';

/** The narrowest phone among them: what fits there fits on the others. */
const USUAL = [
  [360, 740],
  [820, 1180],
  [1024, 768],
  [1366, 768],
  [1920, 1080],
  [1280, 800],
] as const;

/**
 * `npm run widths`: those between, a phone on its side, the narrowest that a page may scroll one way only on (WCAG 2.2, 1.4.10;
 * published), and last, where axe looks, the usual phone.
 */
const OTHERS = [
  [1100, 800],
  [740, 360],
  [320, 640],
  [390, 844],
] as const;

const SIZES = process.env['WIDTHS'] === 'others' ? OTHERS : USUAL;

/** Where students go with a phone in their hand. */
const STUDENTS =
  /^\/(learn|room)|\/preview|^\/teach\/(ratio|apply|converter|clutch|shift|faults|strip-down)\b/;

/** What the build gives no style, since it is thought not to be there. */
async function unstyled(b: Browser): Promise<string[]> {
  const classes = await b.driver.executeScript<string[]>(
    'return [...new Set([...document.querySelectorAll("[class*=ant-]")].flatMap((e) => [...e.classList]))]',
  );
  return classes.filter((c) => NEVER_GIVEN.test(c)).map((c) => `has no style: ${c}`);
}

/** By script, since an open dialog lies over the bar. */
export async function switchPaper(b: Browser): Promise<void> {
  await b.driver.executeScript(
    'document.querySelector(".shell-tools button:nth-child(2)").click()',
  );
  await b.settled();
}

/**
 * One quarter of all screens, each opened once: at six widths nothing overlaps, is cut off, is wider than the page, or
 * scrolls inside what scrolls; and axe finds nothing on either paper. In quarters, so that every browser has its share.
 */
export function lookAtScreens(run: Session, quarter: 0 | 1 | 2 | 3): void {
  const b = () => run.browser();
  test.each(screenList(b).filter((_s, k) => k % 4 === quarter))(
    '%s',
    async (_name, route, steps) => {
      await b().viewport(1280, 800);
      await b().visit(run.at(route));
      for (const step of steps) await step();
      const found = await unstyled(b());
      for (const [width, height] of SIZES) {
        const phone = width <= 640 || height <= 480;
        await b().finger(phone);
        await b().viewport(width, height);
        await b().settled();
        const problems = await layoutProblems(b());
        if (phone && STUDENTS.test(route))
          problems.push(...(await smallTargets(b())), ...(await smallLetters(b())));
        for (const problem of problems) found.push(`${width}: ${problem}`);
      }
      // On the paper that is there, then on the other: nothing but the colours is another.
      const paper = () =>
        b().driver.executeScript<string>('return document.documentElement.dataset.theme');
      const first = await paper();
      for (const problem of await b().axe()) found.push(`${first}: ${problem}`);
      await switchPaper(b());
      const second = await paper();
      expect([first, second].sort()).toEqual(['day', 'night']);
      for (const problem of await b().axe(['color-contrast'])) found.push(`${second}: ${problem}`);
      expect(found).toEqual([]);
    },
  );
}
