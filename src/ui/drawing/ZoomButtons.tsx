import type { Zoom } from './useZoom.ts';
import { t } from '../language/index.ts';

/** Smaller, whole and larger, at the lower right of a drawing. */
export function ZoomButtons({ zooming, whole }: { zooming: Zoom; whole: string }) {
  const { isWhole, isMost, step, showWhole } = zooming;
  const button = (key: string, name: string, act: () => void, isOff: boolean) => (
    <button
      type="button"
      data-key={key}
      disabled={isOff}
      title={`${name} (${key})`}
      aria-label={name}
      className="min-h-11 min-w-11 border border-thread bg-paper px-2 disabled:text-stone/50 md:min-h-8 md:min-w-8"
      onClick={act}
    >
      {key === '-' ? '−' : key === '0' ? whole : key}
    </button>
  );
  return (
    <div role="group" aria-label={t('Zoom')} className="no-print flex self-end pr-3 md:absolute md:right-0 md:bottom-2">
      {button('-', t('Smaller'), () => step(-1), isWhole)}
      {!isWhole && button('0', whole, showWhole, false)}
      {button('+', t('Larger'), () => step(1), isMost)}
    </div>
  );
}
