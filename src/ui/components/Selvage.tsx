import { useState, type ReactNode } from 'react';
import { NavLink, useLocation } from 'react-router';
import { useApp } from '../state/app.ts';
import { hasOwnLines } from '../state/given.ts';
import { undo } from '../state/hands.ts';
import type { Help } from './explained.ts';
import { perLanguage, t } from '../language/index.ts';

/** The screens in the order of the work; the number opens each. */
export const SCREENS = perLanguage(
  () =>
    [
      { to: '/bench', name: t('Bench'), dot: 'bg-[#22303c]' },
      { to: '/stash', name: t('Stash'), dot: 'bg-[#7a4358]' },
      { to: '/sort', name: t('Sort'), dot: 'bg-[#4d6b4c]' },
      { to: '/room', name: t('Room'), dot: 'bg-[#2f5d7c]' },
      { to: '/fit', name: t('Fit'), dot: 'bg-[#4b4a7d]' },
      { to: '/moves', name: t('Moves'), dot: 'bg-[#8a6a24]' },
      { to: '/labels', name: t('Labels'), dot: 'bg-[#3f6f73]' },
      { to: '/projects', name: t('Projects'), dot: 'bg-[#5b6772]' },
      { to: '/household', name: t('House'), dot: 'bg-[#6b5444]' },
    ] as const,
);

/** What a thumb reaches at the foot of a phone; all other screens are behind More. */
const AT_HAND = perLanguage(
  () =>
    [
      { to: '/find', name: t('Find'), mark: 'M10.5 4a6.5 6.5 0 1 1 0 13a6.5 6.5 0 0 1 0-13zM15.5 15.5L21 21' },
      { to: '/bench', name: t('Bench'), mark: 'M2 10H22M5 10V20M19 10V20M8 10V6H16V10' },
      { to: '/scan', name: t('Scan'), mark: 'M3 8V4H7M17 4H21V8M21 16V20H17M7 20H3V16M3 12H21' },
      { to: '/stash', name: t('Stash'), mark: 'M3 5H21V9H3zM3 11H21V15H3zM3 17H21V21H3z' },
    ] as const,
);
const IN_REACH: ReadonlySet<string> = new Set(AT_HAND().map(({ to }) => to));

/** The navigation: the printed edge of a cloth, with its fringe and numbered colour dots; on a phone five places at its foot. */
export function Selvage({ onHelp }: { onHelp: (help: Help) => void }) {
  // What came with the sample is nothing that one did.
  const canUndo = useApp((state) => hasOwnLines(state.events));
  return (
    <nav
      aria-label={t('Screens')}
      className="no-print fixed inset-x-0 bottom-0 z-10 flex border-t border-thread bg-paper md:static md:w-[92px] md:flex-col md:border-t-0 md:border-r lefty:md:border-r-0 lefty:md:border-l"
    >
      <div aria-hidden className="fringe absolute inset-y-0 left-0 hidden w-2 md:block lefty:right-0 lefty:left-auto" />
      <span className="hidden px-3 pt-4 pb-5 font-display text-[17px] font-semibold md:block short:pt-2 short:pb-1">
        Yardmist
      </span>
      <ul className="hidden w-full justify-between px-1 md:flex md:flex-col md:gap-1 md:pl-4 short:md:gap-0 short:md:pl-2.5">
        {SCREENS().map((screen, i) => (
          <li key={screen.to}>
            <Screen screen={screen} number={i + 1} />
          </li>
        ))}
      </ul>
      <ThumbRow canUndo={canUndo} onHelp={onHelp} />
      <div className="mt-auto hidden gap-1 pb-4 pl-4 text-sm text-stone md:grid short:gap-0 short:pb-1 short:pl-2.5">
        {canUndo && (
          <button type="button" className="min-h-8 text-left hover:text-ink" onClick={() => void undo()}>
            {t('Undo')} <kbd>U</kbd>
          </button>
        )}
        <button type="button" className="min-h-8 text-left hover:text-ink" onClick={() => onHelp('numbers')}>
          {t('How?')} <kbd>H</kbd>
        </button>
        <button type="button" className="min-h-8 text-left hover:text-ink" onClick={() => onHelp('keys')}>
          {t('Keys')} <kbd>?</kbd>
        </button>
      </div>
    </nav>
  );
}

/** The foot of a phone: five places, and behind the last all other screens. */
function ThumbRow({ canUndo, onHelp }: { canUndo: boolean; onHelp: (help: Help) => void }) {
  const { pathname } = useLocation();
  // Going on to another screen closes it.
  const [openAt, setOpenAt] = useState<string | null>(null);
  const isMore = openAt === pathname;
  const isBehind = SCREENS().some(({ to }) => !IN_REACH.has(to) && pathname.startsWith(to));
  const isCurrent = (to: string) => pathname.startsWith(to) && !(to === '/bench' && pathname.startsWith('/scan'));
  const help = (which: Help) => {
    setOpenAt(null);
    onHelp(which);
  };
  return (
    <div className="w-full md:hidden" onKeyDown={(event) => event.key === 'Escape' && setOpenAt(null)}>
      {isMore && (
        <div className="absolute inset-x-0 bottom-full border-t border-thread bg-paper px-1 pt-1">
          <ul aria-label={t('More screens')} className="grid grid-cols-4">
            {SCREENS().map((screen, i) => (
              <li key={screen.to} className={IN_REACH.has(screen.to) ? 'hidden' : ''}>
                <Screen screen={screen} number={i + 1} />
              </li>
            ))}
            <li>
              <NavLink to="/year" className={`${entryClass} text-stone`}>
                <Mark d="M4 5H20V21H4zM4 10H20M9 2V6M15 2V6" />
                {t('The year')}
              </NavLink>
            </li>
          </ul>
          <div className="flex gap-x-6 px-3 text-sm text-woad">
            {canUndo && <MoreButton onClick={() => void undo()}>{t('Undo')}</MoreButton>}
            <MoreButton onClick={() => help('numbers')}>{t('How were these numbers made?')}</MoreButton>
            <NavLink to="/ways" className="flex min-h-11 items-center underline underline-offset-4">
              {t('Where do I…')}
            </NavLink>
          </div>
        </div>
      )}
      <ul className="flex w-full justify-between px-1 lefty:flex-row-reverse">
        {AT_HAND().map(({ to, name, mark }) => (
          <li key={to} className="flex-1">
            <NavLink to={to} className={`${entryClass} ${isCurrent(to) ? 'font-bold text-ink' : 'text-stone'}`}>
              <Mark d={mark} />
              <span className={isCurrent(to) ? 'underline decoration-dashed underline-offset-4' : ''}>{name}</span>
            </NavLink>
          </li>
        ))}
        <li className="flex-1">
          <button
            type="button"
            aria-expanded={isMore}
            className={`${entryClass} w-full ${isBehind ? 'font-bold text-ink' : 'text-stone'}`}
            onClick={() => setOpenAt(isMore ? null : pathname)}
          >
            <Mark d="M5 12h.01M12 12h.01M19 12h.01" />
            <span className={isBehind ? 'underline decoration-dashed underline-offset-4' : ''}>{t('More')}</span>
          </button>
        </li>
      </ul>
    </div>
  );
}

function Mark({ d }: { d: string }) {
  return (
    <svg aria-hidden width="24" height="24" className="fill-none stroke-current stroke-2" strokeLinecap="round">
      <path d={d} />
    </svg>
  );
}

function MoreButton({ onClick, children }: { onClick: () => void; children: ReactNode }) {
  return (
    <button type="button" className="min-h-11 text-left underline underline-offset-4" onClick={onClick}>
      {children}
    </button>
  );
}

const entryClass =
  'flex min-h-14 flex-col items-center justify-center gap-0.5 px-0.5 text-sm md:min-h-13 md:items-start md:py-1 short:md:min-h-9 short:md:flex-row short:md:items-center short:md:justify-start short:md:gap-1.5 short:md:py-0';

function Screen({ screen: { to, name, dot }, number }: { screen: ReturnType<typeof SCREENS>[number]; number: number }) {
  return (
    <NavLink
      to={to}
      className={({ isActive }) => `${entryClass} ${isActive ? 'font-bold text-ink' : 'text-stone hover:text-ink'}`}
    >
      {({ isActive }) => (
        <>
          <span
            aria-hidden
            className={`grid size-6 shrink-0 place-items-center rounded-full text-sm font-semibold text-white ${dot} ${isActive ? 'ring-2 ring-ink ring-offset-2 ring-offset-paper' : ''}`}
          >
            {number}
          </span>
          <span className={isActive ? 'underline decoration-dashed underline-offset-4 md:no-underline' : ''}>
            {name}
          </span>
        </>
      )}
    </NavLink>
  );
}
