import { describe, expect, it } from 'vitest';
import { DEFAULT_SETTINGS, type CareFlag, type Item } from '../../core/records/index.ts';
import type { PlaceTraits, Space } from '../../core/storage/index.ts';
import { findCautions, findHardFault, type Offer } from './index.ts';

const SPACE: Space = {
  mode: 'volume',
  widthMm: 400,
  depthMm: 300,
  heightMm: 200,
  rowsRun: 'y',
  peg: null,
  pinPitchMm: 0,
};
const TRAITS: PlaceTraits = {
  handMm: 900,
  reach: 'easy',
  light: 'day',
  isDustProof: false,
  isPetProof: false,
  isChildSafe: false,
  isNearHeat: false,
  isSeeThrough: false,
  isWorkTop: false,
  workTopOf: [],
  holds: 'held',
  isRow: false,
  isFloor: false,
  isInPull: false,
  isHeap: false,
  loadG: 8000,
  tareG: 0,
};

function offer(
  care: CareFlag[],
  over: { traits?: Partial<PlaceTraits>; settings?: object; massG?: number; longMm?: number } = {},
): Offer {
  return {
    item: { kind: 'tool', care } as unknown as Item,
    pkg: {
      form: 'box',
      alongMm: over.longMm ?? 100,
      acrossMm: 50,
      heightMm: 30,
      pieces: 1,
      massG: over.massG ?? 300,
      isSoft: false,
    },
    space: SPACE,
    traits: { ...TRAITS, ...over.traits },
    settings: { ...DEFAULT_SETTINGS, ...over.settings },
  };
}

describe('hard rules', () => {
  it.each([
    ['too-long', offer([], { longMm: 410 })],
    ['load', offer([], { massG: 8001 })],
    ['children', offer(['sharp'], { settings: { hasChildren: true } })],
    ['children', offer(['smallPart'], { settings: { hasChildren: true } })],
    ['sun', offer(['noSun'], { traits: { light: 'sun' } })],
    ['heat', offer(['flammable'], { traits: { isNearHeat: true } })],
  ])('%s forbids', (code, bad) => expect(findHardFault(bad)?.code).toBe(code));

  it.each([
    ['a blade in a house without children', offer(['sharp'])],
    [
      'a blade out of their reach',
      offer(['sharp'], { settings: { hasChildren: true }, traits: { isChildSafe: true } }),
    ],
    ['a box as heavy as the drawer carries', offer([], { massG: 8000 })],
    ['a box as long as the drawer', offer([], { longMm: 400 })],
    ['faded cloth in daylight', offer(['noSun'])],
  ])('allows %s', (_, good) => expect(findHardFault(good)).toBeNull());

  it('says by how much', () => {
    expect(findHardFault(offer([], { longMm: 610 }))).toEqual({ code: 'too-long', needed: 610, available: 400 });
  });
});

describe('cautions', () => {
  it('warns of what is heavy above the shoulder and of thread open to pets', () => {
    const codes = (one: Offer) => findCautions(one).map((finding) => finding.code);
    expect(codes(offer([], { massG: 6000, traits: { reach: 'stretch' } }))).toEqual(['heavy-high']);
    expect(codes(offer(['thread'], { settings: { hasPets: true } }))).toEqual(['thread-pets']);
    expect(codes(offer(['thread'], { settings: { hasPets: true }, traits: { isPetProof: true } }))).toEqual([]);
    expect(codes(offer([], { massG: 5000, traits: { reach: 'stool' } }))).toEqual([]);
  });
});
