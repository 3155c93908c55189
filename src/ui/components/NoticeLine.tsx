import { useEffect } from 'react';
import { useApp } from '../state/app.ts';
import { undo } from '../state/hands.ts';
import { t } from '../language/index.ts';

/** What just happened, with its undo: over the head of the screen, where nothing is done. A fault stays until it is read. */
export function NoticeLine() {
  const notice = useApp((state) => state.notice);
  const tell = useApp((state) => state.tell);

  useEffect(() => {
    if (notice?.tone !== 'done' || notice.offer) return undefined;
    const timer = setTimeout(() => tell(null), 8000);
    return () => clearTimeout(timer);
  }, [notice, tell]);

  return (
    <div
      aria-live="polite"
      className="no-print pointer-events-none fixed inset-x-0 top-1 z-20 flex justify-center px-3 md:top-1.5 md:right-[350px] md:left-[100px]"
    >
      {notice && (
        <div
          role={notice.tone === 'fault' ? 'alert' : undefined}
          className={`flex max-w-xl items-center gap-4 rounded px-4 py-2 text-paper shadow-md ${notice.tone === 'fault' ? 'bg-madder' : 'bg-ink'}`}
        >
          <span>{notice.text}</span>
          {notice.canUndo && (
            <button
              type="button"
              className="pointer-events-auto min-h-9 font-semibold underline underline-offset-4"
              onClick={() => void undo()}
            >
              {t('Undo')}
            </button>
          )}
          {notice.offer && (
            <button
              type="button"
              className="pointer-events-auto min-h-9 font-semibold whitespace-nowrap underline underline-offset-4"
              onClick={notice.offer.take}
            >
              {notice.offer.label}
            </button>
          )}
          <button
            type="button"
            aria-label={t('Close message')}
            className="pointer-events-auto min-h-9 px-1 text-lg"
            onClick={() => tell(null)}
          >
            ×
          </button>
        </div>
      )}
    </div>
  );
}
