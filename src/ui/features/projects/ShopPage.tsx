import { lazy, Suspense, useMemo, useState } from 'react';
import { createFinder } from '../../../core/finding/index.ts';
import { findNearest, toLabColour, type Candidate } from '../../../core/colour/index.ts';
import { listWanted, type Wanted } from '../../../core/projects/index.ts';
import type { Item, Lot } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Page } from '../../components/Page.tsx';
import { PrintDefs } from '../../drawing/Prints.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useHousehold } from '../../state/app.ts';
import { getProjectFacts, getStandings } from '../../state/projects.ts';
import { capitalise, formatAmount, wordAmount } from '../../text/index.ts';
import { ToProjects } from './ToProjects.tsx';

const GotForm = lazy(async () => ({ default: (await import('./GotForm.tsx')).GotForm }));

const keyOf = (wanted: Wanted) =>
  wanted.type === 'need'
    ? `${wanted.project.id} ${wanted.standing.need.id}`
    : wanted.type === 'thread'
      ? `thread ${wanted.cloth.id}`
      : `low ${wanted.item.id}`;

/** What to get, for the pocket: what projects lack, what runs low, and a look at what is there already. */
export function ShopPage() {
  const household = useHousehold();
  const wanted = useMemo(
    () => listWanted(getProjectFacts(household), [...getStandings(household).values()]),
    [household],
  );
  const forProjects = wanted.filter(({ type }) => type !== 'restock');
  const low = wanted.filter(({ type }) => type === 'restock');
  return (
    <Page title="Shop card" tabs={<ToProjects />}>
      <PrintDefs />
      <div className="min-h-0 flex-1 px-4 py-3 md:overflow-y-auto md:px-5">
        <HaveI />
        {wanted.length === 0 && <p className="mt-4">Nothing is missing, and nothing runs low.</p>}
        <List title="For projects" wanted={forProjects} />
        <List title="Runs low" wanted={low} />
        {wanted.length > 0 && (
          <Button look="quiet" className="no-print mt-4" onClick={() => window.print()}>
            Print it
          </Button>
        )}
      </div>
    </Page>
  );
}

function List({ title, wanted }: { title: string; wanted: readonly Wanted[] }) {
  if (wanted.length === 0) return null;
  return (
    <section aria-label={title} className="mt-4 max-w-3xl">
      <h2 className="font-display text-lg font-semibold">{title}</h2>
      <ul>
        {wanted.map((one) => (
          <Line key={keyOf(one)} wanted={one} />
        ))}
      </ul>
    </section>
  );
}

/** What it is, and for what. */
function useWords(wanted: Wanted): readonly [what: string, why: string] {
  const { units } = useHousehold().settings;
  if (wanted.type === 'thread') return [`Thread to go with ${wanted.cloth.name}`, `for ${wanted.project.name}`];
  if (wanted.type === 'restock') {
    const { item, present, mark, unit } = wanted;
    return [item.name, `${formatAmount(present, unit, units)} left, wanted ${formatAmount(mark, unit, units)}`];
  }
  const { need, missing, unit, item } = wanted.standing;
  const much = missing !== null && (unit === 'length' || missing > 1) ? `, ${formatAmount(missing, unit, units)}` : '';
  const of = need.kind === 'fabric' && item ? ` like ${item.name}` : '';
  const words = need.kind === 'fabric' ? `${capitalise(need.part)} cloth${of}` : capitalise(need.part);
  return [`${words}${much}`, `for ${wanted.project.name}`];
}

function Line({ wanted }: { wanted: Wanted }) {
  const [isAsked, setAsked] = useState(false);
  const [what, why] = useWords(wanted);
  const item = wanted.type === 'thread' ? wanted.cloth : wanted.type === 'restock' ? wanted.item : wanted.standing.item;
  return (
    <li className="dotted-row py-1.5">
      <div className="flex items-center gap-3">
        {item && <Swatch item={item} className="size-8 shrink-0" />}
        <span data-name className="min-w-0 flex-1">
          <span className="block font-semibold">{what}</span>
          <span className="block text-sm text-stone">{why}</span>
        </span>
        {wanted.type !== 'thread' && !isAsked && (
          <Button className="no-print" aria-label={`Got it: ${what}`} onClick={() => setAsked(true)}>
            Got it
          </Button>
        )}
      </div>
      {isAsked && wanted.type !== 'thread' && (
        <Suspense>
          <GotForm wanted={wanted} onDone={() => setAsked(false)} />
        </Suspense>
      )}
    </li>
  );
}

/** So many answers do for a look. */
const MOST = 6;

/** Do I have it already? By words, or the nearest by colour. */
function HaveI() {
  const household = useHousehold();
  const { units } = household.settings;
  const [text, setText] = useState('');
  const [colour, setColour] = useState('');
  const finder = useMemo(() => {
    const made = createFinder();
    made.sync(household);
    return made;
  }, [household]);
  const found = useMemo((): { lot: Lot; item: Item }[] => {
    const toThing = (lot: Lot | undefined) => {
      const item = lot && household.items.get(lot.itemId);
      return lot && item && lot.state !== 'gone' ? [{ lot, item }] : [];
    };
    const byWords =
      text.trim() === ''
        ? null
        : finder.find(text, colour === '' ? MOST : 200).flatMap(({ lotId }) => toThing(household.lots.get(lotId)));
    const lab = colour === '' ? null : toLabColour(colour);
    if (!lab) return byWords ?? [];
    const among = (byWords ?? [...household.lots.values()].flatMap(toThing)).flatMap(
      (thing): Candidate<typeof thing>[] => {
        const own = thing.item.colours[0] ? toLabColour(thing.item.colours[0]) : null;
        return own ? [{ of: thing, lab: own }] : [];
      },
    );
    return findNearest(lab, among, MOST).map(({ of }) => of);
  }, [household, finder, text, colour]);
  return (
    <section aria-label="Do I have it already?" className="no-print max-w-3xl">
      <div className="flex flex-wrap items-center gap-2">
        <input
          aria-label="Do I have it already?"
          placeholder="Do I have a red ribbing already?"
          maxLength={120}
          autoComplete="off"
          className="h-11 min-w-0 flex-1 rounded border border-stone/60 bg-white px-2"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <label className="flex min-h-11 items-center gap-2 text-sm text-stone">
          by colour
          <input
            type="color"
            aria-label="Nearest to this colour"
            className="size-11 rounded border border-stone/60 bg-white"
            value={colour === '' ? '#8a8f94' : colour}
            onChange={(event) => setColour(event.target.value)}
          />
        </label>
        {colour !== '' && (
          <Button look="quiet" onClick={() => setColour('')}>
            Any colour
          </Button>
        )}
      </div>
      {(text.trim() !== '' || colour !== '') && (
        <ul aria-label="What is there">
          {found.length === 0 && <li className="py-1.5">Nothing like it is in the stash.</li>}
          {found.map(({ lot, item }) => (
            <li key={lot.id} className="dotted-row flex items-center gap-3 py-1">
              <Swatch item={item} className="size-8 shrink-0" />
              <span data-name className="min-w-0 flex-1 truncate">
                {item.name}
              </span>
              <span className="tabular text-sm text-stone" {...explained('As its ticket says.')}>
                {wordAmount(item, lot, units)}
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
