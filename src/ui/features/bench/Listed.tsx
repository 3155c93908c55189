import type { ReactNode } from 'react';
import { explained } from '../../components/explained.ts';
import { t } from '../../language/index.ts';

/** More than this of a kind is counted, not listed. */
export const LISTED = 24;

/** One list of the bench, with what can be done about it. */
export function Listed({ title, action, children }: { title: string; action?: ReactNode; children: ReactNode }) {
  return (
    <section aria-label={title} className="min-w-0">
      <div className="mb-1 flex items-center justify-between gap-3">
        <h2 className="font-display text-xl font-semibold">{title}</h2>
        {action}
      </div>
      {children}
    </section>
  );
}

/** Those of a list that are not shown. */
export function Rest({ count }: { count: number }) {
  if (count <= 0) return null;
  return (
    <p className="mt-1 text-stone" {...explained(t('Counted; the first of them are shown.'))}>
      {t('and {count} more.', { count })}
    </p>
  );
}
