import type { Household } from '../../core/records/index.ts';
import { formatClothLength } from '../../core/units/index.ts';
import { wordClass, wordGroup } from './groups.ts';
import { wordForm } from './names.ts';
import type { Rest } from '../../core/suppose/index.ts';
import { t } from '../language/index.ts';

/** What is left after a cut, and whether it still deserves its board, class and group; empty where all stays as it was. */
export function wordRest(rest: Rest, household: Household): string {
  const { units, bounds } = household.settings;
  const said: string[] = [];
  if (rest.form)
    said.push(
      t('too little to be kept {before}; it is {now} now', {
        before: wordForm(rest.form.from),
        now: wordForm(rest.form.to),
      }),
    );
  if (rest.lengthClass)
    said.push(
      t('among {now} now, no longer {before}', {
        now: wordClass('lengthMm', rest.lengthClass.to, bounds, units),
        before: wordClass('lengthMm', rest.lengthClass.from, bounds, units),
      }),
    );
  if (rest.group) said.push(t('in the group {group}', { group: wordGroup(rest.group.to, household) }));
  if (rest.isStranger) said.push(t('with none of its kin at home: another home may suit it'));
  return said.length === 0
    ? ''
    : t('Leaves {clothLength}: {said}.', { clothLength: formatClothLength(rest.restMm, units), said: said.join('; ') });
}
