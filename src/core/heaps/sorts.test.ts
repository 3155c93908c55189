import { describe, expect, it } from 'vitest';
import { completeSketch, parseLine } from '../catalog/index.ts';
import { DEFAULT_SETTINGS, type ItemId, type LotId, type StationId } from '../records/index.ts';
import { HEAP_SORTS } from './index.ts';

const birth = {
  itemId: 'i' as ItemId,
  lotId: 'l' as LotId,
  nowMs: 0,
  stationId: 'st' as StationId,
  settings: DEFAULT_SETTINGS,
};
const fibreOf = (sketch: Parameters<typeof completeSketch>[0]) => {
  const made = completeSketch(sketch, birth);
  return made.ok ? made.value.item.fabric!.fibre : null;
};

describe('sorts of heaps', () => {
  it('are made of what the same cloth is made of when it is listed by itself, so that both are one group', () => {
    for (const [name, line] of [
      ['Cottons', 'poplin 2m'],
      ['Jersey and other knits', 'jersey 2m'],
      ['Sweatshirting', 'sweatshirting 2m'],
      ['Oilskin and coated cloth', 'oilskin 2m'],
      ['Fleece', 'fleece 2m'],
      ['Knit scraps', 'jersey scraps'],
    ] as const) {
      const sort = HEAP_SORTS.find((one) => one.sketch.name === name)!;
      expect(fibreOf(sort.sketch), name).toBe(fibreOf(parseLine(line, { kind: 'fabric', units: 'metric' }).sketch));
    }
  });
});
