import type { Household, LotId } from '../../core/records/index.ts';
import { formatPlaceName, type PlaceTree } from '../../core/storage/index.ts';
import { formatMass, formatMinutes } from '../../core/units/index.ts';
import type { BinReason, GroupReason, PlaceReason } from '../../workers/protocol.ts';
import type { Group } from '../../core/grouping/index.ts';
import { wordGroup } from './groups.ts';
import { wordReach } from './names.ts';
import { formatFixed, t } from '../language/index.ts';

/** Words of why a group or a place is as it is; not in the index, only their tickets need them. */

export interface Said {
  readonly words: string;
  readonly how: string;
}

/** Groups that are named; of more, the count is told. */
const NAMED = 3;

const secondsOf = (seconds: number) => `${formatFixed(seconds, seconds < 10 ? 1 : 0)} s`;

function nameOf(household: Household, lotId: LotId): string {
  const lot = household.lots.get(lotId);
  return (lot && household.items.get(lot.itemId)?.name) ?? t('Something');
}

function wordUses(perMonth: number): string {
  return perMonth < 1
    ? t('Fetched less than once a month')
    : t('Fetched {perMonth, plural, one {# time} other {# times}} a month', { perMonth: Math.round(perMonth) });
}

export function explainGroupReason(reason: GroupReason, household: Household, tree: PlaceTree): Said {
  const { units } = household.settings;
  const place = 'placeId' in reason && reason.placeId ? formatPlaceName(tree, reason.placeId) : '';
  switch (reason.code) {
    case 'together':
      return { words: t('All together in {place}.', { place }), how: t('The places where its things live, counted.') };
    case 'spread': {
      const { places, units: pieces, rooms, seconds } = reason;
      const over = [
        pieces > 1 && t('{n, plural, one {# piece of furniture} other {# pieces of furniture}}', { n: pieces }),
        rooms > 1 && t('{n, plural, one {# room} other {# rooms}}', { n: rooms }),
      ]
        .filter(Boolean)
        .join(t(' and '));
      return {
        words: t(
          'In {places, plural, one {# place} other {# places}}{over}: the wrong one first costs {minutes} a month.',
          { places, over: over && t(', over {over}', { over }), minutes: formatMinutes(seconds) },
        ),
        how: t(
          'In half of the fetches one looks in a wrong place first: its uses a month, times the figures in House for a wrong place, piece and room.',
        ),
      };
    }
    case 'homeless':
      return {
        words: t(
          '{count, plural, one {# thing} other {# things}} without a home: looking everywhere costs {minutes} a month.',
          { count: reason.count, minutes: formatMinutes(reason.seconds) },
        ),
        how: t('Its things that are in no place, their uses a month, times the figure in House for what has no home.'),
      };
    case 'fetch':
      return {
        words: t('{uses}, {seconds} each for the way: {minutes} a month.', {
          uses: wordUses(reason.usesPerMonth),
          seconds: secondsOf(reason.secondsEach),
          minutes: formatMinutes(reason.seconds),
        }),
        how: t(
          'The uses a month of its things added up; the way there and back from their stations, bending, opening and pulling out, by the figures in House.',
        ),
      };
    case 'elsewhere':
      return {
        words:
          Math.abs(reason.moreSeconds) < 3
            ? t('All of it in {place} would do as well.', { place })
            : reason.moreSeconds > 0
              ? t('The next best place for all of it: {place}, {minutes} a month more.', {
                  place,
                  minutes: formatMinutes(reason.moreSeconds),
                })
              : t('All of it in {place} would save {minutes} a month.', {
                  place,
                  minutes: formatMinutes(-reason.moreSeconds),
                }),
        how: t(
          'Every place was packed with all of it beside what lies there, and priced like a plan; the cheapest is named.',
        ),
      };
    case 'nowhere': {
      const missing =
        reason.bar === 'load'
          ? t('it weighs {mass} and that carries {most}', {
              mass: formatMass(reason.needed, units),
              most: formatMass(reason.available, units),
            })
          : t('it takes {needed} % of it and {available} % is free', {
              needed: Math.round(100 * reason.needed),
              available: Math.round(100 * reason.available),
            });
      return {
        words: place
          ? t('No place takes all of it as things are. Nearest: {place}, where {missing}.', { place, missing })
          : t('No place takes all of it: none suits every one of its things.'),
        how: t(
          'Every place was tried with all of it beside what lies there; of those that lack only room, the one that lacks least is named.',
        ),
      };
    }
  }
}

export function explainPlaceReason(
  reason: PlaceReason,
  household: Household,
  tree: PlaceTree,
  groups: readonly Group[],
): Said {
  switch (reason.code) {
    case 'empty':
      return { words: t('Nothing lives here.'), how: t('The things whose home it is, counted.') };
    case 'holds': {
      const named = reason.groups.slice(0, NAMED).map(({ groupId, count }) => {
        const group = groups.find(({ id }) => id === groupId);
        return `${group ? wordGroup(group, household) : t('others')} (${count})`;
      });
      const more = reason.groups.length - named.length;
      return {
        words: `${named.join(', ')}${more > 0 ? t(', and {more, plural, one {# group} other {# groups}} more', { more }) : ''}.`,
        how: t('The things whose home it is, counted by their group.'),
      };
    }
    case 'fetch':
      return {
        words: t('{uses}, {seconds} each ({reach}): {minutes} a month.', {
          uses: wordUses(reason.usesPerMonth),
          seconds: secondsOf(reason.secondsEach),
          reach: wordReach(reason.reach),
          minutes: formatMinutes(reason.seconds),
        }),
        how: t(
          'The uses a month of all it holds; the way there and back from their stations, bending, opening and pulling out, by the figures in House.',
        ),
      };
    case 'shared':
      return {
        words: t(
          '{groups, plural, one {# group} other {# groups}} share it: passing the others, and a label that says less, cost {minutes} a month.',
          { groups: reason.groups, minutes: formatMinutes(reason.seconds) },
        ),
        how: t(
          'Its uses a month times the seconds to pass each other group, and what a group less in a place is worth to you, by the figures in House.',
        ),
      };
    case 'crowded':
      return {
        words: t('Filled to {fill} % where {target} % was wanted{coming}: re-shuffling costs {minutes} a month.', {
          fill: Math.round(100 * reason.fill),
          target: Math.round(100 * reason.target),
          coming:
            reason.toCome >= 0.005
              ? t(', and {come} % more is likely to come in half a year', { come: Math.round(100 * reason.toCome) })
              : '',
          minutes: formatMinutes(reason.seconds),
        }),
        how: t(
          'The share that its things take, and half a year of what their groups grow, beside the filling you want; what a place not crammed is worth to you, by the square of what is over.',
        ),
      };
    case 'leave':
      return {
        words: t('{name} would save {minutes} a month in {placeName}.', {
          name: nameOf(household, reason.lotId),
          minutes: formatMinutes(reason.saves),
          placeName: formatPlaceName(tree, reason.placeId),
        }),
        how: t(
          'Each of its things was packed into every other place with what lies there, and priced like a plan; the one that saves most is named.',
        ),
      };
    case 'come':
      return {
        words: t('{name} would save {minutes} a month here.', {
          name: nameOf(household, reason.lotId),
          minutes: formatMinutes(reason.saves),
        }),
        how: t(
          'Every thing that lives elsewhere, or nowhere, was packed into this place with what lies here, and priced like a plan; the one that saves most is named.',
        ),
      };
    case 'settled':
      return {
        words: t('No single thing would save anything by leaving, or by coming here.'),
        how: t(
          'Each of its things in every other place, and every other thing here, were packed and priced like a plan.',
        ),
      };
  }
}

/** What a container, with all in it, would make of standing elsewhere. */
export function explainBinReason({ best }: BinReason, tree: PlaceTree): Said {
  const how = t(
    'Every other free compartment that it would stand in was tried with all that is in it, and priced like a plan, carrying it counted.',
  );
  if (!best) return { words: t('No other compartment is free that it would stand in.'), how };
  const minutes = formatMinutes(Math.abs(best.moreSeconds));
  const name = formatPlaceName(tree, best.slotId);
  return best.moreSeconds < 0
    ? { words: t('It would save {minutes} a month standing in {name}, carrying it counted.', { minutes, name }), how }
    : {
        words: t('It stands where it serves best: in {name}, the next best, it would cost {minutes} a month more.', {
          name,
          minutes,
        }),
        how,
      };
}
