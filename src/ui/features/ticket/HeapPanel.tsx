import { useState } from 'react';
import { completeSketch, parseLine } from '../../../core/catalog/index.ts';
import { createCorrectHeap, createListOut, describeHeap } from '../../../core/heaps/index.ts';
import type { HeapWay, Item, Lot } from '../../../core/records/index.ts';
import { parseCount, parseLengthMm, parseMassG, type UnitSystem } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { SelectField, TextField } from '../../components/fields.tsx';
import { Form } from '../../components/Form.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { withNewIds } from '../../state/newThing.ts';
import { HEAP_WAY_WORDS, wordHeapMeasures } from '../../text/heaps.ts';
import { wordAmount, wordAmountFault, wordRecordFault } from '../../text/index.ts';

const HOW =
  'From how it was measured, what is usual for things of its kind, and what was listed out of it since; each of these would be as much.';
/** A litre, mm³. */
const LITRE = 1e6;

function readMeasure(by: HeapWay, text: string, units: UnitSystem) {
  const isMetric = units === 'metric';
  if (by === 'pieces') return parseCount(text);
  if (by === 'mass') return parseMassG(text, isMetric ? 'kg' : 'oz');
  if (by !== 'room') return parseLengthMm(text, isMetric ? 'cm' : 'in');
  const litres = parseCount(text.replace(/\s*(l|litres?|liters?)\s*$/iu, ''));
  return litres.ok ? { ...litres, value: litres.value * LITRE } : litres;
}

/** How much of a heap there is, measured anew; and things that are listed out of it, one line each. */
export function HeapPanel({ item, lot }: { item: Item; lot: Lot }) {
  const { settings } = useHousehold();
  const { units } = settings;
  const measures = describeHeap(item, lot, settings);
  return (
    <section aria-label="Heap" className="stitched-t mt-4 pt-3">
      <h3 className="font-bold">A heap that nobody has listed yet</h3>
      <p className="text-sm text-stone" {...explained(HOW)}>
        About {wordHeapMeasures(measures, units)}.
      </p>
      <ListOut item={item} lot={lot} />
      <MeasureAnew lot={lot} ways={measures} />
    </section>
  );
}

/** Things out of it, one by one: what is not typed is as the heap is. */
function ListOut({ item, lot }: { item: Item; lot: Lot }) {
  const household = useHousehold();
  const { units } = household.settings;
  const [text, setText] = useState('');
  const [fault, setFault] = useState('');
  const list = async () => {
    const line = parseLine(text, { kind: item.kind, units });
    const made = completeSketch(
      { ...line.sketch, kind: item.kind },
      {
        itemId: item.id,
        lotId: lot.id,
        nowMs: world.nowMs(),
        stationId: item.stationId,
        settings: household.settings,
      },
    );
    if (line.faults[0]) return setFault(wordAmountFault(line.faults[0], '3.4m'));
    if (line.sketch.name === undefined) return setFault('Say what it is.');
    if (item.kind === 'fabric' && line.sketch.lengthMm === undefined) return setFault('Say how long it is, too.');
    if (!made.ok) return setFault(made.fault.map(wordRecordFault).join('; '));
    const { item: thing, lot: one } = withNewIds(made.value);
    const isDone = await act(
      (now) => createListOut(now, lot.id, thing, one, world.nowMs()),
      `${thing.name} is listed: ${wordAmount(thing, one, units)}.`,
    );
    if (isDone) setText('');
    return undefined;
  };
  return (
    <Form aria-label="List one out of it" className="mt-2 flex items-start gap-2" isEndless onSend={list}>
      <TextField
        label="List one out of it"
        maxLength={300}
        value={text}
        fault={fault || undefined}
        onChange={(event) => {
          setText(event.target.value);
          setFault('');
        }}
      />
      <Button type="submit" className="mt-5 shrink-0" disabled={text.trim() === ''}>
        List it
      </Button>
    </Form>
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
  const [text, setText] = useState('');
  const [fault, setFault] = useState('');
  const correct = async () => {
    const read = readMeasure(by, text, units);
    if (!read.ok) return setFault(wordAmountFault(read.fault, by === 'pieces' ? '40' : '62 cm'));
    const isDone = await act((now) => createCorrectHeap(now, lot.id, by, read.value, world.nowMs()), 'Measured anew.');
    if (isDone) setText('');
    return undefined;
  };
  return (
    <Form aria-label="Measure it anew" className="mt-2 flex items-start gap-2" onSend={correct}>
      <SelectField label="Measured anew by" value={by} onChange={(event) => setBy(event.target.value as HeapWay)}>
        {able.map((way) => (
          <option key={way} value={way}>
            {HEAP_WAY_WORDS[way]}
          </option>
        ))}
      </SelectField>
      <TextField
        label="It is"
        maxLength={20}
        value={text}
        fault={fault || undefined}
        onChange={(event) => {
          setText(event.target.value);
          setFault('');
        }}
      />
      <Button type="submit" className="mt-5 shrink-0" disabled={text.trim() === ''}>
        Set
      </Button>
    </Form>
  );
}
