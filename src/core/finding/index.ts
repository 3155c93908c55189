import MiniSearch from 'minisearch';
import { getColourFamily, getShade } from '../colour/index.ts';
import type { Household, Item, Lot, LotId } from '../records/index.ts';
import { createPlaceTree, type PlaceTree } from '../storage/index.ts';

/** Words of the craft that mean the same; a search for one finds the others. */
const SYNONYMS: readonly (readonly string[])[] = [
  ['zip', 'zips', 'zipper', 'zippers'],
  ['serger', 'overlocker', 'overlocking'],
  ['lawn', 'voile'],
  ['shears', 'scissors'],
  ['cloth', 'fabric'],
  ['batting', 'wadding'],
  ['violet', 'purple', 'lilac'],
  ['grey', 'gray'],
  ['ripper', 'unpicker'],
  ['snaps', 'poppers', 'press-studs'],
  ['interfacing', 'stabiliser', 'stabilizer', 'fusible'],
  ['scraps', 'offcuts', 'remnants'],
  ['sloper', 'block'],
  ['trousers', 'pants'],
  ['pyjamas', 'pajamas'],
  ['check', 'gingham', 'plaid', 'tartan'],
  ['dots', 'spots', 'spot', 'dot'],
  ['tacking', 'basting'],
  ['elastane', 'spandex'],
  ['viscose', 'rayon'],
  ['cord', 'string'],
  ['iron', 'pressing'],
];

/** Words that say nothing of what is looked for: "the dark green wool from the attic that is for my smock". */
const EMPTY_WORDS = new Set(
  'a an and any at for from i in is it my of on one our some that the this to what where which who with'.split(' '),
);

export interface Found {
  readonly lotId: LotId;
  readonly score: number;
}

/** Searches lots by name, colour in words, kind, fibre, number and place; forgives a slip of the finger. */
export interface Finder {
  readonly find: (text: string, limit?: number) => Found[];
  /**
   * Takes in what differs in a household, for as long as it is let: `isTimeUp` is asked now and then. True when
   * all is in; what is not in yet is not found yet.
   */
  readonly sync: (household: Household, isTimeUp?: () => boolean) => boolean;
}

function expand(term: string): string[] {
  const same = SYNONYMS.find((words) => words.includes(term));
  return same ? [...same] : [term];
}

/** People say light and dark of a colour that is well above or below the middle. */
function wordShade(hex: string): string {
  const shade = getShade(hex);
  return shade === 'dark' ? 'dark deep' : shade === 'light' ? 'light pale' : '';
}

interface Document {
  readonly id: LotId;
  readonly name: string;
  readonly words: string;
  readonly place: string;
}

function toDocument(item: Item, lot: Lot, tree: PlaceTree): Document {
  const at = lot.placeId ?? lot.homeId;
  const { fabric, pattern, thread, box, scrap, kit } = item;
  return {
    id: lot.id,
    name: item.name,
    words: [
      item.kind === 'fabric' ? 'fabric cloth' : item.kind,
      ...item.colours.flatMap((hex) => [getColourFamily(hex), wordShade(hex)]),
      fabric ? `${fabric.fibre} ${fabric.print} ${fabric.cloth} ${fabric.weave ?? ''}` : '',
      pattern ? `${pattern.number} ${pattern.garment} ${pattern.publisher ?? ''} ${pattern.era ?? ''}` : '',
      thread ? `${thread.use} ${thread.fibre} tex ${thread.tex}` : '',
      box ? `${box.type} ${box.size ?? ''}` : '',
      scrap ? `scraps offcuts ${scrap.cut}` : '',
      kit ? `${kit.forWhat} ${kit.state} ${kit.parts.join(' ')}` : '',
      ...(item.tags ?? []),
      ...(lot.reserved ?? []).map((one) => `${one.forWhat} ${one.note}`),
      item.source ?? '',
      ...item.care,
    ].join(' '),
    place:
      at === undefined
        ? ''
        : tree
            .getPath(at)
            .map((place) => place.name)
            .join(' '),
  };
}

/** What a document was made of: where all three are the same, it is the same. */
interface Known {
  readonly lot: Lot;
  readonly item: Item;
  readonly places: Household['places'];
}

/** Asked for the time after so many lots. */
const CHECK_EVERY = 64;

/** A finder that knows nothing yet. */
export function createFinder(): Finder {
  const index = new MiniSearch<Document>({
    fields: ['name', 'words', 'place'],
    searchOptions: {
      boost: { name: 3, words: 1.5, place: 1 },
      prefix: (term) => term.length >= 2,
      // One slip in four letters; numbers must be right.
      fuzzy: (term) => (/\d/.test(term) || term.length < 4 ? false : 0.25),
      combineWith: 'AND',
    },
  });
  const known = new Map<LotId, Known>();
  return {
    sync(household, isTimeUp) {
      let tree: PlaceTree | null = null;
      let seen = 0;
      for (const [id] of known)
        if (household.lots.get(id) === undefined) {
          index.discard(id);
          known.delete(id);
        }
      for (const lot of household.lots.values()) {
        const item = household.items.get(lot.itemId);
        const old = known.get(lot.id);
        const isIn = item !== undefined && lot.state !== 'gone';
        if (old && isIn && old.lot === lot && old.item === item && old.places === household.places) continue;
        seen += 1;
        if (seen % CHECK_EVERY === 0 && isTimeUp?.()) return false;
        if (old) {
          index.discard(lot.id);
          known.delete(lot.id);
        }
        if (!isIn) continue;
        tree ??= createPlaceTree(household.places);
        index.add(toDocument(item, lot, tree));
        known.set(lot.id, { lot, item, places: household.places });
      }
      return true;
    },
    find(text, limit = 12) {
      const typed = text
        .trim()
        .toLowerCase()
        .split(/[\s,;?!]+/)
        .filter(Boolean);
      const telling = typed.filter((term) => !EMPTY_WORDS.has(term));
      // Where nothing telling was typed yet, it may be the beginning of a word.
      const terms = telling.length > 0 ? telling : typed;
      if (terms.length === 0) return [];
      const query = {
        combineWith: 'AND' as const,
        queries: terms.map((term) => ({ combineWith: 'OR' as const, queries: expand(term) })),
      };
      return index
        .search(query)
        .slice(0, limit)
        .map((hit) => ({ lotId: hit.id as LotId, score: hit.score }));
    },
  };
}
