import { lazy, Suspense, useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { Link, NavLink, useNavigate, useParams } from 'react-router';
import { countPieces, computeClothMass } from '../../../core/measure/index.ts';
import { isKind, KINDS, type Household, type Kind } from '../../../core/records/index.ts';
import { formatClothLength, formatMass } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { Figure, Page, tabClass } from '../../components/Page.tsx';
import { explained } from '../../components/explained.ts';
import { saveFile } from '../../components/saveFile.ts';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { STASH_VIEWS, useChoices, type SavedLook } from '../../state/choices.ts';
import { derive } from '../../state/derived.ts';
import { useFound } from '../../state/finder.ts';
import { wordKindPlural } from '../../text/index.ts';
import { TicketPane } from '../ticket/TicketPane.tsx';
import { LaidOut } from './LaidOut.tsx';
import { listViews, NarrowBar, ViewSwitch, type Look } from './NarrowBar.tsx';
import { QuickField } from './QuickField.tsx';
import { narrowRows, sortRows, type Narrowing, type SortBy, SORTS, type StashRow, useRows } from './rows.ts';
import { Welcome } from './Welcome.tsx';
import { formatNumber, t } from '../../language/index.ts';
import { midSentence } from '../../text/grammar.ts';

const StashTable = lazy(async () => ({ default: (await import('./StashTable.tsx')).StashTable }));
const SwatchWall = lazy(async () => ({ default: (await import('./SwatchWall.tsx')).SwatchWall }));
const StashFigures = lazy(async () => ({ default: (await import('./StashFigures.tsx')).StashFigures }));

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

/** Lots of each kind that are not gone. */
const countKinds = derive((household) => {
  const byKind = new Map<Kind, number>();
  for (const lot of household.lots.values()) {
    const item = household.items.get(lot.itemId);
    if (item && lot.state !== 'gone') byKind.set(item.kind, (byKind.get(item.kind) ?? 0) + 1);
  }
  return byKind;
});

/** Each kind, with how many lots of it there are. */
function KindTabs({ kind }: { kind: Kind }) {
  const counts = countKinds(useHousehold());
  return (
    <ul className="flex gap-1">
      {KINDS.map((one) => (
        <li key={one}>
          <NavLink
            to={`/stash/${one}`}
            className={tabClass(one === kind)}
            aria-current={one === kind ? 'page' : undefined}
            {...explained(t('The things of each kind that are not gone, files among them.'))}
            onClick={() => useChoices.setState({ stashKind: one })}
          >
            {`${wordKindPlural(one)} ${formatNumber(counts.get(one) ?? 0)}`}
          </NavLink>
        </li>
      ))}
    </ul>
  );
}

/** The stash: cloth laid out to one scale or by the colour wheel, any kind in a table or in figures; the ticket at the right. */
export function StashPage() {
  const household = useHousehold();
  const show = useApp((state) => state.show);
  const navigate = useNavigate();
  const params = useParams();
  const choices = useChoices();
  const kind = isKind(params['kind']) ? params['kind'] : choices.stashKind;
  // Each kind is narrowed by itself: going to the threads and back, the cloth is as it was left.
  const [looks, setLooks] = useState<Partial<Record<Kind, Look>>>({});
  const look = looks[kind] ?? NO_LOOK;
  const words = useDeferredValue(look.text);
  const { units } = household.settings;
  const [openedMs] = useState(() => world.nowMs());

  const all = useRows(household, kind, openedMs);
  const hits = useFound(household, words, Infinity);
  const narrowed = useMemo(() => {
    const found = words.trim() === '' ? null : new Set(hits.map((hit) => hit.lotId));
    return narrowRows(all, kind, look.narrowing, found);
  }, [all, kind, look.narrowing, words, hits]);
  const { rows } = narrowed;
  const views = listViews(kind);
  const view = views.includes(choices.stashView) ? choices.stashView : views[0]!;
  const toList = useCallback((pasted: string) => void navigate('/list', { state: { pasted } }), [navigate]);
  const toPhotos = useCallback((files: readonly File[]) => void navigate('/photos', { state: { files } }), [navigate]);
  usePasted(toList, toPhotos);
  const dropList = async (file: File | undefined) => {
    if (file) void navigate('/list', { state: { pasted: new Uint8Array(await file.arrayBuffer()) } });
  };
  const recall = (kept: SavedLook) => {
    setLooks({ ...looks, [kind]: { text: kept.text, narrowing: kept.narrowing as Narrowing } });
    const { sortBy: by, isDescending, groupBy } = kept;
    useChoices.setState({ stashView: kept.view, sortBy: by, isDescending, groupBy });
  };

  return (
    <Page
      title={t('Stash')}
      tabs={<KindTabs kind={kind} />}
      onDropFiles={(files) =>
        files.every((file) => file.type.startsWith('image/')) ? toPhotos(files) : void dropList(files[0])
      }
      aside={<TicketPane hint={t('Choose something to see how much of it there is, and where it lives.')} />}
      foot={
        <>
          <ShownFigures kind={kind} rows={rows} />
          <QuickField kind={kind} units={units} />
          <Button
            look="strong"
            data-key="n"
            onClick={() => {
              void navigate(`/stash/${kind}`);
              show({ type: 'newItem', kind });
            }}
          >
            {t('Form')} <kbd className="pl-2 font-normal">N</kbd>
          </Button>
        </>
      }
    >
      <Welcome />
      <NarrowBar
        kind={kind}
        look={look}
        narrowed={narrowed}
        isTable={view === 'table'}
        onLook={(next) => setLooks({ ...looks, [kind]: next })}
        onRecall={recall}
      />
      <div className="flex flex-wrap items-center gap-x-5 px-4 pb-1 md:px-5">
        <ViewSwitch kind={kind} view={view} />
        <div className="ml-auto flex flex-wrap gap-x-4">
          <Button look="quiet" onClick={() => void navigate('/photos')}>
            {t('Add by photos')}
          </Button>
          <Button look="quiet" onClick={() => void navigate('/list')}>
            {t('Bring in a list')}
          </Button>
          <Button look="quiet" onClick={() => void writeOut(household, kind)}>
            {t('Save as CSV')}
          </Button>
        </div>
      </div>
      <StashView kind={kind} view={view} rows={rows} isNone={all.length === 0} />
    </Page>
  );
}

interface StashViewProps {
  readonly kind: Kind;
  readonly view: (typeof STASH_VIEWS)[number];
  readonly rows: readonly StashRow[];
  /** There is nothing of the kind at all. */
  readonly isNone: boolean;
}

/** What is shown of a kind, in the view that was chosen. */
function StashView({ kind, view, rows, isNone }: StashViewProps) {
  const choices = useChoices();
  const sortBy = (SORTS as readonly string[]).includes(choices.sortBy) ? (choices.sortBy as SortBy) : 'name';
  const sorted = useMemo(
    () => (view === 'table' ? sortRows(rows, sortBy, choices.isDescending) : []),
    [rows, sortBy, choices.isDescending, view],
  );
  if (rows.length === 0)
    return (
      <div className="px-5 py-10">
        <p className="font-display text-xl">
          {isNone
            ? t('No {kindPlural} yet.', { kindPlural: midSentence(wordKindPlural(kind)) })
            : t('Nothing in the stash is like that.')}
        </p>
        <p className="mt-2 text-stone">
          {isNone
            ? t(
                'Press Q and type what is in your hand; the rest is filled in from what is usual. Or say how much there is of it, ',
              )
            : t('Fewer words or another colour will show more.')}
          {isNone && (
            <Link to={`/heaps?kind=${kind}`} className="text-woad underline">
              {t('by the heap')}
            </Link>
          )}
          {isNone && '.'}
        </p>
      </div>
    );
  if (view === 'laidOut') return <LaidOut rows={rows} />;
  return (
    <Suspense>
      {view === 'wheel' && <SwatchWall rows={rows} />}
      {view === 'table' && <StashTable key={kind} rows={sorted} kind={kind} sortBy={sortBy} />}
      {view === 'figures' && <StashFigures rows={rows} kind={kind} />}
    </Suspense>
  );
}

/** How much is shown: of cloth its length and weight, of other kinds the lots. */
function ShownFigures({ kind, rows }: Pick<StashViewProps, 'kind' | 'rows'>) {
  const { units } = useHousehold().settings;
  const [lengthMm, massG] = useMemo(() => {
    let [length, mass] = [0, 0];
    for (const { item, lot } of rows) {
      if (!item.fabric || lot.lengthMm === undefined) continue;
      length += lot.lengthMm;
      mass += computeClothMass(lot.lengthMm, item.fabric.widthMm, item.fabric.grammageGsm);
    }
    return [length, mass];
  }, [rows]);
  return (
    <>
      <Figure
        value={kind === 'fabric' ? formatClothLength(lengthMm, units) : formatNumber(rows.length)}
        label={
          kind === 'fabric'
            ? t('in {pieces, plural, one {# length} other {# lengths}}', {
                pieces: countPieces(rows.map((row) => row.lot)),
              })
            : midSentence(wordKindPlural(kind))
        }
        how={
          kind === 'fabric'
            ? t('The lengths of all things that are shown, added up: typed ones as typed, measured ones as measured.')
            : t('All things that are shown, one each.')
        }
      />
      {kind === 'fabric' && (
        <Figure
          value={formatMass(massG, units)}
          label={t('of cloth')}
          how={t('Length × width × g/m² of every thing that is shown, added up.')}
        />
      )}
    </>
  );
}

const NO_LOOK: Look = { text: '', narrowing: {} };
