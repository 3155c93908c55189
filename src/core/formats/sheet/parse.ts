import type { Mark, Sheet } from './sheet.ts';

const MOST_MARKS = 4000;
const MOST_POINTS = 400;
const MOST_MM = 2000;

type Raw = Record<string, unknown>;
const isRaw = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);
const isMm = (value: unknown): value is number =>
  typeof value === 'number' && Number.isFinite(value) && Math.abs(value) <= MOST_MM;
const isText = (value: unknown, most: number): value is string => typeof value === 'string' && value.length <= most;
const isColour = (value: unknown) => value === undefined || (isText(value, 7) && /^#[0-9a-f]{6}$/i.test(value));
const isMmOrNone = (value: unknown) => value === undefined || isMm(value);

function isMark(raw: unknown): raw is Mark {
  if (!isRaw(raw)) return false;
  if (raw['type'] === 'text')
    return (
      isMm(raw['x']) &&
      isMm(raw['y']) &&
      isMm(raw['sizeMm']) &&
      isText(raw['text'], 500) &&
      ['start', 'middle', 'end'].includes(raw['anchor'] as string) &&
      isMmOrNone(raw['turnDeg'])
    );
  const points = raw['points'];
  return (
    raw['type'] === 'path' &&
    Array.isArray(points) &&
    points.length <= MOST_POINTS &&
    points.every((point: unknown) => Array.isArray(point) && point.length === 2 && isMm(point[0]) && isMm(point[1])) &&
    typeof raw['isClosed'] === 'boolean' &&
    isMm(raw['strokeMm']) &&
    isColour(raw['fill']) &&
    isColour(raw['stroke']) &&
    isMmOrNone(raw['dashMm'])
  );
}

/** A sheet from outside: null for what is none, or is larger than any paper. */
export function parseSheet(raw: unknown): Sheet | null {
  if (!isRaw(raw)) return null;
  const { name, widthMm, heightMm, marks } = raw;
  if (!isText(name, 200) || !isMm(widthMm) || !isMm(heightMm) || widthMm <= 0 || heightMm <= 0) return null;
  if (!Array.isArray(marks) || marks.length > MOST_MARKS || !marks.every(isMark)) return null;
  return { name, widthMm, heightMm, marks };
}
