import type { Household, UnitSpec } from '../records/index.ts';
import { computeBoxSpace, computeSlots, PARTS, type PlaceTree, type Space } from '../storage/index.ts';
import { computeBalance, type Balance, type Otherwise } from './balance.ts';
import { gatherSpaces, listSupply, type Spaces } from './supply.ts';

/** Something that would make room, and what is left without room then. */
export type MoreRoom = Pick<Balance, 'leftMm3' | 'isEnough'> & { readonly savesMm3: number } & (
    | { readonly code: 'boards' }
    | { readonly code: 'idle-bins'; readonly count: number }
    | { readonly code: 'shelf-more'; readonly count: number }
    | { readonly code: 'fuller'; readonly to: number }
    | { readonly code: 'part'; readonly partId: string; readonly count: number }
  );

/** What may be proposed to be got, the smallest first; where it stands is another question. */
const PROPOSED = ['under-bed', 'cart', 'drawer-tower', 'cube-shelf', 'dresser', 'bookcase', 'cupboard', 'peg-round'];
const MOST_OF_ONE = 3;
const FULLER_BY = 0.1;
/** A compartment so high takes a shelf more, mm; and each half is as high as two hands. */
const TALL_MM = 300;
const SHELF_MM = 16;
/** What saves less than half a litre is not worth telling. */
const WORTH_MM3 = 0.5e6;

function listPartSpaces(partId: string): Space[] {
  const part = PARTS.find(({ id }) => id === partId)!;
  const unit: UnitSpec = { ...part.unit, kind: part.kind, wallId: 'any', xMm: 0, isAnchored: true };
  const made = computeSlots(unit);
  if (!made.ok) return [];
  return made.slots.map(({ slot: usual }) => {
    const slot = { ...usual, ...part.slots };
    const { mode, widthMm, depthMm, heightMm, opening, peg, pinPitchMm } = slot;
    const rowsRun = opening === 'drawer' || opening === 'lid' ? 'y' : 'x';
    return { mode, widthMm, depthMm, heightMm, rowsRun, peg: peg ?? null, pinPitchMm: pinPitchMm ?? 0 };
  });
}

/** Tall open compartments with a shelf more in each. */
function withShelves(spaces: readonly Spaces[]): { spaces: Spaces[]; count: number } {
  let count = 0;
  const next = spaces.map((one): Spaces => {
    if (one.sort !== 'shelf' || one.space.heightMm < TALL_MM) return one;
    count += one.count;
    const heightMm = (one.space.heightMm - SHELF_MM) / 2;
    return { ...one, space: { ...one.space, heightMm }, count: 2 * one.count };
  });
  return { spaces: next, count };
}

/** Idle bins that are good for something, were each to stand where room for it is. */
function listIdle(tree: PlaceTree): Space[] {
  return tree.pool.flatMap(({ container }) => (container && !container.isRetired ? [computeBoxSpace(container)] : []));
}

/**
 * What would make room for what is left without it, each by itself, what saves most first: tried by counting anew, not guessed. Empty
 * where everything has room.
 */
export function listMoreRoom(household: Household, tree: PlaceTree, now: Balance): MoreRoom[] {
  if (now.isEnough) return [];
  const supply = listSupply(tree, household.settings);
  const ask = (otherwise: Otherwise) => {
    const { leftMm3, isEnough } = computeBalance(household, tree, { spaces: supply, ...otherwise });
    return { leftMm3, isEnough, savesMm3: now.leftMm3 - leftMm3 };
  };
  const ways: MoreRoom[] = [{ code: 'boards', ...ask({ withBoards: true }) }];
  const idle = listIdle(tree);
  if (idle.length > 0) ways.push({ code: 'idle-bins', count: idle.length, ...ask({ more: gatherSpaces(idle) }) });
  const { spaces, count } = withShelves(supply);
  if (count > 0) ways.push({ code: 'shelf-more', count, ...ask({ spaces }) });
  const to = Math.min(1, household.settings.fillTarget + FULLER_BY);
  if (to > household.settings.fillTarget) ways.push({ code: 'fuller', to, ...ask({ fillTarget: to }) });
  for (const partId of PROPOSED) {
    const one = listPartSpaces(partId);
    // As few of a kind as make room for all, or the most that one would get.
    for (let n = 1; n <= MOST_OF_ONE; n += 1) {
      const more = gatherSpaces(Array.from({ length: n }, () => one).flat());
      const way: MoreRoom = { code: 'part', partId, count: n, ...ask({ more }) };
      if (!way.isEnough && n < MOST_OF_ONE) continue;
      ways.push(way);
      break;
    }
  }
  return ways.filter(({ savesMm3 }) => savesMm3 >= WORTH_MM3).toSorted((a, b) => a.leftMm3 - b.leftMm3);
}
