import { getDrawnPrint, PRINT_TILES, type DrawnPrint } from '../../core/drawing/index.ts';
import type { Item } from '../../core/records/index.ts';

const SVG = 'http://www.w3.org/2000/svg';

/** The prints that were asked for so far, in one drawing that is out of sight; patterns are found by their ids in the whole page. */
let defs: SVGDefsElement | null = null;
const known = new Map<string, string>();

function createElement<Name extends keyof SVGElementTagNameMap>(
  name: Name,
  attributes: Readonly<Record<string, string | number>>,
): SVGElementTagNameMap[Name] {
  const element = document.createElementNS(SVG, name);
  for (const [key, value] of Object.entries(attributes)) element.setAttribute(key, String(value));
  return element;
}

function getDefs(): SVGDefsElement {
  if (defs?.isConnected) return defs;
  const svg = createElement('svg', { width: 0, height: 0, 'aria-hidden': 'true' });
  svg.style.position = 'absolute';
  defs = createElement('defs', {});
  svg.append(defs);
  document.body.append(svg);
  return defs;
}

/** The paint that lays a print over a colour; made once for each print and ink. */
export function fillWith({ name, ink }: DrawnPrint): string {
  const key = `${name} ${ink}`;
  const hit = known.get(key);
  if (hit !== undefined) return hit;
  const id = `print-${known.size}`;
  const { widthPx, heightPx, marks } = PRINT_TILES[name];
  const pattern = createElement('pattern', { id, width: widthPx, height: heightPx, patternUnits: 'userSpaceOnUse' });
  for (const { d, linePx, share } of marks)
    pattern.append(
      createElement('path', {
        d,
        ...(linePx === undefined
          ? { fill: ink, 'fill-opacity': share }
          : { fill: 'none', stroke: ink, 'stroke-width': linePx, 'stroke-opacity': share }),
      }),
    );
  getDefs().append(pattern);
  const paint = `url(#${id})`;
  known.set(key, paint);
  return paint;
}

/** The paint of a thing's print; null for what has none. */
export function printFill(item: Pick<Item, 'fabric' | 'colours'> | null | undefined): string | null {
  const print = item && getDrawnPrint(item);
  return print ? fillWith(print) : null;
}

const painted = new Map<string, CanvasPattern | null>();

/** The same print for a canvas. */
export function paintWith(context: CanvasRenderingContext2D, { name, ink }: DrawnPrint): CanvasPattern | null {
  const key = `${name} ${ink}`;
  const hit = painted.get(key);
  if (hit !== undefined) return hit;
  const { widthPx, heightPx, marks } = PRINT_TILES[name];
  const sharp = window.devicePixelRatio || 1;
  const tile = document.createElement('canvas');
  [tile.width, tile.height] = [Math.round(widthPx * sharp), Math.round(heightPx * sharp)];
  const pen = tile.getContext('2d');
  if (!pen) return null;
  pen.scale(tile.width / widthPx, tile.height / heightPx);
  pen.fillStyle = pen.strokeStyle = ink;
  for (const { d, linePx, share } of marks) {
    pen.globalAlpha = share;
    const path = new Path2D(d);
    pen.lineWidth = linePx ?? 0;
    // oxlint-disable-next-line unicorn/no-array-fill-with-reference-type -- a canvas is no array
    if (linePx === undefined) pen.fill(path);
    else pen.stroke(path);
  }
  const pattern = context.createPattern(tile, 'repeat');
  pattern?.setTransform(new DOMMatrix().scale(widthPx / tile.width, heightPx / tile.height));
  painted.set(key, pattern);
  return pattern;
}
