import { useMemo } from 'react';
import { listNearer } from '../../../core/learning/index.ts';
import { getUses, type Plan } from '../../../core/records/index.ts';
import { LotLine } from '../../components/LotLine.tsx';
import { explained } from '../../components/explained.ts';
import { useHousehold } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { formatUses } from '../../text/index.ts';
import { t } from '../../language/index.ts';

const LISTED = 20;

/** Things that are used more than was said, and come nearer in this plan. */
export function NearerList({ plan }: { plan: Plan }) {
  const household = useHousehold();
  const near = useMemo(() => listNearer(household, getTree(household), plan), [household, plan]);
  if (near.length === 0) return null;
  return (
    <details className="mt-3 border-l-4 border-moss bg-linen px-3 py-1">
      <summary
        className="min-h-9 cursor-pointer py-1"
        {...explained(
          t(
            'Things that the daybook shows to be used at least a fifth more than you said, and whose way from their station, with the bending, is shorter in this plan.',
          ),
        )}
      >
        {t(
          '{near, plural, one {# thing that you use more than you said comes} other {# things that you use more than you said come}} nearer',
          { near: near.length },
        )}
      </summary>
      <ul>
        {near.slice(0, LISTED).map(({ lot, item }) => (
          <LotLine
            key={lot.id}
            id={lot.id}
            item={item}
            how={t('What was said, and what was learnt with the daybook; a month.')}
          >
            {t('{usesPerMonth} → {uses} a month', {
              usesPerMonth: formatUses(item.usesPerMonth),
              uses: formatUses(getUses(item)),
            })}
          </LotLine>
        ))}
      </ul>
      {near.length > LISTED && <p className="text-stone">{t('and more.')}</p>}
    </details>
  );
}
