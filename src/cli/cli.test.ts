import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { beforeAll, describe, expect, it } from 'vitest';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { parseTable } from '../core/formats/csv/index.ts';
import { parseBundle } from '../core/formats/index.ts';
import { speak } from '../ui/language/choose.ts';
import { runCli } from './run.ts';
import { findSpoken } from './terminal.ts';

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

function readDemo(file = demo) {
  const read = parseBundle(readFileSync(file));
  if (!read.ok) throw new Error(JSON.stringify(read.fault));
  return read.value;
}

/** What is wrong with a report by its published schema. */
function findFaults(name: string, report: unknown): unknown[] {
  const schema = JSON.parse(readFileSync(`docs/schemas/${name}-report.schema.json`, 'utf8')) as object;
  const validate = new Ajv2020({ allErrors: true, allowUnionTypes: true }).compile(schema);
  validate(report);
  return validate.errors ?? [];
}

describe('the command line', () => {
  it('prints what its schemas say', () => {
    const planned = join(folder, 'schemas.yardmist.zip');
    const print = (...args: string[]) => JSON.parse(run(...args, '--json').out) as unknown;
    expect(findFaults('plan', print('plan', demo, '--steps', '3000', '--out', planned))).toEqual([]);
    expect(findFaults('find', print('find', demo, 'linen'))).toEqual([]);
    expect(findFaults('moves', print('moves', planned, '--seconds', '0.1'))).toEqual([]);
    expect(findFaults('balance', print('balance', demo))).toEqual([]);
    expect(findFaults('balance', { isEnough: true })).not.toEqual([]);
  });

  beforeAll(() => {
    expect(run('demo', '--out', demo, '--lots', '120', '--seed', '4').code).toBe(0);
  });

  it('writes a demo that validates, the same each time', () => {
    expect(run('validate', demo)).toMatchObject({ code: 0, out: expect.stringContaining('good: 120 pieces of ') });
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
    expect(run('validate', planned).out).toContain('2 lines in the daybook');
    expect(JSON.parse(run('plan', demo, '--steps', '20000', '--json').out)).toEqual(report);
  });

  it('finds a thing by what one says of it, and says where it is', () => {
    const { code, out } = run('find', demo, 'dressmaking', 'sheers', '--most', '1');
    expect(code).toBe(0);
    expect(out).toMatch(/^Dressmaking shears: .+ › .+$/);
    const found = JSON.parse(run('find', demo, 'linen', '--json').out) as { name: string; placeId: string | null }[];
    expect(found.length).toBeGreaterThan(1);
    expect(run('find', demo, 'qqqzz')).toMatchObject({ code: 1, err: 'Nothing is called that, or nearly.' });
    expect(run('find', demo).code).toBe(2);
  });

  it('says whether all has room', () => {
    const { code, out } = run('balance', demo);
    expect(code).toBe(0);
    expect(out).toMatch(/^Shelves: \d+ places, \d+ % of what is to be filled$/m);
    expect(out.split('\n').at(-1)).toMatch(/^All of it has room\.$|will not go in\.$/);
    const report = JSON.parse(run('balance', demo, '--json').out) as { isEnough: boolean; sorts: unknown[] };
    expect(report.isEnough).toBe(out.includes('All of it has room.'));
  });

  it('writes a kind as a table that can be read in again', () => {
    const { code, out } = run('csv', demo, '--of', 'pattern');
    expect(code).toBe(0);
    const table = parseTable(`${out}\n`);
    if (!table.ok) throw new Error(table.fault.code);
    const { rows } = table.value;
    const { household } = readDemo();
    const patterns = [...household.lots.values()].filter(
      (lot) => household.items.get(lot.itemId)?.kind === 'pattern' && lot.state !== 'gone',
    );
    // And a heading.
    expect(rows).toHaveLength(patterns.length + 1);
    expect(run('csv', demo, '--of', 'hats').err).toContain('--of takes one of fabric, pattern');
  });

  it('orders what an adopted plan has carried', () => {
    const planned = join(folder, 'carried.yardmist.zip');
    run('plan', demo, '--steps', '20000', '--out', planned);
    const { code, out } = run('moves', planned, '--seconds', '0.2');
    expect(code).toBe(0);
    expect(out).toMatch(/^1\. .+ (from|in) .+$/m);
    expect(out).toMatch(/^\d+ trips, about .+; no order needs fewer than \d+\.$/m);
    const { steps } = JSON.parse(run('moves', planned, '--seconds', '0.2', '--json').out) as { steps: unknown[] };
    expect(steps.length).toBeGreaterThan(10);
  });

  it('prints the labels of places, and writes down that it did and with which codes', () => {
    const [sheet, saved] = [join(folder, 'labels.svg'), join(folder, 'labelled.yardmist.zip')];
    const { code, out } = run('labels', demo, '--out', sheet, '--save', saved, '--stock', 'a4-8');
    expect(code).toBe(0);
    const [, count, sheets] = /^(\d+) labels on (\d+) sheets$/.exec(out)!;
    expect(Number(sheets)).toBe(Math.ceil(Number(count) / 8));
    const first = readFileSync(Number(sheets) === 1 ? sheet : join(folder, 'labels-1.svg'), 'utf8');
    expect(first).toMatch(/^<svg /);
    const { household } = readDemo(saved);
    const labelled = [...household.places.values()].filter(({ label }) => label?.printedAtMs !== undefined);
    expect(labelled.length).toBeGreaterThanOrEqual(Number(count));
    for (const { label } of labelled.slice(0, 8)) expect(label!.code).toMatch(/\w+/);
    // All of them are printed now.
    const again = run('labels', saved, '--out', sheet, '--save', join(folder, 'more.zip'), '--never-printed');
    expect(again).toMatchObject({ code: 0, out: 'No label to print; nothing was written.' });
    expect(run('labels', demo, '--out', sheet).code).toBe(2);
    expect(run('validate', saved).code).toBe(0);
  });

  it('speaks the language of the system, in words, numbers and on labels; reports for programs stay as they are', async () => {
    expect(findSpoken({ LANG: 'de_DE.UTF-8' })).toBe('de');
    expect(findSpoken({ LC_ALL: 'C', LANG: 'de_DE.UTF-8' })).toBe('en');
    expect(findSpoken({ LC_ALL: '', LC_MESSAGES: 'fr_FR', LANG: 'de' })).toBe('en');
    const report = run('balance', demo, '--json').out;
    await speak('de');
    try {
      expect(run('validate', demo).out).toMatch(/^gut: 120 Stücke von \d+ Dingen, .+ im Tagebuch$/);
      expect(run('balance', demo).out).toMatch(/^Regale: \d+ Plätze, \d+ % dessen, was gefüllt werden soll$/m);
      expect(run('plan', demo, '--steps', '2000').out).toMatch(/^Holen braucht jetzt \d+(,\d)? min im Monat/m);
      expect(run('find', demo, 'wo ist die Stoffschere').code).toBe(0);
      expect(run('find').err).toContain('Was wird gesucht?');
      expect(run('balance', demo, '--json').out).toBe(report);
    } finally {
      await speak('en');
    }
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
