import { describe, expect, it } from 'vitest';
import { parseRecord, type UnitSpec } from '../records/index.ts';
import { checkContainers, computeSlots } from './index.ts';
import { BIN_SIZES, listPartSizes, PARTS, type Part } from './parts.ts';

const build = ({ kind, unit, slots }: Part) => {
  const spec: UnitSpec = { kind, wallId: 'w', xMm: 0, isAnchored: false, ...unit };
  const layout = computeSlots(spec);
  if (!layout.ok) throw new Error(layout.fault.code);
  return { spec, slots: layout.slots.map(({ name, slot }) => ({ name, slot: { ...slot, ...slots } })) };
};
const named = (id: string) => build(PARTS.find((part) => part.id === id)!);

describe('the parts shelf', () => {
  it.each(PARTS.map((part) => [part.id, part] as const))('has a sound %s', (_, part) => {
    const { spec, slots } = build(part);
    expect(slots.length).toBeGreaterThanOrEqual(1);
    const unit = { id: 'u', parentId: 'r', level: 'unit', name: 'u', order: 0, unit: spec };
    expect(parseRecord('places', unit).ok).toBe(true);
    for (const { name, slot } of slots) {
      const place = { id: 's', parentId: 'u', level: 'slot', name, order: 0, slot };
      expect(parseRecord('places', place)).toMatchObject({ ok: true });
      expect(slot.xMm + slot.widthMm).toBeLessThanOrEqual(spec.widthMm + 1e-6);
    }
    expect(new Set(slots.map((one) => one.name)).size).toBe(slots.length);
  });

  it('is not told apart by name alone', () => {
    expect(new Set(PARTS.map((part) => part.id)).size).toBe(PARTS.length);
  });

  it('makes a closet of a rail and a shelf over it, its inner height kept between three boards', () => {
    const { spec, slots } = named('closet');
    expect(slots.map(({ name, slot }) => [name, slot.mode, slot.opening])).toEqual([
      ['Rail', 'rail', 'door'],
      ['Top shelf', 'line', 'door'],
    ]);
    const [rail, top] = slots.map((one) => one.slot);
    expect(top!.heightMm).toBe(300);
    // 2000 less three boards of 16 and the shelf's 300.
    expect(rail!.heightMm).toBe(1652);
    expect(top!.yMm).toBe(rail!.yMm + rail!.heightMm + 16);
    expect(top!.yMm + top!.heightMm + 16).toBe(spec.heightMm);
  });

  it('lets things stand under a table, and a chest open at its lid', () => {
    const [top, below] = named('table-below').slots;
    expect([top!.name, top!.slot.yMm]).toEqual(['Top', 740]);
    expect([below!.name, below!.slot.yMm, below!.slot.heightMm]).toEqual(['Below', 0, 700]);
    expect(named('table').slots).toHaveLength(1);
    expect(named('chest').slots[0]!.slot).toMatchObject({ opening: 'lid', loadG: 40_000 });
    expect(named('peg-slotted').slots[0]!.slot.peg).toMatchObject({ family: 'slotted', pitchMm: 40 });
  });
});

describe('common sizes', () => {
  it.each(
    PARTS.flatMap((part) =>
      listPartSizes(part).map((size, i) => [`${part.id} ${i}`, { ...part, unit: { ...part.unit, ...size } }] as const),
    ),
  )('of a %s are sound, with room in each compartment', (_, part) => {
    const { slots } = build(part);
    for (const { slot } of slots) {
      expect(Math.min(slot.widthMm, slot.heightMm)).toBeGreaterThanOrEqual(100 < part.unit.heightMm ? 75 : 5);
      expect(parseRecord('places', { id: 's', parentId: 'u', level: 'slot', name: 's', order: 0, slot }).ok).toBe(true);
    }
  });

  it('of bins are sound, and the bin for cubes goes into a cube', () => {
    for (const { id, container } of BIN_SIZES)
      expect(parseRecord('places', { id: 'b', level: 'container', name: id, order: 0, container }).ok).toBe(true);
    const cube = named('cube-shelf').slots[0]!.slot;
    expect(checkContainers(cube, [BIN_SIZES.find(({ id }) => id === 'cube-bin')!.container])).toBeNull();
  });
});
