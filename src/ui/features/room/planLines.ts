import { useMemo } from 'react';
import { computeLoads, findLoadFaults, type Finding, type Piece } from '../../../core/room/index.ts';
import type { Place, RoomSpec } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { useHousehold } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { wordFinding, wordLoadFinding } from '../../text/room.ts';

export const keyOf = (finding: Finding) => `${finding.code} ${finding.bodyId} ${finding.otherId ?? ''}`;

/** Something to look at: what stands in the way, or is too heavy. */
export interface Line {
  readonly key: string;
  readonly isFault: boolean;
  readonly bodyId: string;
  readonly words: string;
}

/** All there is to look at in a room, what cannot stay first. */
export function useLines(room: Place, spec: RoomSpec, pieces: readonly Piece[], findings: readonly Finding[]): Line[] {
  const household = useHousehold();
  const { units } = household.settings;
  const tree = getTree(household);
  const nameUnit = (id: string) => pieces.find((piece) => piece.id === id)?.name ?? id;
  // What is in the furniture does not change while it is moved.
  const heavy = useMemo(
    () => computeLoads(household, tree, room.id).flatMap((load) => findLoadFaults(household, tree, load)),
    [household, tree, room.id],
  );
  return [
    ...findings.map((finding) => ({
      key: keyOf(finding),
      isFault: finding.isFault,
      bodyId: finding.bodyId,
      words: wordFinding(finding, spec, nameUnit, units),
    })),
    ...heavy.map((finding) => ({
      key: `${finding.code} ${finding.placeId}`,
      isFault: finding.isFault,
      bodyId: finding.unitId,
      words: wordLoadFinding(finding, formatPlaceName(tree, finding.placeId), units),
    })),
  ].toSorted((a, b) => Number(b.isFault) - Number(a.isFault));
}
