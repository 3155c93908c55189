import { useMemo, useState } from 'react';
import { computeOutlineArea, isPlainOutline, toBoxOutline, type Point } from '../../../core/layout/index.ts';
import { formatFlaw, parseFlaws } from '../../../core/projects/index.ts';
import type { Item, Lot } from '../../../core/records/index.ts';
import { alignRegion } from '../../../core/scraps/index.ts';
import { formatSize, parseCount, parseLengthMm, type UnitSystem } from '../../../core/units/index.ts';
import { getLineLanguage, t } from '../../language/index.ts';

const USUAL_MM = { widthMm: 400, heightMm: 300 };

/** The shape of a scrap while it is typed, drawn or taken from a photo: its outline on the grain, and what does not read. */
export function useScrapShape(item: Item, lot: Lot, units: UnitSystem) {
  const [text, setText] = useState(() => {
    const known = lot.lengthMm ? { widthMm: lot.widthMm ?? item.fabric!.widthMm, heightMm: lot.lengthMm } : USUAL_MM;
    return {
      across: formatSize(known.widthMm, units),
      along: formatSize(known.heightMm, units),
      grain: '0',
      layers: '1',
      flaws: (lot.flaws ?? []).map((flaw) => formatFlaw(flaw, units, getLineLanguage()?.flaw)).join('\n'),
    };
  });
  const unit = units === 'metric' ? 'cm' : 'in';
  const [across, along] = [parseLengthMm(text.across, unit), parseLengthMm(text.along, unit)];
  const widthMm = across.ok && across.value >= 10 && across.value <= 6000 ? across.value : null;
  const heightMm = along.ok && along.value >= 10 && along.value <= 20_000 ? along.value : null;
  const of = `${text.across} ${text.along}`;
  const [drawn, setDrawn] = useState<{ outline: readonly Point[]; of: string } | null>(
    lot.outline ? { outline: lot.outline, of } : null,
  );
  const outline = useMemo(
    () => (drawn?.of === of ? drawn.outline : widthMm && heightMm ? toBoxOutline(widthMm, heightMm) : null),
    [drawn, of, widthMm, heightMm],
  );
  const degrees = Number(text.grain.replace(',', '.'));
  const isTurn = Number.isFinite(degrees) && Math.abs(degrees) <= 90;
  const layers = parseCount(text.layers);
  const isPile = layers.ok && layers.value >= 1 && layers.value <= 20;
  const { flaws, bad } = useMemo(() => parseFlaws(text.flaws, units, getLineLanguage()?.flaw), [text.flaws, units]);
  const [below, setBelow] = useState<readonly (readonly Point[])[]>([]);
  const isCrossed = outline !== null && !isPlainOutline(outline);
  const region = useMemo(
    () =>
      outline && !isCrossed && isTurn ? alignRegion({ outlines: [outline, ...below], holes: flaws }, degrees) : null,
    [outline, below, isCrossed, isTurn, degrees, flaws],
  );
  return {
    outline,
    widthMm,
    heightMm,
    region,
    isCrossed,
    flaws,
    flawsText: text.flaws,
    badFlaw: bad,
    setFlaws: (next: string) => setText({ ...text, flaws: next }),
    /** Scraps of other shapes that lie under this one. */
    below,
    layOnAnother: () => outline && setBelow([...below, outline]),
    takeOff: () => setBelow([]),
    /** So many pieces come of each that is cut. */
    times: (isPile ? layers.value : 1) * (1 + below.length),
    /** Of all of them. */
    areaMm2:
      [...below, outline ?? []].reduce((sum, one) => sum + computeOutlineArea(one), 0) * (isPile ? layers.value : 1),
    faults: {
      across: widthMm ? undefined : t('Such as 40 cm.'),
      along: heightMm ? undefined : t('Such as 30 cm.'),
      grain: isTurn ? undefined : t('Between -90 and 90.'),
      layers: isPile ? undefined : t('Between 1 and 20.'),
    },
    field: (name: keyof typeof text) => ({
      value: text[name],
      onChange: ({ target }: { target: { value: string } }) => setText({ ...text, [name]: target.value }),
    }),
    draw: (next: readonly Point[]) => setDrawn({ outline: next, of }),
    /** As it was found on a photo: its box is what is across and along. */
    takeOutline: (seen: readonly Point[]) => {
      const most = (side: (point: Point) => number) => formatSize(Math.ceil(Math.max(...seen.map(side))), units);
      const next = { across: most(({ xMm }) => xMm), along: most(({ yMm }) => yMm) };
      setText({ ...text, ...next });
      setDrawn({ outline: seen, of: `${next.across} ${next.along}` });
    },
  };
}
