import { strToU8, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { parseBundle, toBundle } from '../core/formats/index.ts';
import { passWhole } from '../core/daybook/index.ts';
import type { EventId } from '../core/records/index.ts';
import { createSampleHousehold } from '../sample/index.ts';
import { packChronicle, unpackChronicle } from './keeping.ts';

const sample = createSampleHousehold(1, 40);
const STAMP = { id: 'mended-1' as EventId, atMs: 5 };

describe('the keeper', () => {
  it('writes the file that would be written here, and reads it as it was', async () => {
    const packed = await packChronicle(sample);
    expect(packed).toEqual({ ok: true, value: toBundle(sample) });
    const read = await unpackChronicle(toBundle(sample), STAMP);
    if (!read.ok || read.value.type !== 'whole') throw new Error(JSON.stringify(read));
    expect(read.value.chronicle).toEqual(parseBundle(toBundle(sample)).ok && expect.anything());
    expect(toBundle(read.value.chronicle)).toEqual(toBundle(sample));
    // It has passed there: here it is let through as it is.
    expect(passWhole(read.value.chronicle)).toMatchObject({ ok: true });
  });

  it('says what is wrong with a file, and brings what of it reads', async () => {
    const lots = [...sample.household.lots.values()];
    const lot = lots.find((one) => one.state === 'in')!;
    const raw = JSON.parse(JSON.stringify({ settings: sample.household.settings, events: sample.events })) as object;
    const list = (table: ReadonlyMap<string, unknown>) => [...table.values()];
    const { household } = sample;
    const text = JSON.stringify({
      format: 'yardmist-bundle',
      version: 7,
      ...raw,
      places: list(household.places),
      items: list(household.items),
      lots: lots.map((one) => (one === lot ? { ...one, lengthMm: -5 } : one)),
      plans: list(household.plans),
    });
    const read = await unpackChronicle(zipSync({ 'household.json': strToU8(text) }), STAMP);
    if (!read.ok || read.value.type !== 'faulty') throw new Error(JSON.stringify(read).slice(0, 200));
    expect(read.value.faults.length).toBeGreaterThan(0);
    expect(read.value.rest?.apart.map((one) => one.id)).toContain(lot.id);
    expect(read.value.rest?.chronicle.household.lots.size).toBe(lots.length - 1);
    const empty = await unpackChronicle(new Uint8Array(), STAMP);
    expect(empty).toMatchObject({ ok: true, value: { type: 'faulty', rest: null } });
  });

  it('is stopped when told to', async () => {
    const stop = new AbortController();
    const packing = packChronicle(sample, stop.signal);
    stop.abort();
    expect(await packing).toMatchObject({ ok: false, fault: { code: 'stopped' } });
  });
});
