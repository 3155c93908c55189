import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled, ROOT, run, runTool } from './prepare.mjs';

/** Everything that must hold; ends with one line `N passed, N failed`. A static check counts as one test. */
ensureInstalled();
const RESULTS = join(ROOT, 'test-results');
rmSync(RESULTS, { recursive: true, force: true });
let passed = 0;
let failed = 0;

function check(name, code) {
  console.log(`${code === 0 ? 'passed' : 'FAILED'}: ${name}`);
  if (code === 0) passed += 1;
  else failed += 1;
}

/** Counts from a runner's report; one failure when it wrote none. */
function count(name, file, read, code) {
  const path = join(RESULTS, file);
  const counts = existsSync(path) ? read(JSON.parse(readFileSync(path, 'utf8'))) : { passed: 0, failed: 1 };
  passed += counts.passed;
  failed += code !== 0 && counts.failed === 0 ? 1 : counts.failed;
  console.log(`${name}: ${counts.passed} passed, ${counts.failed} failed`);
}

check('format', runTool('prettier', ['--check', '--log-level', 'warn', '.']));
check('lint', run('npm', ['run', '--silent', 'lint']));
check('types', runTool('tsc', ['--noEmit']));
check('imports', run('node', ['tools/imports.mjs']));
check('unused code', run('npm', ['run', '--silent', 'unused']));

const unit = runTool('vitest', [
  'run',
  '--reporter=dot',
  '--reporter=json',
  `--outputFile.json=${join(RESULTS, 'unit.json')}`,
]);
count('unit', 'unit.json', (report) => ({ passed: report.numPassedTests, failed: report.numFailedTests }), unit);

ensureBuilt();
const FIRST_LOAD_KB = 200;
const size = spawnSync('node', ['tools/bench.mjs', 'app.first_load'], { cwd: ROOT, encoding: 'utf8' });
const kb = Number(/app\.first_load_kb_gzip (\S+)/.exec(size.stdout)?.[1] ?? Number.NaN);
check(`first load ${kb} kB of at most ${FIRST_LOAD_KB}`, kb <= FIRST_LOAD_KB ? 0 : 1);
if (ensureChromium()) {
  const browser = runTool('playwright', ['test']);
  const read = ({ stats }) => ({ passed: stats.expected + stats.flaky, failed: stats.unexpected });
  count('browser', 'e2e.json', read, browser);
} else check('browser tests (no browser)', 1);

console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 ? 1 : 0;
