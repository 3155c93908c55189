import type { Household } from '../../core/records/index.ts';
import { formatClothLength } from '../../core/units/index.ts';
import { wordClass, wordGroup } from './groups.ts';
import { wordForm } from './names.ts';
import type { Rest } from '../../core/suppose/index.ts';

/** What is left after a cut, and whether it still deserves its board, class and group; empty where all stays as it was. */
export function wordRest(rest: Rest, household: Household): string {
  const { units, bounds } = household.settings;
  const said: string[] = [];
  if (rest.form) said.push(`too little to be kept ${wordForm(rest.form.from)}; it is ${wordForm(rest.form.to)} now`);
  if (rest.lengthClass)
    said.push(
      `among ${wordClass('lengthMm', rest.lengthClass.to, bounds, units)} now, no longer ${wordClass('lengthMm', rest.lengthClass.from, bounds, units)}`,
    );
  if (rest.group) said.push(`in the group ${wordGroup(rest.group.to, household)}`);
  if (rest.isStranger) said.push('with none of its kin at home: another home may suit it');
  return said.length === 0 ? '' : `Leaves ${formatClothLength(rest.restMm, units)}: ${said.join('; ')}.`;
}
