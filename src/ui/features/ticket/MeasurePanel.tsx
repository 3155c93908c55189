import { useEffect, useRef, useState } from 'react';
import {
  applyCalibration,
  withKnownAmount,
  computeCalibration,
  computeExpectedReading,
  computePackage,
  computeReading,
  getAmount,
  getAmountUnit,
  getGauge,
  getMeasureWays,
  withMeasured,
  type Gauge,
  type Package,
  type Reading,
} from '../../../core/measure/index.ts';
import type { AmountUnit, Item, Lot, MeasureWay } from '../../../core/records/index.ts';
import {
  formatMass,
  formatSize,
  parseArea,
  parseCount,
  parseLengthMm,
  parseMassG,
  type UnitSystem,
} from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { SelectField, TextField } from '../../components/fields.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import {
  capitalise,
  formatMeasured,
  wordAmountFault,
  wordForm,
  wordMeasureWay,
  wordPackage,
} from '../../text/index.ts';
import { wordReading } from '../../text/measures.ts';
import { useScale } from './useScale.ts';
import { createMeasure, createSaveItem } from '../../../core/acts/index.ts';

const HOW_MUCH =
  'The reading by this way of measuring and the figures of the thing, worked backwards; the line below says which.';
const HOW_SURE = 'How far these figures and the hand are usually off: two times out of three the truth is within it.';
const HOW_EXPECTED = 'The reading that what is said to be there would give, by the figures of the thing.';
const HOW_PACKED = 'The package that this amount makes, kept as it is kept.';

const isWeighed = (way: MeasureWay) => way === 'weight' || way === 'count';

function parseAmount(text: string, unit: AmountUnit, units: UnitSystem) {
  if (unit === 'length') return parseLengthMm(text, units === 'metric' ? 'm' : 'yd');
  return unit === 'area' ? parseArea(text, units) : parseCount(text);
}

/** A figure that a way of measuring leans on: usual until it is typed. */
function useGauge(usual: Gauge, units: UnitSystem) {
  const [texts, setTexts] = useState({ tareG: '', tenG: '', coreMm: '' });
  const isMetric = units === 'metric';
  const read = (name: keyof typeof texts) => {
    const text = texts[name].trim();
    if (text === '') return { value: usual[name], fault: undefined };
    const parsed =
      name === 'coreMm' ? parseLengthMm(text, isMetric ? 'mm' : 'in') : parseMassG(text, isMetric ? 'g' : 'oz');
    return parsed.ok
      ? { value: parsed.value, fault: undefined }
      : { value: usual[name], fault: wordAmountFault(parsed.fault, name === 'coreMm' ? '40 mm' : '6 g') };
  };
  const [tare, ten, core] = [read('tareG'), read('tenG'), read('coreMm')];
  return {
    gauge: { ...usual, tareG: tare.value, tenG: ten.value, coreMm: core.value },
    texts,
    faults: { tareG: tare.fault, tenG: ten.fault, coreMm: core.fault },
    setText: (name: keyof typeof texts, text: string) => setTexts((now) => ({ ...now, [name]: text })),
  };
}

interface WayFieldProps {
  readonly ways: readonly MeasureWay[];
  readonly way: MeasureWay;
  readonly onWay: (way: MeasureWay) => void;
}

function WayField({ ways, way, onWay }: WayFieldProps) {
  return (
    <SelectField label="Measured" value={way} onChange={(event) => onWay(event.target.value as MeasureWay)}>
      {ways.map((one) => (
        <option key={one} value={one}>
          {capitalise(wordMeasureWay(one))}
        </option>
      ))}
    </SelectField>
  );
}

interface GaugeFieldProps {
  readonly label: string;
  readonly hint: string;
  readonly text: string;
  readonly fault: string | undefined;
  readonly onText: (text: string) => void;
}

function GaugeField({ text, onText, ...rest }: GaugeFieldProps) {
  return <TextField {...rest} value={text} onChange={(event) => onText(event.target.value)} />;
}

/** Reads the bench scale when it is asked to; typing does as well. */
function ScaleReader({ onTake }: { onTake: (grams: number, resolutionG: number) => void }) {
  const [isScaleWanted, setScaleWanted] = useState(false);
  const scale = useScale(isScaleWanted);
  return (
    <>
      {!isScaleWanted ? (
        <Button look="quiet" onClick={() => setScaleWanted(true)}>
          Read the bench scale
        </Button>
      ) : (
        <p role="status" className="flex flex-wrap items-baseline gap-3 text-sm">
          {scale.state === 'absent' ? (
            <>
              <span>No scale answers. Type what yours shows.</span>
              <Button look="quiet" onClick={() => setScaleWanted(false)}>
                All right
              </Button>
            </>
          ) : scale.news ? (
            <>
              <span className="tabular font-display text-xl">{scale.news.grams.toFixed(1)} g</span>
              <span className="text-stone">
                {scale.news.isOverloaded ? 'more than it bears' : scale.news.isStable ? 'at rest' : 'swinging'}
              </span>
              <Button
                look="quiet"
                disabled={!scale.news.isStable || scale.news.isOverloaded}
                onClick={() => {
                  onTake(scale.news!.grams, scale.news!.resolutionG);
                }}
              >
                Take this weight
              </Button>
            </>
          ) : (
            'Looking for the scale…'
          )}
        </p>
      )}
    </>
  );
}

interface ReadingLinesProps {
  readonly item: Item;
  readonly reading: Reading;
  readonly way: MeasureWay;
  readonly pkg: Package | null;
}

/** The amount with its doubt, how it was found, and the package that it makes. */
function ReadingLines({ item, reading, way, pkg }: ReadingLinesProps) {
  const { units } = useHousehold().settings;
  const told = formatMeasured(reading.amount.value, reading.amount.sigma, reading.unit, units);
  return (
    <div role="status">
      <p>
        <span className="font-display text-[25px] font-semibold" {...explained(HOW_MUCH)}>
          {told.amount}
        </span>{' '}
        <span className="text-stone" {...explained(HOW_SURE)}>
          ± {told.doubt}
        </span>
      </p>
      <p className="text-sm text-stone" {...explained(HOW_MUCH)}>
        {reading.amount.value > 0
          ? wordReading(item, reading, way)
          : 'That is no more than the board, tube or spool alone.'}
        {item.fabric?.isCalibrated || item.box?.tape?.isCalibrated ? ' By its own figures.' : ''}
      </p>
      {pkg && (
        <p className="text-sm text-stone" {...explained(HOW_PACKED)}>
          {capitalise(wordForm(pkg.form))}: {wordPackage(pkg, units)}
        </p>
      )}
    </div>
  );
}

interface KnownAmountProps {
  readonly unit: AmountUnit;
  readonly text: string;
  readonly parsed: ReturnType<typeof parseAmount> | null;
  /** The figures that follow from it are worked out. */
  readonly isReady: boolean;
  readonly onText: (text: string) => void;
  readonly onCalibrate: () => void;
}

/** From an amount that is known for sure, the thing's own figures. */
function KnownAmount({ unit, text, parsed, isReady, onText, onCalibrate }: KnownAmountProps) {
  const isMetric = useHousehold().settings.units === 'metric';
  return (
    <details>
      <summary className="min-h-9 cursor-pointer text-woad underline underline-offset-4">
        I know how much this is
      </summary>
      <div className="mt-2 space-y-2">
        <TextField
          label={unit === 'length' ? 'Its true length' : unit === 'area' ? 'Its true area' : 'How many they are'}
          value={text}
          fault={
            parsed && !parsed.ok
              ? wordAmountFault(parsed.fault, unit === 'count' ? '24' : isMetric ? '3.4' : '3 3/4')
              : undefined
          }
          hint="Then all of it is measured by its own figures, and the doubt shrinks."
          onChange={(event) => onText(event.target.value)}
        />
        <Button disabled={!isReady} onClick={onCalibrate}>
          Calibrate
        </Button>
      </div>
    </details>
  );
}

/** What is typed into the panel, what it comes to, and how that is taken over. */
function useMeasuring(item: Item, lot: Lot, onDone: () => void) {
  const household = useHousehold();
  const { settings } = household;
  const { units } = settings;
  const act = useApp((state) => state.act);
  const edit = useApp((state) => state.edit);
  const input = useRef<HTMLInputElement>(null);
  const ways = getMeasureWays(item, lot);
  const [way, setWay] = useState<MeasureWay>(ways[0] ?? 'weight');
  const [text, setText] = useState('');
  const [known, setKnown] = useState('');
  const [scaleG, setScaleG] = useState<number | null>(null);
  useEffect(() => input.current?.focus(), []);

  const isMetric = units === 'metric';
  const usual = getGauge(item, lot, way);
  const { gauge: typedGauge, texts, faults, setText: setGaugeText } = useGauge(usual, units);
  // A reading taken from the scale is as fine as the scale.
  const gauge = { ...typedGauge, resolution: scaleG ?? usual.resolution };
  const example = isWeighed(way) ? (isMetric ? '880 g' : '31 oz') : isMetric ? '72 mm' : '2 3/4 in';
  const parsed = isWeighed(way) ? parseMassG(text, isMetric ? 'g' : 'oz') : parseLengthMm(text, isMetric ? 'mm' : 'in');
  const reading = parsed.ok && parsed.value > 0 ? computeReading(item, lot, settings, way, parsed.value, gauge) : null;
  const isTold = reading !== null && reading.amount.value > 0;
  const unit = reading?.unit ?? (way === 'count' ? 'count' : item.thread ? 'length' : getAmountUnit(item, lot));
  const knownAmount = known.trim() === '' ? null : parseAmount(known, unit, units);
  const calibrated =
    parsed.ok && knownAmount?.ok
      ? computeCalibration(item, lot, settings, way, parsed.value, knownAmount.value, gauge)
      : null;
  const fault = text === '' || parsed.ok ? undefined : wordAmountFault(parsed.fault, example);
  const present = getAmount(item, lot);
  const expected =
    getAmountUnit(item, lot) === unit ? computeExpectedReading(item, lot, settings, way, present, gauge) : null;
  const after = isTold ? withMeasured(item, lot, { value: reading.amount.value, unit: reading.unit, way }) : null;
  // One packet that was weighed whole weighs that, whatever its kind usually does.
  const weighed =
    way === 'count' && item.box && lot.count === 1 && parsed.ok
      ? { ...item, box: { ...item.box, massG: parsed.value, unitG: gauge.tenG / 10 } }
      : item;
  const pkg = after && computePackage(weighed, after, lot.form, settings);
  const canCalibrate = item.thread === undefined;

  const take = async () => {
    if (!isTold) return;
    const measured = { value: reading.amount.value, sigma: reading.amount.sigma, way, unit: reading.unit };
    // The weight of ten is remembered, so that next time one weighing is enough.
    if (weighed !== item) await edit(household, (from) => createSaveItem(from, weighed, []));
    if (await act((now) => createMeasure(now, lot.id, measured, world.nowMs()))) onDone();
  };
  const calibrate = async () => {
    if (!calibrated || !knownAmount?.ok) return;
    const next = applyCalibration(item, calibrated);
    const sure = { ...withKnownAmount(next, lot, knownAmount.value, unit), sinceMs: world.nowMs() };
    if (
      await edit(household, (from) => createSaveItem(from, next, [sure]), `${item.name} goes by its own figures now.`)
    )
      setKnown('');
  };
  return {
    ways,
    way,
    setWay,
    text,
    setText,
    setScaleG,
    known,
    setKnown,
    input,
    units,
    usual,
    texts,
    faults,
    setGaugeText,
    example,
    fault,
    expected,
    present,
    reading,
    isTold,
    pkg,
    unit,
    knownAmount,
    calibrated,
    canCalibrate,
    parsed,
    take,
    calibrate,
  };
}

/** How much is there? A way to measure, the reading, and the amount with its doubt; or, from a known amount, the thing's own figures. */
export function MeasurePanel({ item, lot, onDone }: { item: Item; lot: Lot; onDone: () => void }) {
  const {
    ways,
    way,
    setWay,
    text,
    setText,
    setScaleG,
    known,
    setKnown,
    input,
    units,
    usual,
    texts,
    faults,
    setGaugeText,
    example,
    fault,
    expected,
    present,
    reading,
    isTold,
    pkg,
    unit,
    knownAmount,
    calibrated,
    canCalibrate,
    parsed,
    take,
    calibrate,
  } = useMeasuring(item, lot, onDone);
  const gaugeField = (name: keyof typeof texts, label: string, hint: string) => (
    <GaugeField
      {...{ label, hint }}
      text={texts[name]}
      fault={faults[name]}
      onText={(next) => setGaugeText(name, next)}
    />
  );

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
      {ways.length > 1 && <WayField ways={ways} way={way} onWay={setWay} />}
      {way === 'count' &&
        gaugeField(
          'tenG',
          'Ten of them weigh',
          usual.tenG > 0 ? `Empty: ${formatMass(usual.tenG, units)}, as known` : 'Weigh ten, once; then it is known',
        )}
      <TextField
        ref={input}
        label={isWeighed(way) ? 'All of it weighs' : 'Reading'}
        value={text}
        fault={fault}
        hint={
          expected !== null && present > 0
            ? `By the books it would be ${isWeighed(way) ? formatMass(expected, units) : formatSize(expected, units)}`
            : `Such as ${example}`
        }
        onChange={(event) => {
          setText(event.target.value);
          setScaleG(null);
        }}
        {...(expected !== null && explained(HOW_EXPECTED, 'What it would be by the books'))}
      />
      {isWeighed(way) && (
        <div className="space-y-1">
          <ScaleReader
            onTake={(grams, resolutionG) => {
              setText(`${grams} g`);
              setScaleG(resolutionG);
            }}
          />
          {gaugeField(
            'tareG',
            item.thread ? 'Bare spools weigh' : 'Jar or bag weighs',
            usual.tareG > 0 ? `Empty: ${formatMass(usual.tareG, units)}, as usual` : 'Empty: nothing',
          )}
        </div>
      )}
      {(way === 'roll' || way === 'reel') &&
        gaugeField(
          'coreMm',
          way === 'roll' ? 'Bare tube across' : 'Bare reel across',
          `Empty: ${formatSize(usual.coreMm, units)}, as usual`,
        )}
      {reading && <ReadingLines item={item} reading={reading} way={way} pkg={pkg} />}
      <div className="grid grid-cols-2 gap-2">
        <Button look="strong" type="submit" disabled={!isTold}>
          Take it over
        </Button>
        <Button onClick={onDone}>Leave it</Button>
      </div>
      {(isTold || way === 'count') && canCalibrate && parsed.ok && (
        <KnownAmount
          unit={unit}
          text={known}
          parsed={knownAmount}
          isReady={calibrated !== null}
          onText={setKnown}
          onCalibrate={() => void calibrate()}
        />
      )}
    </form>
  );
}
