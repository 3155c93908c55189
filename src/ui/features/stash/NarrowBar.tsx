import { useState } from 'react';
import type { Kind } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { explained } from '../../components/explained.ts';
import { STASH_VIEWS, useChoices, type SavedLook } from '../../state/choices.ts';
import { FACETS_OF_KIND, SORTS, type Facet, type Narrowed, type Narrowing } from './rows.ts';
import { wordFacet, wordFacetValue, wordSort } from './words.ts';
import { formatNumber, getLanguage, perLanguage, t } from '../../language/index.ts';
import { midSentence } from '../../text/grammar.ts';

export const barClass = 'h-11 max-w-44 rounded border border-thread bg-paper px-2 md:h-8';

/** How the stash is looked at: the words and values it is narrowed by. */
export interface Look {
  readonly text: string;
  readonly narrowing: Narrowing;
}

interface NarrowBarProps {
  readonly kind: Kind;
  readonly look: Look;
  readonly narrowed: Narrowed;
  readonly isTable: boolean;
  readonly onLook: (look: Look) => void;
  readonly onRecall: (look: SavedLook) => void;
}

const HOW = perLanguage(() => t('How many things it would leave, with the words and everything else that is chosen.'));

/** These are always in sight; the rest is one press away. */
const FIRST: ReadonlySet<Facet> = new Set(['what', 'colour', 'presence', 'attention']);

/** Narrows the stash: words, facets with how many each would leave, and looks kept under a name. */
export function NarrowBar({ kind, look, narrowed, isTable, onLook, onRecall }: NarrowBarProps) {
  const allLooks = useChoices((choices) => choices.looks);
  const [isMore, setMore] = useState(false);
  const naming = useNaming(kind, look);
  const facets = FACETS_OF_KIND[kind].filter(
    (facet) => isMore || FIRST.has(facet) || look.narrowing[facet] !== undefined,
  );
  const isNarrowed = look.text !== '' || Object.keys(look.narrowing).length > 0;
  const looks = allLooks.filter((one) => one.kind === kind);
  const choose = (facet: Facet, value: string) => {
    const narrowing = { ...look.narrowing };
    if (value === '') delete narrowing[facet];
    else narrowing[facet] = value;
    onLook({ ...look, narrowing });
  };
  return (
    <Form
      role="search"
      aria-label={t('Narrow the stash')}
      className="flex flex-wrap items-center gap-2 px-4 py-2 md:px-5"
      onSend={() => naming.keep()}
    >
      <input
        maxLength={200}
        type="search"
        aria-label={t('Words to narrow by')}
        placeholder={t('narrow by words')}
        className={`${barClass} max-md:flex-1 md:w-36`}
        value={look.text}
        onChange={(event) => onLook({ ...look, text: event.target.value })}
      />
      {facets.map((facet) => (
        <FacetSelect
          key={facet}
          kind={kind}
          facet={facet}
          chosen={look.narrowing[facet] ?? ''}
          counts={narrowed.counts[facet]}
          isMore={isMore}
          onChoose={(value) => choose(facet, value)}
        />
      ))}
      {isTable && <TableSelects kind={kind} isMore={isMore} />}
      <Button look="quiet" aria-expanded={isMore} onClick={() => setMore(!isMore)}>
        {isMore ? t('Fewer') : t('More')}
      </Button>
      {isNarrowed && (
        <Button look="quiet" onClick={() => onLook({ text: '', narrowing: {} })}>
          {t('Show all')}
        </Button>
      )}
      {looks.length > 0 && (
        <select
          aria-label={t('Kept looks')}
          className={barClass}
          value=""
          onChange={(event) => {
            const kept = looks.find((one) => one.name === event.target.value);
            if (kept) onRecall(kept);
          }}
        >
          <option value="">{t('{n, plural, one {# kept look} other {# kept looks}}', { n: looks.length })}</option>
          {looks.map((one) => (
            <option key={one.name} value={one.name}>
              {one.name}
            </option>
          ))}
        </select>
      )}
      <KeepLook kind={kind} naming={naming} isOffered={isNarrowed || isMore} />
    </Form>
  );
}

/** A phone's width shows the words and what is chosen; the rest comes with More. */
const quietUnless = (isShown: boolean) => (isShown ? '' : 'max-md:hidden');

interface FacetSelectProps {
  readonly kind: Kind;
  readonly facet: Facet;
  readonly chosen: string;
  readonly counts: ReadonlyMap<string, number> | undefined;
  readonly isMore: boolean;
  readonly onChoose: (value: string) => void;
}

function FacetSelect({ kind, facet, chosen, counts: all, isMore, onChoose }: FacetSelectProps) {
  const counts = [...(all ?? [])].filter(([value]) => value !== '' || facet === 'what');
  // What is chosen stays in the list even where nothing is left of it.
  if (chosen !== '' && !counts.some(([value]) => value === chosen)) counts.push([chosen, 0]);
  if (counts.length === 0) return null;
  const label = wordFacet(facet, kind);
  return (
    <select
      aria-label={label}
      className={`${barClass} ${quietUnless(isMore || chosen !== '')} ${chosen === '' ? '' : 'border-woad font-semibold'}`}
      value={chosen}
      {...explained(HOW(), t('{label}: the counts in brackets', { label }))}
      onChange={(event) => onChoose(event.target.value)}
    >
      <option value="">{t('{label}: any', { label })}</option>
      {counts
        .map(([value, count]) => [value, wordFacetValue(facet, value), count] as const)
        .toSorted((a, b) => a[1].localeCompare(b[1], getLanguage(), { numeric: true }))
        .map(([value, words, count]) => (
          <option key={value} value={value}>
            {`${words} (${formatNumber(count)})`}
          </option>
        ))}
    </select>
  );
}

/** How the table is sorted and grouped. */
function TableSelects({ kind, isMore }: { kind: Kind; isMore: boolean }) {
  const { sortBy, groupBy } = useChoices();
  return (
    <>
      <select
        aria-label={t('Sort by')}
        className={`${barClass} ${quietUnless(isMore)}`}
        value={sortBy}
        onChange={(event) => useChoices.setState({ sortBy: event.target.value, isDescending: false })}
      >
        {SORTS.map((one) => (
          <option key={one} value={one}>
            {t('By {sort}', { sort: wordSort(one) })}
          </option>
        ))}
      </select>
      <select
        aria-label={t('Group by')}
        className={`${barClass} ${quietUnless(isMore || groupBy !== '')}`}
        value={groupBy}
        onChange={(event) => useChoices.setState({ groupBy: event.target.value })}
      >
        <option value="">{t('Not grouped')}</option>
        {FACETS_OF_KIND[kind].map((one) => (
          <option key={one} value={one}>
            {t('Under {facet}', {
              facet: one === 'what' && kind === 'thread' ? t('use') : midSentence(wordFacet(one, kind)),
            })}
          </option>
        ))}
      </select>
    </>
  );
}

/** A look that is being given a name, under which it is kept or forgotten; null where none is. */
function useNaming(kind: Kind, look: Look) {
  const [name, setName] = useState<string | null>(null);
  const keepLooks = (also: readonly SavedLook[]) => {
    const others = useChoices.getState().looks.filter((one) => one.kind !== kind || one.name !== name?.trim());
    useChoices.setState({ looks: [...others, ...also].slice(-30) });
    setName(null);
  };
  return {
    name,
    setName,
    forget: () => keepLooks([]),
    keep: () => {
      const { stashView: view, sortBy, isDescending, groupBy } = useChoices.getState();
      const narrowing = look.narrowing as Record<string, string>;
      const called = name?.trim() ?? '';
      if (called !== '')
        keepLooks([{ name: called, kind, text: look.text, narrowing, view, sortBy, isDescending, groupBy }]);
    },
  };
}

interface KeepLookProps {
  readonly kind: Kind;
  readonly naming: ReturnType<typeof useNaming>;
  readonly isOffered: boolean;
}

function KeepLook({ kind, naming: { name, setName, forget }, isOffered }: KeepLookProps) {
  const looks = useChoices((choices) => choices.looks);
  if (name === null)
    return isOffered ? (
      <Button look="quiet" onClick={() => setName('')}>
        {t('Keep this look')}
      </Button>
    ) : null;
  return (
    <span className="flex items-center gap-2">
      <input
        maxLength={40}
        aria-label={t('Name of this look')}
        autoFocus
        className={`${barClass} w-36`}
        value={name}
        onChange={(event) => setName(event.target.value)}
        onKeyDown={(event) => event.key === 'Escape' && setName(null)}
      />
      <Button look="quiet" type="submit">
        {t('Keep')}
      </Button>
      {looks.some((one) => one.kind === kind && one.name === name.trim()) && (
        <Button look="quiet" onClick={forget}>
          {t('Forget it')}
        </Button>
      )}
    </span>
  );
}

const VIEW_WORDS = perLanguage(
  () => ({ laidOut: t('Laid out'), wheel: t('By the wheel'), table: t('Table'), figures: t('Figures') }) as const,
);

/** Which view of a kind there is: cloth lies out and by the wheel, all kinds stand in a table and in figures. */
export function listViews(kind: Kind): (typeof STASH_VIEWS)[number][] {
  if (kind === 'fabric') return [...STASH_VIEWS];
  return kind === 'scrap' ? ['wheel', 'table', 'figures'] : ['table', 'figures'];
}

/** Goes from one view to the next; V does it too. */
export function ViewSwitch({ kind, view }: { kind: Kind; view: (typeof STASH_VIEWS)[number] }) {
  const views = listViews(kind);
  const next = views[(views.indexOf(view) + 1) % views.length]!;
  return (
    <div role="group" aria-label={t('How it is shown')} className="no-print flex items-center gap-3">
      {views.map((one) => (
        <button
          key={one}
          type="button"
          aria-pressed={one === view}
          data-key={one === next ? 'v' : undefined}
          className={`min-h-11 md:min-h-8 ${one === view ? 'border-b-2 border-woad font-semibold' : 'text-woad underline underline-offset-4'}`}
          onClick={() => useChoices.setState({ stashView: one })}
        >
          {VIEW_WORDS()[one]}
          {one === next && <kbd className="pl-1 font-normal text-stone no-underline">V</kbd>}
        </button>
      ))}
    </div>
  );
}
