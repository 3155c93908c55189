import { useMemo } from 'react';
import { findNearest, getMatch, toLabColour, type Candidate } from '../../../../core/colour/index.ts';
import { rankThreadUse } from '../../../../core/catalog/index.ts';
import { findHolder } from '../../../../core/measure/index.ts';
import type { Household, Item } from '../../../../core/records/index.ts';
import { Swatch } from '../../../drawing/Swatch.tsx';
import { useOpen } from '../../../state/app.ts';
import { getLotsByItem } from '../../../state/derived.ts';
import { wordMatch, wordShift } from '../../../text/index.ts';

/** So many threads are offered for a cloth. */
const OFFERED = 3;

/** Threads that are there, as the eye weighs them; made once for a state of the stash. */
const known = new WeakMap<Household['items'], Candidate<Item>[]>();
function listThreads(household: Household): Candidate<Item>[] {
  const hit = known.get(household.items);
  if (hit) return hit;
  const threads = [...household.items.values()].flatMap((item): Candidate<Item>[] => {
    const lab = item.kind === 'thread' && item.colours[0] ? toLabColour(item.colours[0]) : null;
    return lab ? [{ of: item, lab }] : [];
  });
  known.set(household.items, threads);
  return threads;
}

/** The nearest threads for a cloth among what is owned, with the difference in words. */
export function ThreadMatch({ household, item }: { household: Household; item: Item }) {
  const open = useOpen();
  const nearest = useMemo(() => {
    const lab = item.colours[0] ? toLabColour(item.colours[0]) : null;
    // A bobbin is matched with spools: other bobbins are as short as itself.
    const owned = listThreads(household).filter(
      ({ of }) =>
        of.id !== item.id && getLotsByItem(household).has(of.id) && findHolder(of.thread!.diameterMm).id !== 'bobbin',
    );
    if (!lab) return [];
    // What it is for comes before its colour: nobody sews a seam with overlocking thread.
    const byUse = ([0, 1, 2] as const).map((rank) => owned.filter(({ of }) => rankThreadUse(of, item) === rank));
    return byUse.flatMap((some) => findNearest(lab, some, OFFERED)).slice(0, OFFERED);
  }, [household, item]);
  if (nearest.length === 0) return null;
  return (
    <section aria-label="Thread for it" className="mt-3">
      <h3 className="font-bold">Thread for it</h3>
      <ul>
        {nearest.map(({ of: thread, deltaE, shifts }) => {
          const [lotId] = getLotsByItem(household).get(thread.id) ?? [];
          return (
            <li key={thread.id} className="dotted-row">
              <button
                type="button"
                className="flex min-h-11 w-full items-center gap-2 py-1 text-left hover:bg-linen md:min-h-9"
                onClick={() => lotId && open({ type: 'lot', id: lotId })}
              >
                <Swatch item={thread} className="size-5 shrink-0" />
                <span className="min-w-0">
                  <span data-name className="block truncate">
                    {thread.name}
                  </span>
                  <span className="block text-sm text-stone" title={`ΔE ${deltaE.toFixed(1)}`}>
                    {wordShift(deltaE, shifts)}; {wordMatch(getMatch(deltaE))}
                  </span>
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
