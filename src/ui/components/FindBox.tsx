import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { useDeferredValue, useEffect, useEffectEvent, useMemo, useRef, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { findByCode, parseCode } from '../../core/labels/index.ts';
import {
  isOver,
  type Household,
  type Item,
  type LotId,
  type PlaceId,
  type Project,
  type ProjectId,
} from '../../core/records/index.ts';
import { findWallId, formatPlaceName } from '../../core/storage/index.ts';
import { Swatch } from '../drawing/Swatch.tsx';
import { useApp, useHousehold } from '../state/app.ts';
import { getTree } from '../state/derived.ts';
import { getWhereabouts, getLotsByPlace } from '../state/whereabouts.ts';
import { useFound } from '../state/finder.ts';
import { BOX_ID, findBox, findClass, findFrameClass, useTyped } from './find.ts';
import { wordWhereShort } from '../text/where.ts';
import { t } from '../language/index.ts';

/** Small words of a question: "what is in the …?" */
const SMALL = new Set(['what', 'is', 'in', 'the', 'this', 'which', 'where', 'of', 'a']);
const MOST_PLACES = 3;

/** Places whose name has every word that was typed; none while one types of things. */
function findPlaces(household: Household, query: string): { id: PlaceId; name: string; lots: string }[] {
  const words = query.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
  const telling = words.filter((word) => !SMALL.has(word));
  if (telling.every((word) => word.length < 2)) return [];
  const tree = getTree(household);
  const byPlace = getLotsByPlace(household);
  const found: { id: PlaceId; name: string; lots: string }[] = [];
  for (const { id } of tree.leaves) {
    const name = formatPlaceName(tree, id);
    const own = name.toLowerCase();
    if (telling.every((word) => own.includes(word)))
      found.push({
        id,
        name,
        lots: t('{n, plural, one {# thing} other {# things}}', { n: byPlace.get(id)?.length ?? 0 }),
      });
    if (found.length === MOST_PLACES) break;
  }
  return found;
}

const MOST_PROJECTS = 2;

/** Projects whose name has every word that was typed; what is going on before what is over. */
function findProjects({ projects }: Household, query: string): Project[] {
  const words = query.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
  if (words.every((word) => word.length < 3)) return [];
  return [...projects.values()]
    .filter(({ name }) => words.every((word) => name.toLowerCase().includes(word)))
    .toSorted((a, b) => Number(isOver(a)) - Number(isOver(b)))
    .slice(0, MOST_PROJECTS);
}

/** Enter that was pressed before its answers were there: once they are, the first of them is taken. */
function useEnterEarly(
  before: string,
  query: string,
  first: string | null,
  choose: (id: string) => void,
): (text: string) => void {
  const entered = useRef(before);
  const chooseNow = useEffectEvent(choose);
  useEffect(() => {
    if (first === null || query === '' || entered.current !== query) return;
    entered.current = '';
    chooseNow(first);
  }, [query, first]);
  return (text) => {
    entered.current = text;
  };
}

interface FindBoxProps {
  /** It has the focus already. */
  readonly isWanted: boolean;
  readonly onBegin: () => void;
  /** At which text Enter was pressed before this was loaded. */
  readonly entered: string;
}

/** "Where is the…": type, and every answer says the place. Enter opens it on the wall. */
export function FindBox({ isWanted, onBegin, entered }: FindBoxProps) {
  const household = useHousehold();
  const show = useApp((state) => state.show);
  const navigate = useNavigate();
  const text = useTyped((typed) => typed.text);
  const query = useDeferredValue(text);
  const hits = useFound(household, query, 8);
  const found = useMemo(() => hits.filter(({ lotId }) => household.lots.has(lotId)), [hits, household]);

  const places = useMemo(() => findPlaces(household, query), [household, query]);
  const projects = useMemo(() => findProjects(household, query), [household, query]);
  const first = places[0]?.id ?? found[0]?.lotId ?? projects[0]?.id ?? null;

  const letGo = () => {
    useTyped.setState({ text: '', isForNext: false });
    // The list gives the focus back to the box in the next frame; after that it is let go.
    requestAnimationFrame(() => requestAnimationFrame(() => findBox()?.blur()));
  };
  const chooseProject = (id: ProjectId) => {
    letGo();
    void navigate(`/projects/${id}`);
  };

  const choosePlace = (id: PlaceId) => {
    show({ type: 'place', id });
    letGo();
    void navigate(`/room/${findWallId(getTree(household), id) ?? ''}`);
  };
  const choose = (chosen: string | null) => {
    if (!chosen) return;
    if (household.projects.has(chosen as ProjectId)) {
      chooseProject(chosen as ProjectId);
      return;
    }
    if (!household.lots.has(chosen as LotId)) {
      choosePlace(chosen as PlaceId);
      return;
    }
    const lotId = chosen as LotId;
    show({ type: 'lot', id: lotId });
    // The keys for taking out and putting back are wanted next, not letters.
    letGo();
    void navigate(`/find/${lotId}`);
  };

  const enterEarly = useEnterEarly(entered, query, first, choose);

  /** A code that was typed or scanned into the box is looked up at once. */
  const lookUp = (typed: string) => {
    const code = parseCode(typed);
    const meant = code.ok ? findByCode(household, code.value) : null;
    if (meant?.kind === 'lot') choose(meant.id);
    else if (meant?.kind === 'place') choosePlace(meant.id);
    else if (meant?.kind === 'project') chooseProject(meant.id);
    else useTyped.setState({ text: typed });
  };

  return (
    <Combobox immediate value={null as string | null} onChange={choose}>
      <div className={findFrameClass}>
        <ComboboxInput
          id={BOX_ID}
          aria-label={t('Where is the…')}
          placeholder={t('Where is the…')}
          autoComplete="off"
          autoFocus={isWanted}
          className={findClass}
          onFocus={onBegin}
          displayValue={() => text}
          onChange={(event) => lookUp(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter' && (query !== text || first === null)) enterEarly(text);
          }}
        />
        <kbd
          aria-hidden
          className="pointer-events-none absolute top-1/2 right-3 -translate-y-1/2 rounded border border-thread bg-linen px-1.5 text-sm text-stone"
        >
          F
        </kbd>
        {query.trim() !== '' && found.length + places.length + projects.length === 0 && (
          <p
            role="status"
            className="absolute right-0 z-20 mt-1 w-full border border-thread bg-paper p-3 text-stone shadow-md"
          >
            {t('Nothing is called that, or nearly.')}
          </p>
        )}
        <Answers places={places} found={found} projects={projects} />
      </div>
    </Combobox>
  );
}

interface AnswersProps {
  readonly places: ReturnType<typeof findPlaces>;
  readonly found: readonly { readonly lotId: LotId }[];
  readonly projects: readonly Project[];
}

/** What was found: places and projects by their names, lots with where they are. */
function Answers({ places, found, projects }: AnswersProps) {
  const household = useHousehold();
  if (found.length + places.length + projects.length === 0) return null;
  return (
    <ComboboxOptions className="absolute right-0 z-20 mt-1 max-h-[70vh] w-full overflow-auto border border-thread bg-paper shadow-md md:w-[430px]">
      {places.map(({ id, name, lots }) => (
        <Choice key={id} value={id} name={name}>
          {t('what is in it: {lots}', { lots })}
        </Choice>
      ))}
      {found.map(({ lotId }) => {
        const item = household.items.get(household.lots.get(lotId)!.itemId)!;
        return (
          <Choice key={lotId} value={lotId} name={item.name} item={item}>
            {wordWhereShort(getWhereabouts(household, lotId))}
          </Choice>
        );
      })}
      {projects.map(({ id, name }) => (
        <Choice key={id} value={id} name={name}>
          {t('a project: its page')}
        </Choice>
      ))}
    </ComboboxOptions>
  );
}

interface ChoiceProps {
  readonly value: string;
  readonly name: string;
  readonly item?: Item;
  readonly children: ReactNode;
}

/** One answer: its name, and below it where or what it is. */
function Choice({ value, name, item, children }: ChoiceProps) {
  return (
    <ComboboxOption
      value={value}
      className="dotted-row flex cursor-pointer items-center gap-3 px-3 py-2 data-focus:bg-linen"
    >
      {item && <Swatch item={item} className="size-7 shrink-0" />}
      <span className="min-w-0">
        <span className="block break-words font-semibold">{name}</span>
        <span className="block break-words text-sm text-stone">{children}</span>
      </span>
    </ComboboxOption>
  );
}
