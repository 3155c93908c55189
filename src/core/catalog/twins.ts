import { computeDeltaE, getLab, type Lab } from '../colour/index.ts';
import type { Household, Item, ItemId, Kind } from '../records/index.ts';
import { EACH, finish, type Slices } from '../slices/index.ts';

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

/** A thing, its colour once it is asked for, and its name in pairs of letters. */
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

function toKnown(item: Item, pairs: ReadonlySet<string> = getPairs(item.name)): Known {
  let lab: Lab | null | undefined;
  return {
    item,
    pairs,
    get lab() {
      if (lab === undefined) lab = getLab(item);
      return lab;
    },
  };
}

/** 1 for the same, 0 from a ratio of 1 : 1 + `spread` on. */
function closeness(a: number, b: number, spread: number): number {
  return Math.max(0, 1 - Math.abs(a / b - 1) / spread);
}

/** All that `compare` weighs, and more. */
const MOST_WEIGHT = 12;

/** Whether two things whose names share so much can be so alike. */
const mayBe = (name: number, least: number) => 4 * (1 - name) <= (1 - least) * MOST_WEIGHT;

/** Lightness is divided by no more than this in ΔE00, and what else there is only adds. */
const MOST_SL = 1.75;

/** Whether the names and how light they are make it impossible that two things are so alike. */
function isTooFar(a: Known, b: Known, name: number, least: number): boolean {
  if (a.item.pattern) return false;
  const spare = (1 - least) * MOST_WEIGHT - 4 * (1 - name);
  if (spare < 0) return true;
  // So much colour may cost; from FAR_DELTA on it costs no more.
  const mostDeltaE = (FAR_DELTA * spare) / 3;
  return (
    a.lab !== null && b.lab !== null && mostDeltaE < FAR_DELTA && Math.abs(a.lab.l - b.lab.l) > MOST_SL * mostDeltaE
  );
}

/** How alike two things of one kind are: a weighted mean of what both of them say; `name` is what their names share. */
function compare(a: Known, b: Known, name: number): Omit<Twin, 'itemId'> {
  const alike: Likeness[] = [];
  let [sum, weights] = [0, 0];
  const add = (weight: number, score: number, told: Likeness, from = 0.8) => {
    sum += weight * score;
    weights += weight;
    if (score >= from) alike.push(told);
  };
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

/** Things of one kind and block, by their names: many are called the same. */
type Named = Map<string, Known[]>;

/** Things of one name, and what it shares with the name that is looked for. */
interface Shared {
  readonly name: number;
  readonly list: readonly Known[];
}

export const createTwinFinder = ({ items }: Household): TwinFinder => finish(createTwinFinderInSlices(items));

/** `createTwinFinder`, pausing in between. */
export function* createTwinFinderInSlices(items: Household['items']): Slices<TwinFinder> {
  const blocks = new Map<Kind, Map<string, Named>>();
  const knownOf = new Map<ItemId, Known>();
  const pairsOf = new Map<string, ReadonlySet<string>>();
  for (const item of items.values()) {
    const name = item.name.toLowerCase();
    const pairs = pairsOf.get(name) ?? getPairs(name);
    pairsOf.set(name, pairs);
    const known = toKnown(item, pairs);
    knownOf.set(item.id, known);
    const mine = blocks.get(item.kind) ?? new Map<string, Named>();
    blocks.set(item.kind, mine);
    const block = getBlock(item);
    const named: Named = mine.get(block) ?? new Map();
    mine.set(block, named);
    const list = named.get(name);
    if (list) list.push(known);
    else named.set(name, [known]);
    if (knownOf.size % EACH === 0) yield;
  }
  const listBlocks = ({ item }: Known, least: number): readonly Named[] => {
    const [mine, block] = [blocks.get(item.kind), getBlock(item)];
    if (!mine) return [];
    if (least < CLOSE || block === '') return [...mine.values()];
    return [mine.get(block), mine.get('')].filter((named) => named !== undefined);
  };
  const likely = new Map<string, readonly Shared[]>();
  /** Those whose names do not make it impossible, with what they share; worked out once for each name of a block. */
  const listLikely = (wanted: Known, least: number): readonly Shared[] => {
    const { item, pairs } = wanted;
    const key = `${least} ${item.kind} ${getBlock(item)} ${item.name.toLowerCase()}`;
    const known = likely.get(key);
    if (known) return known;
    const found = listBlocks(wanted, least)
      .flatMap((named) => [...named.values()])
      .map((list): Shared => ({ name: computeShared(pairs, list[0]!.pairs), list }))
      .filter(({ name }) => item.pattern !== undefined || mayBe(name, least));
    likely.set(key, found);
    return found;
  };
  return {
    find(item, limit = 3, least = LEAST) {
      const told = knownOf.get(item.id);
      const wanted = told?.item === item ? told : toKnown(item);
      const twins: Twin[] = [];
      for (const { name, list } of listLikely(wanted, least))
        for (const known of list) {
          if (known.item.id === item.id || isTooFar(wanted, known, name, least)) continue;
          const { likeness, alike } = compare(wanted, known, name);
          if (likeness >= least) twins.push({ itemId: known.item.id, likeness, alike });
        }
      return twins.toSorted((a, b) => b.likeness - a.likeness || (a.itemId < b.itemId ? -1 : 1)).slice(0, limit);
    },
  };
}
