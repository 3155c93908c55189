import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));
const isWindows = process.platform === 'win32';

/** Where preparing speaks to: not where a command's own answer goes. */
const ASIDE = [0, 2, 2];

/** Runs a command with its output on the screen; the exit code. */
export function run(command, args, env = {}, stdio = 'inherit') {
  const { status } = spawnSync(command, args, {
    cwd: ROOT,
    stdio,
    shell: isWindows,
    env: { ...process.env, ...env },
  });
  return status ?? 1;
}

/** A program that npm installed. */
export function runTool(name, args, env = {}, stdio = 'inherit') {
  return run(join(ROOT, 'node_modules', '.bin', name), args, env, stdio);
}

/** Runs a command, by name also one that npm installed, beside others: its exit code, and all that it said. */
export function listen(command, args, env = {}) {
  const installed = join(ROOT, 'node_modules', '.bin', command);
  const child = spawn(existsSync(installed) ? installed : command, args, {
    cwd: ROOT,
    shell: isWindows,
    env: { ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  const said = [];
  child.stdout.on('data', (part) => said.push(part));
  child.stderr.on('data', (part) => said.push(part));
  return new Promise((resolve) => {
    const end = (code) => resolve({ code: code ?? 1, said: Buffer.concat(said).toString() });
    child.on('error', () => end(1));
    child.on('close', end);
  });
}

/** Installs what the lock file says, once for each lock file. */
export function ensureInstalled() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    console.error(`Yardmist needs Node 20.19 or later; this is ${process.versions.node}.`);
    process.exit(1);
  }
  const lock = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex');
  const stamp = join(ROOT, 'node_modules', '.yardmist-lock');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  console.error('Installing what is missing (a minute or so, once) …');
  if (run('npm', ['ci', '--no-audit', '--no-fund'], {}, ASIDE) !== 0) process.exit(1);
  writeFileSync(stamp, lock);
}

function findNewest(path) {
  const entry = statSync(path);
  if (!entry.isDirectory()) return entry.mtimeMs;
  return Math.max(entry.mtimeMs, ...readdirSync(path).map((name) => findNewest(join(path, name))));
}

/** Builds app and programs where a source is newer than what was built. */
export function ensureBuilt() {
  const built = [join(ROOT, 'dist', 'index.html'), join(ROOT, 'dist-node', 'server.js')];
  const sources = ['src', 'bench', 'vite.config.ts', 'vite.node.config.ts', 'package-lock.json'].map((name) =>
    findNewest(join(ROOT, name)),
  );
  if (built.every((file) => existsSync(file) && statSync(file).mtimeMs >= Math.max(...sources))) return;
  console.error('Building …');
  const build = (...args) => runTool('vite', ['build', '--logLevel', 'warn', ...args], {}, ASIDE);
  if (build() !== 0 || build('--config', 'vite.node.config.ts') !== 0) process.exit(1);
}
