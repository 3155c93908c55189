import { useMemo, useState } from 'react';
import { createInstead, createPromise } from '../../../core/acts/index.ts';
import { createFinder } from '../../../core/finding/index.ts';
import { getAmount, getReserved } from '../../../core/measure/index.ts';
import { isUsedAgain } from '../../../core/promises/index.ts';
import type { NeedStanding } from '../../../core/projects/index.ts';
import { getMatch } from '../../../core/colour/index.ts';
import type { Household, Item, Lot, LotId, Project } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getLotsByItem } from '../../state/derived.ts';
import { getStandings } from '../../state/projects.ts';
import { findThreadsFor } from '../../state/threads.ts';
import { wordAmount, wordMatch, wordShift } from '../../text/index.ts';
import { useSaveProject } from './useSaveProject.ts';
import { t, listAlike, wordTerm } from '../../language/index.ts';

const MOST = 8;

interface ChooseThingProps {
  readonly project: Project;
  readonly standing: NeedStanding;
  /** The promise in whose place another is to be made. */
  readonly instead?: { readonly lotId: LotId; readonly promiseId: string } | undefined;
  readonly onDone: () => void;
}

interface Thing {
  readonly lot: Lot;
  readonly item: Item;
  readonly note: string;
}

/** So many threads are told by their colour. */
const NEAR = 3;

/** The threads that are nearest to the main cloth of a project, with how near they are. */
function listNearThreads(household: Household, project: Project): Thing[] {
  const standing = getStandings(household).get(project.id);
  const cloth = standing?.needs.find(({ need, item }) => need.kind === 'fabric' && item)?.item;
  if (!cloth) return [];
  return findThreadsFor(household, cloth, NEAR).flatMap(({ of: item, deltaE, shifts }): Thing[] => {
    const [lotId] = getLotsByItem(household).get(item.id) ?? [];
    const lot = lotId && household.lots.get(lotId);
    const note = t('Beside {cloth}: {shift}; {match}', {
      cloth: cloth.name,
      shift: wordShift(deltaE, shifts),
      match: wordMatch(getMatch(deltaE)),
    });
    return lot ? [{ lot, item, note }] : [];
  });
}

/** Looks in the stash for a notion, a thread, a tool: what is used up is promised, what is used again is only named. */
export function ChooseThing({ project, standing, instead, onDone }: ChooseThingProps) {
  const household = useHousehold();
  const { need } = standing;
  const save = useSaveProject(project);
  const [text, setText] = useState(wordTerm(need.part).replace(/,.*/, ''));
  const things = useMemo(() => {
    const near = need.kind === 'thread' ? listNearThreads(household, project) : [];
    const finder = createFinder(listAlike);
    const wanted = [...household.lots].filter(([, lot]) => household.items.get(lot.itemId)?.kind === need.kind);
    finder.sync({ ...household, lots: new Map(wanted) });
    const found = finder.find(text, MOST).flatMap(({ lotId }): Thing[] => {
      const lot = household.lots.get(lotId);
      const item = lot && household.items.get(lot.itemId);
      return lot && item && near.every((one) => one.lot.id !== lotId) ? [{ lot, item, note: '' }] : [];
    });
    return [...near, ...found];
  }, [household, project, need.kind, text]);
  const take = async (lot: Lot, item: Item) => {
    const free = getAmount(item, lot) - getReserved(lot);
    const given = instead && standing.promised.find(({ promise }) => promise.id === instead.promiseId);
    const wanted = (standing.missing ?? 1) + (given?.promise.amount ?? 0);
    const wish = {
      projectId: project.id,
      needId: need.id,
      lotId: lot.id,
      amount: Math.min(Math.max(free, 0), wanted),
    };
    const isDone = isUsedAgain(need.kind)
      ? await save({ needs: project.needs.map((one) => (one.id === need.id ? { ...one, itemId: item.id } : one)) })
      : await act((now) =>
          instead
            ? createInstead(now, wish, instead, world.createId(), world.nowMs())
            : createPromise(now, wish, world.createId(), world.nowMs()),
        );
    if (isDone) onDone();
  };
  return (
    <section aria-label={t('Things that would do')} className="mt-1 border-l-4 border-woad bg-linen p-2">
      <input
        aria-label={t('Look in the stash for')}
        autoFocus
        maxLength={120}
        className="h-11 w-full rounded border border-stone/60 bg-field px-2 md:h-9"
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      {things.length === 0 && <p className="mt-1">{t('Nothing in the stash is called so.')}</p>}
      <ul>
        {things.map(({ lot, item, note }) => (
          <li key={lot.id} className="dotted-row flex items-center gap-2 py-1">
            <Swatch item={item} className="size-5 shrink-0" />
            <span data-name className="min-w-0 flex-1 break-words">
              {item.name}, {wordAmount(item, lot, household.settings.units)}
              {note !== '' && <span className="block text-sm text-stone">{note}</span>}
            </span>
            <Button aria-label={t('Take {name}', { name: item.name })} onClick={() => void take(lot, item)}>
              {t('Take it')}
            </Button>
          </li>
        ))}
      </ul>
      <Button look="quiet" onClick={onDone}>
        {t('Leave it')}
      </Button>
    </section>
  );
}
