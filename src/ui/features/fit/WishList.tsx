import { useMemo } from 'react';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { useChoices } from '../../state/choices.ts';
import { getTree } from '../../state/derived.ts';
import { useGroups } from '../../state/groups.ts';
import { wordBond, wordWish } from '../../text/wishes.ts';
import { createBond, createLiftWish, createRule } from '../../../core/acts/index.ts';
import { listRules, type RuleOffer } from '../../../core/learning/index.ts';
import type { Household } from '../../../core/records/index.ts';
import { perLanguage, t } from '../../language/index.ts';

const HOW_RULE = perLanguage(() =>
  t('Asked twice of the same piece of furniture, or of two groups of one kind in the same place.'),
);

interface AskedProps {
  readonly words: string;
  readonly onLift: () => void;
}

function Asked({ words, onLift }: AskedProps) {
  return (
    <li className="dotted-row flex items-baseline justify-between gap-2 py-1">
      <span data-name>{words}</span>
      <Button look="quiet" aria-label={t('Stop asking: {words}', { words })} onClick={onLift}>
        {t('Stop asking')}
      </Button>
    </li>
  );
}

/** What was refused more than once, offered as a rule. */
function Rule({ rule, household }: { rule: RuleOffer; household: Household }) {
  const turnDown = () =>
    useChoices.setState(({ turnedDown }) => ({
      turnedDown: [...turnedDown.filter((one) => one !== rule.key), rule.key],
    }));
  const words = wordWish({ id: 'offered', ...rule.wish }, household, getTree(household), useGroups(household));
  return (
    <li className="mt-2 border-l-4 border-weld bg-linen px-3 py-1.5" {...explained(HOW_RULE())}>
      {t('Always so? {words}', { words })}
      <div className="flex gap-2">
        <Button
          look="quiet"
          aria-label={t('Make it a rule: {words}', { words })}
          onClick={() =>
            void act(
              (now) => createRule(now, { id: world.createId(), ...rule.wish }, rule.insteadOf),
              t('Asked of every plan: {words}', { words }),
            )
          }
        >
          {t('Make it a rule')}
        </Button>
        <Button look="quiet" aria-label={t('No rule: {words}', { words })} onClick={turnDown}>
          {t('No, only those')}
        </Button>
      </div>
    </li>
  );
}

/** What was asked so often that it may be a rule. */
export function Rules() {
  const household = useHousehold();
  const turnedDown = useChoices((state) => state.turnedDown);
  const [tree, groups] = [getTree(household), useGroups(household)];
  const rules = useMemo(
    () => listRules(household, tree, groups).filter(({ key }) => !turnedDown.includes(key)),
    [household, tree, groups, turnedDown],
  );
  return (
    <ul>
      {rules.map((rule) => (
        <Rule key={rule.key} rule={rule} household={household} />
      ))}
    </ul>
  );
}

/** What is asked of every plan, each to be lifted. */
export function WishList() {
  const household = useHousehold();
  const { wishes = [], bonds = [] } = household.settings;
  const [tree, groups] = [getTree(household), useGroups(household)];
  return (
    <section aria-label={t('What you asked')} className="stitched-t mt-4 pt-3">
      <h3 className="font-bold">{t('What you asked')}</h3>
      {wishes.length + bonds.length === 0 && (
        <p className="text-sm text-stone">
          {t(
            'Nothing yet. From the ticket of a thing or place you can ask that it stays, or is kept free; with several things ticked in the table, that they are kept together or apart.',
          )}
        </p>
      )}
      <ul>
        {wishes.map((wish) => {
          const words = wordWish(wish, household, tree, groups);
          const lift = () => void act((now) => createLiftWish(now, wish.id), t('No longer asked: {words}', { words }));
          return <Asked key={wish.id} words={words} onLift={lift} />;
        })}
        {bonds.map((bond) => {
          const words = wordBond(bond, household, groups);
          const [a, b] = bond.groupIds as [string, string];
          const lift = () => void act((now) => createBond(now, [a, b], null), t('No longer asked: {words}', { words }));
          return words && <Asked key={`${a} ${b}`} words={words} onLift={lift} />;
        })}
      </ul>
    </section>
  );
}
