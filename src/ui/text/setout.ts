import type { MoreRoom, RoomSort } from '../../core/balance/index.ts';
import type { RoomShape } from '../../core/room/index.ts';
import type { SetoutStage, SetoutWay } from '../../core/records/index.ts';
import type { SetoutFacts } from '../../core/setout/index.ts';
import { formatVolume, type UnitSystem } from '../../core/units/index.ts';
import { wordPart } from './room.ts';
import { perLanguage, t } from '../language/index.ts';

/** Not in the index of words: only setting out and the balance need these. */

interface StageWords {
  readonly name: string;
  /** What it brings. */
  readonly brings: string;
  readonly to: string;
}

export const STAGE_WORDS = perLanguage((): Readonly<Record<SetoutStage, StageWords>> => ({
  room: {
    name: t('Room'),
    brings: t('Its walls, the door and the window: where anything can stand.'),
    to: '/room/plan?do=shape',
  },
  furniture: {
    name: t('Furniture'),
    brings: t('Every shelf, drawer and bin that could hold something.'),
    to: '/room/plan?do=furnish',
  },
  heaps: {
    name: t('Heaps'),
    brings: t('How much you own of each sort, by the pile. The list can come later, or never.'),
    to: '/heaps',
  },
  balance: {
    name: t('Balance'),
    brings: t('Whether it all goes in, and what helps if it does not.'),
    to: '/room/balance',
  },
  sort: { name: t('Sort'), brings: t('What belongs together, the way you look for it.'), to: '/sort' },
  fit: { name: t('Fit'), brings: t('A home for everything, with the minutes that fetching will take.'), to: '/fit' },
  carry: { name: t('Carry'), brings: t('Everything in its home, one step after the other.'), to: '/moves' },
  label: { name: t('Label'), brings: t('A label on every place, so that it is still true in a year.'), to: '/labels' },
}));

export const WAY_WORDS = perLanguage((): readonly (readonly [way: SetoutWay, key: string, words: string])[] => [
  ['mess', 'm', t('The room is a mess: plan it')],
  ['list', 'l', t('Only list what I own')],
  ['file', 'i', t('I have a list or a file already')],
  ['nook', 'k', t('It is a corner, a closet or a cart')],
]);

export const SHAPE_WORDS = perLanguage((): Readonly<Record<RoomShape, string>> => ({
  rectangle: t('A plain room'),
  ell: t('An L'),
  roof: t('Under a roof'),
  corner: t('A corner of a room'),
  closet: t('A closet'),
}));

/** How far a stage is, in what it has brought. */
export function wordStageFigure(id: SetoutStage, facts: SetoutFacts, units: UnitSystem): string {
  switch (id) {
    case 'room':
      return '';
    case 'furniture':
      return facts.pieces === 0
        ? ''
        : t('{pieces, plural, one {# piece} other {# pieces}}, {places, plural, one {# place} other {# places}}', {
            pieces: facts.pieces,
            places: facts.places,
          });
    case 'heaps':
      if (facts.lots === 0) return '';
      return facts.heaps === 0
        ? t('{n, plural, one {# thing} other {# things}}', { n: facts.lots })
        : facts.heaps === facts.lots
          ? t('{n, plural, one {# heap} other {# heaps}}', { n: facts.heaps })
          : t('{heaps, plural, one {# heap} other {# heaps}}, {things, plural, one {# thing} other {# things}}', {
              heaps: facts.heaps,
              things: facts.lots - facts.heaps,
            });
    case 'balance':
      if (facts.leftMm3 === null) return '';
      return facts.isEnough
        ? t('it all goes in')
        : t('{volume} too much', { volume: formatVolume(facts.leftMm3, units) });
    case 'sort':
      return '';
    case 'fit':
      if (facts.lots === 0 || facts.withoutHome === facts.lots) return '';
      return facts.withoutHome === 0
        ? t('all have a home')
        : t('{withoutHome} without a home', { withoutHome: facts.withoutHome });
    case 'carry':
      return facts.toCarry === 0 ? '' : t('{carry} to carry', { carry: facts.toCarry });
    case 'label':
      return facts.labelled === 0
        ? ''
        : t('{labelled, plural, one {# place} other {# places}} labelled', { labelled: facts.labelled });
  }
}

/** `about 4 minutes`, `about 2 hours`. */
export function wordAbout(minutes: number): string {
  if (minutes < 1) return '';
  if (minutes < 90) return t('about {minutes, plural, one {# minute} other {# minutes}}', { minutes });
  return t('about {minutes, plural, one {# hour} other {# hours}}', { minutes: Math.round(minutes / 60) });
}

export const SORT_WORDS = perLanguage((): Readonly<Record<RoomSort, string>> => ({
  shelf: t('Shelves'),
  drawer: t('Drawers, bins and boxes'),
  pegs: t('Pegs'),
  pins: t('Spool pins'),
  rail: t('Rails'),
}));

/** What would make room, in words with what is left then. */
export function wordMoreRoom(way: MoreRoom, units: UnitSystem): string {
  const left = way.isEnough
    ? t('then it all goes in')
    : t('then {volume} are left over', { volume: formatVolume(way.leftMm3, units) });
  const saves = t('makes room for {volume}: {left}.', { volume: formatVolume(way.savesMm3, units), left });
  switch (way.code) {
    case 'boards':
      return t('Winding cloth on boards instead of piling it {saves}', { saves });
    case 'idle-bins':
      return t('Putting your {count, plural, one {# idle bin} other {# idle bins}} to use {saves}', {
        count: way.count,
        saves,
      });
    case 'shelf-more':
      return t(
        'One more shelf in each of {count, plural, one {# tall compartment} other {# tall compartments}} {saves}',
        { count: way.count, saves },
      );
    case 'fuller':
      return t('Filling places to {to} % {saves}', { to: Math.round(100 * way.to), saves });
    case 'part':
      return `${way.count === 1 ? t('Another') : t('{count} more, each a', { count: way.count })} ${wordPart(way.partId)} ${saves}`;
  }
}
