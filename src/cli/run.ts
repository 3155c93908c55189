import { writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { checkPlan } from '../check/index.ts';
import { toBundle } from '../core/formats/index.ts';
import { getFetchSeconds, type Plan, type PlanId } from '../core/records/index.ts';
import { createPlaceTree, formatPlaceName } from '../core/storage/index.ts';
import { createSampleHousehold } from '../sample/index.ts';
import { createPlan, createRun } from '../solver/solve.ts';
import { createAdopt } from '../core/acts/index.ts';
import { formatMinutes } from '../core/units/index.ts';
import { t } from '../ui/language/index.ts';
import { wordUnplaced } from '../ui/text/plans.ts';
import { runBalance, runCsv, runFind } from './ask.ts';
import { runLabels } from './labels.ts';
import { runMoves } from './moves.ts';
import { readBundle, readNumber, UsageError, writeWithAct, type ExitCode, type Terminal } from './terminal.ts';

const USAGE = `yardmist demo --out FILE [--seed S] [--lots N]
yardmist plan FILE [--seconds T] [--steps N] [--seed S] [--out FILE] [--json]
yardmist validate FILE
yardmist find FILE WORDS… [--most N] [--json]
yardmist moves FILE [--seconds T] [--seed S] [--json]
yardmist labels FILE --out FILE.svg --save FILE [--stock NAME] [--never-printed]
yardmist csv FILE --of KIND [--out FILE]
yardmist balance FILE [--json]`;

function runDemo(args: string[], terminal: Terminal): ExitCode {
  const { values } = parseArgs({
    args,
    options: { out: { type: 'string' }, seed: { type: 'string' }, lots: { type: 'string' } },
  });
  if (values.out === undefined) throw new UsageError(t('demo needs --out FILE'));
  const seed = readNumber(values.seed, 'seed', 1, 0, 2 ** 31);
  const lots = Math.round(readNumber(values.lots, 'lots', 320, 1, 50_000));
  const chronicle = createSampleHousehold(seed, lots);
  writeFileSync(values.out, toBundle(chronicle));
  const { items, places } = chronicle.household;
  terminal.print(
    t(
      '{file}: {pieces, plural, one {# piece} other {# pieces}} of {things, plural, one {# thing} other {# things}}, {places, plural, one {# place} other {# places}}',
      {
        file: values.out,
        pieces: lots,
        things: items.size,
        places: places.size,
      },
    ),
  );
  return 0;
}

function runPlan(args: string[], terminal: Terminal): ExitCode {
  const { values, positionals } = parseArgs({
    args,
    allowPositionals: true,
    options: {
      seconds: { type: 'string' },
      steps: { type: 'string' },
      seed: { type: 'string' },
      out: { type: 'string' },
      json: { type: 'boolean' },
    },
  });
  const seconds = readNumber(values.seconds, 'seconds', 5, 0, 3600);
  const steps = readNumber(values.steps, 'steps', Infinity, 0, 1e12);
  const seed = Math.round(readNumber(values.seed, 'seed', 1, 0, 2 ** 31));
  const chronicle = readBundle(positionals[0], terminal);
  if (typeof chronicle === 'number') return chronicle;
  const { household } = chronicle;
  const run = createRun(household, seed);
  const until = terminal.nowMs() + seconds * 1000;
  while (run.steps < steps && (values.steps !== undefined || terminal.nowMs() < until))
    run.advance(Math.min(5000, steps - run.steps));
  const solution = run.getSolution();
  const check = checkPlan(household, solution, solution.spots);
  const nameOf = (lotId: string) => {
    const lot = household.lots.get(lotId as never);
    return (lot && household.items.get(lot.itemId)?.name) ?? lotId;
  };
  const tree = createPlaceTree(household.places);
  const report = {
    placed: solution.assignments.length,
    unplaced: solution.unplaced.map(({ lotId, reason }) => ({ lotId, name: nameOf(lotId), ...reason })),
    bins: solution.bins.map(({ placeId, slotId }) => ({
      placeId,
      name: tree.places.get(placeId)?.name ?? placeId,
      to: slotId === undefined ? null : formatPlaceName(tree, slotId),
    })),
    fetchSecondsPerMonth: {
      before: Math.round(getFetchSeconds(run.before) * 10) / 10,
      after: Math.round(getFetchSeconds(solution.score) * 10) / 10,
    },
    checks: { passed: check.findings.length === 0, tests: check.tests, findings: check.findings },
    seed,
    steps: run.steps,
  };
  if (values.out !== undefined) {
    const plan: Plan = createPlan(run, solution, seed, `plan-${seed}-${run.steps}` as PlanId, terminal.nowMs());
    const draft = createAdopt(household, plan, household.settings.name, terminal.nowMs());
    writeWithAct(values.out, chronicle, draft, `adopt-${plan.id}`, terminal);
  }
  if (values.json) terminal.print(JSON.stringify(report, null, 2));
  else {
    const { before, after } = report.fetchSecondsPerMonth;
    terminal.print(
      t('{placed} with a home, {unplaced} without one', { placed: report.placed, unplaced: report.unplaced.length }),
    );
    for (const { lotId, reason } of solution.unplaced)
      terminal.print(`  ${nameOf(lotId)}: ${wordUnplaced(reason, tree, household.settings.units)}`);
    for (const { name, to } of report.bins)
      terminal.print(
        to === null
          ? t('  carry {name} out of the way', { name })
          : t('  carry {name} to {place}', { name, place: to }),
      );
    terminal.print(
      t('fetching takes {before} a month now, {after} with this plan', {
        before: formatMinutes(before),
        after: formatMinutes(after),
      }),
    );
    terminal.print(
      t(
        '{tests, plural, one {# check} other {# checks}} made, {findings} with a finding; start number {seed}, {steps, plural, one {# step} other {# steps}}',
        { tests: check.tests, findings: check.findings.length, seed: String(seed), steps: run.steps },
      ),
    );
  }
  return report.checks.passed ? 0 : 1;
}

function runValidate(args: string[], terminal: Terminal): ExitCode {
  const { positionals } = parseArgs({ args, allowPositionals: true });
  const chronicle = readBundle(positionals[0], terminal);
  if (typeof chronicle === 'number') return chronicle;
  const { household, events } = chronicle;
  terminal.print(
    t(
      'good: {pieces, plural, one {# piece} other {# pieces}} of {things, plural, one {# thing} other {# things}}, {places, plural, one {# place} other {# places}}, {lines, plural, one {# line} other {# lines}} in the daybook',
      {
        pieces: household.lots.size,
        things: household.items.size,
        places: household.places.size,
        lines: events.length,
      },
    ),
  );
  return 0;
}

/** Runs one command; what is wrong with the call or the file is said, never thrown. */
export function runCli(args: readonly string[], terminal: Terminal): ExitCode {
  const [command, ...rest] = args;
  try {
    if (command === 'demo') return runDemo(rest, terminal);
    if (command === 'plan') return runPlan(rest, terminal);
    if (command === 'validate') return runValidate(rest, terminal);
    if (command === 'find') return runFind(rest, terminal);
    if (command === 'moves') return runMoves(rest, terminal);
    if (command === 'labels') return runLabels(rest, terminal);
    if (command === 'csv') return runCsv(rest, terminal);
    if (command === 'balance') return runBalance(rest, terminal);
    terminal.complain(USAGE);
    return 2;
  } catch (error) {
    const isCallWrong =
      error instanceof UsageError || (error as NodeJS.ErrnoException).code?.startsWith('ERR_PARSE_ARGS');
    const isFileWrong = (error as NodeJS.ErrnoException).syscall === 'open';
    if (!isCallWrong && !isFileWrong) throw error;
    terminal.complain((error as Error).message);
    if (isCallWrong) terminal.complain(USAGE);
    return isCallWrong ? 2 : 1;
  }
}
