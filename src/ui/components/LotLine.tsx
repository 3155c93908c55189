import type { ReactNode } from 'react';
import type { Item, LotId } from '../../core/records/index.ts';
import { Swatch } from '../drawing/Swatch.tsx';
import { explained } from './explained.ts';
import { useOpen } from '../state/app.ts';
import { t } from '../language/index.ts';

interface LotLineProps {
  readonly id: LotId;
  readonly item: Item;
  /** Its turn in a list whose order counts. */
  readonly nth?: number;
  /** What is said after the name, quietly. */
  readonly more?: ReactNode;
  /** At the right: how much, or from where. */
  readonly children: ReactNode;
  /** How that was made. */
  readonly how?: string;
}

/** One lot in a list: its swatch and name; pressing it hangs its ticket at the right. */
export function LotLine({ id, item, nth, more, how, children }: LotLineProps) {
  const open = useOpen();
  return (
    <li className="dotted-row">
      <button
        type="button"
        className="flex min-h-11 w-full items-center gap-2 py-1 text-left hover:bg-linen md:min-h-9"
        onClick={() => open({ type: 'lot', id })}
      >
        {nth !== undefined && (
          <span
            className="tabular w-6 shrink-0 text-right text-sm text-stone"
            {...explained(t('Counted in the order that was chosen.'))}
          >
            {nth}
          </span>
        )}
        <Swatch item={item} className="size-5 shrink-0" />
        <span className="min-w-0 flex-1 break-words">
          <span data-name>{item.name}</span> {more !== undefined && <span className="text-stone">{more}</span>}
        </span>
        <span
          className="tabular max-w-[48%] shrink-0 text-right text-sm break-words text-stone"
          {...(how === undefined ? {} : explained(how))}
        >
          {children}
        </span>
      </button>
    </li>
  );
}
