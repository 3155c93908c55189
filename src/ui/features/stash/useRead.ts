import { useMemo } from 'react';
import {
  completeSketch,
  parseLine,
  recall,
  type Birth,
  type Meaning,
  type Recalled,
} from '../../../core/catalog/index.ts';
import { computeHeap, readHeap } from '../../../core/heaps/index.ts';
import { computePackage } from '../../../core/measure/index.ts';
import type { ItemId, Kind, LotId } from '../../../core/records/index.ts';
import { useHousehold, world } from '../../state/app.ts';
import { useHabits } from '../../state/habits.ts';
import { getUsualStations } from '../../state/usualStations.ts';

/** While it is typed; what is taken in has ids of its own. */
const TYPED = { itemId: 'typed' as ItemId, lotId: 'typed' as LotId };

/** What is said of a line beside its words. */
interface Said {
  /** The page it is typed on, and what it is where the sewist said so. */
  readonly kind: Kind;
  readonly kindSaid: Kind | null;
  /** What some of its words mean. */
  readonly meant: ReadonlyMap<string, Meaning>;
}

/** A line as it reads: what it is, the thing or heap that it makes, and what holds of what was said last. */
export function useRead(text: string, { kind, kindSaid, meant }: Said) {
  const household = useHousehold();
  const { units } = household.settings;
  const habits = useHabits();
  const heap = useMemo(() => readHeap(text, units), [text, units]);
  const line = useMemo(
    () => parseLine(heap?.rest ?? text, { kind: kindSaid ?? kind, units, isKindSaid: kindSaid !== null, meant }),
    [heap, text, kind, kindSaid, units, meant],
  );
  const { made, recalled } = useMemo(() => {
    const { settings } = household;
    const birth: Birth = {
      ...TYPED,
      nowMs: world.nowMs(),
      stationId: getUsualStations(household)(line.sketch.kind, line.sketch.type),
      settings,
    };
    const { form, ...others } = recall(line.sketch, habits);
    const sketch = { ...line.sketch, ...others };
    const plain = completeSketch(sketch, birth);
    const kept = form && !heap ? completeSketch({ ...sketch, form }, birth) : plain;
    // What the thing cannot be kept as is not taken over.
    const isKept =
      form !== undefined &&
      kept.ok &&
      kept.value.lot.form === form &&
      computePackage(kept.value.item, kept.value.lot, form, settings) !== null;
    const recalled: Recalled = isKept ? { ...others, form } : others;
    const single = isKept ? kept : plain;
    if (!heap || !single.ok) return { made: single, recalled };
    const { item, lot } = single.value;
    const told = computeHeap(item, lot, heap.by, heap.value, settings, heap.pieces);
    return { made: told ? { ...single, value: { item, lot: { ...lot, ...told } } } : single, recalled };
  }, [line, heap, household, habits]);
  return { heap, line, made, recalled };
}
