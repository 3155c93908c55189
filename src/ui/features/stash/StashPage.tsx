import { lazy, Suspense, useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { NavLink, useNavigate, useParams } from 'react-router';
import { COLOUR_FAMILIES } from '../../../core/colour/index.ts';
import { computeClothMass } from '../../../core/measure/index.ts';
import { KINDS, type Household, type Kind } from '../../../core/records/index.ts';
import { formatClothLength, formatMass } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { saveFile } from '../../components/saveFile.ts';
import { Figure, Page, tabClass } from '../../components/Page.tsx';
import { useApp, useHousehold } from '../../state/app.ts';
import { useChoices } from '../../state/choices.ts';
import { getFinder, getTree } from '../../state/derived.ts';
import { capitalise, wordCount, wordKindPlural } from '../../text/index.ts';
import { TicketPane } from '../ticket/TicketPane.tsx';
import { LaidOut } from './LaidOut.tsx';
import { filterRows, getWhat, listRows, PRESENCES, sortRows, type Presence, type SortBy, SORTS } from './rows.ts';
import { Welcome } from './Welcome.tsx';

const QuickLine = lazy(async () => ({ default: (await import('./QuickLine.tsx')).QuickLine }));
const StashTable = lazy(async () => ({ default: (await import('./StashTable.tsx')).StashTable }));

const WHAT: Record<Kind, string> = {
  fabric: 'Fibre',
  pattern: 'Garment',
  thread: 'For',
  notion: 'Type',
  tool: 'Type',
  scrap: 'Fibre',
  kit: 'How far',
  other: 'Type',
};
const PRESENCE: Record<Presence, string> = {
  all: 'anywhere',
  in: 'at home',
  out: 'out',
  homeless: 'without a home',
  planned: 'planned elsewhere',
};
const SORT: Record<SortBy, string> = {
  name: 'name',
  colour: 'colour wheel',
  amount: 'how much',
  what: 'what it is',
  uses: 'uses a month',
  place: 'place',
};

const selectClass = 'h-11 rounded border border-thread bg-paper px-2 md:h-8';

function isKind(text: string | undefined): text is Kind {
  return (KINDS as readonly string[]).includes(text ?? '');
}

/** Saves all of a kind as a table that spreadsheets open. */
async function writeOut(household: Household, kind: Kind): Promise<void> {
  const { toCsv } = await import('../../../core/formats/csv/index.ts');
  saveFile(toCsv(household, kind), `${wordKindPlural(kind).toLowerCase()}.csv`, 'text/csv');
}

/** Rows copied from a spreadsheet and pasted anywhere on the screen are a list to bring in; pictures are things. */
function usePasted(onRows: (text: string) => void, onFiles: (files: readonly File[]) => void) {
  useEffect(() => {
    const onPaste = (event: ClipboardEvent) => {
      const files = [...(event.clipboardData?.files ?? [])];
      if (files.length > 0) {
        event.preventDefault();
        onFiles(files);
        return;
      }
      const { target } = event;
      const isTyping = target instanceof HTMLElement && ['INPUT', 'TEXTAREA'].includes(target.tagName);
      const text = event.clipboardData?.getData('text/plain') ?? '';
      if (isTyping || !text.trim().includes('\n')) return;
      event.preventDefault();
      onRows(text);
    };
    window.addEventListener('paste', onPaste);
    return () => window.removeEventListener('paste', onPaste);
  }, [onRows, onFiles]);
}

/** The stash: cloth laid out to one scale, or any kind in a table; search, filter, sort; the ticket at the right. */
export function StashPage() {
  const household = useHousehold();
  const show = useApp((state) => state.show);
  const navigate = useNavigate();
  const params = useParams();
  const choices = useChoices();
  const kind = isKind(params['kind']) ? params['kind'] : choices.stashKind;
  const [text, setText] = useState('');
  const [what, setWhat] = useState('');
  const [colour, setColour] = useState('');
  const [presence, setPresence] = useState<Presence>('all');
  const words = useDeferredValue(text);
  const tree = getTree(household);
  const { units } = household.settings;

  const all = useMemo(() => listRows(household, tree, kind), [household, tree, kind]);
  const whats = useMemo(() => [...new Set(all.map(({ item }) => getWhat(item)))].toSorted(), [all]);
  const rows = useMemo(() => {
    const found =
      words.trim() === ''
        ? null
        : new Set(
            getFinder(household)
              .find(words, Infinity)
              .map((hit) => hit.lotId),
          );
    return filterRows(all, { what: whats.includes(what) ? what : '', colour, presence, found });
  }, [household, all, words, whats, what, colour, presence]);
  const sortBy = (SORTS as readonly string[]).includes(choices.sortBy) ? (choices.sortBy as SortBy) : 'name';
  const sorted = useMemo(() => sortRows(rows, sortBy, choices.isDescending), [rows, sortBy, choices.isDescending]);
  const counts = useMemo(() => {
    const byKind = new Map<Kind, number>();
    for (const lot of household.lots.values()) {
      const item = household.items.get(lot.itemId);
      if (item && lot.state !== 'gone') byKind.set(item.kind, (byKind.get(item.kind) ?? 0) + 1);
    }
    return byKind;
  }, [household]);

  const lengthMm = rows.reduce((sum, { lot }) => sum + (lot.lengthMm ?? 0), 0);
  const massG = rows.reduce(
    (sum, { item, lot }) =>
      sum + (item.fabric ? computeClothMass(lot.lengthMm ?? 0, item.fabric.widthMm, item.fabric.grammageGsm) : 0),
    0,
  );
  const isLaidOut = kind === 'fabric' && choices.isLaidOut;
  const isFiltered = text !== '' || what !== '' || colour !== '' || presence !== 'all';
  const toList = useCallback((pasted: string) => void navigate('/list', { state: { pasted } }), [navigate]);
  const toPhotos = useCallback((files: readonly File[]) => void navigate('/photos', { state: { files } }), [navigate]);
  usePasted(toList, toPhotos);
  const dropList = async (file: File | undefined) => {
    if (file) void navigate('/list', { state: { pasted: new Uint8Array(await file.arrayBuffer()) } });
  };
  const clear = () => {
    setText('');
    setWhat('');
    setColour('');
    setPresence('all');
  };

  return (
    <Page
      title="Stash"
      tabs={
        <ul className="flex gap-1">
          {KINDS.map((one) => (
            <li key={one}>
              <NavLink
                to={`/stash/${one}`}
                className={tabClass(one === kind)}
                aria-current={one === kind ? 'page' : undefined}
                onClick={() => useChoices.setState({ stashKind: one })}
              >
                {`${wordKindPlural(one)} ${counts.get(one) ?? 0}`}
              </NavLink>
            </li>
          ))}
        </ul>
      }
      onDropFiles={(files) =>
        files.every((file) => file.type.startsWith('image/')) ? toPhotos(files) : void dropList(files[0])
      }
      aside={<TicketPane hint="Choose something to see how much of it there is, and where it lives." />}
      foot={
        <>
          <Figure
            value={kind === 'fabric' ? formatClothLength(lengthMm, units) : rows.length.toLocaleString('en')}
            label={kind === 'fabric' ? `in ${wordCount(rows.length, 'length')}` : wordKindPlural(kind).toLowerCase()}
          />
          {kind === 'fabric' && <Figure value={formatMass(massG, units)} label="of cloth" />}
          <Suspense fallback={<span className="h-11 flex-1 basis-72" />}>
            <QuickLine kind={kind} />
          </Suspense>
          <Button
            look="strong"
            data-key="n"
            onClick={() => {
              void navigate(`/stash/${kind}`);
              show({ type: 'newItem', kind });
            }}
          >
            Form <kbd className="pl-2 font-normal">N</kbd>
          </Button>
        </>
      }
    >
      <Welcome />
      <form
        role="search"
        aria-label="Narrow the stash"
        className="flex flex-wrap items-center gap-2 px-4 py-2 md:px-5"
        onSubmit={(event) => event.preventDefault()}
      >
        <input
          type="search"
          aria-label="Words to narrow by"
          placeholder="narrow by words"
          className={`${selectClass} w-full md:w-40`}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <select aria-label={WHAT[kind]} className={selectClass} value={what} onChange={(e) => setWhat(e.target.value)}>
          <option value="">{`${WHAT[kind]}: any`}</option>
          {whats.map((one) => (
            <option key={one} value={one}>
              {capitalise(one)}
            </option>
          ))}
        </select>
        <select aria-label="Colour" className={selectClass} value={colour} onChange={(e) => setColour(e.target.value)}>
          <option value="">Colour: any</option>
          {COLOUR_FAMILIES.map((one) => (
            <option key={one} value={one}>
              {capitalise(one)}
            </option>
          ))}
        </select>
        <select
          aria-label="Where it is"
          className={selectClass}
          value={presence}
          onChange={(e) => setPresence(e.target.value as Presence)}
        >
          {PRESENCES.map((one) => (
            <option key={one} value={one}>
              {one === 'all' ? 'Place: anywhere' : capitalise(PRESENCE[one])}
            </option>
          ))}
        </select>
        {!isLaidOut && (
          <select
            aria-label="Sort by"
            className={selectClass}
            value={sortBy}
            onChange={(e) => useChoices.setState({ sortBy: e.target.value, isDescending: false })}
          >
            {SORTS.map((one) => (
              <option key={one} value={one}>
                {`By ${SORT[one]}`}
              </option>
            ))}
          </select>
        )}
        {isFiltered && (
          <Button look="quiet" onClick={clear}>
            Show all
          </Button>
        )}
        <Button look="quiet" className="ml-auto" onClick={() => void navigate('/photos')}>
          By photos
        </Button>
        <Button look="quiet" onClick={() => void navigate('/list')}>
          A list in
        </Button>
        <Button look="quiet" onClick={() => void writeOut(household, kind)}>
          CSV out
        </Button>
        {kind === 'fabric' && (
          <Button look="quiet" data-key="v" onClick={() => useChoices.setState({ isLaidOut: !choices.isLaidOut })}>
            {isLaidOut ? 'As a table' : 'Laid out'} <kbd className="font-normal no-underline">V</kbd>
          </Button>
        )}
      </form>
      {rows.length === 0 ? (
        <div className="px-5 py-10">
          <p className="font-display text-xl">
            {all.length === 0 ? `No ${wordKindPlural(kind).toLowerCase()} yet.` : 'Nothing in the stash is like that.'}
          </p>
          <p className="mt-2 text-stone">
            {all.length === 0
              ? 'Press N and type what is in your hand; the rest is filled in from what is usual.'
              : 'Fewer words or another colour will show more.'}
          </p>
        </div>
      ) : isLaidOut ? (
        <LaidOut rows={rows} />
      ) : (
        <Suspense>
          <StashTable rows={sorted} kind={kind} sortBy={sortBy} whatName={WHAT[kind]} />
        </Suspense>
      )}
    </Page>
  );
}
