import { useMemo, useState } from 'react';
import { createPromise } from '../../../core/acts/index.ts';
import { createFinder } from '../../../core/finding/index.ts';
import { getAmount, getReserved } from '../../../core/measure/index.ts';
import { isUsedAgain } from '../../../core/promises/index.ts';
import type { NeedStanding } from '../../../core/projects/index.ts';
import type { Item, Lot, Project } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { wordAmount } from '../../text/index.ts';
import { useSaveProject } from './useSaveProject.ts';

const MOST = 8;

interface ChooseThingProps {
  readonly project: Project;
  readonly standing: NeedStanding;
  readonly onDone: () => void;
}

/** Looks in the stash for a notion, a thread, a tool: what is used up is promised, what is used again is only named. */
export function ChooseThing({ project, standing, onDone }: ChooseThingProps) {
  const household = useHousehold();
  const { need } = standing;
  const save = useSaveProject(project);
  const [text, setText] = useState(need.part.replace(/,.*/, ''));
  const things = useMemo(() => {
    const finder = createFinder();
    const wanted = [...household.lots].filter(([, lot]) => household.items.get(lot.itemId)?.kind === need.kind);
    finder.sync({ ...household, lots: new Map(wanted) });
    return finder.find(text, MOST).flatMap(({ lotId }): { lot: Lot; item: Item }[] => {
      const lot = household.lots.get(lotId);
      const item = lot && household.items.get(lot.itemId);
      return lot && item ? [{ lot, item }] : [];
    });
  }, [household, need.kind, text]);
  const take = async (lot: Lot, item: Item) => {
    const free = getAmount(item, lot) - getReserved(lot);
    const isDone = isUsedAgain(need.kind)
      ? await save({ needs: project.needs.map((one) => (one.id === need.id ? { ...one, itemId: item.id } : one)) })
      : await act((now) =>
          createPromise(
            now,
            {
              projectId: project.id,
              needId: need.id,
              lotId: lot.id,
              amount: Math.min(Math.max(free, 0), standing.missing ?? 1),
            },
            world.createId(),
            world.nowMs(),
          ),
        );
    if (isDone) onDone();
  };
  return (
    <section aria-label="Things that would do" className="mt-1 border-l-4 border-woad bg-linen p-2">
      <input
        aria-label="Look in the stash for"
        autoFocus
        maxLength={120}
        className="h-11 w-full rounded border border-stone/60 bg-white px-2 md:h-9"
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      {things.length === 0 && <p className="mt-1">Nothing in the stash is called so.</p>}
      <ul>
        {things.map(({ lot, item }) => (
          <li key={lot.id} className="dotted-row flex items-center gap-2 py-1">
            <Swatch item={item} className="size-5 shrink-0" />
            <span data-name className="min-w-0 flex-1 truncate">
              {item.name}, {wordAmount(item, lot, household.settings.units)}
            </span>
            <Button aria-label={`Take ${item.name}`} onClick={() => void take(lot, item)}>
              Take it
            </Button>
          </li>
        ))}
      </ul>
      <Button look="quiet" onClick={onDone}>
        Leave it
      </Button>
    </section>
  );
}
