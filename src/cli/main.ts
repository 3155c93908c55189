import { speak } from '../ui/language/choose.ts';
import { runCli } from './run.ts';
import { findSpoken } from './terminal.ts';

await speak(findSpoken(process.env));

process.exitCode = runCli(process.argv.slice(2), {
  print: (text) => process.stdout.write(`${text}\n`),
  complain: (text) => process.stderr.write(`${text}\n`),
  nowMs: () => Date.now(),
});
