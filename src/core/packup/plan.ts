import { computeGroups } from '../grouping/index.ts';
import { computePackages, getWholeLot, type Package } from '../measure/index.ts';
import { computeVolumeNeed, packPlace } from '../packing/index.ts';
import {
  getUses,
  takesRoom,
  type BoxSize,
  type Household,
  type Item,
  type Lot,
  type LotId,
  type PlaceId,
  type StowForm,
} from '../records/index.ts';
import { computeSpace, createPlaceTree, type Space } from '../storage/index.ts';
import { createBoxRoom, type BoxClass } from './room.ts';

/** What one carries, unless it is said otherwise, g. */
export const USUAL_LIFT_G = 12_000;
/** Boxes that are emptier than this are unpacked again, and their things put in with others of their kind; and with any. */
const NEARLY = 0.9;
const HARDLY = 0.6;

/** A box with what goes into it, the first to go in at the bottom. */
export interface PackedBox {
  readonly size: BoxSize;
  readonly class: BoxClass;
  readonly lots: readonly { readonly lotId: LotId; readonly form: StowForm }[];
  readonly groupIds: readonly string[];
  readonly massG: number;
  /** How full it is, 0 to 1. */
  readonly fill: number;
  /** How often the thing in it that is used most is used, a month. */
  readonly needed: number;
}

export interface PackPlan {
  /** In the order in which they go into the van: what is needed first goes in last. */
  readonly boxes: readonly PackedBox[];
  /** Carried as it is: it goes into no box, is too heavy for one, or there are no boxes left. */
  readonly loose: readonly { readonly lotId: LotId; readonly why: 'size' | 'heavy' | 'no-box' }[];
  /** No packing takes fewer boxes. */
  readonly leastBoxes: number;
}

const getClass = ({ care }: Item): BoxClass =>
  care.includes('liquid') ? 'liquid' : care.includes('sharp') ? 'sharp' : 'other';

interface Piece {
  readonly lot: Lot;
  readonly item: Item;
  readonly groupId: string;
  readonly class: BoxClass;
  readonly massG: number;
  /** By the id of a size: in which form it goes in, and the share of the room that it takes; absent where it does not go in. */
  readonly ways: ReadonlyMap<string, { readonly pkg: Package; readonly share: number }>;
}

/** A box while it is filled. */
interface Open {
  readonly size: BoxSize;
  readonly class: BoxClass;
  pieces: Piece[];
  share: number;
  massG: number;
}

/** The inside of a box of each size, as places see it. */
function listSpaces(household: Household, sizes: readonly BoxSize[], liftG: number): Map<string, Space> {
  let ids = 0;
  const boxes = sizes.map((size) => ({ id: `box-${size.id}` as PlaceId, name: size.name, size }));
  const places = createBoxRoom(boxes, liftG, 0, () => `try-${(ids += 1)}`);
  const all = new Map([...household.places, ...places.map((place) => [place.id, place] as const)]);
  const tree = createPlaceTree(all);
  return new Map(boxes.map(({ id, size }) => [size.id, computeSpace(tree, all.get(id)!)]));
}

function listPieces(household: Household, spaces: ReadonlyMap<string, Space>): Piece[] {
  const groupOf = new Map(computeGroups(household).flatMap(({ id, lots }) => lots.map((lot) => [lot.id, id] as const)));
  return [...household.lots.values()].flatMap((lot) => {
    const item = household.items.get(lot.itemId);
    if (!item || !takesRoom(lot) || lot.state === 'lent') return [];
    const packages = computePackages(item, getWholeLot(household, lot), household.settings);
    const byForm = packages.toSorted((a, b) => Number(b.form === lot.form) - Number(a.form === lot.form));
    const ways = new Map<string, { pkg: Package; share: number }>();
    for (const [id, space] of spaces)
      for (const pkg of byForm) {
        const share = computeVolumeNeed(pkg) / (space.widthMm * space.depthMm * space.heightMm);
        if (share > 1 || packPlace([pkg], space).status !== 'packed') continue;
        ways.set(id, { pkg, share });
        break;
      }
    const massG = Math.max(0, ...packages.slice(0, 1).map((pkg) => pkg.massG));
    return [{ lot, item, groupId: groupOf.get(lot.id) ?? '', class: getClass(item), massG, ways }];
  });
}

const volumeOf = ({ widthMm, depthMm, heightMm }: BoxSize) => widthMm * depthMm * heightMm;

/** With its group, with its kind, or with strangers. */
const countKin = ({ pieces }: Open, { groupId, item }: Piece): number =>
  pieces.some((one) => one.groupId === groupId) ? 2 : pieces.some((one) => one.item.kind === item.kind) ? 1 : 0;

/** Fills boxes with things: group by group, then the leavings of groups together, under a weight that one can carry. */
class Packer {
  private readonly left: Map<string, number>;
  readonly boxes: Open[] = [];

  constructor(
    private readonly sizes: readonly BoxSize[],
    private readonly spaces: ReadonlyMap<string, Space>,
    private readonly liftG: number,
  ) {
    this.left = new Map(sizes.map(({ id, count }) => [id, count]));
  }

  /** Whether a thing goes into a box beside what is there: by its weight, and really packed. */
  private takes(box: Open, piece: Piece): boolean {
    const way = piece.ways.get(box.size.id);
    if (!way || box.class !== piece.class || box.massG + piece.massG > this.liftG) return false;
    if (box.share + way.share > 1) return false;
    const packages = [...box.pieces, piece].map((one) => one.ways.get(box.size.id)!.pkg);
    return packPlace(packages, this.spaces.get(box.size.id)!).status === 'packed';
  }

  private put(box: Open, piece: Piece): void {
    box.pieces.push(piece);
    box.share += piece.ways.get(box.size.id)!.share;
    box.massG += piece.massG;
  }

  /** A new box for a thing: the largest that there is. What could have been smaller is put into a smaller one in the end. */
  private open(piece: Piece): Open | null {
    const [size] = this.sizes
      .filter(({ id }) => piece.ways.has(id) && (this.left.get(id) ?? 0) > 0)
      .toSorted((one, other) => volumeOf(other) - volumeOf(one));
    if (!size) return null;
    this.left.set(size.id, this.left.get(size.id)! - 1);
    const box: Open = { size, class: piece.class, pieces: [], share: 0, massG: 0 };
    this.boxes.push(box);
    return box;
  }

  /** How full a box is, by its room or by what one carries. */
  getFullness({ share, massG }: Open): number {
    return Math.max(share, massG / this.liftG);
  }

  /** Packs things, the largest first, each to its kin where they have room, else into the fullest of these boxes that takes it. What finds none is given back. */
  pack(pieces: readonly Piece[], among: () => readonly Open[]): Piece[] {
    const need = (piece: Piece) =>
      Math.max(piece.massG / this.liftG, ...[...piece.ways.values()].map((way) => way.share));
    const stuck: Piece[] = [];
    for (const piece of pieces.toSorted((a, b) => need(b) - need(a) || (a.lot.id < b.lot.id ? -1 : 1))) {
      const known = among()
        .toSorted((a, b) => countKin(b, piece) - countKin(a, piece) || this.getFullness(b) - this.getFullness(a))
        .find((box) => this.takes(box, piece));
      const box = known ?? this.open(piece);
      if (box) this.put(box, piece);
      else stuck.push(piece);
    }
    return stuck;
  }

  /** What goes into a smaller box that there is goes into it: it is easier carried, and nothing slides about. */
  shrink(): void {
    for (const [n, box] of this.boxes.entries()) {
      const smaller = this.sizes
        .filter((size) => volumeOf(size) < volumeOf(box.size) && (this.left.get(size.id) ?? 0) > 0)
        .toSorted((a, b) => volumeOf(a) - volumeOf(b))
        .find(({ id }) => {
          const ways = box.pieces.map((piece) => piece.ways.get(id));
          if (ways.some((way) => way === undefined)) return false;
          return (
            packPlace(
              ways.map((way) => way!.pkg),
              this.spaces.get(id)!,
            ).status === 'packed'
          );
        });
      if (!smaller) continue;
      this.left.set(box.size.id, this.left.get(box.size.id)! + 1);
      this.left.set(smaller.id, this.left.get(smaller.id)! - 1);
      const share = box.pieces.reduce((sum, piece) => sum + piece.ways.get(smaller.id)!.share, 0);
      this.boxes[n] = { ...box, size: smaller, share };
    }
  }

  /** Takes a box apart again. */
  unpack(box: Open): Piece[] {
    this.boxes.splice(this.boxes.indexOf(box), 1);
    this.left.set(box.size.id, this.left.get(box.size.id)! + 1);
    return box.pieces;
  }
}

/** Books and hardware lie at the bottom; of what weighs alike the least needed. */
function byDepth(a: Piece, b: Piece): number {
  const dense = ({ massG, ways }: Piece) =>
    massG / Math.max(1e-6, Math.max(...[...ways.values()].map(({ share }) => share)));
  return dense(b) - dense(a) || getUses(a.item) - getUses(b.item) || (a.lot.id < b.lot.id ? -1 : 1);
}

/** No packing takes fewer boxes: what is in each class by the room of the largest box, and by what one carries. */
function countLeast(pieces: readonly Piece[], sizes: readonly BoxSize[], liftG: number): number {
  let least = 0;
  for (const of of ['liquid', 'sharp', 'other'] as const) {
    const some = pieces.filter((piece) => piece.class === of);
    if (some.length === 0) continue;
    const room = some.reduce((sum, { ways }) => sum + Math.min(...[...ways.values()].map(({ share }) => share)), 0);
    const mass = some.reduce((sum, { massG }) => sum + massG, 0);
    least += Math.max(1, Math.ceil(room - 1e-9), Math.ceil(mass / liftG - 1e-9));
  }
  return sizes.length === 0 ? 0 : least;
}

/**
 * Packs a household into boxes: group by group under a weight that one can carry, liquids and blades apart, each box really packed. What
 * is left of groups shares boxes, kin first. Boxes go into the van so that what is needed first comes out first.
 */
export function planBoxes(household: Household, sizes: readonly BoxSize[], liftG: number): PackPlan {
  const spaces = listSpaces(household, sizes, liftG);
  const all = listPieces(household, spaces);
  const loose: { lotId: LotId; why: 'size' | 'heavy' | 'no-box' }[] = [];
  const able = all.filter(({ ways, massG, lot }) => {
    if (ways.size > 0 && massG <= liftG) return true;
    loose.push({ lotId: lot.id, why: ways.size === 0 ? 'size' : 'heavy' });
    return false;
  });
  const packer = new Packer(sizes, spaces, liftG);
  const groups = new Map<string, Piece[]>();
  for (const piece of able) {
    const key = `${piece.class} ${piece.groupId}`;
    groups.set(key, [...(groups.get(key) ?? []), piece]);
  }
  const stuck: Piece[] = [];
  for (const [key, pieces] of groups) {
    const own = () => packer.boxes.filter((box) => `${box.class} ${box.pieces[0]!.groupId}` === key);
    stuck.push(...packer.pack(pieces, own));
  }
  // The leavings: boxes that are hardly filled are unpacked, and share others of their kind; what is then left over shares any.
  const kinds = [...new Set(able.map(({ item }) => item.kind))];
  const repack = (below: number, of: (piece: Piece) => boolean, among: (box: Open) => boolean) => {
    const hardly = packer.boxes.filter((box) => packer.getFullness(box) < below && box.pieces.every(of));
    const leavings = [...hardly].flatMap((box) => packer.unpack(box));
    return packer.pack(leavings, () => packer.boxes.filter(among));
  };
  for (const kind of kinds) {
    const isKind = ({ item }: Piece) => item.kind === kind;
    stuck.push(...repack(NEARLY, isKind, (box) => box.pieces.some(isKind)));
  }
  stuck.push(
    ...repack(
      HARDLY,
      () => true,
      () => true,
    ),
  );
  const last = packer.pack(stuck.splice(0), () => packer.boxes);
  packer.shrink();
  for (const { lot } of last) loose.push({ lotId: lot.id, why: 'no-box' });
  const boxes = packer.boxes
    .map(({ size, class: of, pieces, share, massG }): PackedBox => ({
      size,
      class: of,
      lots: pieces.toSorted(byDepth).map(({ lot, ways }) => ({ lotId: lot.id, form: ways.get(size.id)!.pkg.form })),
      groupIds: [...new Set(pieces.map(({ groupId }) => groupId))],
      massG,
      fill: Math.min(1, share),
      needed: Math.max(...pieces.map(({ item }) => getUses(item))),
    }))
    .toSorted((a, b) => a.needed - b.needed || b.massG - a.massG);
  return { boxes, loose, leastBoxes: countLeast(able, sizes, liftG) };
}
