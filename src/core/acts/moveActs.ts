import type { Step } from '../moves/index.ts';
import type { Change, Household, Lot, LotId, PlaceId, Wish } from '../records/index.ts';
import { createPlaceTree, withBins, type ToStand } from '../storage/index.ts';
import { fail, ok } from '../result/index.ts';
import { type Act, createLotDraft, getLot } from './act.ts';
import { createChange } from '../daybook/index.ts';

/**
 * Carries out a step, or what is left of it. What comes home takes its turn there, and so does what is at home in that
 * place already.
 */
export function createStep(
  household: Household,
  step: Pick<Step, 'kind' | 'lotIds' | 'forms' | 'to' | 'bins'>,
  which: readonly LotId[],
  subject: string,
  nowMs: number,
): Act {
  if (step.bins) return createCarryBins(household, step.bins, subject, nowMs);
  const { to } = step;
  const changes: Change[] = [];
  const moved = new Set(which);
  const add = (lot: Lot, next: Lot) => {
    const change = createChange('lots', lot.id, lot, next);
    if (change) changes.push(change);
  };
  for (const id of step.kind === 'order' ? [] : which) {
    const lot = household.lots.get(id);
    const form = step.forms[step.lotIds.indexOf(id)];
    if (!lot || !form || getLot(household, id) === null) return fail({ code: 'no-such-lot' });
    if (to === 'about') return fail({ code: 'no-such-place' });
    if (to === 'idle') return fail({ code: 'no-such-place' });
    const away = to === 'table' ? 'table' : to === 'aside' ? 'aside' : null;
    if (away === null && !household.places.has(to as PlaceId)) return fail({ code: 'no-such-place' });
    const next: Lot = away
      ? { ...lot, state: 'out', placeId: undefined, away, sinceMs: nowMs }
      : {
          ...lot,
          state: 'in',
          placeId: to as PlaceId,
          form,
          order: lot.homeId === to ? lot.homeOrder : lot.order,
          sinceMs: nowMs,
        };
    add(lot, next);
  }
  for (const lot of household.lots.values())
    if (lot.placeId === to && lot.homeId === to && (step.kind === 'order' || !moved.has(lot.id)))
      add(lot, { ...lot, order: lot.homeOrder });
  return changes.length === 0 ? fail({ code: 'nothing-changed' }) : ok({ type: 'carried', subject, changes });
}

/**
 * Containers carried to where they are to stand, with what is in them. What lies where no place is any more, loose in their
 * compartment or in one that goes out of the way, lies about then, unless it is carried too.
 */
export function createCarriedBins(
  { places, lots }: Household,
  bins: readonly ToStand[],
  nowMs: number,
  isCarried: (lot: Lot) => boolean = () => false,
): (Change | null)[] {
  const next = withBins(places, bins);
  const leaves = new Set(createPlaceTree(next).leaves.map(({ id }) => id));
  const carried = bins.map(({ placeId }) => createChange('places', placeId, places.get(placeId)!, next.get(placeId)!));
  const ousted = [...lots.values()].flatMap((lot) =>
    lot.placeId === undefined || leaves.has(lot.placeId) || isCarried(lot)
      ? []
      : createChange('lots', lot.id, lot, { ...lot, state: 'out', placeId: undefined, sinceMs: nowMs } satisfies Lot),
  );
  return [...carried, ...ousted];
}

function createCarryBins(household: Household, bins: readonly ToStand[], subject: string, nowMs: number): Act {
  if (bins.some(({ placeId }) => !household.places.get(placeId)?.container)) return fail({ code: 'no-such-place' });
  const changes = createCarriedBins(household, bins, nowMs).filter((change) => change !== null);
  return changes.length === 0 ? fail({ code: 'nothing-changed' }) : ok({ type: 'carried', subject, changes });
}

/** It was not where it should be: missing until it turns up. Its home stays. */
export function createNotFound(household: Household, id: LotId, nowMs: number): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  return createLotDraft('notFound', item, lot, {
    ...lot,
    state: 'out',
    placeId: undefined,
    withLotId: undefined,
    away: 'missing',
    sinceMs: nowMs,
  });
}

/**
 * What was carried does not go into its place after all: it lies on the table, and no plan puts it into that place again.
 * `wishId` names the wish, which can be lifted like any other.
 */
export function createDoesNotFit(
  household: Household,
  id: LotId,
  placeId: PlaceId,
  wishId: string,
  nowMs: number,
): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  const { settings } = household;
  const wish: Wish = { id: wishId, kind: 'notIn', lotIds: [id], groupIds: [], placeId };
  const changes = [
    createChange('lots', id, lot, {
      ...lot,
      state: 'out',
      placeId: undefined,
      withLotId: undefined,
      away: 'table',
      sinceMs: nowMs,
    } satisfies Lot),
    createChange('settings', 'household', settings, { ...settings, wishes: [...(settings.wishes ?? []), wish] }),
  ].filter((change) => change !== null);
  return ok({ type: 'notFitting', subject: item.name, changes });
}
