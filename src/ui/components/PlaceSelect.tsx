import { useState } from 'react';
import { flushSync } from 'react-dom';
import type { PlaceId } from '../../core/records/index.ts';
import { formatPlaceName, type PlaceTree } from '../../core/storage/index.ts';

/** So many choices are there from the start: laying thousands out takes the browser a while. */
const FEW = 400;

interface PlaceSelectProps {
  readonly tree: PlaceTree;
  readonly label: string;
  /** What stands there when none is chosen. */
  readonly none: string;
  readonly value: PlaceId | null;
  readonly onChoose: (id: PlaceId | null) => void;
  readonly className: string;
}

/** Every place that takes things, to choose among; very many of them are listed when one goes to choose. */
export function PlaceSelect({ tree, label, none, value, onChoose, className }: PlaceSelectProps) {
  const [isWanted, setWanted] = useState(false);
  const listed =
    isWanted || tree.leaves.length <= FEW ? tree.leaves : tree.leaves.filter((place) => place.id === value);
  // The browser opens its list right after this.
  const list = () => flushSync(() => setWanted(true));
  return (
    <select
      aria-label={label}
      className={className}
      value={value ?? ''}
      onPointerDown={list}
      onKeyDown={list}
      onFocus={() => setWanted(true)}
      onChange={({ target }) => onChoose(target.value === '' ? null : (target.value as PlaceId))}
    >
      <option value="">{none}</option>
      {listed.map(({ id }) => (
        <option key={id} value={id}>
          {formatPlaceName(tree, id)}
        </option>
      ))}
    </select>
  );
}
