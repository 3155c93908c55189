import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { undo } from '../../../tests/acts.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { computeSpace, createPlaceTree } from '../storage/index.ts';
import type { DaybookEvent, Household, LotId, World } from '../records/index.ts';
import { createRemoveItem } from './itemActs.ts';
import { createCut, createMove, createPutBack, createTakeOut } from './lotActs.ts';
import { createSavePlaces } from './placeActs.ts';
import { applyChanges, foldEvents } from '../daybook/fold.ts';
import { type Draft, checkInvariants, getUndoable, stampEvent } from '../daybook/index.ts';
import { computeContents, computeStanding, groupLotsByPlace } from '../whereabouts/index.ts';

const NOW = 1_800_000_000_000;

function createLedger(lots = 60) {
  const start = createSampleHousehold(1, lots);
  let household: Household = start.household;
  const events: DaybookEvent[] = [...start.events];
  let id = 0;
  const world: World = { nowMs: () => NOW, createId: () => `t${(id += 1)}` };
  const write = (draft: Draft) => {
    const next = applyChanges(household, draft.changes);
    if (!next.ok) return next;
    household = next.value;
    events.push(stampEvent(draft, events.length, world));
    return next;
  };
  return {
    events,
    write,
    get household() {
      return household;
    },
  };
}

function findLot(
  household: Household,
  is: (lot: Household['lots'] extends ReadonlyMap<LotId, infer L> ? L : never) => boolean,
) {
  const lot = [...household.lots.values()].find(is);
  if (!lot) throw new Error('no such lot in the sample');
  return lot;
}

function unwrap<T>(result: { ok: true; value: T } | { ok: false; fault: { code: string } }): T {
  if (!result.ok) throw new Error(result.fault.code);
  return result.value;
}

describe('living with it', () => {
  it('takes out, puts back to the same turn, and undoes both', () => {
    const ledger = createLedger();
    const before = ledger.household;
    const lot = findLot(before, (one) => one.state === 'in');
    ledger.write(unwrap(createTakeOut(ledger.household, lot.id, NOW)));
    expect(ledger.household.lots.get(lot.id)).toMatchObject({ state: 'out', homeId: lot.homeId });
    expect(ledger.household.lots.get(lot.id)).not.toHaveProperty('placeId');
    expect(createTakeOut(ledger.household, lot.id, NOW)).toMatchObject({ fault: { code: 'not-in-place' } });
    ledger.write(unwrap(createPutBack(ledger.household, lot.id, NOW)));
    expect(ledger.household.lots.get(lot.id)).toMatchObject({ state: 'in', placeId: lot.homeId, order: lot.homeOrder });
    ledger.write(undo(ledger.household, ledger.events));
    ledger.write(undo(ledger.household, ledger.events));
    expect(ledger.household).toEqual(before);
    expect(getUndoable(ledger.events)).toBeNull();
  });

  it('conserves what is cut and never cuts more than there is', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 6000 }), (cutMm) => {
        const { household } = createSampleHousehold(1, 60);
        const lot = findLot(household, (one) => (one.lengthMm ?? 0) > 1500);
        const cut = createCut(household, lot.id, cutMm, NOW);
        if (cutMm > lot.lengthMm! + 0.5) {
          expect(cut).toMatchObject({ ok: false, fault: { code: 'more-than-there-is', available: lot.lengthMm } });
          return;
        }
        const next = unwrap(applyChanges(household, unwrap(cut).changes));
        expect(next.lots.get(lot.id)!.lengthMm! + unwrap(cut).amount!).toBeCloseTo(lot.lengthMm!, 6);
        expect(checkInvariants(next)).toEqual([]);
      }),
    );
  });

  it('gives a rest that no longer covers its board another form', () => {
    const { household } = createSampleHousehold();
    const lot = findLot(household, (one) => one.form === 'board' && one.state === 'in' && (one.lengthMm ?? 0) > 1000);
    const next = unwrap(
      applyChanges(household, unwrap(createCut(household, lot.id, lot.lengthMm! - 200, NOW)).changes),
    );
    expect(next.lots.get(lot.id)).toMatchObject({ lengthMm: 200, form: 'stack', homeForm: 'stack' });
    const gone = unwrap(createCut(next, lot.id, 200, NOW));
    expect(gone.type).toBe('usedUp');
  });

  it('keeps what lived in a place that is taken away, and removes an item with its lots', () => {
    const ledger = createLedger();
    const lot = findLot(ledger.household, (one) => one.placeId !== undefined);
    const place = ledger.household.places.get(lot.placeId!)!;
    ledger.write(unwrap(createSavePlaces(ledger.household, 'Cubes', [], [place], NOW)));
    expect(ledger.household.lots.get(lot.id)).toMatchObject({ state: 'out' });
    expect(ledger.household.lots.get(lot.id)).not.toHaveProperty('placeId');
    expect(ledger.household.lots.get(lot.id)).not.toHaveProperty('homeId');
    expect(checkInvariants(ledger.household)).toEqual([]);
    expect(createMove(ledger.household, lot.id, place.id, lot.form, NOW)).toMatchObject({
      fault: { code: 'no-such-place' },
    });
    ledger.write(unwrap(createRemoveItem(ledger.household, ledger.household.items.get(lot.itemId)!, 9)));
    expect(ledger.household.lots.has(lot.id)).toBe(false);
    expect(foldEvents(ledger.events)).toEqual({ ok: true, value: ledger.household });
  });
});

describe('where it is', () => {
  it('counts from the left in a cube, by real positions', () => {
    const { household } = createSampleHousehold();
    const tree = createPlaceTree(household.places);
    const byPlace = groupLotsByPlace(household, 'is');
    let rows = 0;
    for (const [placeId, lots] of byPlace) {
      const place = tree.places.get(placeId)!;
      if (place.slot?.mode !== 'line' || place.slot.opening === 'drawer') continue;
      const inside = computeContents(household, tree, placeId, lots);
      if (!inside.spots || lots.some((lot) => lot.form === 'stack')) continue;
      const told = lots.map((lot) => computeStanding(inside, lot, computeSpace(tree, place)));
      const nths = told.flatMap((one) => (one.kind === 'row' ? [one.nth] : []));
      expect(nths.toSorted((a, b) => a - b)).toEqual(lots.map((_, i) => i + 1));
      rows += 1;
    }
    expect(rows).toBeGreaterThan(0);
  });
});
