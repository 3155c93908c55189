import { useState } from 'react';
import { addFlaw } from '../../../core/projects/index.ts';
import type { UnitSystem } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { TextField } from '../../components/fields.tsx';
import { FlawsField } from '../../components/FlawsField.tsx';
import { OutlineEditor } from '../../components/OutlineEditor.tsx';
import { PhotoButton } from './PhotoButton.tsx';
import type { useScrapShape } from './useScrapShape.ts';
import { getLineLanguage, t } from '../../language/index.ts';

/** What a scrap is like before it is cut: its size, grain and outline, what lies under it, and its holes. */
export function ScrapFields({ shape, units }: { shape: ReturnType<typeof useScrapShape>; units: UnitSystem }) {
  const [isOpen, setOpen] = useState(shape.flawsText !== '');
  return (
    <>
      <div className="mt-2 grid grid-cols-2 gap-3">
        <TextField label={t('Across')} autoFocus fault={shape.faults.across} {...shape.field('across')} />
        <TextField label={t('Along')} fault={shape.faults.along} {...shape.field('along')} />
        <TextField label={t('Grain turned by, degrees')} fault={shape.faults.grain} {...shape.field('grain')} />
        <TextField label={t('Layers on each other')} fault={shape.faults.layers} {...shape.field('layers')} />
      </div>
      <PhotoButton onOutline={shape.takeOutline} />
      {shape.outline && shape.widthMm && shape.heightMm && (
        <div className="mt-3">
          <OutlineEditor
            label={t('The shape of the scrap')}
            widthMm={shape.widthMm}
            heightMm={shape.heightMm}
            outline={shape.outline}
            holes={shape.flaws}
            units={units}
            onChange={shape.draw}
            onHole={(hole) => {
              shape.setFlaws(addFlaw(shape.flawsText, hole, units, getLineLanguage()?.flaw));
              setOpen(true);
            }}
          />
        </div>
      )}
      <p className="mt-1">
        <Button look="quiet" disabled={!shape.region} onClick={shape.layOnAnother}>
          {t('Lay another scrap on it')}
        </Button>
        {shape.below.length > 0 && (
          <>
            <span
              className="ml-3 text-sm text-stone"
              {...explained(t('What is common to all of them is cut at once.'))}
            >
              {t('on {below, plural, one {# other} other {# others}}', { below: shape.below.length })}
            </span>{' '}
            <Button look="quiet" onClick={shape.takeOff}>
              {t('Take them off')}
            </Button>
          </>
        )}
      </p>
      {shape.isCrossed && (
        <p role="alert" className="text-sm font-semibold text-madder">
          {t('Its edges cross each other.')}
        </p>
      )}
      <details className="mt-1" open={isOpen} onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
        <summary className="min-h-9 cursor-pointer py-1 font-semibold text-woad">{t('Holes and stains')}</summary>
        <FlawsField
          value={shape.flawsText}
          bad={shape.badFlaw}
          hint={t('Across × along, at so much from the left, so much from the top; or draw it on the cloth.')}
          onChange={shape.setFlaws}
        />
      </details>
    </>
  );
}
