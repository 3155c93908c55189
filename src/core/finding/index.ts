import MiniSearch, { type SearchResult } from 'minisearch';
import { getColourFamily, getShade } from '../colour/index.ts';
import { nameOfPromise } from '../promises/index.ts';
import { listChanged, type Household, type Item, type Lot, type LotId, type Project } from '../records/index.ts';
import { createPlaceTree, type PlaceTree } from '../storage/index.ts';
import { rank, type Fit, type Fits, type Found } from './rank.ts';

export type { Found } from './rank.ts';

/** Words of the craft that mean the same; a search for one finds the others. */
const SYNONYMS: readonly (readonly string[])[] = [
  ['zip', 'zipper'],
  ['serger', 'overlocker', 'overlocking'],
  ['lawn', 'voile'],
  ['shears', 'scissors'],
  ['cloth', 'fabric'],
  ['batting', 'wadding'],
  ['violet', 'purple', 'lilac'],
  ['grey', 'gray'],
  ['ripper', 'unpicker'],
  ['snap', 'popper', 'press-stud', 'studs'],
  ['interfacing', 'stabiliser', 'stabilizer', 'fusible'],
  ['scrap', 'offcut', 'remnant'],
  ['tape', 'binding'],
  ['ribbon', 'grosgrain'],
  ['coat', 'coating'],
  ['raincoat', 'oilskin', 'waxed'],
  ['stretchy', 'stretch', 'knit', 'jersey'],
  ['fleece', 'plush'],
  ['sail', 'sailmaker'],
  ['floss', 'thread'],
  ['measuring', 'measure'],
  ['lent', 'lend', 'borrowed'],
  ['sloper', 'block'],
  ['trouser', 'pant'],
  ['pyjama', 'pajama'],
  ['check', 'checked', 'checky', 'gingham', 'plaid', 'tartan'],
  ['stripe', 'striped', 'stripy', 'stripey', 'pinstripe', 'ticking'],
  ['floral', 'flower', 'flowery', 'flowered'],
  ['leaf', 'leafy', 'leaves'],
  ['star', 'starry'],
  ['zigzag', 'chevron'],
  ['diamond', 'argyle'],
  ['mottled', 'batik', 'marbled'],
  ['dot', 'dotty', 'dotted', 'spot', 'spotty', 'spotted'],
  ['navy', 'blue'],
  ['tacking', 'basting'],
  ['elastane', 'spandex'],
  ['viscose', 'rayon'],
  ['cord', 'string'],
  ['iron', 'pressing'],
];

/** Words that say nothing of what is looked for: "the dark green wool from the attic that is for my smock". */
const EMPTY_WORDS = new Set(
  `a an and any are at big did do does find for from have i in is it me my number of on one our polka some something
  stuff that the there thing things this to what where which who with`
    .split(/\s+/)
    .filter(Boolean),
);

/** Units are said with a space before them or without. */
const SIZE = /(\d)\s+(cm|mm|m|in|yd|g|kg|l)\b/g;

/** Words as they are looked up: small letters, a size in one word, many as one. Numbers stay as they are. */
function toTerms(text: string): string[] {
  return text
    .toLowerCase()
    .replace(SIZE, '$1$2')
    .replace(/['’]s\b/g, '')
    .split(/[^\p{L}\p{N}/.-]+/u)
    .filter(Boolean);
}

/** Many as one: buttons, bodies, dresses. Not exactly a linguist's stem; both sides are made by it. */
function toStem(word: string): string {
  if (word.length < 4 || /\d/.test(word) || word.endsWith('ss')) return word;
  if (word.endsWith('ies')) return `${word.slice(0, -3)}y`;
  if (/(ch|sh|x|ss)es$/.test(word)) return word.slice(0, -2);
  return word.endsWith('s') ? word.slice(0, -1) : word;
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

/** Words of the records that are meant by a word of the language that one speaks. */
export type ListAlike = (term: string) => readonly string[];
const NONE: readonly string[] = [];

/** A word as it was typed, as one of many, and all that mean the same. */
function expand(term: string, listAlike: ListAlike): string[] {
  const stem = toStem(term);
  const same = SYNONYMS.filter((words) => words.some((word) => toStem(word) === stem));
  const alike = listAlike(term).flatMap(toTerms).map(toStem);
  return [...new Set([term, stem, ...same.flat().map(toStem), ...alike])];
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

/** What a lot is promised to, and the project whose bag it is: that may change without the lot. */
function tellAbout(household: Household, lot: Lot, project: Project | undefined): string {
  const bag = project
    ? [project.name, project.notes, project.forWhom ?? '', ...project.needs.map((one) => one.part)]
    : [];
  const promised = (lot.reserved ?? []).map((one) => `promised ${nameOfPromise(household, one)} ${one.note}`);
  return [...bag, ...promised].join(' ');
}

function toDocument(item: Item, lot: Lot, about: string, tree: PlaceTree): Document {
  const at = lot.placeId ?? lot.homeId;
  const { fabric, pattern, thread, box, scrap } = item;
  return {
    id: lot.id,
    name: item.name,
    words: [
      // One word of each kind; its others lead to it.
      item.kind === 'fabric' ? 'cloth' : item.kind,
      ...item.colours.flatMap((hex) => [getColourFamily(hex), wordShade(hex)]),
      fabric ? `${fabric.fibre} ${fabric.print} ${fabric.cloth} ${fabric.weave ?? ''}` : '',
      pattern ? `${pattern.number} ${pattern.garment} ${pattern.publisher ?? ''} ${pattern.era ?? ''}` : '',
      thread ? `${thread.use} ${thread.fibre} tex ${thread.tex}` : '',
      box ? `${box.type} ${box.size ?? ''}` : '',
      scrap ? `scraps offcuts ${scrap.cut}` : '',
      ...(item.tags ?? []),
      about,
      lot.lentTo ? `lent ${lot.lentTo}` : '',
      lot.state === 'out' ? 'out' : '',
      lot.away ?? '',
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

/** What a document was made of: where all of it is the same, it is the same. */
interface Known {
  readonly lot: Lot;
  readonly item: Item;
  readonly about: string;
  readonly places: Household['places'];
}

/** Asked for the time after so many lots. */
const CHECK_EVERY = 64;

const createIndex = () =>
  new MiniSearch<Document>({
    fields: ['name', 'words', 'place'],
    tokenize: toTerms,
    // As it stands and as one of many: a slip of the finger is forgiven in either.
    processTerm: (term) => [...new Set([term, toStem(term)])],
    searchOptions: {
      // What a thing is comes before what lies beside it.
      boost: { name: 3, words: 2, place: 0.5 },
      weights: { prefix: 0.4, fuzzy: 0.15 },
      prefix: (term) => term.length >= 2,
      // One slip in four letters; numbers must be right.
      fuzzy: (term) => (/\d/.test(term) || term.length < 4 ? false : 0.25),
      combineWith: 'AND',
    },
  });

/** Hits that fit half of what was said and more, those that fit more of it first. */
function rankByTerms(hits: readonly SearchResult[], meant: readonly string[][]): SearchResult[] {
  const fits = ({ queryTerms }: SearchResult) =>
    meant.filter((words) => words.some((one) => queryTerms.includes(one))).length;
  return hits
    .map((hit) => ({ hit, count: fits(hit) }))
    .filter(({ count }) => count * 2 >= meant.length)
    .toSorted((a, b) => b.count - a.count || b.hit.score - a.hit.score)
    .map(({ hit }) => hit);
}

/** What fits words that are asked for at once, best first. */
function findAtOnce(index: MiniSearch<Document>, words: readonly string[], listAlike: ListAlike): Found[] {
  const meant = words.map((word) => expand(word, listAlike));
  const query = (combineWith: 'AND' | 'OR') => ({
    combineWith,
    queries: meant.map((queries) => ({ combineWith: 'OR' as const, queries })),
  });
  const all = index.search(query('AND'));
  // One says more than a thing knows of itself: then what most of it fits.
  const hits = all.length > 0 ? all : rankByTerms(index.search(query('OR')), meant);
  return hits.map(({ id, score }) => ({ lotId: id as LotId, score }));
}

/**
 * What fits words of which one at most was not said before: of one who types, only the last of them changes. Of many at once
 * the index itself finds the same sooner.
 */
function createSaid(index: MiniSearch<Document>, listAlike: ListAlike) {
  let said = new Map<string, Fits>();
  const findWord = (word: string): Fits => {
    const fits = new Map<LotId, Fit>();
    index.search(
      { combineWith: 'OR', queries: expand(word, listAlike) },
      {
        // They are taken as they are found: brought in order they would take twice as long.
        filter: ({ id, score, queryTerms }) => {
          // The index multiplies by the ways found; here that is done once, over all words.
          fits.set(id as LotId, { score: score / (queryTerms.length || 1), terms: queryTerms });
          return false;
        },
      },
    );
    return fits;
  };
  return {
    /** Another lot is in the index. */
    forget: () => void (said = new Map()),
    find(words: readonly string[], limit: number): Found[] | null {
      if (words.filter((word) => !said.has(word)).length > 1) return null;
      said = new Map(words.map((word) => [word, said.get(word) ?? findWord(word)]));
      const groups = [...said.values()];
      const all = rank(groups, groups.length, limit);
      return all.length > 0 ? all : rank(groups, Math.ceil(groups.length / 2), limit);
    },
  };
}

/** A finder that knows nothing yet. Looked for is what a word means in English, and what `listAlike` says that it means. */
export function createFinder(listAlike: ListAlike = () => NONE): Finder {
  const index = createIndex();
  const known = new Map<LotId, Known>();
  const words = createSaid(index, listAlike);
  /** All of it is in. */
  let whole: Household | null = null;
  /** Those that may have changed since. Where a thing lies is in its words, and what its item says. */
  const listSuspects = (household: Household): Iterable<LotId> =>
    whole &&
    whole.items === household.items &&
    whole.places === household.places &&
    whole.projects === household.projects
      ? listChanged(whole.lots, household.lots)
      : new Set([...known.keys(), ...household.lots.keys()]);
  /** What is left of a household that is being taken in: each slice goes on where the one before it stopped. */
  let begun: { readonly of: Household; readonly left: Iterator<LotId>; readonly take: (id: LotId) => boolean } | null =
    null;

  /** Takes in one lot as it is in a household; false where there was nothing to do. */
  const createTake = (household: Household) => {
    let tree: PlaceTree | null = null;
    const bags = new Map([...household.projects.values()].map((project) => [project.bagLotId, project]));
    return (id: LotId): boolean => {
      const lot = household.lots.get(id);
      const item = lot && household.items.get(lot.itemId);
      const old = known.get(id);
      const isIn = item !== undefined && lot?.state !== 'gone';
      if (!old && !isIn) return false;
      const about = lot ? tellAbout(household, lot, bags.get(lot.id)) : '';
      const isSame = old?.lot === lot && old?.item === item && old?.about === about;
      if (old && isIn && isSame && old.places === household.places) return false;
      words.forget();
      if (old) {
        index.discard(id);
        known.delete(id);
      }
      if (!isIn || !lot) return true;
      tree ??= createPlaceTree(household.places);
      index.add(toDocument(item, lot, about, tree));
      known.set(id, { lot, item, about, places: household.places });
      return true;
    };
  };
  return {
    sync(household, isTimeUp) {
      if (begun?.of !== household) {
        const left = listSuspects(household)[Symbol.iterator]();
        begun = { of: household, left, take: createTake(household) };
        // Until all of it is in, some of it is and some is not.
        whole = null;
      }
      let seen = 0;
      for (let next = begun.left.next(); next.done !== true; next = begun.left.next()) {
        if (!begun.take(next.value)) continue;
        seen += 1;
        if (seen % CHECK_EVERY === 0 && isTimeUp?.()) return false;
      }
      begun = null;
      whole = household;
      return true;
    },
    find(text, limit = 12) {
      const typed = toTerms(text);
      const telling = typed.filter((term) => ![term, ...listAlike(term)].some((one) => EMPTY_WORDS.has(one)));
      // Where nothing telling was typed yet, it may be the beginning of a word.
      const terms = telling.length > 0 ? telling : typed;
      if (terms.length === 0) return [];
      const asked = [...new Set(terms)];
      const hits = words.find(asked, limit) ?? findAtOnce(index, asked, listAlike);
      return hits.slice(0, limit).map(({ lotId, score }) => ({ lotId, score }));
    },
  };
}
