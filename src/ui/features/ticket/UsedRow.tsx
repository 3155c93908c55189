import { useState } from 'react';
import { computeLearntUses } from '../../../core/learning/index.ts';
import { getUses, type DaybookEvent, type Household, type Item } from '../../../core/records/index.ts';
import { Row } from '../../components/fields.tsx';
import { useApp, world } from '../../state/app.ts';

type Learnt = ReturnType<typeof computeLearntUses>;
const known = new WeakMap<readonly DaybookEvent[], Learnt>();

/** Learnt once for each state of the daybook. */
function getLearnt(events: readonly DaybookEvent[], household: Household, nowMs: number): Learnt {
  const hit = known.get(events);
  if (hit) return hit;
  const learnt = computeLearntUses(events, household, nowMs);
  known.set(events, learnt);
  return learnt;
}

const round = (value: number) => Number(value.toPrecision(2)).toString();
const wordTimes = (perMonth: number) => (perMonth === 1 ? 'once a month' : `${round(perMonth)} times a month`);

/** How often a thing is used: what was said and what the daybook has seen, and how they go together. */
export function UsedRow({ household, item }: { household: Household; item: Item }) {
  const events = useApp((state) => state.events);
  const [nowMs] = useState(() => world.nowMs());
  const learnt = getLearnt(events, household, nowMs).get(item.id);
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
