import { useState } from 'react';
import { createSaveSettings } from '../../../core/acts/index.ts';
import type { Household } from '../../../core/records/index.ts';
import { formatSizeLine, parseSizeLine, USUAL_SIZES, type ScrapSize } from '../../../core/scraps/index.ts';
import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { FormFoot } from '../../components/FormFoot.tsx';
import { AreaField } from '../../components/fields.tsx';
import { act } from '../../state/hands.ts';
import { getLineLanguage, t } from '../../language/index.ts';

/** What scraps are cut to here: the sewist's own sizes, or the usual ones. */
export function listSizes({ settings }: Household): readonly ScrapSize[] {
  const own = settings.scrapSizes;
  return own ? own.map((size) => ({ ...size, id: `${size.kind}-${Math.round(size.sideMm * 10)}` })) : USUAL_SIZES;
}

/** The sizes and what each is worth, a line each. */
export function SizesForm({ household }: { household: Household }) {
  const { units } = household.settings;
  const [text, setText] = useState<string | null>(null);
  if (text === null)
    return (
      <Button
        look="quiet"
        onClick={() =>
          setText(
            listSizes(household)
              .map((size) => formatSizeLine(size, units, getLineLanguage()?.size))
              .join('\n'),
          )
        }
      >
        {t('Change the sizes')}
      </Button>
    );
  const lines = text.split('\n').filter((line) => line.trim() !== '');
  const read = lines.map((line) => ({ line, size: parseSizeLine(line, units, getLineLanguage()?.size) }));
  const bad = read.find(({ size }) => !size.ok);
  const sizes = read.flatMap(({ size }) => (size.ok ? [size.value] : []));
  const isTwice = new Set(sizes.map(({ id }) => id)).size < sizes.length;
  const fault = bad
    ? t('“{line}” does not read: write square 12.7 worth 4, or strip 6.35 from 30 worth 5.', { line: bad.line.trim() })
    : isTwice
      ? t('One size stands there twice.')
      : sizes.length > 20
        ? t('At most 20 sizes.')
        : undefined;
  return (
    <Form
      opensBelow
      aria-label={t('Sizes of scraps')}
      className="mt-2 border-l-4 border-woad bg-linen p-3"
      onSend={() => {
        if (fault) return undefined;
        return act((now) => {
          const { scrapSizes: _, ...rest } = now.settings;
          const own = sizes.map(({ kind, sideMm, leastMm, worth }) => ({ kind, sideMm, leastMm, worth }));
          return createSaveSettings(now, { ...rest, ...(own.length > 0 && { scrapSizes: own }) });
        }).then((isDone) => isDone && setText(null));
      }}
      onKeyDown={(event) => event.key === 'Escape' && setText(null)}
    >
      <AreaField
        label={t('What scraps are cut to, one a line; nothing: the usual sizes')}
        rows={5}
        maxLength={2000}
        autoFocus
        value={text}
        fault={fault}
        hint={t('With seams. Worth: how much you would rather have it than the small ones that it could be.')}
        onChange={(event) => setText(event.target.value)}
      />
      <FormFoot save={t('Keep the sizes')} onDone={() => setText(null)} />
    </Form>
  );
}
