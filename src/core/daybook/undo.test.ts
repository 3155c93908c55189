import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import { createRandom, pick } from '../random/index.ts';
import type { DaybookEvent, EventId, Household, ItemId, LotId, Place, PlaceId } from '../records/index.ts';
import {
  type Act,
  createCut,
  createLend,
  createMove,
  createPutBack,
  createReturn,
  createSaveItem,
  createSavePlaces,
  createTakeOut,
} from '../acts/index.ts';
import { type Draft, stampEvent } from './draft.ts';
import { getUndoable, listTakenBack, passGate, planUndo } from './index.ts';

const cloth = createCloth('cloth');
const thing = createThing('thing');
const start = createHousehold(
  createUnit('cube', { columns: 2, widthMm: 748 }),
  [cloth, thing],
  [createLot(cloth, 'cube-A1'), createLot(thing, 'cube-A1')],
);
const CLOTH = 'lot-cloth' as LotId;
const THING = 'lot-thing' as LotId;

const FIRST = {
  id: 'e0' as EventId,
  seq: 0,
  atMs: 0,
  type: 'catalogued' as const,
  subject: 'all',
  changes: [],
} satisfies DaybookEvent;

class Book {
  household: Household = start;
  events: DaybookEvent[] = [FIRST];
  write(draft: Draft): boolean {
    const seq = this.events.length;
    const world = { nowMs: () => seq, createId: () => `e${seq}` };
    const step = passGate(this.household, stampEvent(draft, seq, world));
    if (!step.ok) return false;
    this.events.push(step.value.event);
    this.household = step.value.household;
    return true;
  }
  act(act: Act): boolean {
    return act.ok && this.write(act.value);
  }
  undo(event: DaybookEvent): boolean {
    const plan = planUndo(this.household, this.events, event);
    return plan.ok && this.write(plan.value.draft);
  }
}

describe('what builds on a line', () => {
  const othersOf = (book: Book, event: DaybookEvent) => {
    const plan = planUndo(book.household, book.events, event);
    return plan.ok ? plan.value.others.map((one) => one.type) : plan.fault;
  };

  it('is what came later of the same thing, not of another, the newest first', () => {
    const book = new Book();
    book.act(createTakeOut(book.household, CLOTH, 1));
    book.act(createTakeOut(book.household, THING, 2));
    book.act(createCut(book.household, CLOTH, 500, 3));
    book.act(createPutBack(book.household, CLOTH, 4));
    const [, out, , cut, back] = book.events as [DaybookEvent, DaybookEvent, DaybookEvent, DaybookEvent, DaybookEvent];
    expect(othersOf(book, out)).toEqual(['putBack', 'cut']);
    expect(othersOf(book, cut)).toEqual(['putBack']);
    expect(othersOf(book, back)).toEqual([]);
    expect(othersOf(book, FIRST)).toBe('nothing-to-undo');
  });

  it('is nothing once it was taken back, and something again once that was', () => {
    const book = new Book();
    book.act(createTakeOut(book.household, CLOTH, 1));
    book.act(createPutBack(book.household, CLOTH, 2));
    const [, out, back] = book.events as [DaybookEvent, DaybookEvent, DaybookEvent];
    book.undo(back);
    expect(othersOf(book, out)).toEqual([]);
    expect(othersOf(book, back)).toBe('nothing-to-undo');
    expect(getUndoable(book.events)).toBe(out);
    // Taking the undo back does it again.
    const before = book.household;
    book.undo(book.events.at(-1)!);
    expect(othersOf(book, out)).toEqual(['putBack']);
    expect(getUndoable(book.events)).toBe(back);
    book.undo(back);
    expect(book.household).toEqual(before);
  });

  it('is what lies in a place that came, and the whole of it goes at once', () => {
    const book = new Book();
    const bin: Place = {
      id: 'bin' as PlaceId,
      parentId: 'cube-B1' as PlaceId,
      level: 'container',
      name: 'Bin',
      order: 0,
      container: {
        kind: 'bin',
        outerWidthMm: 300,
        outerDepthMm: 300,
        outerHeightMm: 300,
        wallMm: 3,
        mode: 'volume',
        tareG: 500,
        loadG: 5000,
        isSeeThrough: false,
        hasLid: false,
      },
    };
    book.act(createSavePlaces(book.household, 'Bin', [bin], [], 1));
    const came = book.events.at(-1)!;
    book.act(createMove(book.household, THING, bin.id, 'box', 2));
    expect(othersOf(book, came)).toEqual(['moved']);
    expect(book.undo(came)).toBe(true);
    expect(book.household).toEqual(start);
    expect([...listTakenBack(book.events)].length).toBe(2);
  });

  it('is every lot of an item that came, lent or not', () => {
    const book = new Book();
    const item = createThing('new');
    const lot = createLot(item);
    book.act(createSaveItem(book.household, item, [lot]));
    const came = book.events.at(-1)!;
    book.act(createLend(book.household, lot.id, 'a friend', 2));
    const more = { ...createLot(item), id: 'lot-more' as LotId };
    book.act(createSaveItem(book.household, book.household.items.get('new' as ItemId)!, [more]));
    expect(othersOf(book, came)).toEqual(['changed', 'lent']);
    // U, and U again: the first jam of all.
    const last = () => getUndoable(book.events)!;
    for (let n = 0; n < 3; n += 1) expect(book.undo(last())).toBe(true);
    expect(book.household).toEqual(start);
    expect(getUndoable(book.events)).toBeNull();
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
      const event = pick(random, book.events.slice(1));
      const plan = planUndo(book.household, book.events, event);
      if (plan.ok && plan.value.others.length > 0) withSome += 1;
      expect(plan.ok && book.write(plan.value.draft)).toBe(true);
    }
    expect(withSome).toBeGreaterThan(10);
  });
});
