import { check } from './check';
import { inspect } from './inspect';

/** The command named first, with what follows; its number is the exit code. */
const commands = { check, inspect };

const [name, ...args] = process.argv.slice(2);
const command = commands[name as keyof typeof commands];
if (!command) throw new Error(`expected one of ${Object.keys(commands).join(', ')}`);

/** A file's name or content may hold codes that a terminal obeys: they are shown, not sent. */
const harmless = (text: string): string =>
  // eslint-disable-next-line no-control-regex
  text.replace(
    /[\u0000-\u0008\u000b-\u001f\u007f-\u009f]/g,
    (c) => `\\x${c.charCodeAt(0).toString(16).padStart(2, '0')}`,
  );
process.exitCode = command(args, {
  line: (text) => console.log(harmless(text)),
  wrong: (text) => console.error(harmless(text)),
});
