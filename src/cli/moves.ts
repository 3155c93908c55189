import { parseArgs } from 'node:util';
import { findMoves, getTableMm3 } from '../core/moves/index.ts';
import type { LotId } from '../core/records/index.ts';
import { createPlaceTree, formatPlaceName } from '../core/storage/index.ts';
import { formatMinutes } from '../core/units/index.ts';
import { t } from '../ui/language/index.ts';
import { wordDeed, wordWay } from '../ui/text/moves.ts';
import { readBundle, readNumber, type ExitCode, type Terminal } from './terminal.ts';

/** What is to be carried from how things are to the adopted plan, in an order that works. */
export function runMoves(args: string[], terminal: Terminal): ExitCode {
  const { values, positionals } = parseArgs({
    args,
    allowPositionals: true,
    options: { seconds: { type: 'string' }, seed: { type: 'string' }, json: { type: 'boolean' } },
  });
  const seconds = readNumber(values.seconds, 'seconds', 2, 0, 3600);
  const seed = Math.round(readNumber(values.seed, 'seed', 1, 0, 2 ** 31));
  const chronicle = readBundle(positionals[0], terminal);
  if (typeof chronicle === 'number') return chronicle;
  const { household } = chronicle;
  const tree = createPlaceTree(household.places);
  const tableMm3 = getTableMm3(household.settings);
  const search = findMoves({ household, skipped: [], tableMm3, seed, seconds, nowMs: terminal.nowMs });
  let next = search.next();
  while (next.done !== true) next = search.next();
  const found = next.value;
  const nameOf = (id: LotId) => household.items.get(household.lots.get(id)!.itemId)!.name;
  const namesOf = (ids: readonly LotId[]) => ids.map(nameOf);
  if (values.json) {
    terminal.print(JSON.stringify({ ...found, stuck: namesOf(found.stuckIds) }, null, 2));
    return 0;
  }
  for (const [i, step] of found.steps.entries())
    terminal.print(`${i + 1}. ${wordDeed(step, namesOf(step.lotIds), tree)} ${wordWay(step, tree)}`.trimEnd());
  const inAll = found.steps.reduce((sum, step) => sum + step.seconds, 0);
  terminal.print(
    found.steps.length === 0
      ? t('Nothing to carry.')
      : t('{trips, plural, one {# trip} other {# trips}}, about {minutes}; no order needs fewer than {least}.', {
          trips: found.trips,
          minutes: formatMinutes(inAll),
          least: found.leastTrips,
        }),
  );
  for (const id of found.stuckIds) terminal.print(t('no room at its home: {name}', { name: nameOf(id) }));
  for (const id of found.stuckBinIds)
    terminal.print(t('stays where it stands: {name}', { name: formatPlaceName(tree, id) }));
  return 0;
}
