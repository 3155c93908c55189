import { useState, type ReactNode } from 'react';
import { completeSketch, parseLine } from '../../../core/catalog/index.ts';
import { createCorrectHeap, createListOut, describeHeap } from '../../../core/heaps/index.ts';
import type { HeapWay, Household, Item, Lot } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { SelectField, TextField } from '../../components/fields.tsx';
import { Form } from '../../components/Form.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { MEASURE_EXAMPLES, readMeasure } from '../heaps/measure.ts';
import { act } from '../../state/hands.ts';
import { withNewIds } from '../../state/newThing.ts';
import { HEAP_WAY_WORDS, wordHeapMeasures } from '../../text/heaps.ts';
import { wordAmount, wordAmountFault } from '../../text/index.ts';
import { wordRecordFaults } from '../../text/recordFaults.ts';
import { perLanguage, getLineLanguage, t } from '../../language/index.ts';

const HOW = perLanguage(() =>
  t(
    'From how it was measured, what is usual for things of its kind, and what was listed out of it since; each of these would be as much.',
  ),
);

/** How much of a heap there is, measured anew; and things that are listed out of it, one line each. */
export function HeapPanel({ item, lot }: { item: Item; lot: Lot }) {
  const { settings } = useHousehold();
  const { units } = settings;
  const measures = describeHeap(item, lot, settings);
  return (
    <section aria-label={t('Heap')} className="stitched-t mt-4 pt-3">
      <h3 className="font-bold">{t('A heap that nobody has listed yet')}</h3>
      <p className="text-sm text-stone" {...explained(HOW())}>
        {t('About {heapMeasures}.', { heapMeasures: wordHeapMeasures(measures, units) })}
      </p>
      <ListOut item={item} lot={lot} />
      <MeasureAnew lot={lot} ways={measures} />
    </section>
  );
}

interface OneFieldProps {
  readonly name: string;
  readonly label: string;
  readonly send: string;
  readonly maxLength: number;
  readonly isEndless?: boolean;
  /** What is wrong with what was typed; null where it was done. */
  readonly onSend: (text: string) => Promise<string | null>;
  readonly children?: ReactNode;
}

/** A line that is typed and sent, and says under itself what is wrong with it. */
function OneField({ name, label, send, maxLength, isEndless = false, onSend, children }: OneFieldProps) {
  const [text, setText] = useState('');
  const [fault, setFault] = useState('');
  const sendIt = async () => {
    const wrong = await onSend(text);
    setFault(wrong ?? '');
    // What was typed meanwhile is the next one.
    if (wrong === null) setText((now) => (now === text ? '' : now));
  };
  return (
    <Form aria-label={name} className="mt-3" isEndless={isEndless} onSend={sendIt}>
      {children}
      <div className="flex items-start gap-2">
        <TextField
          label={label}
          maxLength={maxLength}
          value={text}
          fault={fault || undefined}
          onChange={(event) => {
            setText(event.target.value);
            setFault('');
          }}
        />
        <Button type="submit" className="mt-5 shrink-0" disabled={text.trim() === ''}>
          {send}
        </Button>
      </div>
    </Form>
  );
}

/** What the store or the gate refused is told by itself. */
const REFUSED = '';

/** Things out of it, one by one: where nothing else is typed they are used where the heap is. */
function ListOut({ item, lot }: { item: Item; lot: Lot }) {
  const household = useHousehold();
  const { units } = household.settings;
  const list = async (text: string) => {
    const line = parseLine(text, { kind: item.kind, units, spelling: getLineLanguage()?.line });
    const birth = { itemId: item.id, lotId: lot.id, nowMs: world.nowMs(), stationId: item.stationId };
    const sketch = { ...line.sketch, kind: item.kind };
    const made = completeSketch(sketch, { ...birth, settings: household.settings });
    if (line.faults[0]) return wordAmountFault(line.faults[0], units === 'metric' ? '3.4m' : t('2 1/2 yd'));
    if (sketch.name === undefined) return t('Say what it is.');
    if (item.kind === 'fabric' && sketch.lengthMm === undefined) return t('Say how long it is, too.');
    if (!made.ok) return wordRecordFaults(made.fault, units);
    const { item: thing, lot: one } = withNewIds(made.value);
    const words = t('{thing} is listed: {amount}.', { thing: thing.name, amount: wordAmount(thing, one, units) });
    return (await act((now) => createListOut(now, lot.id, thing, one, world.nowMs()), words)) ? null : REFUSED;
  };
  return (
    <OneField
      name={t('One out of it')}
      label={t('List one out of it')}
      send={t('List it')}
      maxLength={300}
      isEndless
      onSend={list}
    />
  );
}

interface MeasureAnewProps {
  readonly lot: Lot;
  readonly ways: Readonly<Record<HeapWay, number | null>>;
}

/** It turned out larger or smaller. */
function MeasureAnew({ lot, ways }: MeasureAnewProps) {
  const { units } = useHousehold().settings;
  const able = (Object.keys(ways) as HeapWay[]).filter((way) => ways[way] !== null);
  const [by, setBy] = useState<HeapWay>(lot.heap?.by ?? 'pieces');
  const correct = async (text: string) => {
    const read = readMeasure(by, text, units);
    if (!read.ok) return wordAmountFault(read.fault, MEASURE_EXAMPLES()[by][units === 'metric' ? 0 : 1]);
    const make = (now: Household) => createCorrectHeap(now, lot.id, by, read.value, world.nowMs());
    return (await act(make, t('Measured anew.'))) ? null : REFUSED;
  };
  return (
    <OneField name={t('Measure it anew')} label={t('It is')} send={t('Set')} maxLength={20} onSend={correct}>
      <SelectField label={t('Measured anew by')} value={by} onChange={(event) => setBy(event.target.value as HeapWay)}>
        {able.map((way) => (
          <option key={way} value={way}>
            {HEAP_WAY_WORDS()[way]}
          </option>
        ))}
      </SelectField>
    </OneField>
  );
}
