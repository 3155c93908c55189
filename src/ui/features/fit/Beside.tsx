import { useState } from 'react';
import { findBond } from '../../../core/acts/index.ts';
import { KINSHIPS, type Household, type Kinship } from '../../../core/records/index.ts';
import { explained } from '../../components/explained.ts';
import { wordGroup } from '../../text/index.ts';
import { HOW_KINSHIP, KINSHIP_WORDS } from '../../text/kinships.ts';
import type { Group } from '../../../core/grouping/index.ts';
import type { Disagreement } from './disagreement.ts';
import { t } from '../../language/index.ts';

interface BesideProps {
  readonly household: Household;
  readonly group: Group;
  readonly others: readonly { readonly group: Group; readonly kinship: Kinship }[];
  readonly disagree: Disagreement | null;
}

/** So many are named at once. */
const MOST_NAMED = 8;

/** With whom a group shares its places, and how they get on, which can be said otherwise. */
export function Beside({ household, group, others, disagree }: BesideProps) {
  const [asked, setAsked] = useState<string | null>(null);
  const [isAll, setAll] = useState(false);
  const more = isAll ? 0 : others.length - MOST_NAMED;
  if (others.length === 0) return null;
  const name = wordGroup(group, household);
  const sorted = others.toSorted((a, b) => KINSHIPS.indexOf(b.kinship) - KINSHIPS.indexOf(a.kinship));
  return (
    <>
      {t('With')}{' '}
      {sorted.slice(0, isAll ? undefined : MOST_NAMED).map(({ group: other, kinship }, i) => {
        const otherName = wordGroup(other, household);
        const said = `${otherName} (${KINSHIP_WORDS()[kinship]})`;
        return (
          <span key={other.id}>
            {i > 0 && ', '}
            {disagree ? (
              <button
                type="button"
                className="underline decoration-dotted underline-offset-2"
                aria-expanded={asked === other.id}
                aria-label={t('{name} and {other}: {kinship}. Say otherwise', {
                  name,
                  other: otherName,
                  kinship: KINSHIP_WORDS()[kinship],
                })}
                {...explained(HOW_KINSHIP())}
                onClick={() => setAsked(asked === other.id ? null : other.id)}
              >
                {said}
              </button>
            ) : (
              said
            )}
            {disagree && asked === other.id && (
              <select
                aria-label={t('How {name} and {otherName} get on', { name, otherName })}
                className="mx-1 h-11 rounded border border-thread bg-paper px-1 text-ink md:h-8"
                value={findBond(household, [group.id, other.id]) ?? ''}
                onChange={(event) => {
                  const chosen = event.target.value === '' ? null : (event.target.value as Kinship);
                  const words = chosen ? KINSHIP_WORDS()[chosen] : t('as the rules have it');
                  disagree.bind(
                    [group.id, other.id],
                    chosen,
                    t('{name} and {otherName}: {words}.', { name, otherName, words }),
                  );
                }}
              >
                <option value="">{t('as the rules have it')}</option>
                {KINSHIPS.map((one) => (
                  <option key={one} value={one}>
                    {KINSHIP_WORDS()[one]}
                  </option>
                ))}
              </select>
            )}
          </span>
        );
      })}
      {more > 0 && (
        <button
          type="button"
          className="underline decoration-dotted underline-offset-2"
          {...explained(t('Groups that share a place with it, the strangest first.'))}
          onClick={() => setAll(true)}
        >
          {' '}
          {t('and {more} more', { more })}
        </button>
      )}
      {asked === null && '.'}{' '}
    </>
  );
}
