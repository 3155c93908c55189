import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** `npm run trust` tries everything thousands of times; `npm test` the same with few. */
export const IS_LARGE = process.env['TRUST'] === 'large';

export function many(few: number, large: number): number {
  return IS_LARGE ? large : few;
}

/** So long a large trial may take. */
export const TRIAL_MS = many(120_000, 7_200_000);

/** Work of this process so far, ms: a machine that stands still, or works for others, does not make a file slow. */
export function readWorkMs(): number {
  const { user, system } = process.cpuUsage();
  return (user + system) / 1000;
}

const FOLDER = 'test-results/trust';

/** Keeps a figure for the list at the end of a large run. */
export function report(name: string, value: number): void {
  mkdirSync(FOLDER, { recursive: true });
  writeFileSync(join(FOLDER, `${name}.txt`), String(value));
}
