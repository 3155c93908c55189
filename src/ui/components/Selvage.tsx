import { useState } from 'react';
import { NavLink, useLocation } from 'react-router';
import { useApp } from '../state/app.ts';
import { hasOwnLines } from '../state/given.ts';
import { undo } from '../state/hands.ts';
import type { Help } from './explained.ts';

/** The screens in the order of the work; the number opens each. */
export const SCREENS = [
  { to: '/bench', name: 'Bench', dot: 'bg-[#22303c]' },
  { to: '/stash', name: 'Stash', dot: 'bg-[#7a4358]' },
  { to: '/sort', name: 'Sort', dot: 'bg-[#4d6b4c]' },
  { to: '/room', name: 'Room', dot: 'bg-[#2f5d7c]' },
  { to: '/fit', name: 'Fit', dot: 'bg-[#4b4a7d]' },
  { to: '/moves', name: 'Moves', dot: 'bg-[#8a6a24]' },
  { to: '/labels', name: 'Labels', dot: 'bg-[#3f6f73]' },
  { to: '/projects', name: 'Projects', dot: 'bg-[#5b6772]' },
  { to: '/household', name: 'House', dot: 'bg-[#6b5444]' },
] as const;

/** What a thumb reaches at the foot of a phone; the others are behind More. */
const AT_HAND: ReadonlySet<string> = new Set(['/bench', '/stash', '/room', '/projects']);

/** The navigation: the printed edge of a cloth, with its fringe and numbered colour dots. */
export function Selvage({ onHelp }: { onHelp: (help: Help) => void }) {
  const { pathname } = useLocation();
  // Going on to another screen closes it.
  const [openAt, setOpenAt] = useState<string | null>(null);
  const isMore = openAt === pathname;
  // What came with the sample is nothing that one did.
  const canUndo = useApp((state) => hasOwnLines(state.events));
  const hidden = SCREENS.find(({ to }) => !AT_HAND.has(to) && pathname.startsWith(to));
  return (
    <nav
      aria-label="Screens"
      className="no-print fixed inset-x-0 bottom-0 z-10 flex border-t border-thread bg-paper md:static md:w-[92px] md:flex-col md:border-t-0 md:border-r"
      onKeyDown={(event) => event.key === 'Escape' && setOpenAt(null)}
    >
      <div aria-hidden className="fringe absolute inset-y-0 left-0 hidden w-2 md:block" />
      <span className="hidden px-3 pt-4 pb-5 font-display text-[17px] font-semibold md:block short:pt-2 short:pb-1">
        Yardmist
      </span>
      <ul className="flex w-full justify-between px-1 md:flex-col md:gap-1 md:pl-4 short:md:gap-0 short:md:pl-2.5">
        {SCREENS.map((screen, i) => (
          <li key={screen.to} className={`flex-1 ${AT_HAND.has(screen.to) ? '' : 'max-md:hidden'}`}>
            <Screen screen={screen} number={i + 1} />
          </li>
        ))}
        <li className="flex-1 md:hidden">
          <button
            type="button"
            aria-expanded={isMore}
            className={`${entryClass} w-full ${hidden ? 'font-bold text-ink' : 'text-stone'}`}
            onClick={() => setOpenAt(isMore ? null : pathname)}
          >
            <span
              aria-hidden
              className="grid size-6 place-items-center rounded-full border-2 border-current leading-none"
            >
              ⋯
            </span>
            <span className={hidden ? 'underline decoration-dashed underline-offset-4' : ''}>
              {hidden?.name ?? 'More'}
            </span>
          </button>
        </li>
      </ul>
      {isMore && (
        <ul
          aria-label="More screens"
          className="absolute right-0 bottom-full flex w-full justify-between border-t border-thread bg-paper px-1 md:hidden"
        >
          {SCREENS.map((screen, i) => (
            <li key={screen.to} className={`flex-1 ${AT_HAND.has(screen.to) ? 'hidden' : ''}`}>
              <Screen screen={screen} number={i + 1} />
            </li>
          ))}
          {canUndo && (
            <li className="flex-1">
              <button type="button" className={`${entryClass} w-full text-stone`} onClick={() => void undo()}>
                <span aria-hidden className="text-xl leading-none">
                  ↶
                </span>
                Undo
              </button>
            </li>
          )}
        </ul>
      )}
      <div className="mt-auto hidden gap-1 pb-4 pl-4 text-sm text-stone md:grid short:gap-0 short:pb-1 short:pl-2.5">
        {canUndo && (
          <button type="button" className="min-h-8 text-left hover:text-ink" onClick={() => void undo()}>
            Undo <kbd>U</kbd>
          </button>
        )}
        <button type="button" className="min-h-8 text-left hover:text-ink" onClick={() => onHelp('numbers')}>
          How? <kbd>H</kbd>
        </button>
        <button type="button" className="min-h-8 text-left hover:text-ink" onClick={() => onHelp('keys')}>
          Keys <kbd>?</kbd>
        </button>
      </div>
    </nav>
  );
}

const entryClass =
  'flex min-h-13 flex-col items-center justify-center gap-0.5 px-0.5 text-sm md:items-start md:py-1 short:md:min-h-9 short:md:flex-row short:md:items-center short:md:justify-start short:md:gap-1.5 short:md:py-0';

function Screen({ screen: { to, name, dot }, number }: { screen: (typeof SCREENS)[number]; number: number }) {
  return (
    <NavLink
      to={to}
      className={({ isActive }) => `${entryClass} ${isActive ? 'font-bold text-ink' : 'text-stone hover:text-ink'}`}
    >
      {({ isActive }) => (
        <>
          <span
            aria-hidden
            className={`grid size-6 shrink-0 place-items-center rounded-full text-sm font-semibold text-white ${dot} ${isActive ? 'ring-2 ring-ink ring-offset-2' : ''}`}
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
