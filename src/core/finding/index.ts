import MiniSearch from 'minisearch';
import { getColourFamily } from '../colour/index.ts';
import type { Household, LotId } from '../records/index.ts';
import { createPlaceTree } from '../storage/index.ts';

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

export interface Found {
  readonly lotId: LotId;
  readonly score: number;
}

/** Searches lots by name, colour in words, kind, fibre, number and place; forgives a slip of the finger. */
export interface Finder {
  readonly find: (text: string, limit?: number) => Found[];
}

function expand(term: string): string[] {
  const same = SYNONYMS.find((words) => words.includes(term));
  return same ? [...same] : [term];
}

/** Indexes every lot that is not gone. */
export function createFinder(household: Household): Finder {
  const tree = createPlaceTree(household.places);
  const index = new MiniSearch({
    fields: ['name', 'words', 'place'],
    searchOptions: {
      boost: { name: 3, words: 1.5, place: 1 },
      prefix: (term) => term.length >= 2,
      // One slip in four letters; numbers must be right.
      fuzzy: (term) => (/\d/.test(term) || term.length < 4 ? false : 0.25),
      combineWith: 'AND',
    },
  });
  const documents = [];
  for (const lot of household.lots.values()) {
    const item = household.items.get(lot.itemId);
    if (!item || lot.state === 'gone') continue;
    const at = lot.placeId ?? lot.homeId;
    documents.push({
      id: lot.id,
      name: item.name,
      words: [
        item.kind === 'fabric' ? 'fabric cloth' : item.kind,
        ...item.colours.map(getColourFamily),
        item.fabric ? `${item.fabric.fibre} ${item.fabric.print} ${item.fabric.cloth} ${item.fabric.weave ?? ''}` : '',
        item.pattern
          ? `${item.pattern.number} ${item.pattern.garment} ${item.pattern.publisher ?? ''} ${item.pattern.era ?? ''}`
          : '',
        item.thread ? `${item.thread.use} ${item.thread.fibre} tex ${item.thread.tex}` : '',
        item.box ? `${item.box.type} ${item.box.size ?? ''}` : '',
        item.scrap ? `scraps offcuts ${item.scrap.cut}` : '',
        item.kit ? `${item.kit.forWhat} ${item.kit.state} ${item.kit.parts.join(' ')}` : '',
        ...(item.tags ?? []),
        ...(lot.reserved ?? []).map((one) => `${one.forWhat} ${one.note}`),
        item.source ?? '',
        ...item.care,
      ].join(' '),
      place:
        at === null
          ? ''
          : tree
              .getPath(at)
              .map((place) => place.name)
              .join(' '),
    });
  }
  index.addAll(documents);
  return {
    find(text, limit = 12) {
      const terms = text.trim().toLowerCase().split(/\s+/).filter(Boolean);
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
