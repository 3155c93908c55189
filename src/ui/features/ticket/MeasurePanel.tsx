import { useEffect, useRef, useState } from 'react';
import type { Package, Reading } from '../../../core/measure/index.ts';
import type { AmountUnit, Item, Lot, MeasureWay } from '../../../core/records/index.ts';
import { formatMass, formatSize, type parseAmountIn } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { explained } from '../../components/explained.ts';
import { SelectField, TextField } from '../../components/fields.tsx';
import { useHousehold } from '../../state/app.ts';
import {
  capitalise,
  formatMeasured,
  wordAmountFault,
  wordForm,
  wordMeasureWay,
  wordPackage,
} from '../../text/index.ts';
import { wordReading } from '../../text/measures.ts';
import { isWeighed, useMeasuring } from './useMeasuring.ts';
import { useScale } from './useScale.ts';

const HOW_MUCH =
  'The reading by this way of measuring and the figures of the thing, worked backwards; the line below says which.';
const HOW_SURE = 'How far these figures and the hand are usually off: two times out of three the truth is within it.';
const HOW_EXPECTED = 'The reading that what is said to be there would give, by the figures of the thing.';
const HOW_PACKED = 'The package that this amount makes, kept as it is kept.';

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
                onClick={() => onTake(scale.news!.grams, scale.news!.resolutionG)}
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
  readonly parsed: ReturnType<typeof parseAmountIn> | null;
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

/** How much is there? A way to measure, the reading, and the amount with its doubt; or, from a known amount, the thing's own figures. */
export function MeasurePanel({ item, lot, onDone }: { item: Item; lot: Lot; onDone: () => void }) {
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => input.current?.focus(), []);
  const measuring = useMeasuring(item, lot, onDone);
  const { way, usual, units, reading, setText, setScaleG } = measuring;
  const gaugeField = (name: keyof typeof measuring.texts, label: string, hint: string) => (
    <GaugeField
      {...{ label, hint }}
      text={measuring.texts[name]}
      fault={measuring.faults[name]}
      onText={(next) => measuring.setGaugeText(name, next)}
    />
  );

  return (
    <Form
      opensBelow
      aria-label="How much is there?"
      className="mt-4 space-y-3 border-l-4 border-madder bg-linen p-3"
      onSend={measuring.take}
      onKeyDown={(event) => event.key === 'Escape' && onDone()}
    >
      <h3 className="font-bold">How much is there?</h3>
      {measuring.ways.length > 1 && <WayField ways={measuring.ways} way={way} onWay={measuring.setWay} />}
      {way === 'count' &&
        gaugeField(
          'tenG',
          'Ten of them weigh',
          usual.tenG > 0 ? `Empty: ${formatMass(usual.tenG, units)}, as known` : 'Weigh ten, once; then it is known',
        )}
      <TextField
        ref={input}
        label={isWeighed(way) ? 'All of it weighs' : 'Reading'}
        value={measuring.text}
        fault={measuring.fault}
        hint={
          measuring.expected !== null && measuring.present > 0
            ? `By what is written down it would be ${isWeighed(way) ? formatMass(measuring.expected, units) : formatSize(measuring.expected, units)}`
            : `Such as ${measuring.example}`
        }
        onChange={(event) => {
          setText(event.target.value);
          setScaleG(null);
        }}
        {...(measuring.expected !== null && explained(HOW_EXPECTED, 'What it would be by what is written down'))}
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
      {reading && <ReadingLines item={item} reading={reading} way={way} pkg={measuring.pkg} />}
      <div className="grid grid-cols-2 gap-2">
        <Button look="strong" type="submit" disabled={!measuring.isTold}>
          Use this
        </Button>
        <Button onClick={onDone}>Leave it</Button>
      </div>
      {(measuring.isTold || way === 'count') && measuring.canCalibrate && measuring.parsed.ok && (
        <KnownAmount
          unit={measuring.unit}
          text={measuring.known}
          parsed={measuring.knownAmount}
          isReady={measuring.calibrated !== null}
          onText={measuring.setKnown}
          onCalibrate={() => void measuring.calibrate()}
        />
      )}
    </Form>
  );
}
