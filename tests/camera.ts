import type { Point } from '../src/core/layout/index.ts';
import { createRandom } from '../src/core/random/index.ts';
import { computePerspective, toTable, type Spot } from '../src/core/scraps/homography.ts';

/** What lies on the table of the made-up camera: shapes, the later over the earlier, each of one colour. */
export interface Scene {
  readonly table: string;
  readonly things: readonly { readonly outline: readonly Point[]; readonly colour: string }[];
}

const WIDTH_PX = 480;
const HEIGHT_PX = 360;

function isWithin(outline: readonly Point[], { xMm, yMm }: Point): boolean {
  let isIn = false;
  for (const [n, a] of outline.entries()) {
    const b = outline[(n + 1) % outline.length]!;
    if (a.yMm > yMm === b.yMm > yMm) continue;
    if (xMm < a.xMm + ((yMm - a.yMm) / (b.yMm - a.yMm)) * (b.xMm - a.xMm)) isIn = !isIn;
  }
  return isIn;
}

const toBytes = (hex: string) => [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16));

/**
 * A photo of a table in known perspective: `corners` are where the corners of a table of 900 × 675 mm are seen, px. Light falls off
 * a little to one side, and there is noise.
 */
export function takePhoto(scene: Scene, corners: readonly Spot[], seed: number, light = 1) {
  const random = createRandom(seed);
  const perspective = computePerspective(corners, [
    { xMm: 0, yMm: 0 },
    { xMm: 900, yMm: 0 },
    { xMm: 900, yMm: 675 },
    { xMm: 0, yMm: 675 },
  ])!;
  const data = new Uint8ClampedArray(WIDTH_PX * HEIGHT_PX * 4);
  for (let y = 0; y < HEIGHT_PX; y += 1)
    for (let x = 0; x < WIDTH_PX; x += 1) {
      const at = toTable(perspective, { x, y });
      const seen = scene.things.findLast(({ outline }) => isWithin(outline, at));
      const shade = light * (1 - (0.08 * x) / WIDTH_PX);
      const bytes = toBytes(seen?.colour ?? scene.table);
      for (const [k, byte] of bytes.entries()) data[4 * (y * WIDTH_PX + x) + k] = byte * shade + (random() - 0.5) * 10;
      data[4 * (y * WIDTH_PX + x) + 3] = 255;
    }
  return { data, widthPx: WIDTH_PX, heightPx: HEIGHT_PX };
}

/** The same, out of focus: every pixel is the mean of a square so many px to each side. */
export function blur({ data, widthPx, heightPx }: ReturnType<typeof takePhoto>, px: number) {
  const soft = new Uint8ClampedArray(data);
  for (let y = 0; y < heightPx; y += 1)
    for (let x = 0; x < widthPx; x += 1)
      for (let k = 0; k < 3; k += 1) {
        let [sum, n] = [0, 0];
        for (let row = Math.max(0, y - px); row <= Math.min(heightPx - 1, y + px); row += 1)
          for (let column = Math.max(0, x - px); column <= Math.min(widthPx - 1, x + px); column += 1) {
            sum += data[4 * (row * widthPx + column) + k]!;
            n += 1;
          }
        soft[4 * (y * widthPx + x) + k] = sum / n;
      }
  return { data: soft, widthPx, heightPx };
}

/** A sheet of A4 on the table, its top left there, turned by so many degrees. */
export function createSheet(xMm: number, yMm: number, degrees: number): Point[] {
  const [sin, cos] = [Math.sin((degrees * Math.PI) / 180), Math.cos((degrees * Math.PI) / 180)];
  return [
    [0, 0],
    [210, 0],
    [210, 297],
    [0, 297],
  ].map(([x, y]) => ({ xMm: xMm + x! * cos - y! * sin, yMm: yMm + x! * sin + y! * cos }));
}
