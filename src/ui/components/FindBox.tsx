import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { useDeferredValue, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { findByCode, parseCode } from '../../core/labels/code.ts';
import type { LotId } from '../../core/records/index.ts';
import { Swatch } from '../drawing/Swatch.tsx';
import { useApp, useHousehold } from '../state/app.ts';
import { computeWhereabouts } from '../state/whereabouts.ts';
import { useFound } from '../state/finder.ts';
import { findClass, findFrameClass } from './find.ts';
import { wordWhereShort } from './where.ts';

/** "Where is the…": type, and every answer says the place. Enter opens it on the wall. */
export function FindBox({ isWanted, typed }: { isWanted: boolean; typed: string }) {
  const household = useHousehold();
  const show = useApp((state) => state.show);
  const navigate = useNavigate();
  const [text, setText] = useState(typed);
  const query = useDeferredValue(text);
  const hits = useFound(household, query, 8);
  const found = useMemo(() => hits.filter(({ lotId }) => household.lots.has(lotId)), [hits, household]);

  const choose = (lotId: LotId | null) => {
    if (!lotId) return;
    show({ type: 'lot', id: lotId });
    setText('');
    // The keys for taking out and putting back are wanted next, not letters.
    // The list gives the focus back to the box in the next frame; after that it is let go.
    requestAnimationFrame(() => requestAnimationFrame(() => document.getElementById('find-box')?.blur()));
    void navigate(`/find/${lotId}`);
  };

  /** A code that was typed or scanned into the box is looked up at once. */
  const lookUp = (typed: string) => {
    const code = parseCode(typed);
    const meant = code.ok ? findByCode(household, code.value) : null;
    if (meant?.kind === 'lot') choose(meant.id);
    else if (meant?.kind === 'place') {
      show({ type: 'place', id: meant.id });
      setText('');
      document.getElementById('find-box')?.blur();
    } else setText(typed);
  };

  return (
    <Combobox immediate value={null as LotId | null} onChange={choose}>
      <div className={findFrameClass}>
        <ComboboxInput
          id="find-box"
          aria-label="Where is the…"
          placeholder="Where is the…"
          autoComplete="off"
          autoFocus={isWanted}
          className={findClass}
          displayValue={() => text}
          onChange={(event) => lookUp(event.target.value)}
        />
        <kbd
          aria-hidden
          className="pointer-events-none absolute top-1/2 right-3 -translate-y-1/2 rounded border border-thread bg-linen px-1.5 text-sm text-stone"
        >
          F
        </kbd>
        {query.trim() !== '' && found.length === 0 && (
          <p
            role="status"
            className="absolute right-0 z-20 mt-1 w-full border border-thread bg-paper p-3 text-stone shadow-md"
          >
            Nothing is called that, or nearly.
          </p>
        )}
        {found.length > 0 && (
          <ComboboxOptions className="absolute right-0 z-20 mt-1 max-h-[70vh] w-full overflow-auto border border-thread bg-paper shadow-md md:w-[430px]">
            {found.map(({ lotId }) => {
              const item = household.items.get(household.lots.get(lotId)!.itemId)!;
              return (
                <ComboboxOption
                  key={lotId}
                  value={lotId}
                  className="dotted-row flex cursor-pointer items-center gap-3 px-3 py-2 data-focus:bg-linen"
                >
                  <Swatch item={item} className="size-7 shrink-0" />
                  <span className="min-w-0">
                    <span className="block truncate font-semibold">{item.name}</span>
                    <span className="block truncate text-sm text-stone">
                      {wordWhereShort(computeWhereabouts(household, lotId))}
                    </span>
                  </span>
                </ComboboxOption>
              );
            })}
          </ComboboxOptions>
        )}
      </div>
    </Combobox>
  );
}
