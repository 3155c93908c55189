import { computePackages, getWholeLot } from '../measure/index.ts';
import { computeShare, packPlace } from '../packing/index.ts';
import { takesRoom, type Change, type Household, type LotId, type PlaceId, type StowForm } from '../records/index.ts';
import { fail, ok } from '../result/index.ts';
import { computeSpace, type PlaceTree } from '../storage/index.ts';
import { type Act, getLot } from './act.ts';
import { createMove, createPutBack } from './lotActs.ts';
import { applyChanges } from '../daybook/fold.ts';
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
 * first of its own that does.
 */
export function judgePut(
  household: Household,
  tree: PlaceTree,
  ids: readonly LotId[],
  placeId: PlaceId,
): PutVerdict | null {
  const place = tree.leaves.find((one) => one.id === placeId);
  if (!place) return null;
  const space = computeSpace(tree, place);
  const added = new Set(ids);
  const here = (groupLotsByPlace(household, 'is').get(placeId) ?? []).filter((lot) => !added.has(lot.id));
  const packed = here.flatMap((lot) => computePresentPackage(household, lot) ?? []);
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
