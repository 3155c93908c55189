import { findType } from '../catalog/index.ts';
import type { CareFlag, Item, Kind, StationId } from '../records/index.ts';
import { getWholeId, type Group } from '../grouping/index.ts';

/** What a group is, as far as it matters beside what else it may lie. */
export interface Nature {
  readonly kind: Kind;
  /** The group that it was cut from, where it is a part. */
  readonly wholeId: string;
  /** What its outer school says; null where it has one school only. */
  readonly outer: string | null;
  readonly stations: ReadonlySet<StationId>;
  readonly fibres: ReadonlySet<string>;
  /** Lining, interfacing, batting, net and stuffing: what is sewn along with something else. */
  readonly isSupport: boolean;
  readonly isCloth: boolean;
  /** What is spoilt by a drop of glue or a hot iron: cloth, thread, tapes and paper. */
  readonly isDelicate: boolean;
  readonly isLiquid: boolean;
  readonly isHot: boolean;
  /** What draws needles and pins, and spoils cards and screens. */
  readonly isMagnetic: boolean;
  readonly sheds: boolean;
  /** Such as buttons and needles, as against a machine or a book. */
  readonly isSmall: boolean;
  readonly isPaper: boolean;
  readonly isMachine: boolean;
}

/** Words for cloth and stuff that others are backed, lined or filled with. */
const SUPPORT = new Set([
  'batting',
  'wadding',
  'interfacing',
  'lining',
  'net',
  'tulle',
  'stuffing',
  'foam',
  'stabiliser',
  'fleece batting',
]);
/** Types of notions that are textile themselves. */
const TEXTILE = new Set([
  'ribbon',
  'elastic',
  'bias tape',
  'tape',
  'tapes',
  'lace',
  'cord',
  'yarn',
  'batting',
  'interfacing',
]);
/** What stands on the shelf with the patterns. */
const PAPER = new Set(['book', 'books', 'manual', 'manuals', 'magazine', 'magazines', 'notebook']);
/** A group sheds where at least so many of its things do. */
const SHEDDING_SHARE = 1 / 3;
/** A thing as large is no small thing, mm3. */
const SMALL_MM3 = 3e6;

function isSupport({ fabric, box }: Item): boolean {
  return (
    (fabric !== undefined && (SUPPORT.has(fabric.fibre) || SUPPORT.has(fabric.cloth))) ||
    (box !== undefined && SUPPORT.has(box.type))
  );
}

/** Something that is plugged in. */
export function isMachine({ box }: Pick<Item, 'box'>): boolean {
  return (box?.watts ?? 0) > 0 || box?.type === 'machine';
}

/** Whether a thing asks for a care, by what is said of it or by what it is. */
export function asksFor({ care, box, kind }: Pick<Item, 'care' | 'box' | 'kind'>, flag: CareFlag): boolean {
  return care.includes(flag) || (box !== undefined && (findType(box.type, kind)?.care?.includes(flag) ?? false));
}

/** Tells what a group is from the things in it. */
export function createNature({ id, kind, labels, lots }: Group, items: ReadonlyMap<string, Item>): Nature {
  const mine = lots.map((lot) => items.get(lot.itemId)!);
  const share = (is: (item: Item) => boolean) => mine.filter(is).length / Math.max(1, mine.length);
  const isSmall = ({ box }: Item) => box !== undefined && box.widthMm * box.depthMm * box.heightMm <= SMALL_MM3;
  const isPaper = kind === 'pattern' || share(({ box }) => PAPER.has(box?.type ?? '')) > 0.5;
  const isCloth =
    kind === 'fabric' || kind === 'scrap' || kind === 'kit' || share(({ box }) => box?.isSoft ?? false) > 0.5;
  return {
    kind,
    wholeId: getWholeId(id),
    outer: labels.length > 1 ? labels[0]!.value : null,
    stations: new Set(mine.flatMap(({ stationId, otherStationIds = [] }) => [stationId, ...otherStationIds])),
    fibres: new Set(mine.flatMap(({ fabric }) => (fabric ? [fabric.fibre] : []))),
    isSupport: share(isSupport) > 0.5,
    isCloth,
    isDelicate: isCloth || isPaper || kind === 'thread' || share(({ box }) => TEXTILE.has(box?.type ?? '')) > 0.5,
    isLiquid: share((item) => asksFor(item, 'liquid')) > 0,
    isHot: share((item) => asksFor(item, 'hot')) > 0,
    isMagnetic: share((item) => asksFor(item, 'magnetic')) > 0.5,
    sheds: share(({ care }) => care.includes('sheds')) >= SHEDDING_SHARE,
    isSmall: kind === 'thread' || share(isSmall) > 0.5,
    isPaper,
    isMachine: share(isMachine) > 0.5,
  };
}
