import { useApp } from '../state/app.ts';
import { goOnUnkept, keepAgain } from '../state/hands.ts';
import { wordStoreFault } from '../text/index.ts';
import { Button } from './Button.tsx';
import { explained } from './explained.ts';
import { t } from '../language/index.ts';

/** Stays while the browser keeps nothing: what is at stake, and what can be done. */
export function StoreBanner() {
  const fault = useApp((state) => state.storeFault);
  const isUnkept = useApp((state) => state.isUnkept);
  const unkept = useApp((state) => state.unkept);
  if (!fault) return null;
  return (
    <div role="alert" className="no-print flex flex-wrap items-center gap-x-5 gap-y-1 bg-weld/25 px-5 py-2 text-sm">
      <p className="max-w-prose" {...explained(t('Lines of the daybook that this browser has not kept.'))}>
        {wordStoreFault(fault)}{' '}
        {isUnkept
          ? unkept === 0
            ? t('What you do from now on is only in this window.')
            : t(
                '{unkept, plural, one {# line of the daybook is} other {# lines of the daybook are}} only in this window. Save to a file before you close it.',
                { unkept },
              )
          : t('Nothing more is written until it can be kept.')}
      </p>
      <span className="flex flex-wrap gap-4">
        <Button look="quiet" onClick={() => void keepAgain()}>
          {t('Try again')}
        </Button>
        {!isUnkept && (
          <Button look="quiet" onClick={goOnUnkept}>
            {t('Go on all the same')}
          </Button>
        )}
        <Button
          look="quiet"
          onClick={() => void import('../state/backup.ts').then(({ saveEverything }) => saveEverything())}
        >
          {t('Save to a file')}
        </Button>
      </span>
    </div>
  );
}
