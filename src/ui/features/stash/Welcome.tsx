import { useNavigate } from 'react-router';
import { Button } from '../../components/Button.tsx';
import { ImportButton } from '../../components/ImportButton.tsx';
import { useApp } from '../../state/app.ts';
import { replace } from '../../state/hands.ts';
import { countGiven } from '../../state/given.ts';
import { useChoices } from '../../state/choices.ts';
import { t } from '../../language/index.ts';

/** Said to a new visitor over the sample as it came: what this is for, and how to begin with one's own. */
export function Welcome() {
  const isGreeted = useChoices((state) => state.isGreeted);
  // Once something was done to it, it is somebody's own.
  const isUntouched = useApp(
    ({ events, household }) =>
      events.length === countGiven(events) && events[0]!.type === 'catalogued' && (household?.items.size ?? 0) > 0,
  );
  const navigate = useNavigate();
  const close = () => useChoices.setState({ isGreeted: true });
  if (isGreeted || !isUntouched) return null;
  const startEmpty = async () => {
    const { createEmptyHousehold } = await import('../../../sample/empty.ts');
    if (!(await replace(createEmptyHousehold(), t('An empty sewing room is ready. House brings the sample back.'))))
      return;
    close();
    await navigate('/setout');
  };
  const openKitchen = async () => {
    const { createKitchenHousehold } = await import('../../../sample/kitchen.ts');
    await replace(createKitchenHousehold(), t('Tern Steps is here: a beginner at the kitchen table.'));
  };
  return (
    <section aria-label={t('Welcome')} className="stitched-b no-print bg-linen px-4 py-2 md:px-5">
      <p>
        {t(
          'Yardmist finds a place for everything you sew with, and knows where it is from then on. This is Heron Loft, a made-up room in a good deal of disorder, to try it on.',
        )}
      </p>
      <div className="mt-1 flex flex-wrap items-start gap-x-5 gap-y-2">
        <Button look="strong" onClick={() => void startEmpty()}>
          {t('Start with my own')}
        </Button>
        <ImportButton label={t('Open my file')} />
        <Button look="quiet" className="md:min-h-9" onClick={close}>
          {t('Keep looking round')}
        </Button>
        <Button look="quiet" className="md:min-h-9" onClick={() => void openKitchen()}>
          {t('A smaller sample')}
        </Button>
      </div>
    </section>
  );
}
