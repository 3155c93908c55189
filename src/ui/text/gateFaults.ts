import type { EditConflict, GateFault } from '../../core/daybook/index.ts';
import type { Household } from '../../core/records/index.ts';
import { perLanguage, t } from '../language/index.ts';
import { wordField, wordRecordFault } from './recordFaults.ts';

const RULES = perLanguage((): Record<Extract<GateFault, { code: 'invariant' }>['rule'], string> => ({
  dangling: t('something else still stands on what would go'),
  'not-a-leaf': t('something would lie where nothing can be put'),
  tree: t('a place would stand in no room'),
  'container-does-not-fit': t('a bin would not fit where it stands'),
  'hook-does-not-hold': t('a hook would not hold where it is'),
  'no-station': t('things would be used at a station that is gone'),
  'gone-but-placed': t('something that is gone would lie somewhere'),
  'over-reserved': t('more would be promised than there is'),
  wrapped: t('something would be wrapped in what is not there'),
  'code-twice': t('two labels would have one code'),
  'bag-twice': t('two projects would lie in one bag'),
  chore: t('something that is to be done again and again has no days and no hours, or no name'),
  'project-over': t('something would be promised to a project that is over'),
}));

function wordOne(fault: GateFault, { items, lots, places, settings }: Household): string {
  if (fault.code === 'conflict') return t('It was changed meanwhile, in another window perhaps; look at it again.');
  if (fault.code === 'record') return wordRecordFault(fault, settings.units);
  if (fault.code === 'daybook') return t('It does not go with what the daybook tells.');
  const [table, id = ''] = fault.path.split('.');
  const itemId = table === 'lots' ? lots.get(id as never)?.itemId : id;
  const name = table === 'places' ? places.get(id as never)?.name : items.get(itemId as never)?.name;
  return `${name ? `${name}: ` : ''}${RULES()[fault.rule]}.`;
}

/** Why the gate did not let something through: three reasons, and how many more. Nothing was changed. */
export function wordGateFaults(faults: readonly GateFault[], household: Household): string {
  const words = [...new Set(faults.map((fault) => wordOne(fault, household)))];
  const more =
    words.length > 3
      ? t(' And {words, plural, one {# more reason} other {# more reasons}}.', { words: words.length - 3 })
      : '';
  return t('{words}{more} Nothing was changed.', { words: words.slice(0, 3).join(' '), more });
}

/** What a form and something else both changed. */
export function wordConflicts(conflicts: readonly EditConflict[]): string {
  const fields = [...new Set(conflicts.map(({ field }) => wordField(field)))];
  const named = fields.slice(0, 3).join(', ');
  return t(
    fields.length > 3 ? '{fields} and more changed meanwhile, elsewhere.' : '{fields} changed meanwhile, elsewhere.',
    { fields: named },
  );
}
