import { finish, mapInSlices, type Slices } from '../slices/index.ts';
import { computeOkDistance, computeWheelKey } from '../colour/index.ts';
import { computeGroups, type Group } from '../grouping/index.ts';
import {
  isHomeless,
  takesRoom,
  type Household,
  type Item,
  type Lot,
  type Place,
  type PlaceId,
  type Project,
  type Saying,
} from '../records/index.ts';
import { formatPlaceName, type PlaceTree } from '../storage/index.ts';

/** Colours nearer than this (OKLab) look alike from a step away: one swatch stands for both. */
const ALIKE = 0.12;
const MOST_SWATCHES = 40;

/** A group with what of it is in a place. */
export interface LabelPart {
  readonly group: Group;
  readonly lots: number;
  /** The first and last number there, of patterns. */
  readonly numbers: { readonly from: number; readonly to: number } | null;
}

/** What there is to say of a place: what lies there now, and what is out and comes back there. */
export interface PlaceContent {
  readonly placeId: PlaceId;
  /** From the furniture on: `Tall cubes › C3`. */
  readonly path: string;
  /** What there is most of comes first. */
  readonly parts: readonly LabelPart[];
  /** The most different first: the first few of them tell most. */
  readonly swatches: readonly string[];
  readonly items: readonly Item[];
}

/** So many colours that every other looks like one of them; each the one that differs most from those before it. */
export function chooseSwatches(colours: readonly string[]): string[] {
  const known = [...new Set(colours)].filter((hex) => computeOkDistance(hex, hex) !== null);
  const chosen: string[] = [];
  const away = new Map(known.map((hex) => [hex, Infinity]));
  while (chosen.length < MOST_SWATCHES && known.length > 0) {
    const next = known.reduce((best, hex) => (away.get(hex)! > away.get(best)! ? hex : best));
    if (away.get(next)! <= ALIKE) break;
    chosen.push(next);
    for (const hex of known) away.set(hex, Math.min(away.get(hex)!, computeOkDistance(hex, next)!));
  }
  return chosen;
}

/** Kinds that are looked for by their colour. */
const COLOURED = new Set<Item['kind']>(['fabric', 'thread', 'scrap']);

/** What each place holds, or each of some, all at once: groups are worked out once. */
export const computePlaceContents = (
  household: Household,
  tree: PlaceTree,
  groups: readonly Group[] = computeGroups(household),
  places: readonly Place[] = tree.leaves,
): Map<PlaceId, PlaceContent> => finish(computePlaceContentsInSlices(household, tree, groups, places));

/** `computePlaceContents`, pausing in between. */
export function* computePlaceContentsInSlices(
  household: Household,
  tree: PlaceTree,
  groups: readonly Group[],
  places: readonly Place[],
): Slices<Map<PlaceId, PlaceContent>> {
  const wanted = new Set(places.map(({ id }) => id));
  const lotsAt = new Map<PlaceId, { group: Group; lot: Lot; item: Item }[]>();
  for (const group of groups) {
    yield;
    for (const lot of group.lots) {
      const isAway = (lot.state === 'out' || lot.state === 'lent') && !isHomeless(lot);
      const id = lot.placeId ?? (isAway ? lot.homeId : undefined);
      const item = household.items.get(lot.itemId);
      if (id === undefined || !wanted.has(id) || !item || !takesRoom(lot)) continue;
      const here = lotsAt.get(id);
      if (here) here.push({ group, lot, item });
      else lotsAt.set(id, [{ group, lot, item }]);
    }
  }
  return new Map(
    yield* mapInSlices(places, ({ id }): [PlaceId, PlaceContent] => {
      const here = lotsAt.get(id) ?? [];
      const byGroup = new Map<Group, typeof here>();
      for (const one of here) byGroup.set(one.group, [...(byGroup.get(one.group) ?? []), one]);
      const parts = [...byGroup].map(([group, ones]): LabelPart => {
        const numbers = ones.map((one) => one.item.pattern?.number ?? 0).filter((number) => number > 0);
        return {
          group,
          lots: ones.length,
          numbers: numbers.length > 0 ? { from: Math.min(...numbers), to: Math.max(...numbers) } : null,
        };
      });
      const coloured = here.filter((one) => COLOURED.has(one.item.kind)).flatMap((one) => one.item.colours);
      return [
        id,
        {
          placeId: id,
          path: formatPlaceName(tree, id),
          parts: parts.toSorted((a, b) => b.lots - a.lots || (a.group.id < b.group.id ? -1 : 1)),
          swatches: chooseSwatches(coloured.toSorted((a, b) => computeWheelKey(a) - computeWheelKey(b))),
          items: here.map((one) => one.item),
        },
      ];
    }),
  );
}

/** What the label of a place says, for looking later whether it is still so. */
export function listPlaceSayings({ path, parts }: PlaceContent): Saying[] {
  return [
    { about: 'path', value: path },
    ...parts.map(({ group, numbers }): Saying => ({ about: 'group', value: group.id, ...numbers })),
  ];
}

/** What the label of a lot says. How much there is of it is not among it: that changes with every cut. */
export function listLotSayings(item: Item, project: Project | null): Saying[] {
  const { fabric, thread, box } = item;
  const said: Saying[] = [{ about: 'name', value: item.name }];
  const add = (about: Saying['about'], value: string | number | undefined) => {
    if (value !== undefined && value !== '') said.push({ about, value: String(value) });
  };
  add('fibre', fabric?.fibre ?? thread?.fibre);
  add('width', fabric && Math.round(fabric.widthMm));
  add('tex', thread?.tex);
  // The bag of a project says what it is for and what belongs in it.
  add('forWhat', project?.name);
  add(
    'parts',
    project?.needs
      .map(({ part }) => part)
      .join(', ')
      .slice(0, 2000),
  );
  add('size', box?.size);
  return said;
}
