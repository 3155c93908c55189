import { formatPlaceName, type PlaceTree } from '../../core/storage/index.ts';

/** Every place that takes things, to choose among. */
export function PlaceOptions({ tree }: { tree: PlaceTree }) {
  return tree.leaves.map(({ id }) => (
    <option key={id} value={id}>
      {formatPlaceName(tree, id)}
    </option>
  ));
}
