import { useState, type ReactNode } from 'react';
import { explained } from './explained.ts';

interface HowRowProps {
  readonly name: ReactNode;
  /** How the figures of this row were made. */
  readonly how: string;
  readonly today: string;
  /** Null where there is no plan to set beside today. */
  readonly plan: string | null;
  readonly className?: string;
}

/** A row of a table that sets today beside a plan; its name, pressed, says how its figures were made. */
export function HowRow({ name, how, today, plan, className = '' }: HowRowProps) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <tr className={`dotted-row ${className}`}>
        <th scope="row" className="py-1 text-left font-normal">
          <button
            type="button"
            {...explained(how)}
            aria-expanded={isOpen}
            className="text-left underline decoration-stone/50 decoration-dotted underline-offset-4"
            onClick={() => setOpen(!isOpen)}
          >
            {name}
          </button>
        </th>
        <td className={`text-right whitespace-nowrap ${plan === null ? 'font-semibold' : ''}`} {...explained(how)}>
          {today}
        </td>
        {plan !== null && (
          <td className="pl-3 text-right font-semibold whitespace-nowrap" {...explained(how)}>
            {plan}
          </td>
        )}
      </tr>
      {isOpen && (
        <tr>
          <td colSpan={plan === null ? 2 : 3} className="pb-1 text-sm text-stone">
            {how}
          </td>
        </tr>
      )}
    </>
  );
}
