import { check } from './check';
import { grade } from './grade';
import { hydraulics, shiftmap } from './hydraulics';
import { inspect } from './inspect';
import { plan } from './plan';

/** The command named first, with what follows; its number is the exit code. */
const commands = { check, grade, hydraulics, inspect, plan, shiftmap };

const [name, ...args] = process.argv.slice(2);
const command = commands[name as keyof typeof commands];
if (!command) throw new Error(`expected one of ${Object.keys(commands).join(', ')}`);

/** Codes that a terminal obeys: all control characters but tab and line feed. */
const isControl = (code: number): boolean =>
  (code < 0x20 && code !== 0x09 && code !== 0x0a) || (code >= 0x7f && code < 0xa0);

/** A file's name or content may hold such codes: they are shown, not sent. */
const harmless = (text: string): string =>
  [...text]
    .map((c) => {
      const code = c.codePointAt(0)!;
      return isControl(code) ? `\\x${code.toString(16).padStart(2, '0')}` : c;
    })
    .join('');
process.exitCode = command(args, {
  line: (text) => console.log(harmless(text)),
  wrong: (text) => console.error(harmless(text)),
});
