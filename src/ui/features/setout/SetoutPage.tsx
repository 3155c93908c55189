import { useNavigate, Link } from 'react-router';
import type { SetoutWay } from '../../../core/records/index.ts';
import { createBegin, createEndSetout, createTickStage, type Stage } from '../../../core/setout/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { ImportButton } from '../../components/ImportButton.tsx';
import { Page } from '../../components/Page.tsx';
import { useHousehold } from '../../state/app.ts';
import { act, replace } from '../../state/hands.ts';
import { STAGE_WORDS, WAY_WORDS, wordAbout, wordStageFigure } from '../../text/setout.ts';
import { getSetout } from './setout.ts';
import { perLanguage, t } from '../../language/index.ts';

const FIRST = perLanguage((): Readonly<Record<SetoutWay, string>> => ({
  mess: STAGE_WORDS().room.to,
  list: '/stash',
  file: '/list',
  nook: `${STAGE_WORDS().room.to}&shape=corner`,
}));

const BEGUN = perLanguage((): Readonly<Record<SetoutWay, string>> => ({
  mess: t('The room comes first.'),
  list: t('One line for each thing, or for a heap of them.'),
  file: t('Drop the list here, or paste it.'),
  nook: t('Its measures come first.'),
}));

/** The order of the work, from a bare room to a label on every place; any order is allowed. */
export function SetoutPage() {
  const household = useHousehold();
  const way = household.settings.setout?.way;
  return (
    <Page title={t('Setting out')}>
      <div className="min-h-0 flex-1 px-4 py-4 md:overflow-y-auto md:px-5">
        {way === undefined ? <FirstQuestion /> : <Stages />}
      </div>
    </Page>
  );
}

/** What one has before oneself; each answer is one key. */
function FirstQuestion() {
  const navigate = useNavigate();
  const begin = async (way: SetoutWay) => {
    if (await act((now) => createBegin(now, way), BEGUN()[way])) await navigate(FIRST()[way]);
  };
  const lookRound = async () => {
    const { loadMadeSample } = await import('../../../sample/made.ts');
    if (
      await replace(
        await loadMadeSample(),
        t('This is Heron Loft, a made-up room to try things in. House brings yours back.'),
      )
    )
      await navigate('/bench');
  };
  return (
    <section aria-label={t('How do you begin?')} className="max-w-xl">
      <h2 className="font-display text-2xl font-semibold">{t('How do you begin?')}</h2>
      <p className="mt-1 text-stone">
        {t('A quarter of an hour is enough for a first plan. Nothing you choose here is final.')}
      </p>
      <ul className="mt-4 space-y-2">
        {WAY_WORDS().map(([way, key, words]) => (
          <li key={way}>
            <Button className="w-full text-left" data-key={key} onClick={() => void begin(way)}>
              <kbd className="mr-3 inline-block w-5 text-center uppercase">{key}</kbd>
              {words}
            </Button>
          </li>
        ))}
        <li>
          <Button className="w-full text-left" data-key="s" onClick={() => void lookRound()}>
            <kbd className="mr-3 inline-block w-5 text-center">S</kbd>
            {t('Look round the sample first')}
          </Button>
        </li>
      </ul>
      <div className="mt-4">
        <ImportButton label={t('Open a Yardmist file')} />
      </div>
    </section>
  );
}

function Stages() {
  const household = useHousehold();
  const navigate = useNavigate();
  const facts = getSetout(household);
  const isOver = facts.stages.every(({ state }) => state === 'done');
  const end = async () => {
    if (await act((now) => createEndSetout(now), t('Set out. House has the way back to this.')))
      await navigate('/bench');
  };
  return (
    <section aria-label={t('The order of the work')} className="max-w-3xl">
      <p className="text-stone">
        {t(
          'From a bare room to a label on every place. Take any of it first, leave it when you like: it is here when you come back.',
        )}
      </p>
      <ol className="mt-3">
        {facts.stages.map((stage, i) => (
          <StageLine key={stage.id} stage={stage} nth={i + 1} isNext={stage.id === facts.next} />
        ))}
      </ol>
      <div className="stitched-t mt-4 flex flex-wrap items-center gap-4 pt-3">
        <Button look={isOver ? 'strong' : 'plain'} onClick={() => void end()}>
          {isOver ? t('The room is in order') : t('Leave setting out')}
        </Button>
        <span className="text-sm text-stone">
          {isOver
            ? t('From now on the bench comes first.')
            : t('The bench comes first then. House has the way back to this.')}
        </span>
      </div>
    </section>
  );
}

const HOW_MINUTES = perLanguage(() =>
  t(
    'What each stage takes somebody who never did it, by estimate; carrying by how many things and heaps are to be carried.',
  ),
);

function StageLine({ stage: { id, state, minutes }, nth, isNext }: { stage: Stage; nth: number; isNext: boolean }) {
  const household = useHousehold();
  const facts = getSetout(household);
  const { name, brings, to } = STAGE_WORDS()[id];
  const figure = wordStageFigure(id, facts, household.settings.units);
  const isSaid = household.settings.setout?.done.includes(id) ?? false;
  return (
    <li className={`dotted-row flex flex-wrap items-center gap-x-4 gap-y-1 py-2 ${isNext ? 'bg-linen' : ''}`}>
      <span
        aria-hidden
        className={`grid size-7 shrink-0 place-items-center rounded-full text-sm font-semibold ${state === 'done' ? 'bg-moss text-white' : isNext ? 'bg-ink text-white' : 'border border-dashed border-stone text-stone'}`}
      >
        {state === 'done' ? '✓' : nth}
      </span>
      <div className="min-w-0 flex-1 basis-56">
        <Link to={to} className="font-display text-lg font-semibold hover:underline">
          {name}
        </Link>
        <span className="block text-sm text-stone">{brings}</span>
      </div>
      <span className="text-sm text-stone" {...explained(HOW_MINUTES())}>
        {[figure, state === 'done' ? '' : wordAbout(minutes)].filter(Boolean).join(' · ')}
      </span>
      {(state !== 'done' || isSaid) && (
        <Button
          look="quiet"
          aria-label={isSaid ? t('{name}: not done yet', { name }) : t('{name} is done', { name })}
          onClick={() =>
            void act((now) => createTickStage(now, id, !isSaid), `${name}: ${isSaid ? t('not done yet') : t('done')}.`)
          }
        >
          {isSaid ? t('Not done yet') : t('It is done')}
        </Button>
      )}
      {isNext && (
        <Link
          to={to}
          className="min-h-11 content-center rounded bg-ink px-4 font-semibold text-paper hover:bg-woad md:min-h-9"
        >
          {t('Begin')}
        </Link>
      )}
    </li>
  );
}
