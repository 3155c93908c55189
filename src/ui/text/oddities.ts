import type { Group } from '../../core/grouping/index.ts';
import type { Household, ItemId, LotId, PlaceId } from '../../core/records/index.ts';
import type { Oddity } from '../../workers/protocol.ts';
import { wordGroup } from './groups.ts';
import { wordKeeper } from './keepers.ts';
import { joinAnd } from './grammar.ts';
import { t } from '../language/index.ts';
import { wordChange } from './change.ts';

export interface OddityNames {
  readonly household: Household;
  readonly groups: ReadonlyMap<string, Group>;
  readonly namePlace: (id: PlaceId) => string;
  /** A plan had its reasons; today just came about. */
  readonly isPlan: boolean;
}

const MOST_NAMED = 3;

/** Lots by the names of what they are of, and how many names that is. */
function nameLots({ items, lots }: Household, ids: readonly LotId[]): { things: string; count: number } {
  const names = [...new Set(ids.flatMap((id) => items.get(lots.get(id)?.itemId ?? ('' as ItemId))?.name ?? []))];
  const rest = names.length - MOST_NAMED;
  const named =
    rest > 0 ? [...names.slice(0, MOST_NAMED), t('{n, plural, one {# other} other {# others}}', { n: rest })] : names;
  return { things: joinAnd(named), count: names.length };
}

/** What is odd, and the cheapest way out as far as it was looked for. */
export function wordOddity(oddity: Oddity, names: OddityNames): { what: string; out: string } {
  const { household, groups, namePlace, isPlan } = names;
  const nameGroup = (id: string) => (groups.has(id) ? wordGroup(groups.get(id)!, household) : t('others'));
  const wayOut = ({ out }: Extract<Oddity, { code: 'strangers' | 'scattered' }>, none: string) => {
    if (!out) return out === null ? none : '';
    return t('All of {group} would go into {place}: {change}.', {
      group: nameGroup(out.groupId),
      place: namePlace(out.placeId),
      change: wordChange(out.moreSeconds),
    });
  };
  switch (oddity.code) {
    case 'strangers': {
      const { units } = household.settings;
      const kept = oddity.apart.map(({ groupId, keeper }) => wordKeeper(keeper, units, nameGroup(groupId)));
      const apart = kept.length > 0 ? t(' To keep them apart there: {kept}.', { kept: kept.join(', ') }) : '';
      return {
        what: t('{groups} share {place}.', {
          groups: joinAnd(oddity.groupIds.map(nameGroup)),
          place: namePlace(oddity.placeId),
        }),
        out: wayOut(oddity, t('No other place takes the smallest of them whole.')) + apart,
      };
    }
    case 'scattered':
      return {
        what: t('{group}: in {units} pieces of furniture.', {
          group: nameGroup(oddity.groupId),
          units: oddity.units,
        }),
        out: wayOut(oddity, t('No place takes all of it.')),
      };
    case 'stuffed':
      return {
        what: t('{place} is {fill} % full.', {
          place: namePlace(oddity.placeId),
          fill: Math.round(100 * oddity.fill),
        }),
        out: t('The next thing that comes will not go in.'),
      };
    case 'loose': {
      const [empty] = oddity.emptyIds;
      const far = isPlan ? t(', but farther off or not as quick to open') : '';
      return {
        what: t(
          '{things} {count, plural, one {lies} other {lie}} loose on an open shelf.',
          nameLots(household, oddity.lotIds),
        ),
        out: empty ? t('{place} is empty{far}.', { place: namePlace(empty), far }) : t('No drawer or bin is empty.'),
      };
    }
    case 'homeless':
      return {
        what: t('{things} {count, plural, one {has} other {have}} no home.', nameLots(household, oddity.lotIds)),
        out: t('Why, and what would help, is under “Without a home”.'),
      };
    case 'table':
      return {
        what: t('{things} {count, plural, one {lies} other {lie}} on a table.', nameLots(household, oddity.lotIds)),
        out: t('That is in the way whenever you work there.'),
      };
  }
}
