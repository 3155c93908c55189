import { useState } from 'react';
import { createMeasure, createSaveItem } from '../../../core/acts/index.ts';
import {
  applyCalibration,
  computeCalibration,
  computeExpectedReading,
  computePackage,
  computeReading,
  getAmount,
  getAmountUnit,
  getGauge,
  getMeasureWays,
  withKnownAmount,
  withMeasured,
  type Gauge,
} from '../../../core/measure/index.ts';
import type { Item, Lot, MeasureWay } from '../../../core/records/index.ts';
import { parseLengthMm, parseMassG, type UnitSystem, parseAmountIn } from '../../../core/units/index.ts';
import { useHousehold, world } from '../../state/app.ts';
import { act, edit } from '../../state/hands.ts';
import { wordAmountFault } from '../../text/index.ts';
import { t } from '../../language/index.ts';

/** Weighed, and not laid along a tape. */
export const isWeighed = (way: MeasureWay) => way === 'weight' || way === 'count';

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
      : { value: usual[name], fault: wordAmountFault(parsed.fault, name === 'coreMm' ? t('40 mm') : t('6 g')) };
  };
  const [tare, ten, core] = [read('tareG'), read('tenG'), read('coreMm')];
  return {
    gauge: { ...usual, tareG: tare.value, tenG: ten.value, coreMm: core.value },
    texts,
    faults: { tareG: tare.fault, tenG: ten.fault, coreMm: core.fault },
    setText: (name: keyof typeof texts, text: string) => setTexts((now) => ({ ...now, [name]: text })),
  };
}

/** What is typed into the panel, what it comes to, and how that is taken over. */
export function useMeasuring(item: Item, lot: Lot, onDone: () => void) {
  const household = useHousehold();
  const { settings } = household;
  const { units } = settings;
  const ways = getMeasureWays(item, lot);
  const [way, setWay] = useState<MeasureWay>(ways[0] ?? 'weight');
  const [text, setText] = useState('');
  const [known, setKnown] = useState('');
  const [scaleG, setScaleG] = useState<number | null>(null);

  const isMetric = units === 'metric';
  const usual = getGauge(item, lot, way);
  const { gauge: typedGauge, texts, faults, setText: setGaugeText } = useGauge(usual, units);
  // A reading taken from the scale is as fine as the scale.
  const gauge = { ...typedGauge, resolution: scaleG ?? usual.resolution };
  const example = isWeighed(way) ? (isMetric ? t('880 g') : t('31 oz')) : isMetric ? t('72 mm') : t('2 3/4 in');
  const parsed = isWeighed(way) ? parseMassG(text, isMetric ? 'g' : 'oz') : parseLengthMm(text, isMetric ? 'mm' : 'in');
  const reading = parsed.ok && parsed.value > 0 ? computeReading(item, lot, settings, way, parsed.value, gauge) : null;
  const isTold = reading !== null && reading.amount.value > 0;
  const unit = reading?.unit ?? (way === 'count' ? 'count' : item.thread ? 'length' : getAmountUnit(item, lot));
  const knownAmount = known.trim() === '' ? null : parseAmountIn(known, unit, units);
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
      await edit(
        household,
        (from) => createSaveItem(from, next, [sure]),
        t('{name} goes by its own figures now.', { name: item.name }),
      )
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
