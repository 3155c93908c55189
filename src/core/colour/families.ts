import { convertLabToLch, convertRgbToOklab, parseHex } from 'culori/fn';

/** A `#rrggbb` colour by lightness, chroma and hue in degrees; null where it cannot be read. Converted step by step, for the whole table of colour spaces is far larger. */
function toOklch(hex: string): { l: number; c: number; h?: number } | null {
  const rgb = parseHex(hex);
  return rgb ? convertLabToLch(convertRgbToOklab(rgb), 'oklch') : null;
}

/** What a thing without a colour is drawn and sorted in. */
export const UNDYED = '#8a8f94';

/** A thing's own colour. */
export const getColour = ({ colours: [first] }: { readonly colours: readonly string[] }): string => first ?? UNDYED;

/** How far apart two colours are to the eye, in OKLab: black to white is 1, and 0.02 is hardly seen. Null where one cannot be read. */
export function computeOkDistance(a: string, b: string): number | null {
  const [one, other] = [a, b].map((hex) => {
    const rgb = parseHex(hex);
    return rgb ? convertRgbToOklab(rgb) : null;
  });
  return one && other ? Math.hypot(one.l - other.l, one.a - other.a, one.b - other.b) : null;
}

/** Colour families round the wheel, in its order, neutrals apart at the end. */
export const COLOUR_FAMILIES = [
  'red',
  'orange',
  'yellow',
  'green',
  'teal',
  'blue',
  'violet',
  'pink',
  'brown',
  'white',
  'grey',
  'black',
] as const;
export type ColourFamily = (typeof COLOUR_FAMILIES)[number];

/** Upper hue of each arc in OKLCH degrees; set by eye on dyed cloth, not by a standard. */
const ARCS: readonly [number, ColourFamily][] = [
  [12, 'pink'],
  [40, 'red'],
  [72, 'orange'],
  [112, 'yellow'],
  [165, 'green'],
  [215, 'teal'],
  [272, 'blue'],
  [325, 'violet'],
  [361, 'pink'],
];

/** What was worked out for a colour; dyes come again and again. */
const families = new Map<string, ColourFamily>();
const keys = new Map<string, number>();
const MOST_KEPT = 5000;

/** Looks a value up, or works it out and keeps it. */
function recall<T>(known: Map<string, T>, hex: string, compute: (hex: string) => T): T {
  const hit = known.get(hex);
  if (hit !== undefined) return hit;
  const value = compute(hex);
  if (known.size < MOST_KEPT) known.set(hex, value);
  return value;
}

/** Lightness (OKLCH) below and above which a colour is called dark or light. */
const DARK = 0.52;
const LIGHT = 0.78;

/** The family of a `#rrggbb` colour; grey where it cannot be read. */
export function getColourFamily(hex: string): ColourFamily {
  return recall(families, hex, computeFamily);
}

function computeFamily(hex: string): ColourFamily {
  const colour = toOklch(hex);
  if (!colour) return 'grey';
  const { l, c, h = 0 } = colour;
  if (c < 0.028) return l > 0.87 ? 'white' : l > 0.33 ? 'grey' : 'black';
  if (l > 0.93 && c < 0.05) return 'white';
  const family = ARCS.find(([to]) => h < to)?.[1] ?? 'pink';
  // Dark or dull orange and yellow are what people call brown.
  return (family === 'orange' || family === 'yellow') && (l < 0.55 || c < 0.075) ? 'brown' : family;
}

/** Whether people would say light or dark of a colour; null where neither, or where it cannot be read. */
export function getShade(hex: string): 'light' | 'dark' | null {
  const lightness = toOklch(hex)?.l;
  if (lightness === undefined) return null;
  if (lightness < DARK) return 'dark';
  return lightness > LIGHT ? 'light' : null;
}

/** Sort key round the wheel: family, then from light to dark. Smaller comes first. */
export function computeWheelKey(hex: string): number {
  return recall(keys, hex, (colour) => {
    const lightness = toOklch(colour)?.l ?? 0.5;
    return COLOUR_FAMILIES.indexOf(getColourFamily(colour)) * 10 + (1 - lightness);
  });
}
