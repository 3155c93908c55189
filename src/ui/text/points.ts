import type { Group } from '../../core/grouping/index.ts';
import type { Household, PlaceId } from '../../core/records/index.ts';
import { formatMinutes } from '../../core/units/index.ts';
import type { PlanPoint } from '../../workers/protocol.ts';
import { wordCount } from './grammar.ts';
import { wordGroup } from './groups.ts';

interface Names {
  readonly household: Household;
  readonly groups: ReadonlyMap<string, Group>;
  readonly namePlace: (id: PlaceId) => string;
  /** A plan had its reasons; today just came about. */
  readonly isPlan: boolean;
}

/** `Needles and Cotton`. */
function listNames(names: readonly string[]): string {
  return names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)!}`;
}

const MOST_NAMED = 3;

/** What a plan points at about itself: what it is, what it costs, and the cheapest way out. */
export function wordPoint(
  point: PlanPoint,
  { household, groups, namePlace, isPlan }: Names,
): { what: string; out: string } {
  const nameGroup = (id: string) => (groups.has(id) ? wordGroup(groups.get(id)!, household) : 'others');
  const nameLots = (ids: readonly string[]) => {
    const names = [...new Set(ids.map((id) => household.items.get(household.lots.get(id as never)!.itemId)!.name))];
    const rest = names.length - MOST_NAMED;
    return listNames(rest > 0 ? [...names.slice(0, MOST_NAMED), wordCount(rest, 'other')] : names);
  };
  const wayOut = (out: Extract<PlanPoint, { code: 'strangers' }>['out']) => {
    if (!out) return '';
    const minutes = formatMinutes(Math.abs(out.moreSeconds));
    const change = out.moreSeconds < 0 ? `${minutes} a month less` : `${minutes} a month more`;
    return `All of ${nameGroup(out.groupId)} would go into ${namePlace(out.placeId)}: ${change}.`;
  };
  switch (point.code) {
    case 'strangers':
      return {
        what: `${listNames(point.groupIds.map(nameGroup))} share ${namePlace(point.placeId)}.`,
        out: wayOut(point.out) || 'No other place takes one of them whole.',
      };
    case 'scattered':
      return {
        what: `${nameGroup(point.groupId)} is in ${point.units} pieces of furniture.`,
        out: wayOut(point.out) || 'No place takes all of it.',
      };
    case 'stuffed':
      return {
        what: `${namePlace(point.placeId)} is ${Math.round(100 * point.fill)} % full.`,
        out: 'The next thing that comes will not go in.',
      };
    case 'loose':
      return {
        what: `${nameLots(point.lotIds)} lie loose on an open shelf.`,
        out:
          point.emptyIds.length > 0
            ? `${namePlace(point.emptyIds[0]!)} is empty${isPlan ? ', but farther off or not as quick to open' : ''}.`
            : 'No drawer or bin is empty.',
      };
    case 'table':
      return { what: `${nameLots(point.lotIds)} lie on a table.`, out: 'They are in the way whenever you work there.' };
  }
}
