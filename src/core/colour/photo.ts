import { createRandom } from '../random/index.ts';
import type { Print } from '../records/index.ts';

/** Pixels of a small picture: red, green, blue and opacity, one byte each, row by row. */
export interface Pixels {
  readonly data: ArrayLike<number>;
  readonly widthPx: number;
  readonly heightPx: number;
}

export interface DominantColour {
  readonly hex: string;
  /** Of the picture, 0 to 1. */
  readonly share: number;
}

/** What a photo of cloth shows. */
export interface PhotoFindings {
  /** Most of it first; at least one. */
  readonly colours: readonly DominantColour[];
  /** A guess, for the user to correct. */
  readonly print: Print;
}

type Lab = readonly [l: number, a: number, b: number];

const toLinear = (byte: number) => {
  const c = byte / 255;
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
};
const LINEAR = Float64Array.from({ length: 256 }, (_, byte) => toLinear(byte));

/** OKLab of an sRGB colour: distances in it are about as the eye sees them. Source: B. Ottosson, 2020. */
export function toOklab(red: number, green: number, blue: number): Lab {
  const [r, g, b] = [LINEAR[red]!, LINEAR[green]!, LINEAR[blue]!];
  const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
  const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
  const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
  return [
    0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s,
    1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s,
    0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s,
  ];
}

function toHex([l, a, b]: Lab): string {
  const [x, y, z] = [
    (l + 0.3963377774 * a + 0.2158037573 * b) ** 3,
    (l - 0.1055613458 * a - 0.0638541728 * b) ** 3,
    (l - 0.0894841775 * a - 1.291485548 * b) ** 3,
  ];
  const linear = [
    4.0767416621 * x - 3.3077115913 * y + 0.2309699292 * z,
    -1.2684380046 * x + 2.6097574011 * y - 0.3413193965 * z,
    -0.0041960863 * x - 0.7034186147 * y + 1.707614701 * z,
  ];
  const byte = (c: number) => {
    const encoded = c <= 0.0031308 ? 12.92 * c : 1.055 * c ** (1 / 2.4) - 0.055;
    return Math.max(0, Math.min(255, Math.round(encoded * 255)));
  };
  return `#${linear.map((c) => byte(Math.max(0, c)).toString(16).padStart(2, '0')).join('')}`;
}

function distance2(p: Lab, q: Lab): number {
  return (p[0] - q[0]) ** 2 + (p[1] - q[1]) ** 2 + (p[2] - q[2]) ** 2;
}

const CLUSTERS = 6;
const ROUNDS = 12;
/** Colours nearer than this in OKLab are one colour in two lights. */
const SAME = 0.075;
/** A colour with less of the picture than this is a thread or a shadow. */
const LEAST_SHARE = 0.05;

/** Seeded k-means++ and a few rounds of Lloyd's; near clusters are then made one. Largest first. */
function cluster(points: readonly Lab[]): { centre: Lab; share: number }[] {
  const random = createRandom(1);
  const centres: Lab[] = [points[Math.floor(points.length / 2)]!];
  while (centres.length < CLUSTERS) {
    const far = points.map((point) => Math.min(...centres.map((centre) => distance2(point, centre))));
    const total = far.reduce((sum, one) => sum + one, 0);
    if (total < 1e-9) break;
    let at = random() * total;
    centres.push(points[far.findIndex((one) => (at -= one) <= 0)] ?? points.at(-1)!);
  }
  let sums: [number, number, number, number][] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    sums = centres.map(() => [0, 0, 0, 0]);
    for (const point of points) {
      let best = 0;
      for (let c = 1; c < centres.length; c += 1)
        if (distance2(point, centres[c]!) < distance2(point, centres[best]!)) best = c;
      const sum = sums[best]!;
      for (let i = 0; i < 3; i += 1) sum[i]! += point[i]!;
      sum[3] += 1;
    }
    for (const [c, [l, a, b, n]] of sums.entries()) if (n > 0) centres[c] = [l / n, a / n, b / n];
  }
  const found = centres.map((centre, c) => ({ centre, share: (sums[c]?.[3] ?? 0) / points.length }));
  const merged: { centre: Lab; share: number }[] = [];
  for (const one of found.toSorted((p, q) => q.share - p.share)) {
    const same = merged.find((other) => distance2(one.centre, other.centre) < SAME ** 2);
    if (!same) merged.push({ ...one });
    else {
      const sum = same.share + one.share;
      const mix = (i: 0 | 1 | 2) => (same.centre[i] * same.share + one.centre[i] * one.share) / sum;
      same.centre = [mix(0), mix(1), mix(2)];
      same.share = sum;
    }
  }
  return merged.toSorted((p, q) => q.share - p.share);
}

/** Stripes change so many times more often across than along. */
const STRIPED = 3;
/** Fewer changes than this on the way across are light and shadow. */
const LEAST_CHANGES = 1.5;
/** Of a line's length, between the fullest and the emptiest row. */
const CHECKED = 0.55;

/** Solid or printed, and how: stripes change one way only, checks along both in whole rows, dots are few and apart. */
function guessPrint(
  labs: readonly Lab[],
  width: number,
  height: number,
  clusters: readonly { centre: Lab; share: number }[],
): Print {
  const main = clusters[0]?.share ?? 1;
  const second = clusters[1]?.share ?? 0;
  if (second < LEAST_SHARE) return 'solid';
  // A check has rows and columns that are its second colour from edge to edge, or nearly; motifs never fill one.
  const [first, other] = [clusters[0]!.centre, clusters[1]!.centre];
  const contrast = Math.sqrt(distance2(first, other));
  const share = (lab: Lab) => {
    const [toFirst, toOther] = [Math.sqrt(distance2(lab, first)), Math.sqrt(distance2(lab, other))];
    return contrast === 0 ? 0 : (toFirst - toOther) / contrast / 2 + 0.5;
  };
  const shares = labs.map(share);
  const across = countChanges(shares, width, height, width, 1);
  const down = countChanges(shares, height, width, 1, width);
  const [more, less] = [Math.max(across, down), Math.min(across, down)];
  // One side darker than the other is light falling on it, no print.
  if (more < LEAST_CHANGES) return 'solid';
  if (more > STRIPED * (less + 0.5)) return 'stripe';
  const lineShare = (from: number, step: number, count: number) => {
    let sum = 0;
    for (let i = 0; i < count; i += 1) sum += shares[from + i * step]!;
    return sum / count;
  };
  const range = (values: readonly number[]) => Math.max(...values) - Math.min(...values);
  const rows = range(Array.from({ length: height }, (_, row) => lineShare(row * width, 1, width)));
  const columns = range(Array.from({ length: width }, (_, column) => lineShare(column, width, height)));
  if (Math.min(rows, columns) > CHECKED) return 'check';
  return main > 0.62 ? 'dots' : isAlternating(shares, width, height) ? 'check' : 'floral';
}

/** Changes from one colour to the other on the way along each of `lines` lines, in the mean. */
function countChanges(
  shares: readonly number[],
  length: number,
  lines: number,
  lineStep: number,
  step: number,
): number {
  let changes = 0;
  for (let line = 0; line < lines; line += 1)
    for (let i = 1, at = line * lineStep; i < length; i += 1, at += step)
      if (shares[at]! > 0.5 !== shares[at + step]! > 0.5) changes += 1;
  return changes / lines;
}

/** Squares in turn, as on a board: every row changes about as often as any other. */
function isAlternating(shares: readonly number[], width: number, height: number): boolean {
  const rows = Array.from({ length: height }, (_, row) =>
    countChanges(shares.slice(row * width, (row + 1) * width), width, 1, 0, 1),
  );
  const middle = rows.toSorted((a, b) => a - b)[Math.floor(height / 2)]!;
  return middle >= 3 && rows.filter((one) => Math.abs(one - middle) <= 1 + middle * 0.25).length > 0.8 * height;
}

/** Dominant colours and print of a small picture, 100 pixels a side or so. Same picture, same findings. */
export function findInPhoto({ data, widthPx, heightPx }: Pixels): PhotoFindings {
  const labs: Lab[] = [];
  for (let i = 0; i < widthPx * heightPx; i += 1) {
    // What is see-through lies on white.
    const opacity = (data[4 * i + 3] ?? 255) / 255;
    const on = (byte: number) => Math.round(byte * opacity + 255 * (1 - opacity));
    labs.push(toOklab(on(data[4 * i] ?? 0), on(data[4 * i + 1] ?? 0), on(data[4 * i + 2] ?? 0)));
  }
  if (labs.length === 0) return { colours: [{ hex: '#808080', share: 1 }], print: 'solid' };
  const clusters = cluster(labs);
  const colours = clusters
    .filter((one, i) => i === 0 || one.share >= LEAST_SHARE)
    .slice(0, 5)
    .map(({ centre, share }) => ({ hex: toHex(centre), share }));
  return { colours, print: guessPrint(labs, widthPx, heightPx, clusters) };
}
