import { check } from './check';
import { inspect } from './inspect';

/** The command named first, with what follows; its number is the exit code. */
const commands = { check, inspect };

const [name, ...args] = process.argv.slice(2);
const command = commands[name as keyof typeof commands];
if (!command) throw new Error(`expected one of ${Object.keys(commands).join(', ')}`);
process.exitCode = command(args, { line: console.log, wrong: console.error });
