import type { Station } from '../../core/records/index.ts';
import { CheckField } from './fields.tsx';

interface StationChecksProps {
  readonly legend: string;
  readonly stations: readonly Station[];
  readonly ids: readonly string[];
  readonly onIds: (ids: string[]) => void;
}

/** Some of the stations, each ticked or not. */
export function StationChecks({ legend, stations, ids, onIds }: StationChecksProps) {
  return (
    <fieldset>
      <legend className="text-sm text-stone">{legend}</legend>
      {stations.map((one) => (
        <CheckField
          key={one.id}
          label={one.name}
          checked={ids.includes(one.id)}
          onChange={(event) => {
            const rest = ids.filter((id) => id !== one.id);
            onIds(event.target.checked ? [...rest, one.id] : rest);
          }}
        />
      ))}
    </fieldset>
  );
}
