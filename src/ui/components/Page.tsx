import { useEffect, useLayoutEffect, useRef, useState, type ReactNode, type RefObject } from 'react';
import { useLocation } from 'react-router';
import { toDay } from '../../core/units/index.ts';
import { useApp, world } from '../state/app.ts';
import { explained } from './explained.ts';
import { FindField } from './FindField.tsx';
import { isPhone } from './phone.ts';
import { wordDay } from '../text/days.ts';
import { t } from '../language/index.ts';

interface PageProps {
  readonly title: string;
  /** What it is called on paper, where that is more than its title. */
  readonly paperTitle?: string;
  readonly tabs?: ReactNode;
  readonly foot?: ReactNode;
  readonly aside?: ReactNode;
  readonly asideLabel?: string;
  /** On a phone what hangs beside the work stands above it, for what one does first is there. */
  readonly isAsideFirst?: boolean;
  /** Files dropped anywhere on the work. */
  readonly onDropFiles?: (files: readonly File[]) => void;
  readonly children: ReactNode;
}

/** Done once for each screen that is come to, and when it is drawn: asked before where things are, the browser would lay all of it out on the spot. */
function useOnceDrawn(act: () => void): void {
  const { pathname } = useLocation();
  const shown = useRef('');
  useEffect(() => {
    if (shown.current === pathname) return;
    shown.current = pathname;
    requestAnimationFrame(() => setTimeout(act));
  });
}

type Work = RefObject<HTMLElement | null>;

/**
 * Scrolls as asked once the work is laid out and before it is seen, and again whenever the work grows, until that is there for
 * good or one scrolls by hand. Called, it stops.
 */
function comeTo(work: HTMLElement, scroll: () => boolean): () => void {
  const done = new AbortController();
  const growing = new ResizeObserver(() => {
    if (scroll()) stop();
  });
  const stop = () => {
    done.abort();
    growing.disconnect();
  };
  for (const byHand of ['touchstart', 'wheel', 'keydown']) window.addEventListener(byHand, stop, done);
  // What is looked at for the first time has grown; asked at once the browser would lay out the screen while it is still made.
  growing.observe(work);
  return stop;
}

/** A phone shows the ticket below the screen: one that was just asked for is brought into view, and then one is back. */
function useTicketInView(work: Work) {
  const frame = useRef<HTMLElement>(null);
  const ticket = useApp((state) => state.ticket ?? state.looked);
  const { pathname } = useLocation();
  const isAnswer = pathname.startsWith('/find') || pathname.startsWith('/scan');
  const shown = useRef(ticket);
  const wasAt = useRef({ pathname, y: 0 });
  useEffect(() => {
    const before = shown.current;
    if (ticket === before) return undefined;
    shown.current = ticket;
    // Where it is comes before what it is.
    if (isAnswer || !isPhone()) return undefined;
    if (!before) wasAt.current = { pathname, y: windowTop };
    // What is still to come above it would carry it off.
    if (ticket)
      return comeTo(work.current!, () => {
        frame.current?.scrollIntoView();
        return false;
      });
    if (wasAt.current.pathname === pathname) window.scrollTo(0, wasAt.current.y);
    return undefined;
  }, [work, ticket, isAnswer, pathname]);
  return { frame, isAsked: !isAnswer && ticket !== null };
}

/** As wide as `fades-out` in the theme. */
const FADE_PX = 28;

/** On a phone not all tabs are in sight: the one that is shown is. */
function useTabInView() {
  const frame = useRef<HTMLDivElement>(null);
  useOnceDrawn(() => {
    const tab = frame.current?.querySelector<HTMLElement>('[aria-current="page"]');
    // Not under what fades out at the right.
    if (tab) frame.current!.scrollLeft = tab.offsetLeft + tab.offsetWidth + FADE_PX - frame.current!.clientWidth;
  });
  return frame;
}

/** How far down a phone was scrolled in each screen that was gone from; null until one is there. */
let scrolledTo: Map<string, number> | null = null;
/** As the browser told it: asked while one screen makes way for another, it would lay out what is half of each. */
let windowTop = 0;

function watchTop(): Map<string, number> {
  window.addEventListener('scroll', () => (windowTop = window.scrollY));
  return new Map();
}

/** On a phone the whole window scrolls: a screen begins at its top, and who goes back is where one was. */
function useTop(work: Work) {
  const { key, pathname } = useLocation();
  const shown = useRef('');
  useLayoutEffect(() => {
    // What is opened first, or loaded again, is where the browser left it; what is asked of a screen by its address stays.
    const top = scrolledTo?.get(key) ?? 0;
    const isAsked = scrolledTo && shown.current !== pathname && isPhone();
    const stop = isAsked
      ? comeTo(work.current!, () => {
          window.scrollTo(0, top);
          return window.scrollY >= top - 1;
        })
      : null;
    shown.current = pathname;
    const known = (scrolledTo ??= watchTop());
    return () => {
      stop?.();
      if (isPhone()) known.set(key, windowTop);
    };
  }, [work, key, pathname]);
}

/** The window is called as the screen is; and who came by a key goes on from the work, not from the first of all screens. */
function useArrival(work: Work, title: string) {
  const name = useApp((state) => state.household?.settings.name ?? '');
  useEffect(() => {
    document.title = [...new Set([title, name, 'Yardmist'])].join(' · ');
  }, [title, name]);
  useOnceDrawn(() => {
    if (document.activeElement === document.body) work.current?.focus({ preventScroll: true });
  });
}

/** A screen: its name, tabs and the find box above; the work; a ticket at the right; numbers at the foot. */
export function Page({
  title,
  paperTitle = title,
  tabs,
  foot,
  aside,
  asideLabel = t('Ticket'),
  isAsideFirst = false,
  onDropFiles,
  children,
}: PageProps) {
  const work = useRef<HTMLElement>(null);
  const { frame: ticketFrame, isAsked } = useTicketInView(work);
  const tabsFrame = useTabInView();
  useTop(work);
  useArrival(work, title);
  const { pathname } = useLocation();
  return (
    <>
      <header className="no-print stitched-b flex flex-wrap items-center gap-x-6 gap-y-1 px-4 py-2 md:min-h-[58px] md:flex-nowrap md:px-5">
        <h1 className="font-display text-[23px] font-semibold whitespace-nowrap">{title}</h1>
        <div
          ref={tabsFrame}
          className="fades-out relative order-last w-full min-w-0 overflow-x-auto md:order-none md:w-auto md:flex-1"
        >
          {tabs && <div className="w-max pr-7">{tabs}</div>}
        </div>
        {/* A phone has Find at its foot. */}
        <div className={pathname.startsWith('/find') ? 'contents' : 'contents max-md:hidden'}>
          <FindField />
        </div>
      </header>
      <PaperHead title={paperTitle} />
      <div className="flex min-h-0 flex-1 flex-col [reading-flow:flex-visual] md:flex-row lefty:md:flex-row-reverse">
        <div className={`flex min-h-0 min-w-0 flex-1 flex-col ${isAsideFirst ? 'max-md:order-1' : ''}`}>
          <main
            ref={work}
            tabIndex={-1}
            className="flex min-h-0 flex-1 flex-col outline-none"
            onDragOver={onDropFiles && ((event) => event.preventDefault())}
            onDrop={
              onDropFiles &&
              ((event) => {
                event.preventDefault();
                if (event.dataTransfer.files.length > 0) onDropFiles([...event.dataTransfer.files]);
              })
            }
          >
            {children}
          </main>
          {foot && (
            <footer className="stitched-t flex min-h-[62px] flex-wrap items-center gap-x-6 gap-y-1 bg-linen px-5 py-2">
              {foot}
            </footer>
          )}
        </div>
        {aside && (
          <aside
            ref={ticketFrame}
            aria-label={asideLabel}
            // As tall as the phone, or what is still to come of it would keep it from its top.
            className={`${isAsked ? 'max-md:min-h-dvh' : ''} stitched-t relative scroll-mt-2 bg-paper p-5 pt-7 md:stitched-l md:w-[304px] lefty:md:border-r lefty:md:border-l-0 lefty:md:border-dashed lefty:md:border-thread md:shrink-0 md:overflow-y-auto md:border-t-0`}
          >
            <span
              aria-hidden
              className="absolute top-3 left-1/2 size-3.5 -translate-x-1/2 rounded-full border border-thread bg-mist"
            />
            {aside}
          </aside>
        )}
      </div>
    </>
  );
}

/** On paper: what it is of, and of which day. */
function PaperHead({ title }: { title: string }) {
  const name = useApp((state) => state.household?.settings.name ?? '');
  return (
    <div
      aria-hidden
      className="paper-head px-5 font-display text-lg"
      data-paper={[title, name, wordDay(toDay(world.nowMs()))].join(' · ')}
    />
  );
}

/** A number a sewist feels, with what it is; pressed, it says how it was made. */
export function Figure({ value, label, how }: { value: string; label: string; how?: string }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <div className="relative leading-tight" {...(how !== undefined && explained(how, `${value} ${label}`))}>
      {how === undefined ? (
        <span className="block font-display text-[21px] font-semibold">{value}</span>
      ) : (
        <button
          type="button"
          aria-expanded={isOpen}
          className="block font-display text-[21px] leading-tight font-semibold underline decoration-stone/50 decoration-dotted decoration-1 underline-offset-4"
          onClick={() => setOpen(!isOpen)}
        >
          {value}
        </button>
      )}
      <span className="text-sm text-stone">{label}</span>
      {isOpen && how !== undefined && (
        <p className="absolute bottom-full left-0 z-10 mb-2 w-64 border border-thread bg-paper p-3 text-sm leading-normal shadow-md">
          {how}
        </p>
      )}
    </div>
  );
}

/** Tabs that are links or buttons, the present one underlined. */
export const tabClass = (isCurrent: boolean) =>
  `inline-flex min-h-11 items-center whitespace-nowrap border-b-3 px-2 md:min-h-[42px] ${isCurrent ? 'border-woad font-bold' : 'border-transparent text-stone hover:text-ink'}`;
