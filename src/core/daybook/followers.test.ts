import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import { createRandom, pick } from '../random/index.ts';
import type { DaybookEvent, Household, LotId } from '../records/index.ts';
import {
  type Act,
  createCut,
  createLend,
  createMove,
  createPutBack,
  createReturn,
  createTakeOut,
} from '../acts/index.ts';
import { type Draft, createUndo, stampEvent } from './draft.ts';
import { applyChanges } from './fold.ts';
import { listFollowers } from './followers.ts';

const cloth = createCloth('cloth');
const thing = createThing('thing');
const start = createHousehold(
  createUnit('cube', { columns: 2, widthMm: 748 }),
  [cloth, thing],
  [createLot(cloth, 'cube-A1'), createLot(thing, 'cube-A1')],
);
const CLOTH = 'lot-cloth' as LotId;
const THING = 'lot-thing' as LotId;

class Book {
  household: Household = start;
  events: DaybookEvent[] = [];
  write(draft: Draft): boolean {
    const next = applyChanges(this.household, draft.changes);
    if (!next.ok) return false;
    const seq = this.events.length + 1;
    const world = { nowMs: () => seq, createId: () => `e${seq}` };
    this.events.push(stampEvent(draft, seq, world));
    this.household = next.value;
    return true;
  }
  act(act: Act): boolean {
    return act.ok && this.write(act.value);
  }
}

describe('what builds on an event', () => {
  it('is what came later of the same thing, not of another, the newest first', () => {
    const book = new Book();
    book.act(createTakeOut(book.household, CLOTH, 1));
    book.act(createTakeOut(book.household, THING, 2));
    book.act(createCut(book.household, CLOTH, 500, 3));
    book.act(createPutBack(book.household, CLOTH, 4));
    const [out, , cut] = book.events as [DaybookEvent, DaybookEvent, DaybookEvent];
    expect(listFollowers(book.events, out).map((one) => one.type)).toEqual(['putBack', 'cut']);
    expect(listFollowers(book.events, cut).map((one) => one.type)).toEqual(['putBack']);
    expect(listFollowers(book.events, book.events.at(-1)!)).toEqual([]);
  });

  it('is nothing once it was taken back', () => {
    const book = new Book();
    book.act(createTakeOut(book.household, CLOTH, 1));
    book.act(createPutBack(book.household, CLOTH, 2));
    book.write(createUndo(book.events[1]!));
    expect(listFollowers(book.events, book.events[0]!)).toEqual([]);
  });

  it('can always be taken back with it, whatever was done', () => {
    let withSome = 0;
    for (let seed = 1; seed <= 40; seed += 1) {
      const random = createRandom(seed);
      const book = new Book();
      for (let n = 0; n < 25; n += 1) {
        const id = pick(random, [CLOTH, THING]);
        const { household } = book;
        const acts: (() => Act)[] = [
          () => createTakeOut(household, id, n),
          () => createPutBack(household, id, n),
          () => createCut(household, CLOTH, 20, n),
          () => createLend(household, id, 'a friend', n),
          () => createReturn(household, id, n),
          () => createMove(household, id, pick(random, ['cube-A1', 'cube-B1']) as never, 'box', n),
        ];
        book.act(pick(random, acts)());
      }
      const event = pick(random, book.events);
      const followers = listFollowers(book.events, event);
      if (followers.length > 0) withSome += 1;
      for (const one of [...followers, event]) expect(book.write(createUndo(one))).toBe(true);
    }
    expect(withSome).toBeGreaterThan(10);
  });
});
