import { useMemo } from 'react';
import type { Item, Lot } from '../../../../core/records/index.ts';
import { computeCutShare } from '../../../../core/projects/index.ts';
import { USUAL_SIZES } from '../../../../core/scraps/index.ts';
import { formatSize } from '../../../../core/units/index.ts';
import { Row } from '../../../components/fields.tsx';
import { useApp, useHousehold } from '../../../state/app.ts';
import { t } from '../../../language/index.ts';

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
      name={t('Would give')}
      how={t(
        'Of the area of odd scraps {share} % becomes squares and strips: as your own cutting has given, and half where it has not said much yet.',
        { share: Math.round(100 * share) },
      )}
    >
      {t('about {count} squares of {size}', { count, size: formatSize(least.sideMm, units) })}
    </Row>
  );
}
