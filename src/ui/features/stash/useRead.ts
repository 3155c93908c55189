import { useMemo } from 'react';
import {
  completeSketch,
  parseLine,
  recall,
  type Birth,
  type Habits,
  type Meaning,
  type Recalled,
  type Sketch,
} from '../../../core/catalog/index.ts';
import { computeHeap, isUnmeasuredHeap, readHeap } from '../../../core/heaps/index.ts';
import { computePackage } from '../../../core/measure/index.ts';
import type { Household, ItemId, Kind, LotId } from '../../../core/records/index.ts';
import type { UnitSystem } from '../../../core/units/index.ts';
import { spellOut } from '../../../core/spelling/index.ts';
import { useHousehold, world } from '../../state/app.ts';
import { useHabits } from '../../state/habits.ts';
import { getUsualStations } from '../../state/usualStations.ts';
import { wordAmountFault } from '../../text/index.ts';
import { wordRecordFaults } from '../../text/recordFaults.ts';
import { getLineLanguage, t } from '../../language/index.ts';

/** While it is typed; what is taken in has ids of its own. */
const TYPED = { itemId: 'typed' as ItemId, lotId: 'typed' as LotId };

/** What is said of a line beside its words. */
interface Said {
  /** The page it is typed on, and what it is where the sewist said so. */
  readonly kind: Kind;
  readonly kindSaid: Kind | null;
  /** What some of its words mean. */
  readonly meant: ReadonlyMap<string, Meaning>;
  /** What is known of it beside the line, such as what its picture shows. */
  readonly seen?: (sketch: Sketch) => Sketch;
}

/** Nothing but the line and the page it is typed on. */
export const NOTHING_SAID = { kindSaid: null, meant: new Map<string, Meaning>() } as const;
export type ReadThing = ReturnType<typeof readThing>;

/** What a line reads as in a household: what it is, the thing or heap that it makes, and what holds of what was said last. */
export function readThing(household: Household, habits: Habits, text: string, said: Said) {
  const { kind, kindSaid, meant, seen = (sketch: Sketch) => sketch } = said;
  const { settings } = household;
  const { units } = settings;
  const language = getLineLanguage();
  const heap = readHeap(text, units, language?.heap);
  const line = parseLine(heap?.rest ?? text, {
    kind: kindSaid ?? kind,
    units,
    isKindSaid: kindSaid !== null,
    meant,
    spelling: language?.line,
  });
  const isUnmeasured = line.sketch.lengthMm === undefined && isUnmeasuredHeap(text, units, language?.heap);
  const birth: Birth = {
    ...TYPED,
    nowMs: world.nowMs(),
    stationId: getUsualStations(household)(line.sketch.kind, line.sketch.type),
    settings,
  };
  const { form, ...others } = recall(line.sketch, habits);
  const sketch = seen({ ...line.sketch, ...others });
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
  if (!heap || !single.ok) return { heap, isUnmeasured, line, sketch, made: single, recalled };
  const { item, lot } = single.value;
  const told = computeHeap(item, lot, heap.by, heap.value, settings, heap.pieces);
  const made = told ? { ...single, value: { item, lot: { ...lot, ...told } } } : single;
  return { heap, isUnmeasured, line, sketch, made, recalled };
}

/** A line as it reads while it is typed. */
export function useRead(text: string, { kind, kindSaid, meant }: Said) {
  const household = useHousehold();
  const habits = useHabits();
  return useMemo(
    () => readThing(household, habits, text, { kind, kindSaid, meant }),
    [household, habits, text, kind, kindSaid, meant],
  );
}

/** An amount in the measure that was meant: pieces for pieces, a weight for a weight, else a length. */
function exampleLike(typed: string, isMetric: boolean): string {
  const text = spellOut(typed, getLineLanguage()?.line);
  if (/\b(?:pieces?|pcs?|packets?|spools?|lengths|pairs?)\b/iu.test(text)) return t('24 pieces');
  if (/\d\s*(?:mg|g|kg|oz|lbs?)$/iu.test(text)) return isMetric ? t('350 g') : t('12 oz');
  return isMetric ? '3.4m' : t('2 1/2 yd');
}

/** What keeps a line from being taken in; null for nothing. */
export function wordProblem({ heap, isUnmeasured, line, sketch, made }: ReadThing, units: UnitSystem): string | null {
  const isMetric = units === 'metric';
  const isHeap = made.ok && made.value.lot.heap !== undefined;
  const { faults } = line;
  // Bins without their size are no unit that is misspelt.
  if (isUnmeasured)
    return isMetric
      ? t('Say how much the heap is, such as 40 cm high, 3 kg, 2 bins of 30 l, or 40 pieces.')
      : t('Say how much the heap is, such as 16 in high, 6 lb, 2 bins of 30 qt, or 40 pieces.');
  if (faults[0]) return wordAmountFault(faults[0], exampleLike(faults[0].text, isMetric));
  if (sketch.name === undefined) return t('Say what it is, too.');
  if (!isHeap && sketch.kind === 'fabric' && sketch.lengthMm === undefined)
    return t('Say how long it is, such as {example}.', { example: isMetric ? '3.4m' : t('2 1/2 yd') });
  if (heap && made.ok && !isHeap) return t('Things of that kind are not measured so: say how many pieces.');
  return made.ok ? null : wordRecordFaults(made.fault, units);
}

/** Several things in one line stand apart by a semicolon; a paste of several lines becomes such a line. */
export function splitLine(text: string): string[] {
  return text
    .split(/[;\r\n]+/u)
    .map((one) => one.trim())
    .filter((one) => one !== '');
}
