import { figures } from './figures.ts';

/** Prints NAME VALUE UNIT, one figure a line; with a prefix only those whose name starts so. */
const prefix = process.argv[2] ?? '';
for (const { names, measure } of figures) {
  if (!names.some((name) => name.startsWith(prefix))) continue;
  for (const { name, value, unit } of await measure())
    if (name.startsWith(prefix)) process.stdout.write(`${name} ${Number(value.toPrecision(4))} ${unit}\n`);
}
