import { useState } from 'react';
import type { UnitSpec } from '../../../core/records/index.ts';
import { formatSize, parseLengthMm, type UnitSystem } from '../../../core/units/index.ts';
import { TextField } from '../../components/fields.tsx';
import { wordAmountFault } from '../../text/index.ts';
import { toOuter, type InnerSide } from './unitFields.ts';
import { perLanguage, t } from '../../language/index.ts';

const SIDES = perLanguage((): readonly (readonly [InnerSide, string])[] => [
  ['width', t('Wide inside')],
  ['height', t('High inside')],
  ['depth', t('Deep inside')],
]);

interface InnerMeasuresProps {
  readonly unit: UnitSpec;
  readonly units: UnitSystem;
  /** The outer measure that follows, as it would be typed. */
  readonly onOuter: (side: InnerSide, text: string) => void;
}

/** For one who measured inside a compartment: the outer measures follow from the boards. */
export function InnerMeasures({ unit, units, onOuter }: InnerMeasuresProps) {
  const [typed, setTyped] = useState<Partial<Record<InnerSide, string>>>({});
  const isMetric = units === 'metric';
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2 text-woad md:min-h-0">{t('I measured inside')}</summary>
      <div className="grid grid-cols-2 items-start gap-3">
        {SIDES().map(([side, label]) => {
          const text = typed[side];
          const parsed = text === undefined || text === '' ? null : parseLengthMm(text, isMetric ? 'cm' : 'in');
          return (
            <TextField
              key={side}
              label={label}
              hint={side === 'depth' ? undefined : t('Of each compartment')}
              fault={
                parsed && !parsed.ok ? wordAmountFault(parsed.fault, isMetric ? t('33 cm') : t('13 in')) : undefined
              }
              value={text ?? ''}
              onChange={({ target }) => {
                setTyped({ ...typed, [side]: target.value });
                const read = parseLengthMm(target.value, isMetric ? 'cm' : 'in');
                if (read.ok && read.value > 0) onOuter(side, formatSize(toOuter(unit, side, read.value), units));
              }}
            />
          );
        })}
      </div>
    </details>
  );
}
