import { writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { computeBalance } from '../core/balance/index.ts';
import { createFinder } from '../core/finding/index.ts';
import { toCsv } from '../core/formats/csv/index.ts';
import { isKind, KINDS } from '../core/records/index.ts';
import { createPlaceTree } from '../core/storage/index.ts';
import { formatVolume } from '../core/units/index.ts';
import { computeWhereabouts, groupLotsByPlace } from '../core/whereabouts/index.ts';
import { listAlike, t } from '../ui/language/index.ts';
import { wordKindPlural } from '../ui/text/names.ts';
import { SORT_WORDS } from '../ui/text/setout.ts';
import { wordWhereShort } from '../ui/text/where.ts';
import { readBundle, readNumber, UsageError, type ExitCode, type Terminal } from './terminal.ts';

/** Where is it? What some words mean, the best first, with where each is. */
export function runFind(args: string[], terminal: Terminal): ExitCode {
  const { values, positionals } = parseArgs({
    args,
    allowPositionals: true,
    options: { most: { type: 'string' }, json: { type: 'boolean' } },
  });
  const most = Math.round(readNumber(values.most, 'most', 8, 1, 1000));
  const [file, ...words] = positionals;
  if (words.length === 0) throw new UsageError(t('what is looked for?'));
  const chronicle = readBundle(file, terminal);
  if (typeof chronicle === 'number') return chronicle;
  const { household } = chronicle;
  const tree = createPlaceTree(household.places);
  const finder = createFinder(listAlike);
  finder.sync(household);
  const inside = groupLotsByPlace(household, 'is');
  const found = finder.find(words.join(' '), most).map(({ lotId }) => ({
    lotId,
    name: household.items.get(household.lots.get(lotId)!.itemId)!.name,
    ...computeWhereabouts(household, tree, inside, lotId),
  }));
  if (values.json) terminal.print(JSON.stringify(found, null, 2));
  else for (const one of found) terminal.print(`${one.name}: ${wordWhereShort(one)}`);
  if (found.length === 0) terminal.complain(t('Nothing is called that, or nearly.'));
  return found.length > 0 ? 0 : 1;
}

/** Whether all that there is has room, sort by sort of room. */
export function runBalance(args: string[], terminal: Terminal): ExitCode {
  const { values, positionals } = parseArgs({ args, allowPositionals: true, options: { json: { type: 'boolean' } } });
  const chronicle = readBundle(positionals[0], terminal);
  if (typeof chronicle === 'number') return chronicle;
  const { household } = chronicle;
  const { sorts, left, leftMm3, isEnough } = computeBalance(household, createPlaceTree(household.places));
  const { units } = household.settings;
  if (values.json) {
    const report = {
      isEnough,
      leftMm3: Math.round(leftMm3),
      sorts: sorts.map(({ sort, places, has, usable, wants, takes }) => ({ sort, places, has, usable, wants, takes })),
      left: left.map(({ kind, lots }) => ({ kind, lots })),
    };
    terminal.print(JSON.stringify(report, null, 2));
    return 0;
  }
  for (const { sort, places, usable, takes } of sorts) {
    const share = usable > 0 ? Math.round((100 * takes) / usable) : 0;
    terminal.print(
      t('{sort}: {places, plural, one {# place} other {# places}}, {share} % of what is to be filled', {
        sort: SORT_WORDS()[sort],
        places,
        share,
      }),
    );
  }
  for (const { kind, lots } of left)
    terminal.print(t('without room: {pieces} of {kind}', { pieces: lots, kind: wordKindPlural(kind) }));
  terminal.print(
    isEnough ? t('All of it has room.') : t('{volume} will not go in.', { volume: formatVolume(leftMm3, units) }),
  );
  return 0;
}

/** A kind of things as a table that any other program reads. */
export function runCsv(args: string[], terminal: Terminal): ExitCode {
  const { values, positionals } = parseArgs({
    args,
    allowPositionals: true,
    options: { of: { type: 'string' }, out: { type: 'string' } },
  });
  if (!isKind(values.of)) throw new UsageError(t('--of takes one of {names}', { names: KINDS.join(', ') }));
  const chronicle = readBundle(positionals[0], terminal);
  if (typeof chronicle === 'number') return chronicle;
  const table = toCsv(chronicle.household, values.of);
  if (values.out === undefined) terminal.print(table.trimEnd());
  else writeFileSync(values.out, table);
  return 0;
}
