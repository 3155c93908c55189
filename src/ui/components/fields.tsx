import { Field, Input, Label, Select } from '@headlessui/react';
import {
  useState,
  type InputHTMLAttributes,
  type ReactNode,
  type SelectHTMLAttributes,
  type TextareaHTMLAttributes,
} from 'react';
import { explained } from './explained.ts';

const boxClass =
  'h-11 w-full rounded border border-stone/60 bg-white px-2 md:h-9 aria-invalid:border-madder aria-invalid:border-2';

/** A labelled input with its fault in words right under it. */
export function TextField({
  label,
  fault,
  hint,
  how,
  ...rest
}: InputHTMLAttributes<HTMLInputElement> & {
  label: string;
  fault?: string;
  hint?: string;
  /** How the figure in the hint was made. */
  how?: string;
  ref?: React.Ref<HTMLInputElement>;
}) {
  return (
    <Field className="min-w-0">
      <Label className="block text-sm text-stone">{label}</Label>
      <Input className={boxClass} aria-invalid={fault ? true : undefined} autoComplete="off" {...rest} />
      {fault ? (
        <p role="alert" className="mt-0.5 text-sm font-semibold text-madder">
          {fault}
        </p>
      ) : (
        hint && (
          <p className="mt-0.5 text-sm text-stone" {...(how ? explained(how) : {})}>
            {hint}
          </p>
        )
      )}
    </Field>
  );
}

export function SelectField({
  label,
  children,
  ...rest
}: SelectHTMLAttributes<HTMLSelectElement> & {
  label: string;
  children: ReactNode;
  ref?: React.Ref<HTMLSelectElement>;
}) {
  return (
    <Field className="min-w-0">
      <Label className="block text-sm text-stone">{label}</Label>
      <Select className={boxClass} {...rest}>
        {children}
      </Select>
    </Field>
  );
}

/** Several lines of text. */
export function AreaField({
  label,
  fault,
  hint,
  ...rest
}: TextareaHTMLAttributes<HTMLTextAreaElement> & {
  label: string;
  fault?: string;
  hint?: string;
  ref?: React.Ref<HTMLTextAreaElement>;
}) {
  return (
    <label className="block">
      <span className="block text-sm text-stone">{label}</span>
      <textarea
        rows={2}
        aria-invalid={fault ? true : undefined}
        className="w-full rounded border border-stone/60 bg-white px-2 py-1 aria-invalid:border-2 aria-invalid:border-madder"
        {...rest}
      />
      {fault ? (
        <span role="alert" className="block text-sm font-semibold text-madder">
          {fault}
        </span>
      ) : (
        hint && <span className="block text-sm text-stone">{hint}</span>
      )}
    </label>
  );
}

export function CheckField({
  label,
  ...rest
}: InputHTMLAttributes<HTMLInputElement> & { label: string; ref?: React.Ref<HTMLInputElement> }) {
  return (
    <label className="flex min-h-11 items-center gap-2 md:min-h-7">
      <input type="checkbox" className="size-4 accent-woad" {...rest} />
      {label}
    </label>
  );
}

/** A dotted row of a ticket: what it is, and how much; pressed, it says how that figure was made. */
export function Row({ name, how, children }: { name: string; how?: string; children: ReactNode }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <div className="dotted-row flex flex-wrap items-baseline justify-between gap-x-4 py-1.5">
      <dt className="shrink-0 text-stone">{name}</dt>
      <dd className="tabular min-w-0 flex-1 text-right font-semibold">
        {how === undefined ? (
          children
        ) : (
          <button
            type="button"
            {...explained(how)}
            aria-expanded={isOpen}
            className="text-right font-semibold underline decoration-stone/50 decoration-dotted underline-offset-4"
            onClick={() => setOpen(!isOpen)}
          >
            {children}
          </button>
        )}
      </dd>
      {isOpen && how !== undefined && <dd className="w-full pt-1 text-sm text-stone">{how}</dd>}
    </div>
  );
}
