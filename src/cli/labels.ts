import { randomUUID } from 'node:crypto';
import { writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { layLabels, STOCKS } from '../core/formats/label/index.ts';
import { toSvg } from '../core/formats/sheet/index.ts';
import { assignCodes, computePlaceContents, createLabelled, toPlaceLabelled } from '../core/labels/index.ts';
import { createPlaceTree } from '../core/storage/index.ts';
import { t } from '../ui/language/index.ts';
import { wordPlaceFace } from '../ui/text/labels.ts';
import { readBundle, UsageError, writeWithAct, type ExitCode, type Terminal } from './terminal.ts';

const wordLabelCount = (labels: number) => t('{labels, plural, one {# label} other {# labels}}', { labels });

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
    throw new UsageError(t('labels needs --out FILE.svg and --save FILE: what is printed is written down'));
  const stock = STOCKS.find(({ id }) => id === (values.stock ?? STOCKS[0]!.id));
  if (!stock) throw new UsageError(t('--stock takes one of {names}', { names: STOCKS.map(({ id }) => id).join(', ') }));
  const chronicle = readBundle(positionals[0], terminal);
  if (typeof chronicle === 'number') return chronicle;
  const { household } = chronicle;
  const tree = createPlaceTree(household.places);
  const contents = computePlaceContents(household, tree);
  const wanted = tree.leaves.flatMap((place) => {
    const content = contents.get(place.id)!;
    const isPrinted = place.label?.printedAtMs !== undefined;
    return content.parts.length > 0 && !(values['never-printed'] && isPrinted) ? [{ place, content }] : [];
  });
  if (wanted.length === 0) {
    terminal.print(t('No label to print; nothing was written.'));
    return 0;
  }
  const nowMs = terminal.nowMs();
  // For a household that has no mark yet.
  const fresh = randomUUID();
  const labelled = wanted.map(({ content }) => toPlaceLabelled(content));
  const codes = assignCodes(
    household,
    fresh,
    labelled.map(({ of }) => of),
  );
  const faces = wanted.map(({ place, content }, i) => {
    const shape = place.container ? 'bin' : 'shelf';
    return wordPlaceFace(content, place.label?.words ?? null, codes[i]!, shape, household, nowMs);
  });
  const sheets = layLabels(faces, stock);
  const { out, save } = values;
  const name = (n: number) => (sheets.length === 1 ? out : out.replace(/(\.svg)?$/iu, `-${n + 1}$1`));
  for (const [n, sheet] of sheets.entries()) writeFileSync(name(n), toSvg(sheet));
  const draft = createLabelled(household, fresh, labelled, wordLabelCount(faces.length), nowMs);
  writeWithAct(save, chronicle, draft, 'labels', terminal);
  terminal.print(
    t('{labels} on {sheets, plural, one {# sheet} other {# sheets}}', {
      labels: wordLabelCount(faces.length),
      sheets: sheets.length,
    }),
  );
  return 0;
}
