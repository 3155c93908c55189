import { computeDeltaE, getLab, type Lab } from '../colour/index.ts';
import type { Household, Item, ItemId, Kind } from '../records/index.ts';

/** In what two things are alike, with the figure where there is one. */
export interface Likeness {
  readonly code: 'number' | 'name' | 'colour' | 'fibre' | 'width' | 'grammage' | 'use' | 'tex' | 'type' | 'size';
  readonly value: number | string;
}

/** Something that is there already and much like what is being added. 1 is the same. */
export interface Twin {
  readonly itemId: ItemId;
  readonly likeness: number;
  readonly alike: readonly Likeness[];
}

interface Known {
  readonly item: Item;
  readonly lab: Lab | null;
  readonly pairs: ReadonlySet<string>;
}

/** Less than this is not worth a word. */
const LEAST = 0.66;
/** ΔE00 at which two colours have nothing in common any more. */
const FAR_DELTA = 14;

/** Pairs of letters, word by word: forgiving of order, endings and slips. */
function getPairs(text: string): Set<string> {
  const pairs = new Set<string>();
  for (const word of text.toLowerCase().split(/[^\p{L}\p{N}]+/u)) {
    const padded = ` ${word} `;
    if (word !== '') for (let i = 0; i + 2 <= padded.length; i += 1) pairs.add(padded.slice(i, i + 2));
  }
  return pairs;
}

/** Dice: twice what is shared over all. */
function computeShared(a: ReadonlySet<string>, b: ReadonlySet<string>): number {
  if (a.size + b.size === 0) return 0;
  let shared = 0;
  for (const pair of a) if (b.has(pair)) shared += 1;
  return (2 * shared) / (a.size + b.size);
}

function toKnown(item: Item): Known {
  return { item, lab: getLab(item), pairs: getPairs(item.name) };
}

/** 1 for the same, 0 from a ratio of 1 : 1 + `spread` on. */
function closeness(a: number, b: number, spread: number): number {
  return Math.max(0, 1 - Math.abs(a / b - 1) / spread);
}

/** All that `compare` weighs, and more. */
const MOST_WEIGHT = 12;

/** How alike two things of one kind are: a weighted mean of what both of them say; null where their names alone make it less than `least`. */
function compare(a: Known, b: Known, least: number): Omit<Twin, 'itemId'> | null {
  const alike: Likeness[] = [];
  let [sum, weights] = [0, 0];
  const add = (weight: number, score: number, told: Likeness, from = 0.8) => {
    sum += weight * score;
    weights += weight;
    if (score >= from) alike.push(told);
  };
  const name = computeShared(a.pairs, b.pairs);
  if (4 * (1 - name) > (1 - least) * MOST_WEIGHT) return null;
  add(4, name, { code: 'name', value: b.item.name }, 0.6);
  if (a.lab && b.lab) {
    const deltaE = computeDeltaE(a.lab, b.lab);
    add(3, Math.max(0, 1 - deltaE / FAR_DELTA), { code: 'colour', value: deltaE }, 0.6);
  }
  const [x, y] = [a.item, b.item];
  if (x.fabric && y.fabric) {
    add(1.5, x.fabric.fibre === y.fabric.fibre && x.fabric.cloth === y.fabric.cloth ? 1 : 0, {
      code: 'fibre',
      value: y.fabric.fibre,
    });
    add(0.75, closeness(x.fabric.widthMm, y.fabric.widthMm, 0.15), { code: 'width', value: y.fabric.widthMm });
    add(0.75, closeness(x.fabric.grammageGsm, y.fabric.grammageGsm, 0.4), {
      code: 'grammage',
      value: y.fabric.grammageGsm,
    });
    if (x.fabric.print !== y.fabric.print) weights += 1.5;
  }
  if (x.thread && y.thread) {
    add(1.5, x.thread.use === y.thread.use ? 1 : 0, { code: 'use', value: y.thread.use });
    add(1, closeness(x.thread.tex, y.thread.tex, 0.5), { code: 'tex', value: y.thread.tex });
  }
  if (x.box && y.box) {
    add(1.5, x.box.type === y.box.type ? 1 : 0, { code: 'type', value: y.box.type });
    if (x.box.size && y.box.size) add(2, x.box.size === y.box.size ? 1 : 0, { code: 'size', value: y.box.size });
  }
  if (x.pattern && y.pattern) {
    // A maker's number says it all, where both have the same maker or none.
    const isSame = x.pattern.number === y.pattern.number && x.pattern.number > 0;
    const makers = [x.pattern.publisher ?? '', y.pattern.publisher ?? ''];
    if (isSame && makers[0] === makers[1]) return { likeness: 1, alike: [{ code: 'number', value: y.pattern.number }] };
    add(3, isSame ? 1 : 0, { code: 'number', value: y.pattern.number });
  }
  return { likeness: weights === 0 ? 0 : sum / weights, alike };
}

/**
 * What two things of a kind must have in common to be as alike as `CLOSE`: what it costs not to is more than may be lost
 * (1.5 of at most 12). Empty where a thing does not say.
 */
function getBlock({ fabric, thread, box }: Item): string {
  if (fabric) return `${fabric.fibre} ${fabric.cloth} ${fabric.print}`;
  return thread?.use ?? box?.type ?? '';
}
/** From here on only those of the same block are looked at. */
const CLOSE = 0.88;

/** Finds what is much like a thing among all that a household has; made once for a state of it. */
export interface TwinFinder {
  /** Best first, at most `limit`, those at least so alike; never the thing itself. */
  readonly find: (item: Item, limit?: number, least?: number) => Twin[];
}

export function createTwinFinder(household: Household): TwinFinder {
  const blocks = new Map<Kind, Map<string, Known[]>>();
  const knownOf = new Map<ItemId, Known>();
  for (const item of household.items.values()) {
    const known = toKnown(item);
    knownOf.set(item.id, known);
    const mine = blocks.get(item.kind) ?? new Map<string, Known[]>();
    blocks.set(item.kind, mine);
    const list = mine.get(getBlock(item));
    if (list) list.push(known);
    else mine.set(getBlock(item), [known]);
  }
  const listLikely = (item: Item, least: number): readonly Known[] => {
    const [mine, block] = [blocks.get(item.kind), getBlock(item)];
    if (!mine) return [];
    if (least < CLOSE || block === '') return [...mine.values()].flat();
    return [...(mine.get(block) ?? []), ...(mine.get('') ?? [])];
  };
  return {
    find(item, limit = 3, least = LEAST) {
      const told = knownOf.get(item.id);
      const wanted = told?.item === item ? told : toKnown(item);
      return listLikely(item, least)
        .flatMap((known): Twin[] => {
          if (known.item.id === item.id) return [];
          const twin = compare(wanted, known, least);
          return twin && twin.likeness >= least ? [{ itemId: known.item.id, ...twin }] : [];
        })
        .toSorted((a, b) => b.likeness - a.likeness || (a.itemId < b.itemId ? -1 : 1))
        .slice(0, limit);
    },
  };
}
