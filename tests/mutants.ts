import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { createRandom, pick, type Random } from '../src/core/random/index.ts';

type Raw = Record<string, unknown>;

const VALUES: readonly unknown[] = [
  null,
  undefined,
  -1,
  1e300,
  '',
  'x'.repeat(5000),
  [],
  {},
  [[[]]],
  true,
  '__proto__',
  { constructor: 1 },
  8.7e15,
  -8.7e15,
  '<img src=x onerror=alert(1)>',
  '\u0000\u202e',
];

/** A value somewhere inside is another, goes, or stands there twice. */
function mutate(random: Random, root: Raw): void {
  let at: unknown = root;
  for (let depth = 0; depth < 9; depth += 1) {
    const keys = Object.keys(at as Raw);
    if (keys.length === 0) return;
    const key = pick(random, keys);
    const value = (at as Raw)[key];
    if (typeof value !== 'object' || value === null || random() < 0.12) {
      const what = random();
      if (what < 0.2) delete (at as Raw)[key];
      else if (what < 0.3 && Array.isArray(at)) at.push(value);
      else if (what < 0.4) (at as Raw)['more'] = value;
      else (at as Raw)[key] = structuredClone(pick(random, VALUES));
      return;
    }
    at = value;
  }
}

/** Bytes changed here and there, or in the places where an archive keeps its sizes, names and sums. */
function mutateBytes(random: Random, bytes: Uint8Array): Uint8Array {
  const turned = bytes.slice();
  const isHead = random() < 0.5;
  const heads = isHead ? [0, 4, 8, 14, 18, 22, 26, turned.length - 22, turned.length - 12, turned.length - 6] : [];
  for (let n = 0; n < 1 + Math.floor(random() * 5); n += 1) {
    const at = isHead ? pick(random, heads) + Math.floor(random() * 6) : Math.floor(random() * turned.length);
    if (at >= 0 && at < turned.length) turned[at] = Math.floor(random() * 256);
  }
  return turned;
}

type List = Raw[];

/** What somebody would write who means harm: ids twice, names of the language, circles, other versions, endless depth. */
const SCHEMES: readonly ((random: Random, raw: Raw, text: string) => string)[] = [
  (random, raw) => {
    const list = raw[pick(random, ['items', 'lots', 'places', 'events'])] as List;
    list.push({ ...pick(random, list) });
    return JSON.stringify(raw);
  },
  (random, raw) => JSON.stringify({ ...raw, version: pick(random, [-1, 0, 8, 99, 1.5, '7', null, 1e308]) }),
  (random, raw) => {
    // Places inside each other, cloths cut from each other.
    const [places, items] = [raw['places'] as List, raw['items'] as List];
    if (random() < 0.5) {
      const [a, b] = [pick(random, places), pick(random, places)];
      [a['parentId'], b['parentId']] = [b['id'], a['id']];
    } else {
      const [a, b] = [pick(random, items), pick(random, items)];
      a['scrap'] = { cut: 'odd', parentItemId: b['id'] };
      b['scrap'] = { cut: 'odd', parentItemId: a['id'] };
    }
    return JSON.stringify(raw);
  },
  (random, raw, text) => {
    const id = String(pick(random, raw['items'] as List)['id']);
    return text.replaceAll(`"${id}"`, `"${pick(random, ['__proto__', 'constructor', 'toString', '../..', ''])}"`);
  },
  (random, _raw, text) => {
    const depth = Math.floor(10 ** (1 + random() * 4.5));
    return random() < 0.5
      ? `${'['.repeat(depth)}${']'.repeat(depth)}`
      : text.replace('"notes"', `"deep": ${'{"a":'.repeat(depth)}1${'}'.repeat(depth)}, "notes"`);
  },
  (_random, _raw, text) => text.replace('"notes"', '"__proto__": {"isAdmin": true}, "notes"'),
  (random, _raw, text) => {
    const list = pick(random, ['"events": [', '"lots": [', '"items": [']);
    return text.replace(list, `${list}${'0,'.repeat(Math.floor(random() * 60_000))}`);
  },
  (random, raw) => {
    // A line of the daybook that never was, or that says something else was before.
    const events = raw['events'] as List;
    const line = structuredClone(pick(random, events)) as { changes: Raw[]; seq: number };
    if (line.changes.length > 0) pick(random, line.changes)[random() < 0.5 ? 'before' : 'after'] = { id: 'x' };
    events.splice(Math.floor(random() * (events.length + 1)), random() < 0.5 ? 1 : 0, line as unknown as Raw);
    return JSON.stringify(raw);
  },
  (random, raw) => {
    const line = pick(random, raw['events'] as List);
    line['atMs'] = pick(random, [9e15, -9e15, 1e300, -1, 0.5]);
    return JSON.stringify(raw);
  },
  // Little that unpacks to much.
  (random) => ' '.repeat(Math.floor(random() * 3_000_000)),
  (random) => `{"format":"yardmist-bundle","version":7,"events":[${'0,'.repeat(Math.floor(random() * 300_000))}0]}`,
];

const close = (contents: string) => zipSync({ 'household.json': strToU8(contents) });

/** A damaged or evil file, made of a good one; the same for the same seed. */
export function createMutant(good: Uint8Array, seed: number): Uint8Array {
  const random = createRandom(seed);
  const kind = seed % 5;
  if (kind === 0) return mutateBytes(random, good);
  if (kind === 1 && seed % 10 === 1) return good.slice(0, Math.floor(random() * good.length));
  const text = strFromU8(unzipSync(good)['household.json']!);
  const raw = JSON.parse(text) as Raw;
  if (kind === 2) return close(pick(random, SCHEMES)(random, raw, text));
  for (let n = 0; n < 1 + (seed % 3); n += 1) mutate(random, raw);
  return close(JSON.stringify(raw));
}

const CELLS: readonly string[] = [
  '=HYPERLINK("http://x")',
  '<script>alert(1)</script>',
  '"',
  '""',
  '\u0000',
  '9'.repeat(400),
  '-3 m',
  '1e308 m',
  '½',
  '#abcdef',
  'NaN',
  '__proto__',
  'ø'.repeat(5000),
  '\r\n',
  ';;;;',
  '\ufeff',
];

/** A damaged or evil list, made of a good one; the same for the same seed. */
export function createListMutant(good: string, seed: number): Uint8Array {
  const random = createRandom(seed);
  const lines = good.split('\r\n');
  for (let n = 0; n < 1 + (seed % 6); n += 1) {
    const at = Math.floor(random() * lines.length);
    const cells = (lines[at] ?? '').split(',');
    const cell = Math.floor(random() * cells.length);
    const what = random();
    if (what < 0.5) cells[cell] = pick(random, CELLS);
    else if (what < 0.65) cells.splice(cell, 1);
    else if (what < 0.8) cells.push(...cells);
    else if (what < 0.9) lines.splice(at, 0, ...lines.slice(0, 40));
    else cells[cell] = `"${cells[cell] ?? ''}`;
    lines[at] = cells.join(pick(random, [',', ',', ',', ';', '\t']));
  }
  const bytes = new TextEncoder().encode(lines.join(pick(random, ['\r\n', '\n', '\r', '\n\n'])));
  const kind = seed % 4;
  if (kind === 1) return bytes.slice(0, Math.floor(random() * bytes.length));
  if (kind === 2)
    for (let n = 0; n < 6; n += 1) bytes[Math.floor(random() * bytes.length)] = Math.floor(random() * 256);
  return bytes;
}
