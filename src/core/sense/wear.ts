import type { Package } from '../measure/index.ts';
import type { Estimates, Item } from '../records/index.ts';
import type { PlaceTraits } from '../storage/index.ts';
import { getHold, isUnheld } from './holding.ts';
import { isMachine } from './nature.ts';

/** Daylight indoors fades about an eighth as fast as the sun through a window; an estimate. */
const DAY_SHARE = 1 / 8;
/** What moths eat. */
const MOTH_FIBRES = new Set(['wool', 'silk', 'fur', 'cashmere', 'alpaca', 'mohair', 'felt']);

/** A machine stands on the table at which it is used; all else is in the way there. */
export function isInTheWay(item: Item, { isWorkTop, workTopOf }: PlaceTraits): boolean {
  return isWorkTop && !(isMachine(item) && workTopOf.includes(item.stationId));
}

/** What a month in a place wears off a thing, in the user's own seconds: fading, dust, moths, being forgotten, being in the way. */
export function computeWear(item: Item, traits: PlaceTraits, estimates: Estimates): number {
  const fades = item.care.includes('fades') || item.care.includes('noSun');
  const light = traits.light === 'sun' ? 1 : traits.light === 'day' ? DAY_SHARE : 0;
  return (
    (fades ? light * estimates.fadeSeconds : 0) +
    (item.fabric && !traits.isDustProof ? estimates.dustSeconds : 0) +
    (item.fabric && MOTH_FIBRES.has(item.fabric.fibre) && !traits.isDustProof ? estimates.mothSeconds : 0) +
    (item.fabric && !traits.isSeeThrough ? estimates.hiddenSeconds : 0) +
    (isInTheWay(item, traits) ? estimates.tableSeconds : 0)
  );
}

/**
 * What it costs that a thing is not held as it wants to be, seconds a month: kept in a form that comes later on its list,
 * loose, floppy, lying where it ought to stand, or on the bare floor, where only rolls stand.
 */
export function computeHolding(item: Item, pkg: Package, traits: PlaceTraits, estimates: Estimates): number {
  const hold = getHold(pkg);
  const { formSeconds, looseSeconds, floppySeconds } = estimates;
  // On the floor a small thing is trodden on beside.
  const small = traits.isFloor ? 2 * looseSeconds : looseSeconds;
  return (
    Math.max(0, item.forms.indexOf(pkg.form)) * formSeconds +
    (isUnheld(hold, traits) ? { small, floppy: floppySeconds, spine: formSeconds, none: 0 }[hold] : 0) +
    (traits.isFloor && pkg.form !== 'roll' && (item.fabric || hold !== 'none') ? estimates.floorSeconds : 0)
  );
}
