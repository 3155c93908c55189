import { useMemo } from 'react';
import { createCutUp, type CutUp } from '../../../core/acts/index.ts';
import { computeGroups } from '../../../core/grouping/index.ts';
import type { Household, Lot, PlaceId } from '../../../core/records/index.ts';
import { withAct } from '../../../core/suppose/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { formatSize } from '../../../core/units/index.ts';
import { world } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { wordGroup } from '../../text/index.ts';
import { t } from '../../language/index.ts';

interface Line {
  readonly size: string;
  readonly group: string;
  readonly homeId: PlaceId | null;
}

/** The place where most of some lots belong. */
function findHome(lots: readonly Lot[]): PlaceId | null {
  const counts = new Map<PlaceId, number>();
  for (const { homeId } of lots) if (homeId) counts.set(homeId, (counts.get(homeId) ?? 0) + 1);
  return [...counts].toSorted(([, a], [, b]) => b - a)[0]?.[0] ?? null;
}

/** Where the pieces will belong, as the sewist sorts scraps: tried out, and nothing of it kept. */
function listGoesTo(household: Household, lot: Lot, areaMm2: number, made: readonly CutUp[]): Line[] {
  const tried = createCutUp(household, lot.id, areaMm2, made, null, world.nowMs());
  const next = withAct(household, tried);
  if (!next || !tried.ok) return [];
  const touched = new Set(tried.value.changes.filter(({ table }) => table === 'lots').map(({ id }) => id));
  const groups = computeGroups(next);
  return made.flatMap(({ cut, cutMm }) => {
    const own = [...next.lots.values()].find((one) => {
      const scrap = next.items.get(one.itemId)?.scrap;
      return touched.has(one.id) && scrap?.cut === cut && scrap.cutMm === cutMm;
    });
    const group = own && groups.find((one) => one.lots.some(({ id }) => id === own.id));
    if (!group) return [];
    const homeId = own.homeId ?? findHome(group.lots);
    return [{ size: `${formatSize(cutMm, household.settings.units)} ${cut}s`, group: wordGroup(group, next), homeId }];
  });
}

/** Where what was cut goes: its group by the sewist's own school, and that group's place. */
export function GoesTo({
  household,
  lot,
  areaMm2,
  made,
}: {
  household: Household;
  lot: Lot;
  areaMm2: number;
  made: readonly CutUp[];
}) {
  const lines = useMemo(() => listGoesTo(household, lot, areaMm2, made), [household, lot, areaMm2, made]);
  const tree = getTree(household);
  return (
    <ul aria-label={t('Where they go')} className="mt-1 text-sm">
      {lines.map(({ size, group, homeId }) => (
        <li key={size} data-name>
          {size} → {group}
          {homeId && tree.places.has(homeId)
            ? t(', in {placeName}', { placeName: formatPlaceName(tree, homeId) })
            : t(', which has no place yet')}
        </li>
      ))}
    </ul>
  );
}
