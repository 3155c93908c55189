import { useMemo } from 'react';
import type { Item, Lot } from '../../../../core/records/index.ts';
import { computeCutShare } from '../../../../core/projects/index.ts';
import { USUAL_SIZES } from '../../../../core/scraps/index.ts';
import { formatSize } from '../../../../core/units/index.ts';
import { Row } from '../../../components/fields.tsx';
import { useApp, useHousehold } from '../../../state/app.ts';

/** Of odd scraps: about how many squares of the least size they would give, by what one's own cutting has given. */
export function GivesRow({ item, lot }: { item: Item; lot: Lot }) {
  const household = useHousehold();
  const events = useApp((state) => state.events);
  const { units, scrapSizes } = household.settings;
  const share = useMemo(() => computeCutShare(events, household), [events, household]);
  const squares = (scrapSizes ?? USUAL_SIZES).filter(({ kind }) => kind === 'square');
  const [least] = squares.toSorted((a, b) => a.sideMm - b.sideMm);
  if (item.scrap?.cut !== 'odd' || !least || !lot.areaMm2) return null;
  const count = Math.floor((lot.areaMm2 * share) / least.sideMm ** 2);
  return (
    <Row
      name="Would give"
      how={`Of the area of odd scraps ${Math.round(100 * share)} % becomes squares and strips: as your own cutting has given, and half where it has not said much yet.`}
    >
      about {count} squares of {formatSize(least.sideMm, units)}
    </Row>
  );
}
