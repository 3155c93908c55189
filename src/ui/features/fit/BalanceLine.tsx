import { Link } from 'react-router';
import { formatVolume } from '../../../core/units/index.ts';
import { explained } from '../../components/explained.ts';
import { useHousehold } from '../../state/app.ts';
import { getBalance } from '../../state/balance.ts';

/** Whether it all goes in, before one looks for a plan. */
export function BalanceLine() {
  const household = useHousehold();
  const { leftMm3, isEnough } = getBalance(household);
  return (
    <p
      className="mt-2 text-sm"
      {...explained(
        'What is owned against what the places hold, filled to the share that you want filled; counted, not packed.',
      )}
    >
      {isEnough
        ? 'The balance says it all goes in.'
        : `The balance says ${formatVolume(leftMm3, household.settings.units)} will not go in.`}{' '}
      <Link to="/room/balance" className="text-woad underline">
        Look at it
      </Link>
    </p>
  );
}
