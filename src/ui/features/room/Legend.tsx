import type { ReactNode } from 'react';
import type { Ink, Layer, WallDrawing } from '../../../core/drawing/index.ts';
import { derive } from '../../state/derived.ts';
import { perLanguage, t } from '../../language/index.ts';

/** A thing with the stitch along its middle, on a cloth of no colour. */
const on = (dash: string) => (
  <>
    <rect x="1" y="1" width="28" height="10" fill="var(--color-stone)" />
    <path d="M3 6H27" stroke="#fffdf8" strokeWidth="2" strokeDasharray={dash} strokeLinecap="round" />
  </>
);
const round = (dash: string, width: number) => (
  <rect
    x="2"
    y="2"
    width="26"
    height="8"
    rx="2"
    fill="none"
    stroke="var(--color-ink)"
    strokeWidth={width}
    strokeDasharray={dash}
    strokeLinecap="round"
  />
);

const CHOSEN = <rect x="1" y="1" width="28" height="10" fill="none" stroke="var(--color-ink)" strokeWidth="2.5" />;
const OVER_FULL = (
  <path d="M1 9l4-6 4 6 4-6 4 6 4-6 4 6 4-6" fill="none" stroke="var(--color-madder)" strokeWidth="2" />
);

const STITCHES = perLanguage((): readonly (readonly [Ink, string, ReactNode])[] => [
  ['overFull', t('over full'), OVER_FULL],
  ['out', t('out'), round('4 4', 1.6)],
  ['lent', t('lent'), round('0.1 5', 3)],
  ['planned', t('planned elsewhere'), on('5 4')],
  ['promised', t('promised'), on('7 3 2 3')],
]);

const listInks = derive(({ figures }: Layer) => new Set(figures.flatMap(({ shapes }) => shapes.map(({ ink }) => ink))));

/** What the stitches on a wall mean, as far as they are seen on it. */
export function Legend({ drawing }: { drawing: WallDrawing }) {
  return (
    <ul
      aria-label={t('What the lines mean')}
      className="ml-auto hidden grid-flow-col grid-rows-2 gap-x-4 text-sm text-stone xl:grid"
    >
      <Line name={t('chosen')}>{CHOSEN}</Line>
      {STITCHES()
        .filter(([ink]) => drawing.layers.some((layer) => listInks(layer).has(ink)))
        .map(([ink, name, drawn]) => (
          <Line key={ink} name={name}>
            {drawn}
          </Line>
        ))}
    </ul>
  );
}

function Line({ name, children }: { name: string; children: ReactNode }) {
  return (
    <li className="flex items-center gap-1.5 whitespace-nowrap">
      <svg aria-hidden width="30" height="12">
        {children}
      </svg>
      {name}
    </li>
  );
}
