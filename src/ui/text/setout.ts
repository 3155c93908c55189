import type { MoreRoom, RoomSort } from '../../core/balance/index.ts';
import type { RoomShape } from '../../core/room/index.ts';
import type { SetoutStage, SetoutWay } from '../../core/records/index.ts';
import type { SetoutFacts } from '../../core/setout/index.ts';
import { formatVolume, type UnitSystem } from '../../core/units/index.ts';
import { wordCount } from './grammar.ts';
import { wordPart } from './room.ts';

/** Not in the index of words: only setting out and the balance need these. */

interface StageWords {
  readonly name: string;
  /** What it brings. */
  readonly brings: string;
  readonly to: string;
}

export const STAGE_WORDS: Readonly<Record<SetoutStage, StageWords>> = {
  room: {
    name: 'Room',
    brings: 'Its walls, the door and the window: where anything can stand.',
    to: '/room/plan?do=shape',
  },
  furniture: {
    name: 'Furniture',
    brings: 'Every shelf, drawer and bin that could hold something.',
    to: '/room/plan?do=furnish',
  },
  heaps: {
    name: 'Heaps',
    brings: 'How much you own of each sort, by the pile. The list can come later, or never.',
    to: '/heaps',
  },
  balance: { name: 'Balance', brings: 'Whether it all goes in, and what helps if it does not.', to: '/room/balance' },
  sort: { name: 'Sort', brings: 'What belongs together, the way you look for it.', to: '/sort' },
  fit: { name: 'Fit', brings: 'A home for everything, with the minutes that fetching will take.', to: '/fit' },
  carry: { name: 'Carry', brings: 'Everything in its home, one step after the other.', to: '/moves' },
  label: { name: 'Label', brings: 'A label on every place, so that it is still true in a year.', to: '/labels' },
};

export const WAY_WORDS: readonly (readonly [way: SetoutWay, key: string, words: string])[] = [
  ['mess', 'm', 'The room is a mess: plan it'],
  ['list', 'l', 'Only list what I own'],
  ['file', 'i', 'I have a list or a file already'],
  ['nook', 'k', 'It is a corner, a closet or a cart'],
];

export const SHAPE_WORDS: Readonly<Record<RoomShape, string>> = {
  rectangle: 'A plain room',
  ell: 'An L',
  roof: 'Under a roof',
  corner: 'A corner of a room',
  closet: 'A closet',
};

/** How far a stage is, in what it has brought. */
export function wordStageFigure(id: SetoutStage, facts: SetoutFacts, units: UnitSystem): string {
  switch (id) {
    case 'room':
      return '';
    case 'furniture':
      return facts.pieces === 0 ? '' : `${wordCount(facts.pieces, 'piece')}, ${wordCount(facts.places, 'place')}`;
    case 'heaps':
      if (facts.lots === 0) return '';
      return facts.heaps === 0
        ? wordCount(facts.lots, 'thing')
        : facts.heaps === facts.lots
          ? wordCount(facts.heaps, 'heap')
          : `${wordCount(facts.heaps, 'heap')}, ${wordCount(facts.lots - facts.heaps, 'thing')}`;
    case 'balance':
      if (facts.leftMm3 === null) return '';
      return facts.isEnough ? 'it all goes in' : `${formatVolume(facts.leftMm3, units)} too much`;
    case 'sort':
      return '';
    case 'fit':
      if (facts.lots === 0 || facts.withoutHome === facts.lots) return '';
      return facts.withoutHome === 0 ? 'all have a home' : `${facts.withoutHome} without a home`;
    case 'carry':
      return facts.toCarry === 0 ? '' : `${facts.toCarry} to carry`;
    case 'label':
      return facts.labelled === 0 ? '' : `${wordCount(facts.labelled, 'place')} labelled`;
  }
}

/** `about 4 minutes`, `about 2 hours`. */
export function wordAbout(minutes: number): string {
  if (minutes < 1) return '';
  if (minutes < 90) return `about ${wordCount(minutes, 'minute')}`;
  return `about ${wordCount(Math.round(minutes / 60), 'hour')}`;
}

export const SORT_WORDS: Readonly<Record<RoomSort, string>> = {
  shelf: 'Shelves',
  drawer: 'Drawers, bins and boxes',
  pegs: 'Pegs',
  pins: 'Spool pins',
  rail: 'Rails',
};

/** What would make room, in words with what is left then. */
export function wordMoreRoom(way: MoreRoom, units: UnitSystem): string {
  const left = way.isEnough ? 'then it all goes in' : `then ${formatVolume(way.leftMm3, units)} are left over`;
  const saves = `makes room for ${formatVolume(way.savesMm3, units)}: ${left}.`;
  switch (way.code) {
    case 'boards':
      return `Winding cloth on boards instead of piling it ${saves}`;
    case 'idle-bins':
      return `Putting your ${wordCount(way.count, 'idle bin')} to use ${saves}`;
    case 'shelf-more':
      return `One more shelf in each of ${wordCount(way.count, 'tall compartment')} ${saves}`;
    case 'fuller':
      return `Filling places to ${Math.round(100 * way.to)} % ${saves}`;
    case 'part':
      return `${way.count === 1 ? 'Another' : `${way.count} more, each a`} ${wordPart(way.partId)} ${saves}`;
  }
}
