import { findHolder, getAmount, getAmountUnit } from '../../core/measure/index.ts';
import type { AmountUnit, Holder, Item, Lot } from '../../core/records/index.ts';
import { formatArea, formatClothLength, roundByDoubt, type UnitSystem } from '../../core/units/index.ts';
import { formatNumber, perLanguage, t } from '../language/index.ts';

/** An amount in words: a length, an area, or a number of pieces. */
export function formatAmount(amount: number, unit: AmountUnit, units: UnitSystem): string {
  if (unit === 'length') return formatClothLength(amount, units);
  return unit === 'area' ? formatArea(amount, units) : formatNumber(Math.round(amount));
}

const SCALES = perLanguage(
  (): Record<AmountUnit, Record<UnitSystem, readonly [perUnit: number, name: string, least: number]>> => ({
    length: { metric: [1000, ' m', 0.01], imperial: [914.4, t(' yd'), 0.01] },
    area: { metric: [1e6, ' m²', 0.01], imperial: [836_127.36, t(' sq yd'), 0.01] },
    count: { metric: [1, '', 1], imperial: [1, '', 1] },
  }),
);

/** A measured amount and its doubt, with as many digits as the doubt allows: `580 m`, `50 m`. */
export function formatMeasured(
  amount: number,
  sigma: number,
  unit: AmountUnit,
  units: UnitSystem,
): { readonly amount: string; readonly doubt: string } {
  const [perUnit, name, least] = SCALES()[unit][units];
  const { value, doubt } = roundByDoubt(amount / perUnit, sigma / perUnit, least);
  return { amount: `${value}${name}`, doubt: `${doubt}${name}` };
}

/** How much there is, as it is known: what was measured is told no more exactly than it was. */
function formatKnown(item: Item, lot: Lot, units: UnitSystem): string {
  const unit = getAmountUnit(item, lot);
  const amount = getAmount(item, lot);
  return lot.amountSigma === undefined
    ? formatAmount(amount, unit, units)
    : formatMeasured(amount, lot.amountSigma, unit, units).amount;
}

/** How much of it there is: a length, an area, or pieces by what they are. */
export function wordAmount(item: Item, lot: Lot, units: UnitSystem): string {
  const unit = getAmountUnit(item, lot);
  if (lot.heap && item.kind === 'fabric')
    return t('about {count} lengths, {known}', { count: lot.count, known: formatKnown(item, lot, units) });
  if (item.thread) {
    const spools = wordSpools(lot.count, lot.holder ?? findHolder(item.thread.diameterMm).id);
    return lot.lengthMm === undefined
      ? spools
      : t('{known} on {spools}', { known: formatKnown(item, lot, units), spools });
  }
  if (unit !== 'count') return formatKnown(item, lot, units);
  if (item.pattern)
    return lot.state === 'digital' ? t('a file') : t('{n, plural, one {# copy} other {# copies}}', { n: lot.count });
  if (item.scrap)
    return item.scrap.cut === 'strip'
      ? t('{n, plural, one {# strip} other {# strips}}', { n: lot.count })
      : t('{n, plural, one {# square} other {# squares}}', { n: lot.count });
  if (item.kind === 'kit') return t('{n, plural, one {# kit} other {# kits}}', { n: lot.count });
  const pieces = t('{n, plural, one {# piece} other {# pieces}}', { n: lot.units ?? lot.count });
  return typeof lot.units === 'number' && lot.count > 1
    ? t('{pieces} in {count}', { pieces, count: lot.count })
    : pieces;
}

function wordSpools(n: number, holder: Holder): string {
  switch (holder) {
    case 'small':
      return t('{n, plural, one {# spool} other {# spools}}', { n });
    case 'large':
      return t('{n, plural, one {# large spool} other {# large spools}}', { n });
    case 'cone':
      return t('{n, plural, one {# cone} other {# cones}}', { n });
    case 'bobbin':
      return t('{n, plural, one {# bobbin} other {# bobbins}}', { n });
  }
}

/** The doubt of a measured amount, as `± 0.30 m`; empty where it was typed as known. */
export function wordDoubt(item: Item, lot: Lot, units: UnitSystem): string {
  if (!lot.amountSigma) return '';
  return ` ± ${formatMeasured(getAmount(item, lot), lot.amountSigma, getAmountUnit(item, lot), units).doubt}`;
}
