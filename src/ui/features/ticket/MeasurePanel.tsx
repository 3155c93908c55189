import { useEffect, useRef, useState } from 'react';
import { computeCalibration, computeReading } from '../../../core/measure/index.ts';
import { MEASURE_WAYS, type Item, type Lot, type MeasureWay } from '../../../core/records/index.ts';
import { createMeasure, createSaveItem } from '../../../core/tracking/index.ts';
import { formatClothLength, parseLengthMm, parseMassG } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { SelectField, TextField } from '../../components/fields.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { capitalise, wordAmountFault, wordMeasureWay, wordReading } from '../../text/index.ts';

/** How much is there? A way to measure, the reading, and the length with its doubt; or, from a known length, the cloth's own figures. */
export function MeasurePanel({ item, lot, onDone }: { item: Item; lot: Lot; onDone: () => void }) {
  const { settings } = useHousehold();
  const { units } = settings;
  const act = useApp((state) => state.act);
  const input = useRef<HTMLInputElement>(null);
  const [way, setWay] = useState<MeasureWay>(lot.form === 'roll' ? 'roll' : lot.form === 'board' ? 'board' : 'folded');
  const [text, setText] = useState('');
  const [known, setKnown] = useState('');
  useEffect(() => input.current?.focus(), []);

  const isMetric = units === 'metric';
  const example = way === 'weight' ? (isMetric ? '880 g' : '31 oz') : isMetric ? '72 mm' : '2 3/4 in';
  const parsed =
    way === 'weight' ? parseMassG(text, isMetric ? 'g' : 'oz') : parseLengthMm(text, isMetric ? 'mm' : 'in');
  const reading = parsed.ok && parsed.value > 0 ? computeReading(item, settings, way, parsed.value) : null;
  const isTold = reading !== null && reading.length.value > 0;
  const knownMm = known.trim() === '' ? null : parseLengthMm(known, isMetric ? 'm' : 'yd');
  const fabric = parsed.ok && knownMm?.ok ? computeCalibration(item, settings, way, parsed.value, knownMm.value) : null;
  const fault = text === '' || parsed.ok ? undefined : wordAmountFault(parsed.fault, example);

  const take = async () => {
    if (!isTold) return;
    const measured = { lengthMm: reading.length.value, sigmaMm: reading.length.sigma, way };
    if (await act((now) => createMeasure(now, lot.id, measured, world.nowMs()))) onDone();
  };
  const calibrate = async () => {
    if (!fabric) return;
    if (await act((now) => createSaveItem(now, { ...item, fabric }, []), `${item.name} goes by its own figures now.`))
      setKnown('');
  };

  return (
    <form
      aria-label="How much is there?"
      noValidate
      className="mt-4 space-y-3 border-l-4 border-madder bg-linen p-3"
      onSubmit={(event) => {
        event.preventDefault();
        void take();
      }}
      onKeyDown={(event) => event.key === 'Escape' && onDone()}
    >
      <h3 className="font-bold">How much is there?</h3>
      <SelectField label="Measured" value={way} onChange={(event) => setWay(event.target.value as MeasureWay)}>
        {MEASURE_WAYS.map((one) => (
          <option key={one} value={one}>
            {capitalise(wordMeasureWay(one))}
          </option>
        ))}
      </SelectField>
      <TextField
        ref={input}
        label="Reading"
        value={text}
        fault={fault}
        hint={`Such as ${example}`}
        onChange={(event) => setText(event.target.value)}
      />
      {reading && (
        <div role="status">
          <p>
            <span className="font-display text-[25px] font-semibold">
              {formatClothLength(reading.length.value, units)}
            </span>{' '}
            <span className="text-stone">± {formatClothLength(reading.length.sigma, units)}</span>
          </p>
          <p className="text-sm text-stone">
            {isTold ? wordReading(reading, way) : 'That is no more than the board or tube alone.'}
            {item.fabric?.isCalibrated ? ' By this cloth’s own figures.' : ''}
          </p>
        </div>
      )}
      <div className="grid grid-cols-2 gap-2">
        <Button look="strong" type="submit" disabled={!isTold}>
          Take it over
        </Button>
        <Button onClick={onDone}>Leave it</Button>
      </div>
      {isTold && (
        <details>
          <summary className="min-h-9 cursor-pointer text-woad underline underline-offset-4">
            I know how long this piece is
          </summary>
          <div className="mt-2 space-y-2">
            <TextField
              label="Its true length"
              value={known}
              fault={
                knownMm && !knownMm.ok ? wordAmountFault(knownMm.fault, isMetric ? '3.4 m' : '3 3/4 yd') : undefined
              }
              hint="Then all of this cloth is measured by its own figures, and the doubt shrinks."
              onChange={(event) => setKnown(event.target.value)}
            />
            <Button disabled={!fabric} onClick={() => void calibrate()}>
              Calibrate
            </Button>
          </div>
        </details>
      )}
    </form>
  );
}
