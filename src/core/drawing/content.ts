import type { Spot } from '../packing/index.ts';
import type { Item, LotId } from '../records/index.ts';
import type { Figure, Shape } from './shapes.ts';
import type { Content } from '../whereabouts/index.ts';

/** A spot's rectangle as seen from the front. `left` and `bottom` are the place's lower left corner on the wall. */
function getFront(spot: Spot, left: number, bottom: number): { x: number; y: number; width: number; height: number } {
  return { x: left + spot.xMm, y: bottom - spot.zMm - spot.heightMm, width: spot.widthMm, height: spot.heightMm };
}

function drawScissors(x: number, y: number, width: number, height: number): Shape[] {
  const ring = Math.min(width * 0.24, height * 0.15);
  const mid = x + width / 2;
  const pivot = y + height * 0.45;
  return [
    { type: 'circle', x: mid - ring * 1.05, y: y + ring, radius: ring, ink: 'steel' },
    { type: 'circle', x: mid + ring * 1.05, y: y + ring, radius: ring, ink: 'steel' },
    {
      type: 'path',
      points: [
        [mid - ring * 0.7, y + 2 * ring],
        [mid, pivot],
        [mid + ring * 0.5, y + height],
      ],
      isClosed: false,
      ink: 'steel',
    },
    {
      type: 'path',
      points: [
        [mid + ring * 0.7, y + 2 * ring],
        [mid, pivot],
        [mid - ring * 0.5, y + height],
      ],
      isClosed: false,
      ink: 'steel',
    },
  ];
}

function drawRuler(x: number, y: number, width: number, height: number): Shape[] {
  const shapes: Shape[] = [{ type: 'rect', x, y, width, height, ink: 'ruler', round: 4 }];
  for (let at = 20; at < height; at += 20) {
    const long = at % 100 === 0 ? 0.34 : 0.2;
    shapes.push({
      type: 'path',
      points: [
        [x, y + at],
        [x + Math.min(width * long, 26), y + at],
      ],
      isClosed: false,
      ink: 'tick',
    });
  }
  shapes.push({ type: 'circle', x: x + width / 2, y: y + 10, radius: 4, ink: 'hole' });
  return shapes;
}

function drawSpool(x: number, y: number, size: number, colour: string): Shape[] {
  return [
    { type: 'rect', x: x + size * 0.12, y, width: size * 0.76, height: size, ink: 'flange', round: 2 },
    {
      type: 'rect',
      x: x + size * 0.2,
      y: y + size * 0.17,
      width: size * 0.6,
      height: size * 0.66,
      ink: 'thing',
      colour,
    },
  ];
}

/** How one piece of a thing looks from the front. */
function drawPiece(item: Item, form: string, box: { x: number; y: number; width: number; height: number }): Shape[] {
  const colour = item.colours[0] ?? '#8a8f94';
  const photo = item.photos?.[0];
  const { x, y, width, height } = box;
  if (item.fabric) {
    const cloth: Shape = {
      type: 'rect',
      x,
      y,
      width,
      height,
      ink: 'cloth',
      colour,
      print: item.fabric.print,
      photo,
      round: form === 'roll' ? width / 2.2 : form === 'stack' ? Math.min(8, height / 2) : 1,
    };
    return form === 'roll'
      ? [cloth, { type: 'circle', x: x + width / 2, y: y + width / 2.2, radius: Math.min(14, width / 5), ink: 'hole' }]
      : [cloth];
  }
  if (item.thread && form === 'spool') return drawSpool(x, y, Math.min(width, height), colour);
  if (form === 'peg' && item.box) {
    if (item.box.type === 'measuring') return drawRuler(x, y, width, height);
    if (/shears|scissors|snips/i.test(item.name)) return drawScissors(x, y, width, height);
    return [
      { type: 'rect', x: x + width * 0.2, y, width: width * 0.6, height, ink: 'thing', colour, round: width * 0.2 },
      { type: 'circle', x: x + width / 2, y: y + 10, radius: 4, ink: 'hole' },
    ];
  }
  return [{ type: 'rect', x, y, width, height, ink: 'thing', colour, photo, round: 3 }];
}

/** Everything that stands or hangs visibly in an open place, lot by lot. */
export function drawContents(
  contents: readonly Content[],
  spots: readonly Spot[],
  left: number,
  bottom: number,
  isSpools: boolean,
): Figure[] {
  return contents.map(({ lot, item, pkg }, index): Figure => {
    const mine = spots.filter((spot) => spot.index === index);
    const boxes = mine.map((spot) => getFront(spot, left, bottom));
    const x = Math.min(...boxes.map((box) => box.x));
    const y = Math.min(...boxes.map((box) => box.y));
    return {
      kind: 'lot',
      id: lot.id as LotId,
      x,
      y,
      width: Math.max(...boxes.map((box) => box.x + box.width)) - x,
      height: Math.max(...boxes.map((box) => box.y + box.height)) - y,
      shapes: boxes.flatMap((box) => drawPiece(item, isSpools ? 'spool' : pkg.form, box)),
    };
  });
}
