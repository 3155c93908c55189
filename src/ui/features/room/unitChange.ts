import type { Place, UnitSpec } from '../../../core/records/index.ts';
import {
  applyUnitSpec,
  checkContainers,
  checkUnitOnWall,
  type PlaceTree,
  type WallLine,
  PARTS,
} from '../../../core/storage/index.ts';
import { formatSizes, type UnitSystem } from '../../../core/units/index.ts';
import { world } from '../../state/app.ts';
import { wordContainerFault, wordUnitFault } from '../../text/roomFaults.ts';

/** What saving the form of a piece would do, worked out while one types. */
export interface UnitChange {
  readonly unit: Place;
  readonly saved: readonly Place[];
  readonly removed: readonly Place[];
}

interface Typed {
  /** The piece as typed. */
  readonly unit: Place;
  /** As it was; null where it is new. */
  readonly old: Place | null;
  /** What it is built like, and its compartments as they are. */
  readonly from: UnitSpec | null;
  readonly present: readonly Place[];
  readonly partId: string;
}

/** The places that a piece gets by what is typed, and the first thing that stands in the way of it. */
export function computeUnitChange(
  { unit, old, from, present, partId }: Typed,
  tree: PlaceTree,
  wall: WallLine,
  units: UnitSystem,
): { readonly change: UnitChange | null; readonly problem: string | null; readonly inside: string | null } {
  const no = (problem: string) => ({ change: null, problem, inside: null });
  const layout = applyUnitSpec(unit.id, from, unit.unit!, present, world.createId);
  if (!layout.ok) return no(wordUnitFault(layout.fault, units));
  const standing = checkUnitOnWall(unit.unit!, wall);
  if (standing) return no(wordUnitFault(standing, units));
  const tight = layout.kept.flatMap((slot) => {
    const bins = tree.getChildren(slot.id);
    const fault = checkContainers(
      slot.slot!,
      bins.flatMap((bin) => bin.container ?? []),
    );
    const names = bins.map((bin) => bin.name);
    return fault ? [wordContainerFault(fault, names, slot.name, units)] : [];
  });
  const first = layout.kept[0]?.slot;
  const removed = layout.removed.flatMap((slot) => [...tree.getChildren(slot.id), slot]);
  // A new piece has the places of its part; those that are there keep what was set on them.
  const special = old ? {} : (PARTS.find((one) => one.id === partId)?.slots ?? {});
  const slots = layout.kept.map((place) => ({ ...place, slot: { ...place.slot!, ...special } }));
  return {
    change: { unit, saved: [unit, ...slots], removed },
    problem: tight[0] ?? null,
    inside: first ? formatSizes([first.widthMm, first.depthMm, first.heightMm], units) : null,
  };
}
