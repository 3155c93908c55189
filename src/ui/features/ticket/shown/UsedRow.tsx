import { useMemo, useState } from 'react';
import { computeLearntUses } from '../../../../core/learning/index.ts';
import { getUses, type Household, type Item } from '../../../../core/records/index.ts';
import { Row } from '../../../components/fields.tsx';
import { useApp, world } from '../../../state/app.ts';

const round = (value: number) => Number(value.toPrecision(2)).toString();
const wordTimes = (perMonth: number) => (perMonth === 1 ? 'once a month' : `${round(perMonth)} times a month`);

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
    ? `You said ${round(item.usesPerMonth)} a month, which counts for 3 months; the daybook saw it used on ${round(learnt.uses)} days in ${round(learnt.months)} months of keeping it, the older counted for less: (3 × ${round(item.usesPerMonth)} + ${round(learnt.uses)}) ÷ (3 + ${round(learnt.months)}). Plans reckon with ${round(getUses(item))}.`
    : 'As its form says; the daybook has not seen it used yet.';
  return (
    <Row name="Used" how={how}>
      {wordTimes(isSeen ? learnt.perMonth : getUses(item))}
    </Row>
  );
}
