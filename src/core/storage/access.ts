import type { Place, Settings } from '../records/index.ts';
import type { PlaceTraits } from './space.ts';
import { countBefore } from './stand.ts';
import { getAncestor, type PlaceTree } from './tree.ts';

/** Seconds to get at what is in a place and back, once one stands before it: posture, opening, bins out and back, lid. */
export function computeAccessSeconds(tree: PlaceTree, place: Place, traits: PlaceTraits, settings: Settings): number {
  const { estimates } = settings;
  const posture = {
    kneel: estimates.kneelSeconds,
    bend: estimates.bendSeconds,
    easy: 0,
    stretch: estimates.stretchSeconds,
    stool: estimates.stoolSeconds,
  }[traits.reach];
  const opening = { open: 0, door: estimates.doorSeconds, drawer: estimates.drawerSeconds, lid: estimates.lidSeconds }[
    getAncestor(tree, place.id, 'slot')?.slot?.opening ?? 'open'
  ];
  const box = place.container;
  if (!box) return posture + opening;
  const bins = tree.getChildren(place.parentId!);
  const isFromBothSides = getAncestor(tree, place.id, 'unit')?.unit?.access === 'around';
  const before = countBefore(
    bins.map((bin) => bin.container!),
    bins.indexOf(place),
    isFromBothSides,
  );
  // Each bin before it or on it is taken out and put back too.
  return posture + opening + (1 + before) * estimates.pullBinSeconds + (box.hasLid ? estimates.lidSeconds : 0);
}
