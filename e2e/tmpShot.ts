import { openBrowser } from './browser';
import { screenList } from './screenList';
import { startServer } from './server';
// name-regexp WxH out.png [night]
const [only, size, out, paper] = process.argv.slice(2);
const [w, h] = size!.split('x').map(Number);
const server = await startServer();
const b = await openBrowser();
const found = screenList(() => b).find(([n]) => n === only) ?? ([only!, only!, []] as const);
await b.viewport(1280, 800);
await b.open(`${server.url}${found[1]}`);
for (const s of found[2]) await s();
for (const c of process.argv.slice(6)) {
  const i = c.indexOf('=');
  const role = c.slice(0, i),
    name = c.slice(i + 1);
  if (role === 'see') await b.see(name);
  else if (role === 'js') await b.driver.executeScript(name);
  else await b.press(role, name.startsWith('/') ? new RegExp(name.slice(1, -1)) : name);
}
await b.viewport(w!, h!);
if (paper === 'night')
  await b.driver.executeScript(
    'document.querySelector(".shell-tools button:nth-child(2)").click()',
  );
await b.driver.sleep(700);
await b.picture(out!);
await b.quit();
await server.stop();
