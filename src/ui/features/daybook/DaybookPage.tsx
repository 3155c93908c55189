import { useVirtualizer } from '@tanstack/react-virtual';
import { format } from 'date-fns';
import { useMemo, useRef, useState } from 'react';
import { Button } from '../../components/Button.tsx';
import { Page } from '../../components/Page.tsx';
import { useApp, useHousehold } from '../../state/app.ts';
import { explained } from '../../components/explained.ts';
import { wordCount, wordEvent } from '../../text/index.ts';

/** Everything that was ever done, newest first. Each line can be taken back while nothing builds on it. */
export function DaybookPage() {
  const { units } = useHousehold().settings;
  const events = useApp((state) => state.events);
  const undo = useApp((state) => state.undo);
  const [text, setText] = useState('');
  const frame = useRef<HTMLDivElement>(null);
  const undone = useMemo(() => new Set(events.flatMap((event) => event.undoes ?? [])), [events]);
  const lines = useMemo(() => {
    const words = text.trim().toLowerCase();
    return events
      .map((event) => ({ event, words: wordEvent(event, units) }))
      .filter((line) => line.words.toLowerCase().includes(words))
      .toReversed();
  }, [events, text, units]);
  const virtualizer = useVirtualizer({
    count: lines.length,
    getScrollElement: () => frame.current,
    estimateSize: () => 44,
    overscan: 10,
  });

  return (
    <Page title="Daybook">
      <div className="flex flex-wrap items-center gap-4 px-4 py-2 md:px-5">
        <input
          type="search"
          aria-label="Narrow the daybook"
          placeholder="narrow by words"
          className="h-11 w-56 rounded border border-thread bg-paper px-2 md:h-8"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <span className="text-stone" {...explained('The lines of the daybook that are listed here.')}>
          {wordCount(lines.length, 'line')}
        </span>
      </div>
      <div ref={frame} className="h-[70vh] min-h-0 flex-1 overflow-y-auto px-4 pb-4 md:h-auto md:px-5">
        {lines.length === 0 && <p className="py-8 font-display text-xl">Nothing was written that says that.</p>}
        <ol className="relative max-w-3xl" style={{ height: virtualizer.getTotalSize() }}>
          {virtualizer.getVirtualItems().map(({ index, start }) => {
            const { event, words } = lines[index]!;
            const isUndone = undone.has(event.id);
            return (
              <li
                key={event.id}
                className="dotted-row absolute inset-x-0 flex h-11 items-center gap-4"
                style={{ top: start }}
              >
                <time
                  dateTime={new Date(event.atMs).toISOString()}
                  className="tabular w-32 shrink-0 text-sm text-stone"
                >
                  {format(event.atMs, 'd MMM yyyy, HH:mm')}
                </time>
                <span className={`min-w-0 flex-1 truncate ${isUndone ? 'text-stone line-through' : ''}`}>{words}</span>
                {isUndone ? (
                  <span className="text-sm text-stone">taken back</span>
                ) : event.seq === 0 || event.type === 'undone' ? null : (
                  <Button look="quiet" aria-label={`Undo: ${words}`} onClick={() => void undo(event)}>
                    Undo
                  </Button>
                )}
              </li>
            );
          })}
        </ol>
      </div>
    </Page>
  );
}
