import { useMemo, useState } from 'react';
import { computeLearntUses } from '../../../../core/learning/index.ts';
import { getUses, type Household, type Item } from '../../../../core/records/index.ts';
import { Row } from '../../../components/fields.tsx';
import { useApp, world } from '../../../state/app.ts';
import { formatUses } from '../../../text/index.ts';
import { t } from '../../../language/index.ts';

const wordTimes = (perMonth: number) =>
  perMonth === 1 ? t('once a month') : t('{perMonth} times a month', { perMonth: formatUses(perMonth) });

/** How often a thing is used: what was said and what the daybook has seen, and how they go together. */
export function UsedRow({ household, item }: { household: Household; item: Item }) {
  const events = useApp((state) => state.events);
  const [nowMs] = useState(() => world.nowMs());
  const learnt = useMemo(
    () => computeLearntUses(events, household, nowMs, new Map([[item.id, item]])).get(item.id),
    [events, household, nowMs, item],
  );
  const isSeen = learnt !== undefined && learnt.months > 0;
  const how = isSeen
    ? t(
        'You said {said} a month, which counts for 3 months; the daybook saw it used on {uses} days in {months} months of keeping it, the older counted for less: (3 × {said} + {uses}) ÷ (3 + {months}). Plans reckon with {all}.',
        {
          said: formatUses(item.usesPerMonth),
          uses: formatUses(learnt.uses),
          months: formatUses(learnt.months),
          all: formatUses(getUses(item)),
        },
      )
    : t('As its form says; the daybook has not seen it used yet.');
  return (
    <Row name={t('Used')} how={how}>
      {wordTimes(isSeen ? learnt.perMonth : getUses(item))}
    </Row>
  );
}
