import { Link } from 'react-router';
import { formatVolume } from '../../../core/units/index.ts';
import { explained } from '../../components/explained.ts';
import { useHousehold } from '../../state/app.ts';
import { useAnswer } from '../../state/useAnswer.ts';
import { t } from '../../language/index.ts';

/** Whether it all goes in, before one looks for a plan. */
export function BalanceLine() {
  const household = useHousehold();
  const { answer } = useAnswer(household, 'balance', null);
  if (!answer) return null;
  const { leftMm3, isEnough } = answer;
  return (
    <p
      className="mt-2 text-sm"
      {...explained(
        t('What is owned against what the places hold, filled to the share that you want filled; counted, not packed.'),
      )}
    >
      {isEnough
        ? t('The balance says it all goes in.')
        : t('The balance says {volume} will not go in.', {
            volume: formatVolume(leftMm3, household.settings.units),
          })}{' '}
      <Link to="/room/balance" className="text-woad underline">
        {t('Look at it')}
      </Link>
    </p>
  );
}
