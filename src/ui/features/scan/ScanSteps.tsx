import type { ReactNode } from 'react';
import { perLanguage, t } from '../../language/index.ts';

/** The squares of a code, as on a label. */
const CODE =
  'M0 0h6v6H0zM12 0h6v6h-6zM0 12h6v6H0zM8 2h2v4H8zM8 8h4v2H8zM14 8h4v2h-4zM8 12h2v2H8zM12 12h2v6h-2zM16 14h2v4h-2z';

function Label({ x, y }: { x: number; y: number }) {
  return (
    <g transform={`translate(${x} ${y})`}>
      <rect width="62" height="30" rx="3" fill="var(--color-paper)" stroke="var(--color-ink)" />
      <path transform="translate(6 6)" d={CODE} fill="var(--color-ink)" />
      <path d="M32 10H54M32 16H54M32 22H46" stroke="var(--color-thread)" strokeWidth="2.5" />
    </g>
  );
}

/** Cloth on its board with its ticket, two things carried, a bin with its card. */
const PICTURES = perLanguage((): readonly (readonly [string, string, ReactNode])[] => [
  [
    t('Scan a thing'),
    t('It is in your hand: the app has taken it out.'),
    <g key="thing">
      <rect x="46" y="14" width="16" height="92" fill="var(--color-flange)" stroke="var(--color-walnut)" />
      <rect x="30" y="18" width="48" height="84" rx="6" fill="#7a4358" stroke="var(--color-ink)" />
      <Label x={72} y={62} />
    </g>,
  ],
  [
    t('Scan more, if you carry more'),
    t('All that you carry is listed with where it lives.'),
    <g key="more">
      <rect x="22" y="70" width="84" height="22" rx="6" fill="#2f5d7c" stroke="var(--color-ink)" />
      <rect x="22" y="48" width="84" height="22" rx="6" fill="#c9952c" stroke="var(--color-ink)" />
      <rect x="22" y="26" width="84" height="22" rx="6" fill="#7a4358" stroke="var(--color-ink)" />
      <path d="M12 96H122" stroke="var(--color-walnut)" strokeWidth="6" strokeLinecap="round" />
      <Label x={78} y={38} />
    </g>,
  ],
  [
    t('Scan a place'),
    t('They are put there. A place alone says what is in it.'),
    <g key="place">
      <rect x="16" y="8" width="118" height="104" fill="var(--color-wood)" stroke="var(--color-walnut)" />
      <rect x="24" y="16" width="102" height="88" fill="var(--color-inside)" stroke="var(--color-grain-line)" />
      <rect x="32" y="40" width="86" height="64" fill="var(--color-bin)" stroke="var(--color-ink)" />
      <Label x={44} y={58} />
    </g>,
  ],
]);

/** How scanning goes, for who has not scanned anything yet. */
export function ScanSteps() {
  return (
    <ol className="space-y-4 lg:space-y-6 lg:pt-5">
      {PICTURES().map(([title, words, drawn]) => (
        <li key={title} className="flex items-center gap-4 lg:gap-6">
          <svg aria-hidden viewBox="0 0 150 120" className="w-28 shrink-0 lg:w-48">
            {drawn}
          </svg>
          <div>
            <h2 className="font-display text-lg leading-tight font-semibold lg:text-xl">{title}</h2>
            <p className="text-stone">{words}</p>
          </div>
        </li>
      ))}
    </ol>
  );
}
