import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { runCli } from './run.ts';

const folder = mkdtempSync(join(tmpdir(), 'yardmist-'));
const demo = join(folder, 'demo.yardmist.zip');

function run(...args: string[]) {
  const out: string[] = [];
  const err: string[] = [];
  let now = 0;
  const code = runCli(args, {
    print: (text) => out.push(text),
    complain: (text) => err.push(text),
    nowMs: () => (now += 20),
  });
  return { code, out: out.join('\n'), err: err.join('\n') };
}

describe('the command line', () => {
  beforeAll(() => {
    expect(run('demo', '--out', demo, '--lots', '120', '--seed', '4').code).toBe(0);
  });

  it('writes a demo that validates, the same each time', () => {
    expect(run('validate', demo)).toMatchObject({ code: 0, out: expect.stringContaining('120 lots') });
    const again = join(folder, 'again.yardmist.zip');
    run('demo', '--out', again, '--lots', '120', '--seed', '4');
    expect(readFileSync(again)).toEqual(readFileSync(demo));
  });

  it('plans, proves and writes the plan', () => {
    const planned = join(folder, 'planned.yardmist.zip');
    const { code, out } = run('plan', demo, '--steps', '20000', '--json', '--out', planned);
    const report = JSON.parse(out) as {
      placed: number;
      unplaced: unknown[];
      bins: { name: string; to: string | null }[];
      fetchSecondsPerMonth: { before: number; after: number };
      checks: { passed: boolean; tests: number };
    };
    expect(code).toBe(0);
    expect(report.placed + report.unplaced.length).toBe(120);
    expect(report.fetchSecondsPerMonth.after).toBeLessThan(report.fetchSecondsPerMonth.before);
    expect(report.checks.passed).toBe(true);
    // Where a bin is to be carried is told by its name and its compartment's.
    for (const { name, to } of report.bins)
      expect([name.length > 0, to === null || to.includes(' › ')]).toEqual([true, true]);
    expect(report.checks.tests).toBeGreaterThan(100);
    expect(run('validate', planned).out).toContain('2 daybook lines');
    expect(JSON.parse(run('plan', demo, '--steps', '20000', '--json').out)).toEqual(report);
  });

  it('lists the faults of a bad file with their paths', () => {
    const bad = join(folder, 'bad.yardmist.zip');
    const raw = JSON.parse(strFromU8(unzipSync(readFileSync(demo))['household.json']!)) as {
      items: { name: unknown }[];
    };
    raw.items[2]!.name = 7;
    writeFileSync(bad, zipSync({ 'household.json': strToU8(JSON.stringify(raw)) }));
    expect(run('validate', bad)).toMatchObject({ code: 1, err: expect.stringContaining('items.2.name') });
    writeFileSync(bad, '');
    expect(run('validate', bad)).toMatchObject({ code: 1, err: expect.stringContaining('the file is empty') });
    expect(run('plan', join(folder, 'nowhere.zip'))).toMatchObject({
      code: 1,
      err: expect.stringContaining('cannot be read'),
    });
  });

  it.each([
    [[]],
    [['sew']],
    [['demo']],
    [['demo', '--out', 'x', '--lots', 'many']],
    [['plan', 'x', '--speed', '3']],
    [['validate']],
  ])('answers a wrong call %j with the usage', (args) => {
    const { code, err } = run(...args);
    expect(code).toBe(2);
    expect(err).toContain('yardmist validate FILE');
  });
});
