import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import type { LotId } from '../../core/records/index.ts';
import { computePlaceContents } from '../../core/labels/index.ts';
import { createPlaceTree } from '../../core/storage/index.ts';
import { wordLotFace, wordPlaceContent } from './labels.ts';

describe('the ticket of a heap', () => {
  const cottons = createCloth('cottons', { name: 'Cottons' });
  const heap = { by: 'pieces', measured: 14, countSigma: 2 } as const;
  const part = (id: string, placeId: string, count: number) =>
    createLot(cottons, placeId, { id: id as LotId, count, lengthMm: count * 1500, heap });
  const household = createHousehold(
    createUnit('cube', { columns: 3, widthMm: 1100 }),
    [cottons],
    [part('a', 'cube-A1', 14), part('b', 'cube-B1', 20), part('c', 'cube-C1', 6)],
  );
  const tree = createPlaceTree(household.places);
  const at = Date.UTC(2026, 9, 1, 12);
  const face = (id: string) =>
    wordLotFace(cottons, household.lots.get(id as LotId)!, 'CODE', 'tag', household, tree, at);

  it('says about how many pieces it is, and where the other parts of it are', () => {
    expect(face('a').lines.slice(0, 2)).toEqual([
      'a heap of about 14 pieces on 1 Oct 2026',
      'more in cube › B1 and cube › C1',
    ]);
    expect(face('a').foot).toBe('cube › A1');
  });

  it('says no more where all of it lies in one place', () => {
    const alone = { ...household, lots: new Map([...household.lots].filter(([id]) => id === 'a')) };
    const { lines } = wordLotFace(cottons, alone.lots.get('a' as LotId)!, 'CODE', 'tag', alone, tree, at);
    expect(lines.some((line) => line.startsWith('more in'))).toBe(false);
  });
});

describe('the label of a place', () => {
  const lines = (names: readonly string[]) => {
    const things = names.map((name) => createThing(name, { kind: 'other' }));
    const household = createHousehold(
      createUnit('cube', { columns: 1 }),
      things,
      things.map((thing) => createLot(thing, 'cube-A1')),
    );
    const tree = createPlaceTree(household.places);
    return wordPlaceContent(computePlaceContents(household, tree).get('cube-A1' as never)!, household);
  };

  it('names the odd things that are in it themselves, while they are few', () => {
    expect(lines(['Sewing machine', 'Drafting book'])).toEqual(['Drafting book, Sewing machine']);
    expect(lines(['One', 'Two', 'Three', 'Four']).join()).not.toContain('Four');
  });
});
