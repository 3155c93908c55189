import { writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { passGate, stampEvent } from '../core/daybook/index.ts';
import { toBundle } from '../core/formats/index.ts';
import { layLabels, STOCKS } from '../core/formats/label/index.ts';
import { toSvg } from '../core/formats/sheet/index.ts';
import { assignCodes, computePlaceContents, createLabelled, listPlaceSayings } from '../core/labels/index.ts';
import { createPlaceTree } from '../core/storage/index.ts';
import { wordPlaceFace } from '../ui/text/labels.ts';
import { readBundle, UsageError, type ExitCode, type Terminal } from './terminal.ts';

/**
 * The labels of all places that hold something, as SVG sheets that print to size. That they were made, and with which
 * codes, is written into another file, for a code that no file knows leads nowhere.
 */
export function runLabels(args: string[], terminal: Terminal): ExitCode {
  const { values, positionals } = parseArgs({
    args,
    allowPositionals: true,
    options: {
      out: { type: 'string' },
      save: { type: 'string' },
      stock: { type: 'string' },
      'never-printed': { type: 'boolean' },
    },
  });
  if (values.out === undefined || values.save === undefined)
    throw new UsageError('labels needs --out FILE.svg and --save FILE: what is printed is written down');
  const stock = STOCKS.find(({ id }) => id === (values.stock ?? STOCKS[0]!.id));
  if (!stock) throw new UsageError(`--stock takes one of ${STOCKS.map(({ id }) => id).join(', ')}`);
  const chronicle = readBundle(positionals[0], terminal);
  if (typeof chronicle === 'number') return chronicle;
  const { household, events } = chronicle;
  const tree = createPlaceTree(household.places);
  const contents = computePlaceContents(household, tree);
  const wanted = tree.leaves.filter(
    ({ id, label }) =>
      contents.get(id)!.parts.length > 0 && !(values['never-printed'] && label?.printedAtMs !== undefined),
  );
  const nowMs = terminal.nowMs();
  // The same file gives the same mark: a household that has one keeps it.
  const fresh = `mark-${events.length}-${household.places.size}`;
  const ofs = wanted.map(({ id }) => ({ kind: 'place', id }) as const);
  const codes = assignCodes(household, fresh, ofs);
  const faces = wanted.map((place, i) => {
    const shape = place.container ? 'bin' : 'shelf';
    return wordPlaceFace(contents.get(place.id)!, place.label?.words ?? null, codes[i]!, shape, household, nowMs);
  });
  const labelled = wanted.map(({ id }, i) => {
    const content = contents.get(id)!;
    return { of: ofs[i]!, says: listPlaceSayings(content), swatches: content.swatches };
  });
  const draft = createLabelled(household, fresh, labelled, `${faces.length} labels`, nowMs);
  const world = { nowMs, createId: () => `labels-${events.length}` };
  const step = draft.ok
    ? passGate(household, stampEvent(draft.value, events.length, { ...world, nowMs: () => nowMs }))
    : draft;
  if (!step.ok) throw new Error('labels that were just made cannot be written down');
  const sheets = layLabels(faces, stock);
  const name = (n: number) => (sheets.length === 1 ? values.out! : values.out!.replace(/(\.svg)?$/iu, `-${n + 1}$1`));
  for (const [n, sheet] of sheets.entries()) writeFileSync(name(n), toSvg(sheet));
  writeFileSync(
    values.save,
    toBundle({ ...chronicle, household: step.value.household, events: [...events, step.value.event] }),
  );
  terminal.print(`${faces.length} labels on ${sheets.length} sheets`);
  return 0;
}
