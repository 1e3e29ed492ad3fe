import { openBrowser } from './browser';
import { layoutProblems } from './layoutProblems';
import { screenList } from './screenList';
import { startServer } from './server';
const only = process.argv[2];
const widths = (process.argv[3] ?? '390x844,820x1180,1024x768,1280x800,1366x768,1920x1080')
  .split(',')
  .map((w) => w.split('x').map(Number));
const server = await startServer();
const b = await openBrowser();
const list = screenList(() => b).filter(([n]) => !only || new RegExp(only).test(n));
for (const [name, route, steps] of list) {
  try {
    await b.viewport(1280, 800);
    await b.open(`${server.url}${route}`);
    for (const s of steps) await s();
    for (const [w, h] of widths) {
      await b.viewport(w!, h!);
      await b.driver.sleep(150);
      for (const p of await layoutProblems(b)) console.log(`${name} | ${w} | ${p}`);
    }
  } catch (e) {
    console.log(`${name} | FAILED ${(e as Error).message.split('\n')[0]}`);
  }
}
await b.quit();
await server.stop();
