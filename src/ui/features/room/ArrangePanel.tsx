import { useState } from 'react';
import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { explained } from '../../components/explained.ts';
import { TextField } from '../../components/fields.tsx';
import type { Piece, Worth } from '../../../core/room/index.ts';
import { FOUND, MOST_KEPT, type Choice, type useArrange } from './useArrange.ts';
import { formatNumber, perLanguage, t } from '../../language/index.ts';

interface ArrangePanelProps {
  readonly pieces: readonly Piece[];
  readonly arrange: ReturnType<typeof useArrange>;
  readonly chosenId: string | null;
  readonly onChoose: (id: string | null) => void;
  readonly onDone: () => void;
}

const HOW_FAULTS = perLanguage(() =>
  t(
    'Pieces in each other or out of the room, doors that hit something, fronts before which one cannot stand, ways under 60 cm.',
  ),
);
const HOW_CAUTIONS = perLanguage(() =>
  t(
    'Less than the usual space for a chair, a drawer’s pull or an easy walkway; what is covered, in the sun, near heat or out of reach.',
  ),
);
const HOW_MOVED = perLanguage(() => t('Pieces that would stand elsewhere than they do now.'));
const HOW_METRES = perLanguage(() =>
  t(
    'The ways of an hour between cutting, sewing and pressing, and to fetch what is used there: uses a month over twenty hours of sewing, as the crow flies. An estimate, to compare by.',
  ),
);

/** Ways to stand the furniture, beside how it stands: searched for, kept, compared, taken. */
export function ArrangePanel({ pieces, arrange, chosenId, onChoose, onDone }: ArrangePanelProps) {
  const { now, choices, search, keep, forget, adopt } = arrange;
  const [name, setName] = useState('');
  const chosen = choices.find((one) => one.id === chosenId) ?? null;
  const locked = pieces.filter((piece) => piece.unit.isFixed).length;
  const isRunning = search?.isRunning ?? false;
  const isFull = choices.filter((one) => one.id !== FOUND).length >= MOST_KEPT;
  return (
    <>
      <h2 className="font-display text-[21px] leading-tight font-semibold">{t('Arrange the furniture')}</h2>
      <table className="tabular mt-2 w-full text-sm">
        <thead>
          <tr className="text-right align-bottom text-stone">
            <td />
            <th scope="col" className="pl-2 font-normal">
              {t('has to change')}
            </th>
            <th scope="col" className="pl-2 font-normal">
              {t('lived with')}
            </th>
            <th scope="col" className="pl-2 font-normal">
              {t('m an hour')}
            </th>
            <th scope="col" className="pl-2 font-normal">
              {t('to carry')}
            </th>
          </tr>
        </thead>
        <tbody>
          <Line name={t('Now')} worth={now} moved={null} isChosen={chosen === null} onChoose={() => onChoose(null)} />
          {choices.map((choice) => (
            <Line
              key={choice.id}
              name={choice.name}
              worth={choice.worth}
              moved={choice.moved}
              isChosen={choice.id === chosenId}
              onChoose={() => onChoose(choice.id)}
            />
          ))}
        </tbody>
      </table>
      <ArrangeSearch arrange={arrange} onFound={() => onChoose(FOUND)} />
      <p className="mt-1 text-sm text-stone">
        {locked === 0
          ? t('Lock what must not move with L.')
          : t('{locked, plural, one {# piece is locked: it stays} other {# pieces are locked: they stay}}.', {
              locked,
            })}{' '}
        {t('Nothing is changed before you take it.')}
      </p>
      {chosen && !isRunning && (
        <div className="mt-4">
          <h3 className="font-bold">{chosen.name}</h3>
          <p className="text-sm text-stone">{wordGain(now, chosen)}</p>
          <Button
            look="strong"
            className="mt-2 w-full"
            disabled={chosen.moved === 0}
            onClick={() => void adopt(chosen).then((isDone) => isDone && onChoose(null))}
          >
            {t('The furniture stands so')}
          </Button>
          <Button look="quiet" onClick={() => forget(chosen)}>
            {t('Forget it')}
          </Button>
        </div>
      )}
      <Form
        className="mt-3 grid grid-cols-[1fr_auto] items-end gap-2"
        onSend={() => {
          const kept = name.trim() || t('Way {choices}', { choices: choices.length + 1 });
          return keep(kept.slice(0, 60), chosen?.pieces ?? pieces).then((isDone) => isDone && setName(''));
        }}
      >
        <TextField
          label={chosen ? t('Keep “{chosen}” as', { chosen: chosen.name }) : t('Keep how it stands as')}
          value={name}
          placeholder={t('a name')}
          of="places.room.arrangements.name"
          onChange={(event) => setName(event.target.value)}
        />
        <Button type="submit" disabled={isRunning || isFull}>
          {t('Keep')}
        </Button>
      </Form>
      {isFull && (
        <p className="text-sm text-stone">{t('A room keeps {most}: forget one first.', { most: MOST_KEPT })}</p>
      )}
      <Button className="mt-4" look="quiet" data-key="escape" onClick={onDone}>
        {t('← Back to the plan')}
      </Button>
      <p className="mt-3 text-sm text-stone">
        {t('Empty tall and heavy pieces before they are moved, carry them with two, and anchor them again.')}
      </p>
    </>
  );
}

interface ArrangeSearchProps {
  readonly arrange: ReturnType<typeof useArrange>;
  readonly onFound: () => void;
}

/** Begins the search, tells how far it is, and stops it. */
function ArrangeSearch({ arrange: { choices, search, start, stop }, onFound }: ArrangeSearchProps) {
  if (search?.isRunning)
    return (
      <div className="mt-3">
        <progress aria-label={t('Tries')} className="h-2 w-full accent-woad" max={search.of} value={search.steps} />
        <p aria-live="polite" className="text-sm text-stone">
          {t('{steps} of {all} ways tried, {percent} %.', {
            steps: formatNumber(search.steps),
            all: formatNumber(search.of),
            percent: Math.round((100 * search.steps) / search.of),
          })}
        </p>
        <Button className="mt-1 w-full" onClick={stop}>
          {t('Stop here')}
        </Button>
      </div>
    );
  return (
    <>
      <Button
        autoFocus
        look={choices.length === 0 ? 'strong' : 'plain'}
        className="mt-3 w-full"
        onClick={() => {
          start();
          onFound();
        }}
      >
        {search ? t('Look on from here') : t('Arrange for me')}
      </Button>
      {search?.failure && (
        <p role="alert" className="mt-1 text-sm text-madder">
          {t('The search broke off: {failure}', { failure: search.failure })}
        </p>
      )}
    </>
  );
}

function wordGain(now: Worth, { worth, moved }: Choice): string {
  const metres = Math.round(now.metresPerHour - worth.metresPerHour);
  const way =
    metres === 0
      ? t('as far to walk')
      : metres > 0
        ? t('{metres} m an hour less to walk', { metres })
        : t('{metres} m more to walk', { metres: -metres });
  const faults = now.faults - worth.faults;
  const mended =
    faults > 0
      ? t('{faults, plural, one {# fault} other {# faults}} mended', { faults })
      : faults < 0
        ? t('{faults, plural, one {# fault} other {# faults}} more', { faults: -faults })
        : t('no fault mended');
  return moved === 0
    ? t('The furniture stands so already.')
    : t('{mended}; {way}; {moved, plural, one {# piece} other {# pieces}} to carry.', { mended, way, moved });
}

interface LineProps {
  readonly name: string;
  readonly worth: Worth;
  readonly moved: number | null;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
}

function Line({ name, worth, moved, isChosen, onChoose }: LineProps) {
  return (
    <tr className={`dotted-row ${isChosen ? 'bg-linen font-semibold' : ''}`}>
      <th scope="row" className="text-left font-normal">
        <button
          type="button"
          aria-pressed={isChosen}
          className={`min-h-11 w-full text-left md:min-h-9 ${isChosen ? 'font-semibold' : 'text-woad underline underline-offset-4'}`}
          onClick={onChoose}
        >
          {name}
        </button>
      </th>
      <td className={`text-right ${worth.faults > 0 ? 'text-madder' : ''}`} {...explained(HOW_FAULTS())}>
        {worth.faults}
      </td>
      <td className="text-right" {...explained(HOW_CAUTIONS())}>
        {worth.cautions}
      </td>
      <td className="text-right" {...explained(HOW_METRES())}>
        {Math.round(worth.metresPerHour)}
      </td>
      <td className="text-right" {...explained(HOW_MOVED())}>
        {moved ?? ''}
      </td>
    </tr>
  );
}
