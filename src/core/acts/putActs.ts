import { computePackages, getWholeLot } from '../measure/index.ts';
import { computeShare, packPlace } from '../packing/index.ts';
import {
  isHomeless,
  takesRoom,
  type Change,
  type Household,
  type Lot,
  type LotId,
  type PlaceId,
  type StowForm,
} from '../records/index.ts';
import { fail, ok } from '../result/index.ts';
import { computeSpace, createPlaceTree, type PlaceTree } from '../storage/index.ts';
import { type Act, getLot } from './act.ts';
import { createMove, createPutBack } from './lotActs.ts';
import { applyChanges } from '../daybook/fold.ts';
import { computeDifference, createChange } from '../daybook/index.ts';
import { getOrderBehind } from './behind.ts';
import { computePresentPackage, groupLotsByPlace } from '../whereabouts/index.ts';

/** How a place takes some things beside what lies in it now. */
export interface PutVerdict {
  /** All of it was packed in there. */
  readonly isFit: boolean;
  /** How each of them is kept there, in their order; null for one that goes in no way. */
  readonly forms: readonly (StowForm | null)[];
}

/**
 * Packs a place with what lies in it and some things more, each in the form it has if that goes in there, else in the
 * first of its own that does. `beside` says whether what lies there now counts, or what belongs there.
 */
export function judgePut(
  household: Household,
  tree: PlaceTree,
  ids: readonly LotId[],
  placeId: PlaceId,
  beside: 'is' | 'home' = 'is',
): PutVerdict | null {
  const place = tree.leaves.find((one) => one.id === placeId);
  if (!place) return null;
  const space = computeSpace(tree, place);
  const added = new Set(ids);
  const here = (groupLotsByPlace(household, beside).get(placeId) ?? []).filter((lot) => !added.has(lot.id));
  const packed = here.flatMap(
    (lot) => computePresentPackage(household, lot, beside === 'is' ? lot.form : lot.homeForm) ?? [],
  );
  const forms = ids.map((id): StowForm | null => {
    const found = getLot(household, id);
    if (!found || !takesRoom({ ...found.lot, state: 'out' })) return null;
    const all = computePackages(found.item, getWholeLot(household, found.lot), household.settings);
    const wanted = found.lot.homeId === placeId ? found.lot.homeForm : found.lot.form;
    const able = all
      .toSorted((a, b) => Number(b.form === wanted) - Number(a.form === wanted))
      .find((pkg) => {
        const share = computeShare(pkg, space);
        return share.ok && share.share <= 1;
      });
    if (able) packed.push(able);
    return able?.form ?? null;
  });
  return { isFit: !forms.includes(null) && packPlace(packed, space).status === 'packed', forms };
}

/**
 * Puts things into a place: home those that live there, and the others to a new home. All of them or none. `forms` as
 * judged, or null for one that stays as it is.
 */
export function createPutInto(
  household: Household,
  ids: readonly LotId[],
  placeId: PlaceId,
  forms: readonly (StowForm | null)[],
  subject: string,
  nowMs: number,
): Act {
  const changes: Change[] = [];
  let now = household;
  let isMove = false;
  for (const [i, id] of ids.entries()) {
    const lot = now.lots.get(id);
    if (!lot) return fail({ code: 'no-such-lot' });
    const isHome = lot.homeId === placeId;
    const act = isHome ? createPutBack(now, id, nowMs) : createMove(now, id, placeId, forms[i] ?? lot.form, nowMs);
    if (!act.ok) {
      if (act.fault.code === 'nothing-changed') continue;
      return act;
    }
    isMove ||= !isHome;
    const next = applyChanges(now, act.value.changes);
    if (!next.ok) return fail({ code: 'no-such-lot' });
    now = next.value;
    changes.push(...act.value.changes);
  }
  return changes.length === 0
    ? fail({ code: 'nothing-changed' })
    : ok({ type: isMove ? 'moved' : 'putBack', subject, changes });
}

/** Lots that lie in a place from now on, one behind the other after what lies there. */
export function lieBehind(household: Household, lots: readonly Lot[], placeId: PlaceId, nowMs: number): Change[] {
  const first = getOrderBehind(household, placeId);
  return lots.flatMap((lot, i) => {
    const { away: _away, ...there } = lot;
    const next: Lot = { ...there, state: 'in', placeId, order: first + i, sinceMs: nowMs };
    return createChange('lots', lot.id, lot, next) ?? [];
  });
}

/** Lots that are in no place from now on. */
function takeOut(lots: readonly Lot[], nowMs: number): Change[] {
  return lots.flatMap((lot) => {
    const { placeId: _placeId, ...out } = lot;
    return createChange('lots', lot.id, lot, { ...out, state: 'out', sinceMs: nowMs }) ?? [];
  });
}

/**
 * Says where some things are: in a place, behind what lies there, or nowhere yet. That is a fact, so no room is asked for, and what
 * belongs elsewhere goes on belonging there. What is lent, missing or wrapped with another is where it is.
 */
export function createLieIn(
  household: Household,
  ids: readonly LotId[],
  placeId: PlaceId | null,
  subject: string,
  nowMs: number,
): Act {
  if (placeId !== null && !createPlaceTree(household.places).leaves.some(({ id }) => id === placeId))
    return fail({ code: 'no-such-place' });
  const lots = [...new Set(ids)].flatMap((id) => {
    const lot = household.lots.get(id);
    const isAble = lot && (lot.state === 'in' || lot.state === 'out') && lot.placeId !== (placeId ?? undefined);
    return isAble ? [lot] : [];
  });
  const changes = placeId === null ? takeOut(lots, nowMs) : lieBehind(household, lots, placeId, nowMs);
  return changes.length === 0 ? fail({ code: 'nothing-changed' }) : ok({ type: 'moved', subject, changes });
}

/** Says where each of some things belongs from now on, as a plan of them says; nothing is carried. All of them or none. */
export function createTurn(
  household: Household,
  moves: readonly { readonly lotId: LotId; readonly toId: PlaceId }[],
  subject: string,
  nowMs: number,
): Act {
  let now = household;
  for (const { lotId, toId } of moves) {
    const act = createBelongIn(now, [lotId], toId, subject, nowMs);
    if (!act.ok && act.fault.code !== 'nothing-changed') return act;
    const next = act.ok ? applyChanges(now, act.value.changes) : null;
    if (next?.ok) now = next.value;
  }
  const changes = computeDifference(household, now);
  return changes.length === 0 ? fail({ code: 'nothing-changed' }) : ok({ type: 'planned', subject, changes });
}

/** Says where some things belong, where all of them go in beside what belongs there; nothing is carried. */
export function createBelongIn(
  household: Household,
  ids: readonly LotId[],
  placeId: PlaceId,
  subject: string,
  nowMs: number,
): Act {
  const able = [...new Set(ids)].filter((id) => {
    const lot = household.lots.get(id);
    return lot && takesRoom(lot) && lot.homeId !== placeId;
  });
  const verdict = judgePut(household, createPlaceTree(household.places), able, placeId, 'home');
  if (!verdict) return fail({ code: 'no-such-place' });
  if (!verdict.isFit) return fail({ code: 'no-room', placeId });
  const behind = groupLotsByPlace(household, 'home').get(placeId)?.at(-1)?.homeOrder ?? -1;
  const changes = able.flatMap((id, i) => {
    const lot = household.lots.get(id)!;
    const homeForm = verdict.forms[i]!;
    const next: Lot = { ...lot, homeId: placeId, homeForm, homeOrder: behind + 1 + i, sinceMs: nowMs };
    // It was never there: until it is carried it counts as without a home.
    if (lot.state === 'out' && isHomeless(lot)) next.away = 'waiting';
    return createChange('lots', id, lot, next) ?? [];
  });
  return changes.length === 0 ? fail({ code: 'nothing-changed' }) : ok({ type: 'changed', subject, changes });
}
