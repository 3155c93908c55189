import type { ReactNode } from 'react';

/** What it looks like at the right, what is done at the left; on a phone the picture comes first, or last. */
export function Beside({
  picture,
  isLast = false,
  children,
}: {
  picture: ReactNode;
  isLast?: boolean;
  children: ReactNode;
}) {
  const side = 'mb-3 min-w-0 flex-1 space-y-4 lg:mb-0';
  return (
    <div className={`mt-3 gap-6 lg:flex lg:items-start ${isLast ? '' : 'lg:flex-row-reverse'}`}>
      {!isLast && <div className={side}>{picture}</div>}
      <div className="shrink-0 lg:w-96">{children}</div>
      {isLast && <div className={`mt-4 lg:mt-0 ${side}`}>{picture}</div>}
    </div>
  );
}
