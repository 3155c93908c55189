import { lazy, Suspense, useState } from 'react';
import type { Kind } from '../../../core/records/index.ts';
import type { UnitSystem } from '../../../core/units/index.ts';
import { held } from '../../components/find.ts';
import { EXAMPLE, quickClass } from './quick.ts';
import { t } from '../../language/index.ts';

const QuickLine = lazy(async () => ({ default: (await import('./QuickLine.tsx')).QuickLine }));

/** The line at the foot of the stash. What reads it loads after the screen, and takes over what was typed meanwhile. */
export function QuickField({ kind, units }: { kind: Kind; units: UnitSystem }) {
  // Asked for from another screen, it has the focus from the start.
  const [isWanted, setWanted] = useState(held.text !== null);
  const [typed, setTyped] = useState('');
  const [isEntered, setEntered] = useState(false);
  return (
    <div className="no-print relative min-w-0 flex-1 basis-72">
      <Suspense
        fallback={
          <input
            maxLength={300}
            id="quick-line"
            type="text"
            aria-label={t('Add in one line')}
            autoComplete="off"
            placeholder={t('Add in one line: {example}', { example: EXAMPLE()[kind][units === 'metric' ? 0 : 1] })}
            className={quickClass}
            autoFocus={isWanted}
            value={typed}
            onFocus={() => setWanted(true)}
            onBlur={() => setWanted(false)}
            onChange={(event) => setTyped(event.target.value)}
            onKeyDown={(event) => event.key === 'Enter' && setEntered(true)}
          />
        }
      >
        <QuickLine kind={kind} isWanted={isWanted} isEntered={isEntered} typed={typed} />
      </Suspense>
    </div>
  );
}
