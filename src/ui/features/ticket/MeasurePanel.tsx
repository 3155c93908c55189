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
import { formatFixed, perLanguage, t } from '../../language/index.ts';

const HOW_MUCH = perLanguage(() =>
  t('The reading by this way of measuring and the figures of the thing, worked backwards; the line below says which.'),
);
const HOW_SURE = perLanguage(() =>
  t('How far these figures and the hand are usually off: two times out of three the truth is within it.'),
);
const HOW_EXPECTED = perLanguage(() =>
  t('The reading that what is said to be there would give, by the figures of the thing.'),
);
const HOW_PACKED = perLanguage(() => t('The package that this amount makes, kept as it is kept.'));

interface WayFieldProps {
  readonly ways: readonly MeasureWay[];
  readonly way: MeasureWay;
  readonly onWay: (way: MeasureWay) => void;
}

function WayField({ ways, way, onWay }: WayFieldProps) {
  return (
    <SelectField label={t('Measured')} value={way} onChange={(event) => onWay(event.target.value as MeasureWay)}>
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
          {t('Read the bench scale')}
        </Button>
      ) : (
        <p role="status" className="flex flex-wrap items-baseline gap-3 text-sm">
          {scale.state === 'absent' ? (
            <>
              <span>{t('No scale answers. Type what yours shows.')}</span>
              <Button look="quiet" onClick={() => setScaleWanted(false)}>
                {t('All right')}
              </Button>
            </>
          ) : scale.news ? (
            <>
              <span className="tabular font-display text-xl">
                {t('{grams} g', { grams: formatFixed(scale.news.grams, 1) })}
              </span>
              <span className="text-stone">
                {scale.news.isOverloaded ? t('more than it bears') : scale.news.isStable ? t('at rest') : t('swinging')}
              </span>
              <Button
                look="quiet"
                disabled={!scale.news.isStable || scale.news.isOverloaded}
                onClick={() => onTake(scale.news!.grams, scale.news!.resolutionG)}
              >
                {t('Take this weight')}
              </Button>
            </>
          ) : (
            t('Looking for the scale…')
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
        <span className="font-display text-[25px] font-semibold" {...explained(HOW_MUCH())}>
          {told.amount}
        </span>{' '}
        <span className="text-stone" {...explained(HOW_SURE())}>
          ± {told.doubt}
        </span>
      </p>
      <p className="text-sm text-stone" {...explained(HOW_MUCH())}>
        {reading.amount.value > 0
          ? wordReading(item, reading, way)
          : t('That is no more than the board, tube or spool alone.')}
        {item.fabric?.isCalibrated || item.box?.tape?.isCalibrated ? t(' By its own figures.') : ''}
      </p>
      {pkg && (
        <p className="text-sm text-stone" {...explained(HOW_PACKED())}>
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
        {t('I know how much this is')}
      </summary>
      <div className="mt-2 space-y-2">
        <TextField
          label={
            unit === 'length' ? t('Its true length') : unit === 'area' ? t('Its true area') : t('How many they are')
          }
          value={text}
          fault={
            parsed && !parsed.ok
              ? wordAmountFault(parsed.fault, unit === 'count' ? '24' : isMetric ? '3.4' : '3 3/4')
              : undefined
          }
          hint={t('Then all of it is measured by its own figures, and the doubt shrinks.')}
          onChange={(event) => onText(event.target.value)}
        />
        <Button disabled={!isReady} onClick={onCalibrate}>
          {t('Calibrate')}
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
      aria-label={t('How much is there?')}
      className="mt-4 space-y-3 border-l-4 border-madder bg-linen p-3"
      onSend={measuring.take}
      onKeyDown={(event) => event.key === 'Escape' && onDone()}
    >
      <h3 className="font-bold">{t('How much is there?')}</h3>
      {measuring.ways.length > 1 && <WayField ways={measuring.ways} way={way} onWay={measuring.setWay} />}
      {way === 'count' &&
        gaugeField(
          'tenG',
          t('Ten of them weigh'),
          usual.tenG > 0
            ? t('Empty: {mass}, as known', { mass: formatMass(usual.tenG, units) })
            : t('Weigh ten, once; then it is known'),
        )}
      <TextField
        ref={input}
        label={isWeighed(way) ? t('All of it weighs') : t('Reading')}
        value={measuring.text}
        fault={measuring.fault}
        hint={
          measuring.expected !== null && measuring.present > 0
            ? t('By what is written down it would be {amount}', {
                amount: isWeighed(way) ? formatMass(measuring.expected, units) : formatSize(measuring.expected, units),
              })
            : t('Such as {example}', { example: measuring.example })
        }
        onChange={(event) => {
          setText(event.target.value);
          setScaleG(null);
        }}
        {...(measuring.expected !== null && explained(HOW_EXPECTED(), t('What it would be by what is written down')))}
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
            item.thread ? t('Bare spools weigh') : t('Jar or bag weighs'),
            usual.tareG > 0
              ? t('Empty: {mass}, as usual', { mass: formatMass(usual.tareG, units) })
              : t('Empty: nothing'),
          )}
        </div>
      )}
      {(way === 'roll' || way === 'reel') &&
        gaugeField(
          'coreMm',
          way === 'roll' ? t('Bare tube across') : t('Bare reel across'),
          t('Empty: {size}, as usual', { size: formatSize(usual.coreMm, units) }),
        )}
      {reading && <ReadingLines item={item} reading={reading} way={way} pkg={measuring.pkg} />}
      <div className="grid grid-cols-2 gap-2">
        <Button look="strong" type="submit" disabled={!measuring.isTold}>
          {t('Use this')}
        </Button>
        <Button onClick={onDone}>{t('Leave it')}</Button>
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
