import {
  clampChroma,
  colorsNamed,
  formatHex,
  modeLrgb,
  modeOklab,
  modeOklch,
  modeRgb,
  parseHex,
  useMode,
} from 'culori/fn';
import { toTable } from '../words/index.ts';

useMode(modeRgb);
useMode(modeLrgb);
useMode(modeOklab);
const toOklch = useMode(modeOklch);

/** Colours as sewists call them, beside the general names of the web. Set by eye. */
const CRAFT = toTable<string>({
  apricot: '#f4b183',
  aubergine: '#472c4b',
  black: '#1c1c1e',
  blue: '#2f5fa8',
  bordeaux: '#5e1f2d',
  brick: '#a3493a',
  brown: '#6b4630',
  burgundy: '#6d1f33',
  camel: '#c19a6b',
  charcoal: '#3b3f45',
  cream: '#f3ead2',
  denim: '#44608a',
  ecru: '#e4d9bd',
  emerald: '#1f7a54',
  fuchsia: '#c0307f',
  gray: '#8d9194',
  green: '#3f7a4a',
  grey: '#8d9194',
  heather: '#8d7aa6',
  ivory: '#f7f1df',
  jade: '#3f8f78',
  lemon: '#f0dc62',
  lilac: '#b9a3cc',
  mint: '#a9d8c0',
  moss: '#6e7f4a',
  mustard: '#c8982f',
  natural: '#dccfae',
  navy: '#23304f',
  oat: '#cdbd98',
  ochre: '#b9842f',
  olive: '#6b6a33',
  orange: '#dd7a2c',
  peach: '#f2b79b',
  petrol: '#1f5560',
  pink: '#dd8fa6',
  plum: '#5d2f4f',
  purple: '#6a4590',
  red: '#b3302f',
  rose: '#cf8a8f',
  rust: '#a5532b',
  sage: '#9aa98b',
  sand: '#d8c49c',
  silver: '#c0c3c6',
  slate: '#4d5a66',
  sky: '#8fb8d8',
  stone: '#b6afa2',
  straw: '#e3cb7a',
  taupe: '#8b7d70',
  teal: '#2b7a7b',
  terracotta: '#b5613f',
  turquoise: '#3fb0ac',
  violet: '#6f4f96',
  white: '#f5f5f2',
  wine: '#641f33',
  yellow: '#e5c23a',
});

const SHADES = toTable<{ l: number; c: number }>({
  dark: { l: -0.14, c: 0.9 },
  deep: { l: -0.1, c: 1.1 },
  light: { l: 0.12, c: 0.8 },
  pale: { l: 0.16, c: 0.6 },
  bright: { l: 0.06, c: 1.3 },
  dusty: { l: 0.02, c: 0.6 },
});

const NAMED = toTable<number>(colorsNamed);

/** Every word that is a colour: those of the craft before those of the web. */
export function listColourWords(): string[] {
  return [...Object.keys(CRAFT), ...Object.keys(NAMED)];
}

export function isShade(word: string): boolean {
  return word in SHADES;
}

function getHex(word: string): string | null {
  if (/^#[0-9a-f]{6}$/.test(word)) return word;
  if (word in CRAFT) return CRAFT[word] as string;
  const named = NAMED[word];
  return named === undefined ? null : `#${named.toString(16).padStart(6, '0')}`;
}

/** The colour that a word means, as `#rrggbb`, made darker or lighter by the word before it; null for no colour. */
export function parseColourWord(word: string, shade?: string): string | null {
  const hex = getHex(word.toLowerCase());
  const by = shade === undefined ? undefined : SHADES[shade.toLowerCase()];
  if (!hex || !by) return hex;
  const colour = toOklch(parseHex(hex));
  if (!colour) return hex;
  const l = Math.min(0.97, Math.max(0.08, colour.l + by.l));
  return formatHex(clampChroma({ ...colour, l, c: colour.c * by.c }, 'oklch'));
}
