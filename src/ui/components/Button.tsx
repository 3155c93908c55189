import type { ButtonHTMLAttributes } from 'react';

const LOOK = {
  strong: 'bg-ink text-paper hover:bg-woad disabled:bg-stone',
  plain: 'border border-ink bg-paper text-ink hover:bg-linen disabled:border-thread disabled:text-stone',
  quiet: 'text-woad underline underline-offset-4 hover:text-ink disabled:text-stone',
} as const;

/** A link in a line of text or beside a title. */
export const linkClass = 'font-semibold text-woad underline underline-offset-4';

/** One large target with a plain word on it; on paper only where its word is what is told. */
export function Button({
  look = 'plain',
  className = '',
  type = 'button',
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { look?: keyof typeof LOOK }) {
  const size = look === 'quiet' ? 'min-h-11 px-1 md:min-h-0' : 'min-h-11 rounded px-3 py-1.5 md:min-h-9';
  return (
    <button
      type={type}
      className={`act text-[15px] font-semibold disabled:cursor-default ${LOOK[look]} ${size} ${className}`}
      {...rest}
    />
  );
}
