import { Field, Input, Label, Select } from '@headlessui/react';
import {
  useState,
  type FormEvent,
  type InputHTMLAttributes,
  type ReactNode,
  type SelectHTMLAttributes,
  type TextareaHTMLAttributes,
} from 'react';
import { getTextLimit } from '../../core/records/index.ts';
import { explained } from './explained.ts';
import { t } from '../language/index.ts';

const boxClass =
  'h-11 w-full rounded border border-stone/60 bg-field px-2 md:h-9 aria-invalid:border-madder aria-invalid:border-2';

/** What is read as an amount or a list of words is never longer. */
const USUAL_LIMIT = 400;
/** From this share of what it takes on, a field says how many letters are left. */
const CLOSE = 0.8;

/** How much a field takes, by the class of the record that it goes into, and how much of it is left. */
function useLimit(of: string | undefined, own: number | undefined) {
  const limit = own ?? (of === undefined ? USUAL_LIMIT : getTextLimit(of));
  const [length, setLength] = useState(0);
  const left = limit - length;
  return {
    maxLength: limit,
    onInput: (event: FormEvent<HTMLInputElement | HTMLTextAreaElement>) => setLength(event.currentTarget.value.length),
    told: length >= CLOSE * limit && length > 0 ? <LettersLeft left={left} /> : null,
  };
}

function LettersLeft({ left }: { left: number }) {
  return (
    <p
      role="status"
      className="mt-0.5 text-sm text-stone"
      {...explained(t('What this field takes at most, less the letters that stand in it.'))}
    >
      {t('{left, plural, one {# letter} other {# letters}} left', { left })}
    </p>
  );
}

/** A labelled input with its fault in words right under it. `of`: the field of a record that it goes into. */
export function TextField({
  label,
  fault,
  hint,
  how,
  of,
  maxLength,
  ...rest
}: InputHTMLAttributes<HTMLInputElement> & {
  label: string;
  of?: string;
  fault?: string;
  hint?: string;
  /** How the figure in the hint was made. */
  how?: string;
  ref?: React.Ref<HTMLInputElement>;
}) {
  const { told, ...limits } = useLimit(of, maxLength);
  return (
    <Field className="min-w-0">
      <Label className="block text-sm text-stone">{label}</Label>
      <Input className={boxClass} aria-invalid={fault ? true : undefined} autoComplete="off" {...limits} {...rest} />
      {told}
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
  of,
  maxLength,
  ...rest
}: TextareaHTMLAttributes<HTMLTextAreaElement> & {
  label: string;
  of?: string;
  fault?: string;
  hint?: string;
  ref?: React.Ref<HTMLTextAreaElement>;
}) {
  const { told, ...limits } = useLimit(of, maxLength);
  return (
    <label className="block">
      <span className="block text-sm text-stone">{label}</span>
      <textarea
        rows={2}
        aria-invalid={fault ? true : undefined}
        className="w-full rounded border border-stone/60 bg-field px-2 py-1 aria-invalid:border-2 aria-invalid:border-madder"
        {...limits}
        {...rest}
      />
      {told}
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
export function Row({
  name,
  how,
  isWide = false,
  children,
}: {
  name: string;
  how?: string;
  /** Among facts in two columns it takes both. */
  isWide?: boolean;
  children: ReactNode;
}) {
  const [isOpen, setOpen] = useState(false);
  return (
    <div
      className={`dotted-row flex flex-wrap items-baseline justify-between gap-x-4 py-1.5 ${isWide ? 'is-wide' : ''}`}
    >
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
