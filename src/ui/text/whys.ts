import type { Household, LotId } from '../../core/records/index.ts';
import { formatPlaceName, type PlaceTree } from '../../core/storage/index.ts';
import { formatMass, formatMinutes } from '../../core/units/index.ts';
import type { BinReason, GroupReason, PlaceReason } from '../../workers/protocol.ts';
import type { Group } from '../../core/grouping/index.ts';
import { wordCount } from './grammar.ts';
import { wordGroup } from './groups.ts';
import { wordReach } from './names.ts';

/** Words of why a group or a place is as it is; not in the index, only their tickets need them. */

export interface Said {
  readonly words: string;
  readonly how: string;
}

/** Groups that are named; of more, the count is told. */
const NAMED = 3;

const secondsOf = (seconds: number) => `${seconds.toFixed(seconds < 10 ? 1 : 0)} s`;

function nameOf(household: Household, lotId: LotId): string {
  const lot = household.lots.get(lotId);
  return (lot && household.items.get(lot.itemId)?.name) ?? 'Something';
}

function wordUses(perMonth: number): string {
  return perMonth < 1 ? 'Fetched less than once a month' : `Fetched ${wordCount(Math.round(perMonth), 'time')} a month`;
}

export function explainGroupReason(reason: GroupReason, household: Household, tree: PlaceTree): Said {
  const { units } = household.settings;
  const place = 'placeId' in reason && reason.placeId ? formatPlaceName(tree, reason.placeId) : '';
  switch (reason.code) {
    case 'together':
      return { words: `All together in ${place}.`, how: 'The places where its things live, counted.' };
    case 'spread': {
      const { places, units: pieces, rooms, seconds } = reason;
      const over = [
        pieces > 1 && wordCount(pieces, 'piece of furniture', 'pieces of furniture'),
        rooms > 1 && wordCount(rooms, 'room'),
      ]
        .filter(Boolean)
        .join(' and ');
      return {
        words: `In ${wordCount(places, 'place')}${over && `, over ${over}`}: the wrong one first costs ${formatMinutes(seconds)} a month.`,
        how: 'In half of the fetches one looks in a wrong place first: its uses a month, times the figures in House for a wrong place, piece and room.',
      };
    }
    case 'homeless':
      return {
        words: `${wordCount(reason.count, 'thing')} without a home: looking everywhere costs ${formatMinutes(reason.seconds)} a month.`,
        how: 'Its things that are in no place, their uses a month, times the figure in House for what has no home.',
      };
    case 'fetch':
      return {
        words: `${wordUses(reason.usesPerMonth)}, ${secondsOf(reason.secondsEach)} each for the way: ${formatMinutes(reason.seconds)} a month.`,
        how: 'The uses a month of its things added up; the way there and back from their stations, bending, opening and pulling out, by the figures in House.',
      };
    case 'elsewhere':
      return {
        words:
          Math.abs(reason.moreSeconds) < 3
            ? `All of it in ${place} would do as well.`
            : reason.moreSeconds > 0
              ? `The next best place for all of it: ${place}, ${formatMinutes(reason.moreSeconds)} a month more.`
              : `All of it in ${place} would save ${formatMinutes(-reason.moreSeconds)} a month.`,
        how: 'Every place was packed with all of it beside what lies there, and priced like a plan; the cheapest is named.',
      };
    case 'nowhere': {
      const missing =
        reason.bar === 'load'
          ? `it weighs ${formatMass(reason.needed, units)} and that carries ${formatMass(reason.available, units)}`
          : `it takes ${Math.round(100 * reason.needed)} % of it and ${Math.round(100 * reason.available)} % is free`;
      return {
        words: place
          ? `No place takes all of it as things are. Nearest: ${place}, where ${missing}.`
          : 'No place takes all of it: none suits every one of its things.',
        how: 'Every place was tried with all of it beside what lies there; of those that lack only room, the one that lacks least is named.',
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
      return { words: 'Nothing lives here.', how: 'The things whose home it is, counted.' };
    case 'holds': {
      const named = reason.groups.slice(0, NAMED).map(({ groupId, count }) => {
        const group = groups.find(({ id }) => id === groupId);
        return `${group ? wordGroup(group, household) : 'others'} (${count})`;
      });
      const more = reason.groups.length - named.length;
      return {
        words: `${named.join(', ')}${more > 0 ? `, and ${wordCount(more, 'group')} more` : ''}.`,
        how: 'The things whose home it is, counted by their group.',
      };
    }
    case 'fetch':
      return {
        words: `${wordUses(reason.usesPerMonth)}, ${secondsOf(reason.secondsEach)} each (${wordReach(reason.reach)}): ${formatMinutes(reason.seconds)} a month.`,
        how: 'The uses a month of all it holds; the way there and back from their stations, bending, opening and pulling out, by the figures in House.',
      };
    case 'shared':
      return {
        words: `${wordCount(reason.groups, 'group')} share it: passing the others, and a label that says less, cost ${formatMinutes(reason.seconds)} a month.`,
        how: 'Its uses a month times the seconds to pass each other group, and what a group less in a place is worth to you, by the figures in House.',
      };
    case 'crowded':
      return {
        words: `Filled to ${Math.round(100 * reason.fill)} % where ${Math.round(100 * reason.target)} % was wanted${reason.toCome >= 0.005 ? `, and ${Math.round(100 * reason.toCome)} % more is likely to come in half a year` : ''}: re-shuffling costs ${formatMinutes(reason.seconds)} a month.`,
        how: 'The share that its things take, and half a year of what their groups grow, beside the filling you want; what a place not crammed is worth to you, by the square of what is over.',
      };
    case 'leave':
      return {
        words: `${nameOf(household, reason.lotId)} would save ${formatMinutes(reason.saves)} a month in ${formatPlaceName(tree, reason.placeId)}.`,
        how: 'Each of its things was packed into every other place with what lies there, and priced like a plan; the one that saves most is named.',
      };
    case 'come':
      return {
        words: `${nameOf(household, reason.lotId)} would save ${formatMinutes(reason.saves)} a month here.`,
        how: 'Every thing that lives elsewhere, or nowhere, was packed into this place with what lies here, and priced like a plan; the one that saves most is named.',
      };
    case 'settled':
      return {
        words: 'No single thing would save anything by leaving, or by coming here.',
        how: 'Each of its things in every other place, and every other thing here, were packed and priced like a plan.',
      };
  }
}

/** What a container, with all in it, would make of standing elsewhere. */
export function explainBinReason({ best }: BinReason, tree: PlaceTree): Said {
  const how =
    'Every other free compartment that it would stand in was tried with all that is in it, and priced like a plan, carrying it counted.';
  if (!best) return { words: 'No other compartment is free that it would stand in.', how };
  const minutes = formatMinutes(Math.abs(best.moreSeconds));
  const name = formatPlaceName(tree, best.slotId);
  return best.moreSeconds < 0
    ? { words: `It would save ${minutes} a month standing in ${name}, carrying it counted.`, how }
    : {
        words: `It stands where it serves best: in ${name}, the next best, it would cost ${minutes} a month more.`,
        how,
      };
}
