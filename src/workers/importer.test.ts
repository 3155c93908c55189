import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../sample/index.ts';
import { KINDS, type Kind, type StationId } from '../core/records/index.ts';
import { Line } from './line.ts';
import type { FromImporter, ImporterWord, ToImporter } from './protocol.ts';

const { household } = createSampleHousehold(1, 60);
const station = [...household.items.values()][0]!.stationId;
const stations = Object.fromEntries(KINDS.map((kind) => [kind, station])) as Record<Kind, StationId>;

/** A line to a worker that runs here, with what it said on the way. */
function open() {
  const words: ImporterWord[] = [];
  const line = new Line<ToImporter, FromImporter, never, ImporterWord>(
    () => new Worker(new URL('./importer.ts', import.meta.url)),
    5000,
  );
  const send = async (ask: ToImporter): Promise<FromImporter> => {
    const answer = await line.ask(ask, { onWord: (word) => words.push(word) });
    if (!answer.ok) throw new Error(answer.fault.note);
    return answer.value;
  };
  return { send, words };
}
const settle = { kind: 'fabric', units: 'metric', hasHeader: true, nowMs: 1, stations, household: null } as const;

describe('the importer', () => {
  it('opens bytes of a file, reads them, and takes a corrected cell', async () => {
    const worker = open();
    const source = new TextEncoder().encode('\ufeffname;length\nOat;3\nRust;long\n');
    const opened = await worker.send({ type: 'open', source, kind: 'fabric', language: 'en' });
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
    expect(await worker.send({ ...settle, type: 'read', mapping, edits: [] })).toMatchObject({
      type: 'read',
      result: { rows: 2, things: [], faults: [{ row: 2, column: 1 }] },
    });
    const edits = [{ row: 2, column: 1, text: '2.5 m' }];
    const read = await worker.send({ ...settle, type: 'read', mapping, edits });
    expect(read.type === 'read' && read.result.things.map((thing) => thing.lots[0]!.lengthMm)).toEqual([3000, 2500]);
  });

  it('tells how far it is', async () => {
    const worker = open();
    await worker.send({
      type: 'open',
      source: `name,length\n${'Oat,1\n'.repeat(1600)}`,
      kind: 'fabric',
      language: 'en',
    });
    await worker.send({ ...settle, type: 'read', mapping: ['name', 'length'], edits: [] });
    expect(worker.words.map((word) => word.rows)).toEqual([0, 500, 1000, 1500]);
  });

  it('refuses what is no table, and stays alive', async () => {
    const worker = open();
    expect(
      await worker.send({
        type: 'open',
        source: new Uint8Array([0x89, 0x50, 0, 0, 0, 1]),
        kind: 'fabric',
        language: 'en',
      }),
    ).toMatchObject({ type: 'refused', fault: { code: 'not-text' } });
    expect(await worker.send({ type: 'open', source: '', kind: 'fabric', language: 'en' })).toMatchObject({
      type: 'refused',
      fault: { code: 'empty' },
    });
    expect(await worker.send({ type: 'open', source: 'name\nOat', kind: 'thread', language: 'en' })).toMatchObject({
      type: 'opened',
    });
  });

  it('that has nothing open says so instead of keeping silent', async () => {
    const worker = open();
    await expect(worker.send({ ...settle, type: 'read', mapping: [], edits: [] })).rejects.toThrow('no table is open');
    expect(await worker.send({ type: 'open', source: 'name\nOat', kind: 'thread', language: 'en' })).toMatchObject({
      type: 'opened',
    });
  });
});
