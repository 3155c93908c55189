import { useState, type ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { formatSize, parseLengthMm } from '../../../core/units/index.ts';
import { TextField } from '../../components/fields.tsx';
import { useHousehold } from '../../state/app.ts';
import { wordAmountFault } from '../../text/index.ts';
import { t } from '../../language/index.ts';

interface Asked {
  readonly label: string;
  readonly usualMm: number;
}

/** Fields of a sum, by their names: each a length, as usual until something is typed. */
export function useLengths<K extends string>(asked: Readonly<Record<K, Asked>>) {
  const { units } = useHousehold().settings;
  const [params, setParams] = useSearchParams();
  const [typed, setTyped] = useState<Partial<Record<K, string>>>({});
  const names = Object.keys(asked) as K[];
  const read = names.map((name) => {
    const text = typed[name] ?? params.get(name) ?? formatSize(asked[name].usualMm, units);
    const parsed = parseLengthMm(text, units === 'metric' ? 'cm' : 'in');
    const fault = !parsed.ok
      ? wordAmountFault(parsed.fault, formatSize(asked[name].usualMm, units))
      : parsed.value <= 0
        ? t('It must be more than nothing.')
        : parsed.value > 1e6
          ? t('That is longer than any cloth.')
          : undefined;
    return { name, text, mm: parsed.ok && fault === undefined ? parsed.value : null, fault };
  });
  const fields = (
    <div className="grid grid-cols-2 gap-3">
      {read.map(({ name, text, fault }) => (
        <TextField
          key={name}
          label={asked[name].label}
          value={text}
          fault={fault}
          onChange={({ target }) => setTyped({ ...typed, [name]: target.value })}
          onBlur={() =>
            setParams(
              (now) => {
                const next = new URLSearchParams(now);
                next.set(name, text);
                return next;
              },
              { replace: true },
            )
          }
        />
      ))}
    </div>
  );
  const isGood = read.every(({ mm }) => mm !== null);
  const values = isGood ? (Object.fromEntries(read.map(({ name, mm }) => [name, mm])) as Record<K, number>) : null;
  return { fields, values, units };
}

/** A sum: its fields, and what comes of them. */
export function Sum({ title, fields, children }: { title: string; fields: ReactNode; children: ReactNode }) {
  return (
    <section aria-label={title} className="stitched-t pt-2">
      <h2 className="mb-1 font-display text-lg font-semibold">{title}</h2>
      {fields}
      {children}
    </section>
  );
}
