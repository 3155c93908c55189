import type { Group } from '../../core/grouping/index.ts';
import type { Household, ItemId, LotId, PlaceId } from '../../core/records/index.ts';
import { formatMinutes } from '../../core/units/index.ts';
import type { Oddity } from '../../workers/protocol.ts';
import { wordCount } from './grammar.ts';
import { wordGroup } from './groups.ts';
import { wordKeeper } from './keepers.ts';
import { joinNames } from './lists.ts';

export interface OddityNames {
  readonly household: Household;
  readonly groups: ReadonlyMap<string, Group>;
  readonly namePlace: (id: PlaceId) => string;
  /** A plan had its reasons; today just came about. */
  readonly isPlan: boolean;
}

const MOST_NAMED = 3;

function nameLots({ items, lots }: Household, ids: readonly LotId[]): string {
  const names = [...new Set(ids.flatMap((id) => items.get(lots.get(id)?.itemId ?? ('' as ItemId))?.name ?? []))];
  const rest = names.length - MOST_NAMED;
  return joinNames(rest > 0 ? [...names.slice(0, MOST_NAMED), wordCount(rest, 'other')] : names);
}

/** What is odd, and the cheapest way out as far as it was looked for. */
export function wordOddity(oddity: Oddity, names: OddityNames): { what: string; out: string } {
  const { household, groups, namePlace, isPlan } = names;
  const nameGroup = (id: string) => (groups.has(id) ? wordGroup(groups.get(id)!, household) : 'others');
  const wayOut = ({ out }: Extract<Oddity, { code: 'strangers' | 'scattered' }>, none: string) => {
    if (!out) return out === null ? none : '';
    const minutes = formatMinutes(Math.abs(out.moreSeconds));
    const change = out.moreSeconds < 0 ? `${minutes} a month less` : `${minutes} a month more`;
    return `All of ${nameGroup(out.groupId)} would go into ${namePlace(out.placeId)}: ${change}.`;
  };
  switch (oddity.code) {
    case 'strangers': {
      const { units } = household.settings;
      const kept = oddity.apart.map(({ groupId, keeper }) =>
        wordKeeper(keeper, units).replace('the small one', nameGroup(groupId)),
      );
      const apart = kept.length > 0 ? ` To keep them apart there: ${kept.join(', ')}.` : '';
      return {
        what: `${joinNames(oddity.groupIds.map(nameGroup))} share ${namePlace(oddity.placeId)}.`,
        out: wayOut(oddity, 'No other place takes the smallest of them whole.') + apart,
      };
    }
    case 'scattered':
      return {
        what: `${nameGroup(oddity.groupId)}: in ${oddity.units} pieces of furniture.`,
        out: wayOut(oddity, 'No place takes all of it.'),
      };
    case 'stuffed':
      return {
        what: `${namePlace(oddity.placeId)} is ${Math.round(100 * oddity.fill)} % full.`,
        out: 'The next thing that comes will not go in.',
      };
    case 'loose': {
      const [empty] = oddity.emptyIds;
      const far = isPlan ? ', but farther off or not as quick to open' : '';
      return {
        what: `${nameLots(household, oddity.lotIds)} lie loose on an open shelf.`,
        out: empty ? `${namePlace(empty)} is empty${far}.` : 'No drawer or bin is empty.',
      };
    }
    case 'homeless':
      return {
        what: `${nameLots(household, oddity.lotIds)} ${oddity.lotIds.length === 1 ? 'has' : 'have'} no home.`,
        out: 'Why, and what would help, is under “Without a home”.',
      };
    case 'table':
      return {
        what: `${nameLots(household, oddity.lotIds)} lie on a table.`,
        out: 'They are in the way whenever you work there.',
      };
  }
}
