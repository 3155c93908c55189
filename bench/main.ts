import { figures } from './figures.ts';
import { isSmall } from './sized.ts';

/**
 * Prints NAME VALUE UNIT, one figure a line; with a prefix only those whose name starts so. A bench that fails, or does not
 * tell a figure that it is for, makes the whole run fail, once all others have run.
 */
const prefix = process.argv[2] ?? '';
const faults: string[] = [];
for (const { names, measure } of figures) {
  if (!names.some((name) => name.startsWith(prefix))) continue;
  const startMs = performance.now();
  try {
    const told = await measure();
    for (const { name, value, unit } of told)
      if (name.startsWith(prefix)) process.stdout.write(`${name} ${Number(value.toPrecision(4))} ${unit}\n`);
    for (const name of names) {
      const value = told.find((one) => one.name === name)?.value;
      if (value === undefined || Number.isNaN(value)) faults.push(`${name} was not measured`);
    }
  } catch (error) {
    faults.push(`${names[0]}: ${String(error)}`);
  }
  if (isSmall) process.stdout.write(`  ${names[0]} ran in ${Math.round(performance.now() - startMs)} ms\n`);
}
for (const fault of faults) process.stderr.write(`${fault}\n`);
if (faults.length > 0) process.exitCode = 1;
