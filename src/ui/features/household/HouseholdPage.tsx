import { Link, useNavigate } from 'react-router';
import { format } from 'date-fns';
import { useState } from 'react';
import { Button, linkClass } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { KeptFileLine } from './KeptFileLine.tsx';
import { ImportButton } from '../../components/ImportButton.tsx';
import { Page } from '../../components/Page.tsx';
import { DaysBefore } from './DaysBefore.tsx';
import { EstimatesForm } from './EstimatesForm.tsx';
import { ScreenChoices } from './ScreenChoices.tsx';
import { SettingsForm } from './SettingsForm.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { bringBack, replace } from '../../state/hands.ts';
import { useChoices } from '../../state/choices.ts';
import { computeUnsaved } from '../../state/unsaved.ts';
import { saveEverything } from '../../state/backup.ts';
import { t } from '../../language/index.ts';
import { Linked } from '../../components/Linked.tsx';

/** Who lives here, how things are folded, and the file that holds everything. */
export function HouseholdPage() {
  return (
    <Page
      title={t('House')}
      tabs={
        <span className="flex gap-5">
          <Link className={linkClass} to="/daybook">
            {t('The daybook')}
          </Link>
          <Link className={linkClass} to="/ways">
            {t('Where do I…')}
          </Link>
        </span>
      }
    >
      <div className="min-h-0 flex-1 px-4 py-4 md:overflow-y-auto md:px-5">
        <div className="grid content-start gap-x-12 gap-y-8 lg:grid-cols-[2fr_1fr]">
          <div className="space-y-8">
            <SettingsForm />
            <ScreenChoices />
          </div>
          <div className="space-y-8">
            <Files />
            <DaysBefore />
            <Beginnings />
          </div>
        </div>
        <EstimatesForm />
      </div>
    </Page>
  );
}

function Files() {
  const household = useHousehold();
  const events = useApp((state) => state.events);
  const generation = useApp((state) => state.generation);
  const saved = useChoices((state) => state.saved);
  const unsaved = computeUnsaved({ generation, events }, saved, world.nowMs());
  return (
    <section aria-label={t('Your file')} className="max-w-md">
      <h2 className="font-display text-lg font-semibold">{t('Your file')}</h2>
      <p className="mt-1 text-stone">
        {t('Everything stays in this browser:')}{' '}
        <span {...explained(t('The records of each table, what is gone and what is put away included.'))}>
          {t('{lots, plural, one {# thing} other {# things}}, {places, plural, one {# place} other {# places}}', {
            lots: household.lots.size,
            places: household.places.size,
          })}
        </span>
        {t('. Save it to one file now and then, and open that file in any other browser.')}
      </p>
      <p
        className="mt-1"
        {...explained(t('When a file of this household was last saved here, and the lines written since.'))}
      >
        {unsaved.savedAtMs === null
          ? t('No file of it was saved from this browser yet.')
          : unsaved.lines === 0
            ? t('Last saved {day}; nothing was written since.', {
                day: format(unsaved.savedAtMs, t('d MMMM yyyy, HH:mm')),
              })
            : t('Last saved {day}; {lines, plural, one {# line} other {# lines}} of the daybook since.', {
                day: format(unsaved.savedAtMs, t('d MMMM yyyy, HH:mm')),
                lines: unsaved.lines,
              })}
      </p>
      <div className="mt-3 flex flex-wrap items-start gap-3">
        <Button look="strong" onClick={() => void saveEverything()}>
          {t('Save everything to a file')}
        </Button>
        <ImportButton />
      </div>
      <KeptFileLine />
    </section>
  );
}

function Beginnings() {
  const [has, setHas] = useState<boolean | null>(null);
  const navigate = useNavigate();
  const load = async (which: 'sample' | 'kitchen' | 'empty') => {
    const [{ createEmptyHousehold }, { loadMadeSample }] = await Promise.all([
      import('../../../sample/empty.ts'),
      import('../../../sample/made.ts'),
    ]);
    if (which === 'sample')
      await replace(await loadMadeSample(), t('Heron Loft is here again, in its first disorder.'));
    else if (which === 'kitchen')
      await replace(
        (await import('../../../sample/kitchen.ts')).createKitchenHousehold(),
        t('Tern Steps is here: a beginner at the kitchen table.'),
      );
    else if (await replace(createEmptyHousehold(), t('An empty sewing room is ready.'))) return navigate('/setout');
    setHas(true);
  };
  return (
    <section aria-label={t('Begin again')} className="max-w-md">
      <h2 className="font-display text-lg font-semibold">{t('Begin again')}</h2>
      <p className="mt-1 text-stone">
        {t('What is here now is set aside, and one click brings it back until another household is opened.')}
      </p>
      <p className="mt-1 text-stone">
        <Linked
          says={t('Or <setout>set this room out</setout> step by step; nothing is lost by it.')}
          to={{ setout: '/setout' }}
        />
      </p>
      <div className="mt-3 flex flex-wrap gap-3">
        <Button onClick={() => void load('empty')}>{t('Start empty')}</Button>
        <Button onClick={() => void load('sample')}>{t('Open the sample')}</Button>
        <Button onClick={() => void load('kitchen')}>{t('Open the small sample')}</Button>
        <Button disabled={has === false} onClick={() => void bringBack().then((isBack) => setHas(isBack))}>
          {t('Bring back the one before')}
        </Button>
      </div>
    </section>
  );
}
