import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled, listen, ROOT, runTool } from './prepare.mjs';

/** Everything that must hold; ends with one line `N passed, N failed`. A static check counts as one test. */
const STARTED_MS = Date.now();
ensureInstalled();
const RESULTS = join(ROOT, 'test-results');
rmSync(RESULTS, { recursive: true, force: true });
let passed = 0;
let failed = 0;
/** What failed is told once more at the end: of a long output only that may be kept. */
const wrong = [];

function check(name, code) {
  console.log(`${code === 0 ? 'passed' : 'FAILED'}: ${name}`);
  if (code === 0) passed += 1;
  else {
    failed += 1;
    wrong.push(name);
  }
}

/** What took longest is told at the end, over all runners. */
const slow = [];

/** Counts from a runner's report; one failure when it wrote none. */
function count(name, file, read, code) {
  const path = join(RESULTS, file);
  const counts = existsSync(path) ? read(JSON.parse(readFileSync(path, 'utf8'))) : { passed: 0, failed: 1 };
  passed += counts.passed;
  failed += code !== 0 && counts.failed === 0 ? 1 : counts.failed;
  slow.push(...(counts.slow ?? []));
  wrong.push(...(counts.wrong ?? [`${name}: no report`]));
  console.log(`${name}: ${counts.passed} passed, ${counts.failed} failed`);
}

/** Those that only read, two at a time; what each says is kept together. */
const CHECKS = [
  ['types', 'tsc', ['--noEmit']],
  ['format', 'prettier', ['--check', '--log-level', 'warn', '.']],
  ['lint', 'npm', ['run', '--silent', 'lint']],
  ['imports', 'node', ['tools/imports.mjs']],
  ['wording in every language', 'node', ['tools/words.mjs', '--check']],
  ['unused code', 'npm', ['run', '--silent', 'unused']],
];
const waiting = [...CHECKS];
async function checkOn() {
  for (let next = waiting.shift(); next; next = waiting.shift()) {
    const [name, command, args] = next;
    const { code, said } = await listen(command, args);
    process.stdout.write(said);
    check(name, code);
  }
}
await Promise.all([checkOn(), checkOn()]);

const unit = runTool('vitest', [
  'run',
  '--reporter=dot',
  '--reporter=json',
  `--outputFile.json=${join(RESULTS, 'unit.json')}`,
]);
const readUnit = ({ numPassedTests, numFailedTests, testResults }) => ({
  passed: numPassedTests,
  failed: numFailedTests,
  wrong: testResults.flatMap(({ name, status, message, assertionResults }) =>
    // A file that does not load has no tests that could fail.
    status === 'failed' && assertionResults.every((one) => one.status !== 'failed')
      ? [`${name}: ${message}`]
      : assertionResults
          .filter((one) => one.status === 'failed')
          .map(({ fullName, failureMessages }) => `${fullName}: ${failureMessages[0]?.split('\n')[0]}`),
  ),
  slow: testResults.flatMap((file) =>
    file.assertionResults.map(({ fullName, duration }) => ({ name: fullName, ms: duration ?? 0 })),
  ),
});
count('unit', 'unit.json', readUnit, unit);

ensureBuilt();
const FIRST_LOAD_KB = 180;
const size = spawnSync('node', ['tools/bench.mjs', 'app.first_load'], { cwd: ROOT, encoding: 'utf8' });
const kb = Number(/app\.first_load_kb_gzip (\S+)/.exec(size.stdout)?.[1] ?? Number.NaN);
check(`first load ${kb} kB of at most ${FIRST_LOAD_KB}`, kb <= FIRST_LOAD_KB ? 0 : 1);
/** A machine that stands still for seconds fails a test by itself now and then. */
const MOST_FLAKY = 2;
if (ensureChromium()) {
  const runBenches = () => listen('node', ['tools/bench.mjs'], { BENCH_SIZE: 'small' });
  let benches = await runBenches();
  if (benches.code !== 0) {
    process.stdout.write(benches.said);
    // As with browser tests: one that fails by the machine passes the second time, one that no longer runs fails again.
    console.log('only on its second try, or not at all: the benches');
    benches = await runBenches();
    if (benches.code !== 0) process.stdout.write(benches.said);
  }
  check('every bench once, in its smallest size', benches.code);
  const browser = runTool('playwright', ['test']);
  /** All tests of a suite, and of those inside it. */
  const listSpecs = (suite) => [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(listSpecs)];
  const read = ({ stats, suites }) => {
    const specs = suites.flatMap(listSpecs);
    const flaky = specs.filter(({ tests }) => tests.some(({ status }) => status === 'flaky'));
    for (const { title } of flaky) console.log(`only on its second try: ${title}`);
    const ms = ({ tests }) => Math.max(0, ...tests.flatMap(({ results }) => results.map((one) => one.duration)));
    return {
      passed: stats.expected,
      // What passes only sometimes does not hold; one in a run may be the machine's.
      failed: stats.unexpected + Math.max(0, stats.flaky - MOST_FLAKY),
      wrong: specs.filter(({ ok }) => !ok).map(({ title }) => title),
      slow: specs.map((spec) => ({ name: spec.title, ms: ms(spec) })),
    };
  };
  count('browser', 'e2e.json', read, browser);
} else check('browser tests (no browser)', 1);

console.log('the ten slowest:');
for (const { name, ms } of slow.toSorted((a, b) => b.ms - a.ms).slice(0, 10))
  console.log(`  ${(ms / 1000).toFixed(1)} s  ${name}`);
for (const one of wrong) console.log(`FAILED: ${one}`);
console.log(`ci.minutes ${((Date.now() - STARTED_MS) / 60_000).toFixed(1)}`);
console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 ? 1 : 0;
