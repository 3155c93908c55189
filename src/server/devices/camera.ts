import { zlibSync } from 'fflate';
import { createRandom, pick, type Random } from '../../core/random/index.ts';

type Rgb = readonly [number, number, number];

const SIDE_PX = 480;
const DYES: readonly Rgb[] = [
  [205, 189, 152],
  [47, 79, 120],
  [163, 73, 58],
  [77, 106, 69],
  [223, 174, 55],
  [107, 63, 92],
  [58, 122, 131],
  [94, 70, 54],
];
const PAPER: Rgb = [240, 234, 220];

type Motif = (x: number, y: number) => boolean;
const MOTIFS: readonly Motif[] = [
  () => false,
  (_, y) => y % 48 < 16,
  (x, y) => x % 60 < 26 !== y % 60 < 26,
  (x, y) => (((x + (Math.floor(y / 60) % 2) * 30) % 60) - 30) ** 2 + ((y % 60) - 30) ** 2 < 120,
];

const CRC = Uint32Array.from({ length: 256 }, (_, n) => {
  let c = n;
  for (let k = 0; k < 8; k += 1) c = c & 1 ? 0xed_b8_83_20 ^ (c >>> 1) : c >>> 1;
  return c;
});

function createChunk(name: string, data: Uint8Array): Uint8Array {
  const chunk = new Uint8Array(12 + data.length);
  const view = new DataView(chunk.buffer);
  view.setUint32(0, data.length);
  for (let i = 0; i < 4; i += 1) chunk[4 + i] = name.charCodeAt(i);
  chunk.set(data, 8);
  let crc = 0xff_ff_ff_ff;
  for (const byte of chunk.subarray(4, 8 + data.length)) crc = CRC[(crc ^ byte) & 0xff]! ^ (crc >>> 8);
  view.setUint32(8 + data.length, (crc ^ 0xff_ff_ff_ff) >>> 0);
  return chunk;
}

/** What a real camera would write beside the picture, and nobody wants to pass on. */
const REMARK = 'Comment\0taken at the kitchen table, 0.0 N 0.0 E';

/** A PNG of made-up cloth: a dye, perhaps with a motif, a weave's unrest, and lamplight from one corner. */
export function takePicture(random: Random): Uint8Array {
  const ground = pick(random, DYES);
  const isPale = random() < 0.7;
  const motif = pick(random, MOTIFS);
  const print = isPale ? PAPER : pick(random, DYES);
  const rows = new Uint8Array((SIDE_PX * 3 + 1) * SIDE_PX);
  for (let y = 0; y < SIDE_PX; y += 1)
    for (let x = 0; x < SIDE_PX; x += 1) {
      const colour = motif(x, y) ? print : ground;
      const light = 1.05 - (0.12 * (x + y)) / (2 * SIDE_PX);
      const weave = 1 + ((x + y) % 2 === 0 ? 0.02 : -0.02) + (random() - 0.5) * 0.04;
      const at = y * (SIDE_PX * 3 + 1) + 1 + x * 3;
      for (let i = 0; i < 3; i += 1) rows[at + i] = Math.max(0, Math.min(255, colour[i]! * light * weave));
    }
  const head = new Uint8Array(13);
  const view = new DataView(head.buffer);
  view.setUint32(0, SIDE_PX);
  view.setUint32(4, SIDE_PX);
  // Eight bits each of red, green and blue.
  head.set([8, 2, 0, 0, 0], 8);
  const parts = [
    Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    createChunk('IHDR', head),
    createChunk('tEXt', new TextEncoder().encode(REMARK)),
    createChunk('IDAT', zlibSync(rows, { level: 1 })),
    createChunk('IEND', new Uint8Array(0)),
  ];
  const picture = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0));
  let at = 0;
  for (const part of parts) {
    picture.set(part, at);
    at += part.length;
  }
  return picture;
}

/** The made-up camera: every shot is of another cloth. */
export class Camera {
  private readonly random = createRandom(7);

  shoot(): Uint8Array {
    return takePicture(this.random);
  }
}
