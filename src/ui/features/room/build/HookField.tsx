import { useState, type KeyboardEvent, type MouseEvent } from 'react';
import type { Place } from '../../../../core/records/index.ts';
import { getHoleCount, getPegFamily, HOOK_KINDS, toggleHook } from '../../../../core/storage/index.ts';
import { useHousehold } from '../../../state/app.ts';
import { getTree } from '../../../state/derived.ts';
import { useRebuild } from '../../../state/rebuild.ts';
import { wordHookFault } from '../../../text/rebuild.ts';
import type { Holding } from './useHeld.ts';
import { judgeDraft } from '../../../../core/suppose/index.ts';
import { t } from '../../../language/index.ts';

interface HookFieldProps {
  readonly place: Place;
  /** Upper left corner of the field in the drawing, mm. */
  readonly left: number;
  readonly top: number;
  readonly scale: number;
  readonly holding: Holding;
}

/** The holes of a peg field: a press sticks a hook in, or takes out the one that is there. */
export function HookField({ place, left, top, scale, holding }: HookFieldProps) {
  const household = useHousehold();
  const tree = getTree(household);
  const hookKind = useRebuild((state) => state.hookKind);
  const slot = place.slot!;
  const peg = slot.peg!;
  const { columns, rows } = getHoleCount(slot, peg);
  const [at, setAt] = useState({ column: 0, row: 0 });
  const usual = {
    id: 'usual',
    family: getPegFamily(peg),
    wireMm: peg.wireMm,
    projectionMm: peg.projectionMm,
    loadG: peg.hookLoadG,
  };
  const kind = HOOK_KINDS.find((one) => one.id === hookKind && one.family === usual.family) ?? usual;

  const toggle = (column: number, row: number) => {
    if (column < 0 || row < 0 || column >= columns || row >= rows) return;
    const next: Place = { ...place, slot: { ...slot, peg: toggleHook(peg, kind, column, row) } };
    const [fit] = judgeDraft(household, [next]);
    if (fit?.hookFault) {
      useRebuild.setState({ words: wordHookFault(fit.hookFault, household.settings.units), isGood: false });
      return;
    }
    const count = next.slot!.peg!.hooks!.length;
    const hangs = fit?.isFit
      ? fit.lots === 0
        ? t('Nothing hangs here yet.')
        : t('All that hangs here finds a hook.')
      : t('Not all that hangs here finds a hook.');
    useRebuild.setState({
      words: t('{count, plural, one {# hook} other {# hooks}}. {hangs}', { count, hangs }),
      isGood: fit?.isFit ?? true,
    });
    void holding.change(tree.places.get(place.parentId!)?.name ?? place.name, [next]);
  };
  const onClick = (event: MouseEvent<SVGRectElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const column = Math.floor((event.clientX - box.left) / scale / peg.pitchMm);
    const row = Math.floor((event.clientY - box.top) / scale / peg.pitchMm);
    setAt({ column, row });
    toggle(column, row);
  };
  const onKey = (event: KeyboardEvent) => {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    const far = event.shiftKey ? 5 : 1;
    if (by)
      setAt(({ column, row }) => ({
        column: Math.min(columns - 1, Math.max(0, column + by[0]! * far)),
        row: Math.min(rows - 1, Math.max(0, row + by[1]! * far)),
      }));
    else if (event.key === 'Enter' || event.key === ' ') toggle(at.column, at.row);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const point = (column: number, row: number) => ({
    cx: (left + (column + 0.5) * peg.pitchMm) * scale,
    cy: (top + (row + 0.5) * peg.pitchMm) * scale,
  });
  const isHere = peg.hooks?.some((hook) => hook.column === at.column && hook.row === at.row) ?? false;
  return (
    <g
      role="button"
      tabIndex={0}
      data-hold=""
      aria-label={t(
        isHere
          ? 'Holes of {field}: hole {column} across, {row} down, a hook is in it'
          : 'Holes of {field}: hole {column} across, {row} down',
        {
          field: tree.places.get(place.parentId!)?.name ?? t('the field'),
          column: at.column + 1,
          row: at.row + 1,
        },
      )}
      aria-pressed={isHere}
      className="group cursor-crosshair outline-none"
      onKeyDown={onKey}
    >
      <rect
        x={left * scale}
        y={top * scale}
        width={columns * peg.pitchMm * scale}
        height={rows * peg.pitchMm * scale}
        fill="var(--color-paper)"
        fillOpacity="0.35"
        onClick={onClick}
      />
      <path
        d={Array.from({ length: columns * rows }, (_, i) => {
          const { cx, cy } = point(i % columns, Math.floor(i / columns));
          return `M${cx.toFixed(1)} ${cy.toFixed(1)}h0`;
        }).join('')}
        stroke="var(--color-walnut)"
        strokeWidth={Math.max(1.5, 5 * scale)}
        strokeLinecap="round"
        pointerEvents="none"
      />
      {peg.hooks?.map((hook) => (
        <circle
          key={`${hook.column} ${hook.row}`}
          {...point(hook.column, hook.row)}
          r={Math.max(4, 9 * scale)}
          fill="var(--color-paper)"
          stroke="var(--color-woad)"
          strokeWidth="2.5"
          pointerEvents="none"
        />
      ))}
      <circle
        {...point(at.column, at.row)}
        r={Math.max(7, 13 * scale)}
        fill="none"
        stroke="var(--color-ink)"
        strokeWidth="2.5"
        className="opacity-0 group-focus-visible:opacity-100"
        pointerEvents="none"
      />
    </g>
  );
}
