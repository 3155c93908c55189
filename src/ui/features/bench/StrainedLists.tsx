import type { ReactNode } from 'react';
import type { PlaceId } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { formatMass } from '../../../core/units/index.ts';
import { explained } from '../../components/explained.ts';
import { Unanswered } from '../../components/Unanswered.tsx';
import { useApp, useHousehold } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import type { Answer } from '../../state/useAnswer.ts';
import type { Questions } from '../../../workers/protocol.ts';
import { Listed, LISTED, Rest } from './Listed.tsx';
import { t } from '../../language/index.ts';
import { Linked } from '../../components/Linked.tsx';

/** Places that hold more than goes into them, and those that carry more than they may. */
export function StrainedLists({ answer, again }: Answer<Questions['strained']['answer']>) {
  const household = useHousehold();
  const show = useApp((state) => state.show);
  const tree = getTree(household);
  const { units } = household.settings;
  if (again)
    return (
      <Listed title={t('Over full or too heavy')}>
        <Unanswered again={again} />
      </Listed>
    );
  if (answer === null) return null;
  const { full, heavy } = answer;
  // A piece, and a compartment in which bins stand, have no ticket of their own: where they are changed says what they carry.
  const open = (id: PlaceId) => {
    const place = tree.places.get(id);
    if (place?.level === 'unit') show({ type: 'editUnit', id });
    else show(tree.getChildren(id).length > 0 ? { type: 'editSlot', id } : { type: 'place', id });
  };
  return (
    <>
      {full.length > 0 && (
        <Listed title={t('Over full')}>
          <ul>
            {full.slice(0, LISTED).map((id) => (
              <Line key={id} onOpen={() => open(id)}>
                {formatPlaceName(tree, id)}
              </Line>
            ))}
          </ul>
          <Rest count={full.length - LISTED} />
          <FindsRoom />
        </Listed>
      )}
      {heavy.length > 0 && (
        <Listed title={t('Too heavy')}>
          <ul>
            {heavy.slice(0, LISTED).map(({ placeId, massG, limitG }) => (
              <Line key={placeId} onOpen={() => open(placeId)}>
                <span className="flex justify-between gap-4">
                  <span>{formatPlaceName(tree, placeId)}</span>
                  <span
                    className="text-madder"
                    {...explained(t('What lies in it, added up, its bins with it, and what it is said to carry.'))}
                  >
                    {t('{mass}; it carries {most}', {
                      mass: formatMass(massG, units),
                      most: formatMass(limitG, units),
                    })}
                  </span>
                </span>
              </Line>
            ))}
          </ul>
          <Rest count={heavy.length - LISTED} />
          {full.length === 0 && <FindsRoom />}
        </Listed>
      )}
    </>
  );
}

function Line({ onOpen, children }: { onOpen: () => void; children: ReactNode }) {
  return (
    <li className="dotted-row">
      <button type="button" className="min-h-11 w-full py-1 text-left hover:bg-linen md:min-h-9" onClick={onOpen}>
        {children}
      </button>
    </li>
  );
}

function FindsRoom() {
  return (
    <p className="mt-1 text-sm text-stone">
      <Linked says={t('<fit>Fit</fit> finds room.')} to={{ fit: '/fit' }} />
    </p>
  );
}
