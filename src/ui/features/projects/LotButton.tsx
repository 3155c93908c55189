import type { ReactNode } from 'react';
import type { Item, LotId } from '../../../core/records/index.ts';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useOpen } from '../../state/app.ts';

/** A lot by its swatch and name; pressed, its ticket hangs at the right. Below the name, what is said of it. */
export function LotButton({ id, item, children }: { id: LotId; item: Item; children?: ReactNode }) {
  const open = useOpen();
  return (
    <button
      type="button"
      className="kept-on-paper flex min-h-11 min-w-0 flex-1 items-center gap-2 text-left hover:bg-linen md:min-h-8"
      onClick={() => open({ type: 'lot', id })}
    >
      <Swatch item={item} className="size-6 shrink-0" />
      <span className="min-w-0">
        <span data-name className="block break-words">
          {item.name}
        </span>
        {children}
      </span>
    </button>
  );
}
