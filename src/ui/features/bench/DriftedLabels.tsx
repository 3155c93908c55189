import { Link, useNavigate } from 'react-router';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { useHousehold } from '../../state/app.ts';
import { useGroups } from '../../state/groups.ts';
import { wordDrift } from '../../text/labels.ts';
import { useDrifted } from '../labels/labelFacts.ts';
import { Listed, Rest, LISTED } from './Listed.tsx';
import { t } from '../../language/index.ts';

/** Labels that no longer say what is so; it loads once the bench is there. */
export function DriftedLabels() {
  const household = useHousehold();
  const navigate = useNavigate();
  const drifted = useDrifted(household);
  const groups = useGroups(household);
  if (drifted.length === 0) return null;
  return (
    <Listed
      title={t('Labels out of date')}
      action={<Button onClick={() => void navigate(`/labels/${drifted[0]!.section}`)}>{t('Print them')}</Button>}
    >
      <ul>
        {drifted.slice(0, LISTED).map((row) => (
          <li key={row.key} className="dotted-row">
            <Link
              to={`/labels/${row.section}?of=${encodeURIComponent(row.key)}`}
              className="block min-h-11 py-1 hover:bg-linen md:min-h-9"
            >
              {row.content?.path ?? row.thing?.item.name}{' '}
              <span
                className="text-sm text-stone"
                {...explained(t('What the label said when it was printed, beside what is there now.'))}
              >
                {wordDrift(row.drift[0]!, household, groups)}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      <Rest count={drifted.length - LISTED} />
    </Listed>
  );
}
