import { runCli } from './run.ts';

process.exitCode = runCli(process.argv.slice(2), {
  print: (text) => process.stdout.write(`${text}\n`),
  complain: (text) => process.stderr.write(`${text}\n`),
  nowMs: () => Date.now(),
});
