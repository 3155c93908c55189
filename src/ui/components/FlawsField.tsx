import { AreaField } from './fields.tsx';
import { t } from '../language/index.ts';

interface FlawsFieldProps {
  readonly value: string;
  /** The first line that does not read. */
  readonly bad: string | null;
  readonly hint: string;
  readonly onChange: (text: string) => void;
}

/** Holes and stains in words, one a line. */
export function FlawsField({ value, bad, hint, onChange }: FlawsFieldProps) {
  return (
    <AreaField
      label={t('Holes and stains, one a line')}
      rows={3}
      maxLength={4000}
      value={value}
      fault={bad === null ? undefined : t('“{bad}” does not read: write stain 4 × 6 at 30, 120.', { bad })}
      placeholder={t('stain 4 × 6 at 30, 120')}
      hint={hint}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}
