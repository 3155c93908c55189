import { lazy, Suspense, useState } from 'react';
import { createPromise, createRelease } from '../../../core/acts/index.ts';
import { parseNeedLine, type NeedStanding, type ProjectStanding, type Rival } from '../../../core/projects/index.ts';
import { isOver, type Need } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { capitalise, formatAmount, wordKind } from '../../text/index.ts';
import { wordNeedHow, wordNeedWay, wordThread, wordVerdict } from '../../text/projects.ts';
import { AddLine } from './AddLine.tsx';
import { LotButton } from './LotButton.tsx';
import { useSaveProject } from './useSaveProject.ts';
import { getLineLanguage, t, wordTerm } from '../../language/index.ts';
import { joinSentences } from '../../text/grammar.ts';

const ChooseCloth = lazy(async () => ({ default: (await import('./ChooseCloth.tsx')).ChooseCloth }));
const ChooseThing = lazy(async () => ({ default: (await import('./ChooseThing.tsx')).ChooseThing }));
const NeedForm = lazy(async () => ({ default: (await import('./NeedForm.tsx')).NeedForm }));

interface NeedsProps {
  readonly standing: ProjectStanding;
  /** The need whose layout is shown. */
  readonly laidId: string | null;
  readonly onLay: (id: string) => void;
}

/** All that a project takes, each with what meets it. */
export function Needs({ standing, laidId, onLay }: NeedsProps) {
  const { project, needs } = standing;
  const { units } = useHousehold().settings;
  const save = useSaveProject(project);
  const [text, setText] = useState('');
  const need = parseNeedLine(text, units, 'new', getLineLanguage());
  const add = () => {
    if (!need) return undefined;
    return save({ needs: [...project.needs, { ...need, id: world.createId() }] }).then(
      (isDone) => isDone && setText(''),
    );
  };
  return (
    <section aria-label={t('What it takes')}>
      <h3 className="font-display text-lg font-semibold">{t('What it takes')}</h3>
      <ul>
        {needs.map((one) => (
          <NeedRow
            key={one.need.id}
            project={standing}
            standing={one}
            isLaid={one.need.id === laidId}
            onLay={() => onLay(one.need.id)}
          />
        ))}
      </ul>
      {!isOver(project) && (
        <AddLine
          className="mt-2"
          label={t('Something more that it takes')}
          placeholder={t('lining 1.4 m · zip 20 cm · 6 buttons')}
          add={
            need
              ? need.kind === 'fabric'
                ? t('Add cloth')
                : t('Add a {kind}', { kind: wordKind(need.kind) })
              : t('Add')
          }
          value={text}
          onChange={setText}
          isGood={need !== null}
          onAdd={add}
        />
      )}
    </section>
  );
}

type Asked = 'choose' | 'change' | null;

interface NeedRowProps {
  readonly project: ProjectStanding;
  readonly standing: NeedStanding;
  readonly isLaid: boolean;
  readonly onLay: () => void;
}

function NeedRow({ project: whole, standing, isLaid, onLay }: NeedRowProps) {
  const { project } = whole;
  const { need, found, state, promised, rivals, missing } = standing;
  const household = useHousehold();
  const { units } = household.settings;
  const save = useSaveProject(project);
  const [asked, setAsked] = useState<Asked>(null);
  const isCloth = need.kind === 'fabric';
  const change = (part: Partial<Need>) =>
    save({ needs: project.needs.map((one) => (one.id === need.id ? { ...one, ...part } : one)) });
  const done = () => setAsked(null);
  const isOpen = !isOver(project);
  const amount = !isCloth && (need.amount ?? 1) > 1 ? `${need.amount} ` : '';
  return (
    <li aria-label={wordTerm(need.part)} className={`stitched-t py-2 ${isLaid ? 'border-l-4 border-l-woad pl-2' : ''}`}>
      <div className="flex flex-wrap items-baseline gap-x-3">
        <span data-name className="font-semibold">
          {capitalise(`${amount}${wordTerm(need.part)}`)}
        </span>
        <span
          className={`min-w-0 flex-1 text-sm ${state === 'there' ? 'text-stone' : 'font-semibold text-madder'}`}
          {...explained(
            found?.ok
              ? wordNeedHow(found.value, units)
              : t('What it takes, less what is cut and what is promised to it.'),
          )}
        >
          {need.isToGet && state === 'toGet' ? t('To be got. ') : ''}
          {joinSentences([wordVerdict(standing, units), wordThread(standing, units)])}
          {found?.ok && state !== 'there' && (
            <span className="font-normal text-stone"> ({wordNeedWay(found.value.way)})</span>
          )}
        </span>
      </div>
      {promised.map((one) => (
        <Held key={one.promise.id} held={one} unit={standing.unit} />
      ))}
      {missing !== 0 && rivals.length > 0 && <Rivals standing={standing} projectId={project.id} />}
      {isOpen && asked === null && (
        <div className="mt-0.5 flex flex-wrap gap-x-4">
          {state !== 'there' && (
            <Button look="quiet" onClick={() => setAsked('choose')}>
              {isCloth ? t('Which cloth would do?') : t('Take it from the stash')}
            </Button>
          )}
          {state !== 'there' && !need.isToGet && (
            <Button look="quiet" onClick={() => void change({ isToGet: true })}>
              {t('It is to be got')}
            </Button>
          )}
          {state !== 'there' && (
            <Button look="quiet" onClick={() => void change({ isThere: true, isToGet: undefined })}>
              {t('I have it')}
            </Button>
          )}
          {(need.isThere || need.isToGet) && (
            <Button look="quiet" onClick={() => void change({ isThere: undefined, isToGet: undefined })}>
              {need.isThere ? t('Not there after all') : t('Not to be got')}
            </Button>
          )}
          {isCloth && !isLaid && (
            <Button look="quiet" onClick={onLay}>
              {t('Lay it out')}
            </Button>
          )}
          <Button look="quiet" onClick={() => setAsked('change')}>
            {t('Change')}
          </Button>
        </div>
      )}
      <Suspense>
        {asked === 'choose' && isCloth && <ChooseCloth project={project} need={need} onDone={done} />}
        {asked === 'choose' && !isCloth && <ChooseThing project={project} standing={standing} onDone={done} />}
        {asked === 'change' && (
          <NeedForm
            project={project}
            standing={standing}
            onKeep={change}
            onRemove={() => save({ needs: project.needs.filter((one) => one.id !== need.id) })}
            onDone={done}
          />
        )}
      </Suspense>
    </li>
  );
}

/** A lot of which some is promised to the need; pressed, its ticket hangs at the right. */
function Held({ held, unit }: { held: NeedStanding['promised'][number]; unit: NeedStanding['unit'] }) {
  const { lot, item, promise } = held;
  const { units } = useHousehold().settings;
  return (
    <p className="flex items-center gap-2">
      <LotButton id={lot.id} item={item} />
      <span className="tabular shrink-0 text-sm text-stone" {...explained(t('Promised to this need.'))}>
        {formatAmount(promise.amount, unit, units)}
      </span>
      <Button
        look="quiet"
        className="ml-auto"
        onClick={() => void act((now) => createRelease(now, lot.id, promise.id, world.nowMs()))}
      >
        {t('Release')}
      </Button>
    </p>
  );
}

/** Who else holds some of it: what is lacking is taken from them by one act, and they see it. */
function Rivals({ standing, projectId }: { standing: NeedStanding; projectId: ProjectStanding['project']['id'] }) {
  const { units } = useHousehold().settings;
  const { need, rivals, missing, unit, promised } = standing;
  const take = (rival: Rival) => {
    const own = promised.find(({ lot }) => lot.id === rival.lot.id)?.promise.amount ?? 0;
    const amount = own + Math.min(missing ?? 0, rival.amount);
    void act(
      (now) =>
        createPromise(
          now,
          { projectId, needId: need.id, lotId: rival.lot.id, amount, from: [rival.promiseId] },
          world.createId(),
          world.nowMs(),
        ),
      t('{amount} promised here instead of to {rival}.', {
        amount: formatAmount(Math.min(missing ?? 0, rival.amount), unit, units),
        rival: rival.name,
      }),
    );
  };
  return (
    <ul className="border-l-4 border-weld bg-linen px-2">
      {rivals.map((rival) => (
        <li key={rival.promiseId} className="flex flex-wrap items-baseline gap-x-2 py-0.5 text-sm">
          <span data-name>
            {t('{rival} holds {amount} of it.', { rival: rival.name, amount: formatAmount(rival.amount, unit, units) })}
          </span>
          {missing !== null && (
            <Button look="quiet" className="text-sm" onClick={() => take(rival)}>
              {t('Take what is lacking')}
            </Button>
          )}
        </li>
      ))}
    </ul>
  );
}
