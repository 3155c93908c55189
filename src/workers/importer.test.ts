import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { createSampleHousehold } from '../sample/index.ts';
import { KINDS, type Kind, type StationId } from '../core/records/index.ts';
import type { FromImporter, ToImporter } from './protocol.ts';

const { household } = createSampleHousehold(1, 60);
const station = [...household.items.values()][0]!.stationId;
const stations = Object.fromEntries(KINDS.map((kind) => [kind, station])) as Record<Kind, StationId>;

async function open() {
  const posted: FromImporter[] = [];
  const scope = {
    onmessage: null as ((message: { data: ToImporter }) => void) | null,
    postMessage: (message: FromImporter) => posted.push(message),
  };
  vi.stubGlobal('self', scope);
  await import('./importer.ts');
  return { posted, send: (data: ToImporter) => scope.onmessage!({ data }), last: () => posted.at(-1)! };
}
const settle = { kind: 'fabric', units: 'metric', hasHeader: true, nowMs: 1, stations, household: null } as const;

beforeEach(() => vi.resetModules());
afterEach(() => vi.unstubAllGlobals());

describe('the importer', () => {
  it('opens bytes of a file, reads them, and takes a corrected cell', async () => {
    const worker = await open();
    const source = new TextEncoder().encode('\ufeffname;length\nOat;3\nRust;long\n');
    worker.send({ type: 'open', run: 1, source, kind: 'fabric' });
    const opened = worker.last();
    if (opened.type !== 'opened') throw new Error(JSON.stringify(opened));
    expect(opened.table).toMatchObject({
      delimiter: ';',
      rows: [
        ['name', 'length'],
        ['Oat', '3'],
        ['Rust', 'long'],
      ],
    });
    const { mapping } = opened.recognised;
    worker.send({ ...settle, type: 'read', run: 2, mapping, edits: [] });
    expect(worker.last()).toMatchObject({
      type: 'read',
      run: 2,
      result: { rows: 2, things: [], faults: [{ row: 2, column: 1 }] },
    });
    worker.send({ ...settle, type: 'read', run: 3, mapping, edits: [{ row: 2, column: 1, text: '2.5 m' }] });
    const read = worker.last();
    expect(read.type === 'read' && read.result.things.map((thing) => thing.lots[0]!.lengthMm)).toEqual([3000, 2500]);
  });

  it('tells how far it is', async () => {
    const worker = await open();
    worker.send({ type: 'open', run: 1, source: `name,length\n${'Oat,1\n'.repeat(1600)}`, kind: 'fabric' });
    worker.send({ ...settle, type: 'read', run: 2, mapping: ['name', 'length'], edits: [] });
    const rows = worker.posted.flatMap((message) => (message.type === 'progress' ? [message.rows] : []));
    expect(rows).toEqual([0, 500, 1000, 1500]);
  });

  it('refuses what is no table, and stays alive', async () => {
    const worker = await open();
    worker.send({ type: 'open', run: 1, source: new Uint8Array([0x89, 0x50, 0, 0, 0, 1]), kind: 'fabric' });
    expect(worker.last()).toMatchObject({ type: 'refused', fault: { code: 'not-text' } });
    worker.send({ type: 'open', run: 2, source: '', kind: 'fabric' });
    expect(worker.last()).toMatchObject({ type: 'refused', fault: { code: 'empty' } });
    worker.send({ type: 'open', run: 3, source: 'name\nOat', kind: 'thread' });
    expect(worker.last()).toMatchObject({ type: 'opened', run: 3 });
  });
});
