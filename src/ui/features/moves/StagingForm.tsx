import { useState } from 'react';
import { createSaveSettings } from '../../../core/acts/index.ts';
import { getTableMm3 } from '../../../core/moves/index.ts';
import { USUAL_STAGING } from '../../../core/records/index.ts';
import { formatSize, formatVolume, parseLengthMm } from '../../../core/units/index.ts';
import { explained } from '../../components/explained.ts';
import { TextField } from '../../components/fields.tsx';
import { t } from '../../language/index.ts';
import { useHousehold } from '../../state/app.ts';
import { act } from '../../state/hands.ts';

/** How large the table is on which things wait while others are carried. */
export function StagingForm() {
  const household = useHousehold();
  const { settings } = household;
  const { units, staging = USUAL_STAGING } = settings;
  const [typed, setTyped] = useState<{ widthMm?: string; depthMm?: string }>({});
  const read = (text: string) => parseLengthMm(text, units === 'metric' ? 'cm' : 'in');
  const save = (field: 'widthMm' | 'depthMm') => {
    const text = typed[field];
    if (text === undefined) return;
    const parsed = read(text);
    if (!parsed.ok) return;
    const next = { ...staging, [field]: parsed.value };
    void act((now) => createSaveSettings(now, { ...now.settings, staging: next })).then(() => setTyped({}));
  };
  const fields = [
    ['widthMm', t('Long')],
    ['depthMm', t('Deep')],
  ] as const;
  return (
    <fieldset className="stitched-t mt-4 pt-3">
      <legend className="sr-only">{t('The table')}</legend>
      <p className="text-sm">
        {t('A table, bed or piece of floor to lay things on meanwhile; holds about')}{' '}
        <span
          {...explained(
            t('Its length and depth, piled up to 30 cm, three fifths of that: things lie with air between them.'),
          )}
        >
          {formatVolume(getTableMm3(settings), units)}
        </span>
        .
      </p>
      <div className="mt-1 grid grid-cols-2 gap-3">
        {fields.map(([field, label]) => {
          const text = typed[field] ?? formatSize(staging[field], units);
          const isWrong = typed[field] !== undefined && !read(text).ok;
          return (
            <TextField
              key={field}
              label={label}
              value={text}
              fault={isWrong ? t('A length, such as 120 cm.') : undefined}
              onChange={(event) => setTyped({ ...typed, [field]: event.target.value })}
              onBlur={() => save(field)}
              onKeyDown={(event) => {
                if (event.key === 'Enter') save(field);
              }}
            />
          );
        })}
      </div>
    </fieldset>
  );
}
