import { mkdirSync } from 'node:fs';
import { Key } from 'selenium-webdriver';
import { openBrowser, type Browser } from './browser';
import { chooseOption } from './choose';
import { aClass } from './roomClass';
import { startServer } from './server';

/** `npm run shots`: the current pictures of the main views, from the demo world, into docs/screenshots/. */
const FOLDER = 'docs/screenshots';

interface Shot {
  readonly name: string;
  readonly route: string;
  readonly steps?: (b: Browser) => Promise<void>;
  readonly size?: readonly [number, number];
}

const answerRing = async (b: Browser) => {
  await b.press('button', 'Begin');
  await b.fill('spinbutton', 'Ratio', '2.33');
  await b.press('radio', 'same way');
  await b.press('radio', 'fairly sure');
};

const SHOTS: readonly Shot[] = [
  { name: 'home', route: '/' },
  {
    name: 'fault-desk',
    route: '/teach/faults?case=slipway-two-gears',
    steps: async (b) => {
      await b.press('button', /^Drive D 3/);
      await b.press('radio', 'as it should');
      await b.press('button', 'Take the reading');
      await b.press('radio', 'Bonnet and lift');
      await b.press('button', /^Colour and smell/);
      await b.press('checkbox', /Fluid is hot/);
      await b.press('radio', 'bright red');
      await b.press('button', 'Take the reading');
      await b.press('switch', 'cross out for me');
      await b.see('1 of 61 left');
    },
  },
  {
    name: 'strip-down',
    route: '/teach/strip-down/jobs/one-pack-bench',
    steps: async (b) => {
      await b.press('button', 'C2 plates');
      await b.press('button', 'Turn it over');
      await b.driver.executeScript(
        'for (const p of document.querySelectorAll(".measure-panel")) p.querySelector(".row button").click(); document.querySelector(".laid-out").scrollTo(0, 0)',
      );
    },
  },
  {
    name: 'builder',
    route: '/teach/lessons/what-the-held-part-feels',
    steps: (b) => b.see('The model answers'),
  },
  { name: 'player-predict', route: '/teach/lessons/hold-one-drive-one/preview', steps: answerRing },
  {
    name: 'player-answer',
    route: '/teach/lessons/hold-one-drive-one/preview',
    steps: async (b) => {
      await answerRing(b);
      await b.press('button', 'Commit prediction');
    },
  },
  {
    name: 'run',
    route: '/teach/lessons/hold-one-drive-one/run',
    size: [1920, 1080],
    steps: async (b) => {
      for (const ratio of ['2.33', '3.33']) {
        await b.fill('spinbutton', 'Ratio', ratio);
        await b.press('radio', 'same way');
        await b.press('button', 'Write it on the board');
      }
      for (const answer of [/One hand more for 2.33/, /One hand more for 3.33/, /more for 3.33/])
        await b.press('button', answer);
      await b.press('button', 'Reveal');
      await b.see('Left the carrier');
    },
  },
  { name: 'ratio', route: '/teach/ratio' },
  {
    name: 'atlas',
    route: '/teach/faults/atlas',
    steps: async (b) => {
      await b.press('button', /look alike: C1/);
      await b.press('button', 'C1, Forward clutch: will not come on');
    },
  },
  {
    name: 'converter-stall',
    route: '/teach/converter',
    steps: async (b) => {
      await b.press('radio', 'Stall test');
      for (const check of [/chocked/, /Park brake/, /Clear space/, /Fluid warm/])
        await b.press('checkbox', check);
      const stand = await b.role('combobox', 'On the stand');
      await stand.sendKeys(Key.ARROW_DOWN, Key.ARROW_DOWN, Key.ENTER);
      await b.press('button', 'Full throttle');
      await b.driver.sleep(5600);
    },
  },
  {
    name: 'apply',
    route: '/teach/apply/skerry-three',
    steps: async (b) => {
      await b.press('button', /^2.*put D2 on the bench/);
      await b.role('button', 'B1, Second band: applied');
    },
  },
  {
    name: 'hand-over-night',
    route: '/teach/apply/ferry-dual',
    steps: async (b) => {
      await b.press('button', /^Paper: Day/);
      await b.press('radio', 'Hand-over');
      await b.see('across');
    },
  },
  {
    name: 'unit-editor',
    route: '/teach/models/units/harbour-trainer',
    steps: (b) => b.see('Nothing wrong found'),
  },
  {
    name: 'room',
    route: '/teach/rooms/new/hold-one-drive-one',
    steps: async (b) => {
      await b.press('button', 'Open the room');
      await b.see('are in');
      await aClass(await b.driver.getCurrentUrl(), async () => {
        await b.press('button', 'Ask the first question');
        await b.see('What ratio');
      });
      await b.press('button', 'Show the spread');
      await b.see('By answer');
    },
  },
  {
    name: 'shift',
    route: '/teach/shift/quay-four',
    steps: async (b) => {
      await b.see('D1 of the chart');
      await b.press('radio', 'Shift over time');
      await b.see('smooth');
      await b.press('button', 'Keep as “before”');
      await chooseOption(b, 'Break it', 'Throttle valve: cable slack');
      await b.driver.sleep(1200);
    },
  },
  {
    name: 'clutch',
    route: '/teach/clutch',
    steps: async (b) => {
      await b.see('clamps');
      await b.driver.actions().sendKeys('p').perform();
      await b.see('gap 1.05 mm');
    },
  },
  {
    name: 'player-phone',
    route: '/teach/lessons/fill-the-chart/preview',
    size: [390, 844],
    steps: async (b) => {
      await b.press('button', 'Begin');
      await b.press('button', /^2 /);
      await b.see('Mark the cells');
    },
  },
  {
    name: 'clutch-start',
    route: '/teach/clutch',
    size: [820, 1356],
    steps: async (b) => {
      await b.press('radio', 'Drive off');
      await b.see('A clean start.');
    },
  },
  { name: 'class-book', route: '/teach/class-book', steps: (b) => b.see('How sure') },
];

mkdirSync(FOLDER, { recursive: true });
const server = await startServer();
const only = process.argv.slice(2);
try {
  for (const { name, route, steps, size = [1280, 800] } of SHOTS) {
    if (only.length > 0 && !only.includes(name)) continue;
    const b = await openBrowser();
    try {
      await b.finger(size[0] <= 640);
      await b.viewport(size[0], size[1]);
      await b.open(server.url + route);
      await steps?.(b);
      await b.driver.executeScript(
        'document.activeElement?.blur(); document.querySelector(".shell-screen").scrollTo(0, 0)',
      );
      await b.driver.sleep(400);
      await b.picture(`${FOLDER}/${name}.png`);
      const problems = await b.consoleProblems();
      if (problems.length > 0) throw new Error(`${name}: ${problems.join('; ')}`);
      console.log(`${FOLDER}/${name}.png`);
    } finally {
      await b.quit();
    }
  }
} finally {
  await server.stop();
}
