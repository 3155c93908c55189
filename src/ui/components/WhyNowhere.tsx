import { useMemo } from 'react';
import type { LotId } from '../../core/records/index.ts';
import { useHousehold } from '../state/app.ts';
import { getTree } from '../state/derived.ts';
import { useAnswer } from '../state/useAnswer.ts';
import { wordCure, wordUnplaced } from '../text/index.ts';
import { explained } from './explained.ts';
import { Unanswered } from './Unanswered.tsx';
import { t } from '../language/index.ts';

/** Why no place takes it as things are, and the smallest thing that would help. */
export function WhyNowhere({ lotId }: { lotId: LotId }) {
  const household = useHousehold();
  const tree = getTree(household);
  const { units } = household.settings;
  const ids = useMemo(() => [lotId], [lotId]);
  const { answer, again } = useAnswer(household, 'nowhere', ids);
  const told = answer?.get(lotId);
  if (again) return <Unanswered again={again} />;
  if (!told) return <p className="mt-1 text-stone">{t('Finding out why…')}</p>;
  return (
    <p className="mt-1" {...explained(t('The place that comes nearest to taking it, and what is missing there.'))}>
      {t('No place takes it as things are.')} {wordUnplaced(told.reason, tree, units)}{' '}
      {told.cure
        ? t('What would help most easily: {cure}, in the ticket of that place.', {
            cure: wordCure(told.cure, tree, units),
          })
        : t('Make room by hand, or let Fit find a plan.')}
    </p>
  );
}
