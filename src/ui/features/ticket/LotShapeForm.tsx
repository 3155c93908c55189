import { useState } from 'react';
import { createSaveItem } from '../../../core/acts/index.ts';
import { isPlainOutline, toBoxOutline, type Point } from '../../../core/layout/index.ts';
import { addFlaw, formatFlaw, parseFlaws } from '../../../core/projects/index.ts';
import type { Household, Item, Lot } from '../../../core/records/index.ts';
import { formatSize, parseLengthMm } from '../../../core/units/index.ts';
import { TextField } from '../../components/fields.tsx';
import { FlawsField } from '../../components/FlawsField.tsx';
import { OutlineEditor } from '../../components/OutlineEditor.tsx';
import { edit } from '../../state/hands.ts';
import { FormFrame } from './FormFrame.tsx';
import { getLineLanguage, t } from '../../language/index.ts';

interface LotShapeFormProps {
  readonly household: Household;
  readonly item: Item;
  readonly lot: Lot;
  readonly onDone: () => void;
}

/** What of a length of cloth cannot be cut: a width that was cut away, an odd shape, holes and stains. Layouts go round it. */
export function LotShapeForm({ household, item, lot, onDone }: LotShapeFormProps) {
  const { units } = household.settings;
  const wholeMm = item.fabric?.widthMm ?? 1400;
  const lengthMm = lot.lengthMm ?? 1000;
  const [width, setWidth] = useState(lot.widthMm ? formatSize(lot.widthMm, units) : '');
  const [flaws, setFlaws] = useState(
    (lot.flaws ?? []).map((flaw) => formatFlaw(flaw, units, getLineLanguage()?.flaw)).join('\n'),
  );
  const [outline, setOutline] = useState<readonly Point[] | null>(lot.outline ?? null);
  const read = parseLengthMm(width, units === 'metric' ? 'cm' : 'in');
  const widthMm = width.trim() === '' ? null : read.ok && read.value >= 10 ? read.value : undefined;
  const widthFault =
    widthMm === undefined || (widthMm ?? 0) > wholeMm
      ? t('At most {size}.', { size: formatSize(wholeMm, units) })
      : undefined;
  const { flaws: found, bad } = parseFlaws(flaws, units, getLineLanguage()?.flaw);
  const shown = widthMm ?? wholeMm;
  const isCrossed = outline !== null && !isPlainOutline(outline);
  return (
    <FormFrame
      title={t('Flaws and shape')}
      save={t('Keep it')}
      onDone={onDone}
      onSave={() => {
        if (widthFault || bad || isCrossed) return undefined;
        const isShaped = outline !== null && JSON.stringify(outline) !== JSON.stringify(toBoxOutline(shown, lengthMm));
        return edit(
          household,
          (from) => {
            const { widthMm: _w, flaws: _f, outline: _o, ...bare } = from.lots.get(lot.id) ?? lot;
            return createSaveItem(from, item, [
              {
                ...bare,
                ...(widthMm != null && widthMm < wholeMm && { widthMm }),
                ...(found.length > 0 && { flaws: found }),
                ...(isShaped && { outline: [...outline] }),
              },
            ]);
          },
          t('Layouts on {name} know what it is like now.', { name: item.name }),
        ).then((isDone) => isDone && onDone());
      }}
    >
      <TextField
        label={t('Width that is left')}
        autoFocus
        value={width}
        fault={widthFault}
        placeholder={formatSize(wholeMm, units)}
        onChange={(event) => setWidth(event.target.value)}
      />
      <FlawsField
        value={flaws}
        bad={bad}
        hint={t('Across × along, at so much from the left selvage, so much from the cut edge.')}
        onChange={setFlaws}
      />
      <OutlineEditor
        label={t('The shape of the cloth')}
        isSideways
        widthMm={shown}
        heightMm={lengthMm}
        outline={outline ?? toBoxOutline(shown, lengthMm)}
        holes={found}
        units={units}
        onChange={setOutline}
        onHole={(hole) => setFlaws(addFlaw(flaws, hole, units, getLineLanguage()?.flaw))}
      />
      {isCrossed && (
        <p role="alert" className="text-sm font-semibold text-madder">
          {t('Its edges cross each other.')}
        </p>
      )}
    </FormFrame>
  );
}
