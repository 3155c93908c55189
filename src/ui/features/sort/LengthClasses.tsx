import { useState } from 'react';
import type { Settings } from '../../../core/records/index.ts';
import { createSaveSettings } from '../../../core/tracking/index.ts';
import { formatClothLength, parseLengthMm } from '../../../core/units/index.ts';
import { useApp, useHousehold } from '../../state/app.ts';
import { wordAmountFault } from '../../text/index.ts';

type Boundary = 'remnantBelowMm' | 'garmentFromMm';

/** The two boundaries of the length classes, typed in any unit. */
export function LengthClasses() {
  return (
    <>
      <BoundaryField name="remnantBelowMm" label="remnants below" />
      <BoundaryField name="garmentFromMm" label="garment lengths from" />
    </>
  );
}

function BoundaryField({ name, label }: { name: Boundary; label: string }) {
  const { settings } = useHousehold();
  const act = useApp((state) => state.act);
  const tell = useApp((state) => state.tell);
  const [text, setText] = useState<string | null>(null);

  const save = () => {
    if (text === null) return;
    const parsed = parseLengthMm(text, settings.units === 'metric' ? 'm' : 'yd');
    setText(null);
    if (!parsed.ok) {
      tell({ tone: 'fault', text: wordAmountFault(parsed.fault, '90 cm'), canUndo: false });
      return;
    }
    const next: Settings = { ...settings, [name]: parsed.value };
    if (!(next.remnantBelowMm > 0) || next.remnantBelowMm >= next.garmentFromMm) {
      tell({ tone: 'fault', text: 'Remnants must end below where garment lengths begin.', canUndo: false });
      return;
    }
    void act((now) => createSaveSettings(now, { ...now.settings, [name]: parsed.value }));
  };
  return (
    <label className="flex items-center gap-1.5 text-sm text-stone">
      {label}
      <input
        className="h-11 w-22 rounded border border-thread bg-paper px-2 text-ink md:h-8"
        value={text ?? formatClothLength(settings[name], settings.units)}
        onChange={(event) => setText(event.target.value)}
        onBlur={save}
        onKeyDown={(event) => {
          if (event.key === 'Enter') save();
          if (event.key === 'Escape') setText(null);
        }}
      />
    </label>
  );
}
