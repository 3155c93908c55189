import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));
const isWindows = process.platform === 'win32';

/** Runs a command with its output on the screen; the exit code. */
export function run(command, args, env = {}) {
  const { status } = spawnSync(command, args, {
    cwd: ROOT,
    stdio: 'inherit',
    shell: isWindows,
    env: { ...process.env, ...env },
  });
  return status ?? 1;
}

/** A program that npm installed. */
export function runTool(name, args, env = {}) {
  return run(join(ROOT, 'node_modules', '.bin', name), args, env);
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
  console.log('Installing what is missing (a minute or so, once) …');
  if (run('npm', ['ci', '--no-audit', '--no-fund']) !== 0) process.exit(1);
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
  console.log('Building …');
  const quiet = ['build', '--logLevel', 'warn'];
  if (runTool('vite', quiet) !== 0 || runTool('vite', [...quiet, '--config', 'vite.node.config.ts']) !== 0)
    process.exit(1);
}
