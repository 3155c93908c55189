import { existsSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled, ROOT, runTool } from './prepare.mjs';

/**
 * Everything that may go wrong, thousands of times: damaged files and lists, storage that fails, windows, kills, photos,
 * words that would be more. An hour's work; `npm test` does the same with few. Prints the figures.
 */
ensureInstalled();
ensureBuilt();
const FIGURES = join(ROOT, 'test-results', 'trust');
rmSync(FIGURES, { recursive: true, force: true });
process.env.TRUST = 'large';

const failed = [];
function trial(name, tool, args) {
  console.log(`${name} …`);
  if (runTool(tool, args) !== 0) failed.push(name);
}

/** Days, months and what is due, in places whose day begins elsewhere. */
const ZONES = ['Pacific/Kiritimati', 'Pacific/Pago_Pago', 'Asia/Kathmandu', 'America/St_Johns', 'Africa/Casablanca'];
const { TZ: zone } = process.env;
for (const TZ of ZONES) {
  process.env.TZ = TZ;
  trial(`the calendar in ${TZ}`, 'vitest', [
    'run',
    '--reporter=dot',
    'src/core/units',
    'src/core/daybook',
    'src/core/acts/known.test.ts',
    'src/ui/text',
  ]);
}
if (zone === undefined) delete process.env.TZ;
else process.env.TZ = zone;

// What is read at once stays well under a gigabyte: the heap is not given more.
const { NODE_OPTIONS: options } = process.env;
process.env.NODE_OPTIONS = '--max-old-space-size=700';
trial('files', 'vitest', ['run', '--reporter=dot', 'src/core/formats/files.trust.test.ts']);
if (options === undefined) delete process.env.NODE_OPTIONS;
else process.env.NODE_OPTIONS = options;
trial('lists, lives, windows and storage that fails', 'vitest', [
  'run',
  '--reporter=dot',
  'src/core/formats/csv/lists.trust.test.ts',
  'src/core/acts/life.trust.test.ts',
  'src/storage/windows.trust.test.ts',
  'src/ui/state/failing.trust.test.ts',
]);
if (ensureChromium()) trial('the browser', 'playwright', ['test', '--retries=0', 'trust.spec']);
else failed.push('the browser');

for (const file of existsSync(FIGURES) ? readdirSync(FIGURES).toSorted() : [])
  console.log(`${file.replace(/\.txt$/, '')} ${readFileSync(join(FIGURES, file), 'utf8')}`);
console.log(failed.length === 0 ? 'all held' : `did not hold: ${failed.join(', ')}`);
process.exitCode = failed.length > 0 ? 1 : 0;
