import {
  listMeanings,
  type LinePart,
  type Meaning,
  type parseLine,
  type Recalled,
} from '../../../core/catalog/index.ts';
import { describeHeap } from '../../../core/heaps/index.ts';
import { computePackage, getAmount } from '../../../core/measure/index.ts';
import { KINDS, type Kind } from '../../../core/records/index.ts';
import { formatSize, type UnitSystem } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Swatch } from '../../drawing/Swatch.tsx';
import type { Thing } from '../../state/appState.ts';
import { useHousehold } from '../../state/app.ts';
import { capitalise, wordAmount, wordForm, wordKind, wordMeaning, wordPackage, wordThing } from '../../text/index.ts';
import { wordHeapMeasures } from '../../text/heaps.ts';
import { Session } from './Session.tsx';
import { TwinHint } from './TwinHint.tsx';
import { perLanguage, t } from '../../language/index.ts';

const HOW = perLanguage(() =>
  t(
    'What you typed and, where you typed nothing, what is usual for its kind; its package and weight are worked out from those.',
  ),
);

interface QuickReadProps {
  readonly thing: Thing | null;
  /** What it is taken for, also where nothing comes of it. */
  readonly kind: Kind;
  readonly parts: ReturnType<typeof parseLine>['parts'];
  /** What does not read as an amount. */
  readonly unread: string | null;
  /** What is wrong with it, where that is to be said yet. */
  readonly problem: string | null;
  /** What is asked before it is taken. */
  readonly question: string | null;
  /** What holds of what was said last. */
  readonly recalled: Recalled;
  /** The word that is being typed, as Tab would end it. */
  readonly rest: string | null;
  readonly onRest: () => void;
  readonly onKind: (kind: Kind) => void;
  /** Says what a word means; null takes that back. */
  readonly onMeant: (word: string, means: Meaning | null) => void;
  readonly onForget: () => void;
  readonly onForm: () => void;
}

/** What would come in, and how each word was read. */
export function QuickRead({
  thing,
  kind,
  parts,
  unread,
  recalled,
  rest,
  onRest,
  problem,
  question,
  onKind,
  onMeant,
  onForget,
  onForm,
}: QuickReadProps) {
  const { settings } = useHousehold();
  const { units } = settings;
  const pkg = thing && computePackage(thing.item, thing.lot, thing.lot.form, settings);
  const isSome = thing !== null && getAmount(thing.item, thing.lot) > 0;
  return (
    <div
      id="quick-read"
      data-draft
      className="absolute right-0 bottom-full left-0 z-10 mb-2 max-h-[60vh] overflow-y-auto border border-thread bg-paper px-4 py-3 shadow-md"
    >
      <div className="flex items-center gap-3" {...explained(HOW(), t('The draft'))}>
        {thing && <Swatch item={thing.item} className="size-8 shrink-0" />}
        <span>
          {thing && <strong className="mr-1 font-display text-lg">{thing.item.name || '…'}</strong>}
          <select
            aria-label={t('What it is')}
            className="mr-1 h-9 rounded border border-thread bg-paper px-1 font-semibold text-ink"
            value={kind}
            onChange={({ target }) => onKind(target.value as Kind)}
          >
            {KINDS.map((one) => (
              <option key={one} value={one}>
                {wordKind(one)}
              </option>
            ))}
          </select>
          {thing && (
            <>
              <span className="text-stone">{isSome && wordAmount(thing.item, thing.lot, units)}</span>
              <span className="block text-sm text-stone">
                {wordThing(thing.item, units)}
                {thing.lot.heap &&
                  t('. A heap: {measures}', {
                    measures: wordHeapMeasures(describeHeap(thing.item, thing.lot, settings), units),
                  })}
                {pkg && isSome && !thing.lot.heap && `. ${capitalise(wordForm(pkg.form))}: ${wordPackage(pkg, units)}`}
              </span>
            </>
          )}
        </span>
      </div>
      {parts.length > 0 && (
        <dl
          aria-label={t('How it was read')}
          className="mt-2 flex flex-wrap gap-x-4 gap-y-1 text-sm"
          {...explained(t('As you typed it.'), t('How it was read'))}
        >
          {parts.map((part) => (
            <div key={part.from} className="flex items-center gap-1.5">
              <dt className="stitched-b font-semibold">{part.text}</dt>
              <dd>
                <PartMeaning part={part} kind={kind} onMeant={onMeant} />
              </dd>
            </div>
          ))}
        </dl>
      )}
      {Object.keys(recalled).length > 0 && (
        <p className="mt-2 text-sm text-stone">
          {t('As last time: {recalled}.', { recalled: wordRecalled(recalled, units) })}{' '}
          <Button look="quiet" onClick={onForget}>
            {t('Not these')}
          </Button>
        </p>
      )}
      {problem !== null && (
        <p role="alert" className="mt-2 font-semibold text-madder">
          {problem}{' '}
          {unread !== null && (
            <Button look="quiet" onClick={() => onMeant(unread, 'name')}>
              {t('“{unread}” is just its name', { unread })}
            </Button>
          )}
        </p>
      )}
      {question !== null && (
        <p role="alert" className="mt-2 border-l-4 border-weld bg-linen px-3 py-1 font-semibold">
          {question}
        </p>
      )}
      {thing && <TwinHint item={thing.item} />}
      <Session />
      <div className="mt-2 flex flex-wrap items-center gap-x-3 text-sm text-stone">
        {rest !== null && (
          <Button look="quiet" onClick={onRest}>
            <kbd>Tab</kbd> {rest}
          </Button>
        )}
        <Button look="quiet" type="submit">
          <kbd>Enter</kbd> {t('Take it in')}
        </Button>
        <Button look="quiet" onClick={onForm}>
          <kbd>Alt+Enter</kbd> {t('Open the form')}
        </Button>
        <span className="max-md:hidden">
          <kbd>Alt+K</kbd> {t('makes it something else.')}
        </span>
      </div>
    </div>
  );
}

interface PartMeaningProps {
  readonly part: LinePart;
  readonly kind: Kind;
  readonly onMeant: QuickReadProps['onMeant'];
}

/** What a word was read as; pressed, it can be said to mean something else. */
function PartMeaning({ part, kind, onMeant }: PartMeaningProps) {
  return (
    <select
      aria-label={t('What “{part}” means', { part: part.text })}
      className="h-9 max-w-56 rounded [field-sizing:content] border border-transparent bg-paper text-stone hover:border-thread md:h-7"
      value={part.means}
      onChange={({ target }) => onMeant(part.text, target.value === '' ? null : (target.value as Meaning))}
    >
      <option value={part.means}>{wordMeaning(part.means)}</option>
      {listMeanings(part, kind).map((means) => (
        <option key={means} value={means}>
          {wordMeaning(means)}
        </option>
      ))}
      <option value="">{t('as it was read first')}</option>
    </select>
  );
}

/** What is taken over from the last line: `140 cm wide, from Market hall, on a board`. */
function wordRecalled({ widthMm, source, form }: Recalled, units: UnitSystem): string {
  return [
    widthMm !== undefined && t('{size} wide', { size: formatSize(widthMm, units) }),
    source !== undefined && t('from {source}', { source }),
    form !== undefined && wordForm(form),
  ]
    .filter(Boolean)
    .join(', ');
}
