import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { run } from './prepare.mjs';

const KNOWN = [
  process.env.CHROMIUM,
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
  '/usr/bin/google-chrome-stable',
  '/Applications/Google Chrome.app/Contents/MacOS/Google Chrome',
  '/Applications/Chromium.app/Contents/MacOS/Chromium',
  'C:\\Program Files\\Google\\Chrome\\Application\\chrome.exe',
];

/** The same engine without windows, menus and all that is around a page: a new session of it opens in half the time. */
const BARE = '/usr/bin/chromium-headless-shell';

/** The browser that is on this machine, or null. */
export function findChromium() {
  return KNOWN.find((path) => path && existsSync(path)) ?? null;
}

/** What the browser tests are driven in: the bare one, or where there is none, the whole. */
export function findBareChromium() {
  return process.env.CHROMIUM || !existsSync(BARE) ? findChromium() : BARE;
}

/** The browser; installed from Debian's packages where there is none and apt-get can; else null, after saying how. */
export function ensureChromium() {
  const found = findChromium();
  if (found && (process.env.CHROMIUM || existsSync(BARE))) return found;
  if (spawnSync('apt-get', ['--version']).status === 0) {
    console.log('Installing Chromium from the distribution’s packages (once) …');
    const sudo = process.getuid?.() === 0 ? [] : ['sudo', '-n'];
    const apt = (...args) => {
      const [command, ...rest] = [...sudo, 'apt-get', ...args];
      return run(command, rest);
    };
    apt('update', '-qq');
    // One after the other: where a distribution has no bare one, the whole does as well.
    if (!found) apt('install', '-y', '-qq', '--no-install-recommends', 'chromium');
    apt('install', '-y', '-qq', '--no-install-recommends', 'chromium-headless-shell');
  }
  const installed = findChromium();
  if (!installed)
    console.error(
      'The browser tests need Chromium or Chrome and found none. Install one (on Debian: apt-get install chromium), or set CHROMIUM to its path.',
    );
  return installed;
}
