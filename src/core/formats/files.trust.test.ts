import { Deflate, strToU8, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { createMutant } from '../../../tests/mutants.ts';
import { many, readWorkMs, report, TRIAL_MS } from '../../../tests/trust.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { foldEvents } from '../daybook/fold.ts';
import { checkInvariants } from '../daybook/index.ts';
import { salvage } from '../mending/index.ts';
import type { Chronicle, EventId } from '../records/index.ts';
import { openBundle, parseBundle, toBundle } from './index.ts';

const good = toBundle(createSampleHousehold(1, 30));
const STAMP = { id: 'mended' as EventId, atMs: 1 };
/** What takes longer hangs; told of a large run only, other work may stand in the way of a small one. */
const HANG_MS = many(Infinity, 10_000);

/** Told without the gate: every rule is kept, the daybook tells just this, and it can be written and read again. */
function isWhole({ household, events }: Chronicle): boolean {
  const told = foldEvents(events);
  if (!told.ok || checkInvariants(household).length > 0) return false;
  const bytes = toBundle({ household, events });
  if (!Buffer.from(toBundle({ household: told.value, events })).equals(Buffer.from(bytes))) return false;
  return parseBundle(bytes).ok;
}

describe('files that are damaged or meant to harm', () => {
  it('are refused or keep every rule, and what can be read of them does too', { timeout: TRIAL_MS }, () => {
    const bad: number[] = [];
    let [refused, saved, slowestMs, peakMb] = [0, 0, 0, 0];
    const count = many(300, 10_000);
    for (let seed = 1; seed <= count; seed += 1) {
      const startMs = readWorkMs();
      try {
        const bytes = createMutant(good, seed);
        const opened = openBundle(bytes);
        const read = parseBundle(bytes);
        if (read.ok && !isWhole(read.value)) bad.push(seed);
        if (!read.ok) {
          refused += 1;
          const rest = opened.ok ? salvage(opened.value.raw, STAMP) : null;
          if (rest) saved += 1;
          if (rest && !isWhole(rest.chronicle)) bad.push(seed);
          if (read.fault.length === 0 || read.fault.length > 2000) bad.push(seed);
        }
      } catch {
        bad.push(seed);
      }
      const ms = readWorkMs() - startMs;
      if (ms > HANG_MS) bad.push(seed);
      slowestMs = Math.max(slowestMs, ms);
      peakMb = Math.max(peakMb, process.memoryUsage().rss / 1e6);
    }
    report('trust.bundles_tried', count);
    report('trust.bundles_bad', bad.length);
    report('trust.bundles_slowest_ms', Math.round(slowestMs));
    report('trust.bundles_peak_mb', Math.round(peakMb));
    expect(bad).toEqual([]);
    expect(({} as Record<string, unknown>)['isAdmin']).toBeUndefined();
    expect(refused).toBeGreaterThan(count * 0.6);
    expect(saved).toBeGreaterThan(count * 0.2);
    if (count > 1000) expect(peakMb).toBeLessThan(1000);
  });

  it('that unpack to hundreds of megabytes are refused while they are unpacked', { timeout: TRIAL_MS }, () => {
    const zipped = zipSync({ 'household.json': strToU8('x') });
    // The same archive with other contents: spaces, as many as one likes.
    const spaces = new Uint8Array(1_000_000).fill(32);
    const parts: Uint8Array[] = [];
    const deflate = new Deflate((chunk) => parts.push(chunk));
    for (let n = 0; n < 390; n += 1) deflate.push(spaces, n === 389);
    const contents = Buffer.concat(parts);
    const nameEnd = 30 + 'household.json'.length;
    const end = zipped.length - 22 - 46 - 'household.json'.length;
    const bomb = Buffer.concat([zipped.subarray(0, nameEnd), contents, zipped.subarray(end)]);
    // Deflated, of unknown length to the reader; the list at the end lies further on.
    bomb.writeUInt16LE(8, 8);
    bomb.writeUInt32LE(contents.length, 18);
    const listAt = nameEnd + contents.length;
    bomb.writeUInt16LE(8, listAt + 10);
    bomb.writeUInt32LE(listAt, bomb.length - 6);
    const startMs = readWorkMs();
    const before = process.memoryUsage().rss;
    expect(openBundle(bomb)).toMatchObject({ ok: false, fault: [{ code: 'too-large' }] });
    report('trust.bomb_ms', Math.round(readWorkMs() - startMs));
    expect((process.memoryUsage().rss - before) / 1e6).toBeLessThan(600);
  });
});
