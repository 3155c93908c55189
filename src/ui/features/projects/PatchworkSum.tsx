import { useMemo } from 'react';
import { listPatches, type Patches } from '../../../core/projects/index.ts';
import { explained } from '../../components/explained.ts';
import { useHousehold, useOpen } from '../../state/app.ts';
import { getProjectFacts } from '../../state/projects.ts';
import { capitalise } from '../../text/index.ts';
import { Sum, useLengths } from './sumParts.tsx';
import { t, wordTerm } from '../../language/index.ts';

/** One drawn square stands for so many. */
const PER_SQUARE = 20;
const SIDE_PX = 9;
const MOST_DRAWN = 60;
/** So many cloths of a colour are named. */
const MOST_NAMED = 3;

/** Squares and strips that the stash gives for a quilt, by colour, without what is promised. */
export function PatchworkSum() {
  const household = useHousehold();
  const { fields, values } = useLengths({
    square: { label: t('Square, with its seams'), usualMm: 127 },
    strip: { label: t('Strip, with its seams'), usualMm: 63.5 },
  });
  const [squareMm, stripMm] = [values?.square ?? 0, values?.strip ?? 0];
  const patches = useMemo(
    () => (squareMm > 0 && stripMm > 0 ? listPatches(getProjectFacts(household), { squareMm, stripMm }) : []),
    [household, squareMm, stripMm],
  );
  const sum = (key: 'squares' | 'strips') => patches.reduce((all, one) => all + one[key], 0);
  return (
    <Sum title={t('A quilt from what is there')} fields={fields}>
      <p
        className="mt-2"
        {...explained(
          t(
            'Cottons of a quilt’s weight and their scraps, without what is promised; across and along each, odd scraps by half of their area.',
          ),
        )}
      >
        <strong>{t('{n, plural, one {# square} other {# squares}}', { n: sum('squares') })}</strong>{' '}
        {t('in all, or {sum, plural, one {# strip} other {# strips}} across the cloth.', { sum: sum('strips') })}
      </p>
      <ul>
        {patches.map((one) => (
          <Family key={one.family} patches={one} />
        ))}
      </ul>
    </Sum>
  );
}

/** One family of colours: its squares drawn, in the colours of the cloths that they are cut from. */
function Family({ patches: { family, squares, strips, from } }: { patches: Patches }) {
  const open = useOpen();
  const drawn = from
    .flatMap(({ item, squares: n }) => Array.from({ length: Math.ceil(n / PER_SQUARE) }, () => item.colours[0]!))
    .slice(0, MOST_DRAWN);
  return (
    <li className="dotted-row py-1.5">
      <span className="flex items-baseline gap-3">
        <span className="w-20 font-semibold">{capitalise(wordTerm(family))}</span>
        <span className="tabular min-w-0 flex-1 text-sm" {...explained(t('What the cloths of this colour give.'))}>
          {t(
            '{squares, plural, one {# square} other {# squares}}, or {strips, plural, one {# strip} other {# strips}}',
            { squares, strips },
          )}
        </span>
      </span>
      <svg
        aria-hidden
        width={drawn.length * (SIDE_PX + 1)}
        height={SIDE_PX}
        className="mt-1 block max-w-full"
        {...explained(t('Each stands for up to {pieces}.', { pieces: PER_SQUARE }))}
      >
        {drawn.map((colour, n) => (
          <rect
            key={n}
            x={n * (SIDE_PX + 1)}
            width={SIDE_PX}
            height={SIDE_PX}
            fill={colour}
            stroke="var(--color-ink)"
            strokeWidth="0.4"
          />
        ))}
      </svg>
      <span className="flex flex-wrap gap-x-3 text-sm">
        {from.slice(0, MOST_NAMED).map(({ item, lot }) => (
          <button
            key={lot.id}
            type="button"
            data-name
            className="text-woad underline underline-offset-4"
            onClick={() => open({ type: 'lot', id: lot.id })}
          >
            {item.name}
          </button>
        ))}
        {from.length > MOST_NAMED && (
          <span className="text-stone" {...explained(t('Cloths of this colour that are not named.'))}>
            {t('and {count} more', { count: from.length - MOST_NAMED })}
          </span>
        )}
      </span>
    </li>
  );
}
