import type { UnitSystem } from './parse.ts';

/** How the reader's language parts the decimals of what is measured. A comma is read as well as a point, see parse.ts. */
let decimalMark: '.' | ',' = '.';

/** The point, until another is said; the screens say so when they change their language. */
export function setDecimalMark(mark: '.' | ','): void {
  decimalMark = mark;
}

/** `1234.50`: so many digits behind the mark, nothing between the thousands, as one types it. */
export function formatFixed(value: number, digits: number): string {
  return value.toFixed(digits).replace('.', decimalMark);
}

/** `0.5`: at most so many digits behind the mark, all that there are when it is not said. */
export function formatShort(value: number, digits = 12): string {
  return String(Number(value.toFixed(digits))).replace('.', decimalMark);
}

/** Nearest eighth of an inch as people write it: 63.5 mm → `2 1/2`. */
function toEighths(inches: number): string {
  const eighths = Math.round(inches * 8);
  const whole = Math.floor(eighths / 8);
  let above = eighths - whole * 8;
  let below = 8;
  while (above > 0 && above % 2 === 0) {
    above /= 2;
    below /= 2;
  }
  if (above === 0) return String(whole);
  return whole === 0 ? `${above}/${below}` : `${whole} ${above}/${below}`;
}

/** A length of cloth: metres with two digits, or yards with two. */
export function formatClothLength(mm: number, system: UnitSystem): string {
  return system === 'metric' ? `${formatFixed(mm / 1000, 2)} m` : `${formatFixed(mm / 914.4, 2)} yd`;
}

/** A way on foot, as exactly as feet go: tenths of a metre under ten, then whole ones; or whole feet. */
export function formatWay(mm: number, system: UnitSystem): string {
  if (system === 'imperial') return `${Math.round(mm / 304.8)} ft`;
  const metres = mm / 1000;
  return `${metres < 10 ? formatShort(metres, 1) : String(Math.round(metres))} m`;
}

/**
 * A measured amount and its doubt (one standard deviation), both in one unit, with as many digits as the doubt allows:
 * its first digit counts, and the second where the first is a 1. No finer than `least`.
 */
export function roundByDoubt(value: number, sigma: number, least: number): { value: string; doubt: string } {
  const rounded = Math.max(sigma, least);
  let step = 10 ** Math.floor(Math.log10(rounded) + 1e-9);
  if (Math.round(rounded / step) < 2) step /= 10;
  step = Math.max(step, least);
  const digits = Math.max(0, -Math.floor(Math.log10(step) + 1e-9));
  const write = (one: number) => formatFixed(Math.round(one / step) * step, digits);
  return { value: write(value), doubt: write(rounded) };
}

/** The size of a thing or place: whole millimetres under 10 cm, else centimetres; or inches by the eighth. */
export function formatSize(mm: number, system: UnitSystem): string {
  if (system === 'imperial') return `${toEighths(mm / 25.4)} in`;
  return mm < 100 ? `${Math.round(mm)} mm` : `${formatShort(mm / 10, 1)} cm`;
}

/** Width × height (× depth), one unit for all. */
export function formatSizes(sizesMm: readonly number[], system: UnitSystem): string {
  if (system === 'imperial') return `${sizesMm.map((mm) => toEighths(mm / 25.4)).join(' × ')} in`;
  return `${sizesMm.map((mm) => formatShort(mm / 10, 1)).join(' × ')} cm`;
}

/** Cloth by area: square metres, or square yards. */
export function formatArea(mm2: number, system: UnitSystem): string {
  return system === 'metric' ? `${formatFixed(mm2 / 1e6, 2)} m²` : `${formatFixed(mm2 / 836_127.36, 2)} sq yd`;
}

export function formatMass(g: number, system: UnitSystem): string {
  if (system === 'imperial')
    return g < 453.6 ? `${formatFixed(g / 28.3495, 1)} oz` : `${formatFixed(g / 453.592, 1)} lb`;
  return g < 1000 ? `${Math.round(g)} g` : `${formatFixed(g / 1000, g < 10_000 ? 2 : 1)} kg`;
}

export function formatVolume(mm3: number, system: UnitSystem): string {
  return system === 'imperial'
    ? `${formatShort(mm3 / 28_316_846.592, 1)} cu ft`
    : `${formatShort(mm3 / 1e6, mm3 < 1e7 ? 1 : 0)} l`;
}

/** From this on one counts in hours. */
const HOURS_FROM_MIN = 600;

/** Seconds a month as a sewist feels them: `38 min`, under ten minutes with one digit, from ten hours on `36 h`. */
export function formatMinutes(seconds: number): string {
  const minutes = Math.abs(seconds) < 3 ? 0 : seconds / 60;
  if (Math.abs(minutes) >= HOURS_FROM_MIN)
    return `${Math.round(minutes / 60).toLocaleString(decimalMark === '.' ? 'en' : 'de')} h`;
  return `${Math.abs(minutes) < 10 ? formatShort(minutes, 1) : String(Math.round(minutes))} min`;
}
