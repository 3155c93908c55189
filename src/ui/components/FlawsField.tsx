import { AreaField } from './fields.tsx';

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
      label="Holes and stains, one a line"
      rows={3}
      maxLength={4000}
      value={value}
      fault={bad === null ? undefined : `“${bad}” does not read: write stain 4 × 6 at 30, 120.`}
      placeholder="stain 4 × 6 at 30, 120"
      hint={hint}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}
