import { useState } from 'react';
import { drawLabel, type LabelFace } from '../../../core/formats/label/index.ts';
import { createLabelWords } from '../../../core/labels/index.ts';
import { formatSizes } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { explained } from '../../components/explained.ts';
import { TextField } from '../../components/fields.tsx';
import { useHousehold } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { useChoices } from '../../state/choices.ts';
import { getGroups } from '../../state/groups.ts';
import { wordDrift, wordPlaceContent } from '../../text/labels.ts';
import { FRESH_MARK, type LabelRow, type Section } from './labelFacts.ts';
import { SheetPicture } from './SheetPicture.tsx';
import { useStock } from './useStock.ts';
import { t } from '../../language/index.ts';

/** One label, as large as it will be, with its own words and what is no longer true of it. */
export function OneLabel({
  row,
  face,
  section,
  onPick,
}: {
  row: LabelRow;
  face: LabelFace;
  section: Section;
  onPick: () => void;
}) {
  const household = useHousehold();
  const { units } = household.settings;
  const { stock } = useStock(section);
  const scale = useChoices((state) => state.screenScale);
  const [w, h] = [stock.labelWidthMm, stock.labelHeightMm];
  return (
    <section aria-label={t('This label')} className="grid gap-x-6 gap-y-3 xl:grid-cols-[auto_1fr]">
      <div className="min-w-0 overflow-x-auto">
        <Tape widthMm={w} scale={scale} isInches={units === 'imperial'} />
        <SheetPicture
          sheet={{ name: face.title, widthMm: w, heightMm: h, marks: drawLabel(face, w, h) }}
          width={`${w * scale}mm`}
          className="border border-thread"
          label={t('Label: {title}, code {code}', { title: face.title, code: face.code })}
        />
        <p
          className="text-sm text-stone"
          {...explained(t('The measures of one label of the paper that is chosen below.'))}
        >
          {t('{sizes}, true to size', { sizes: formatSizes([w, h], units) })}
        </p>
        <TrueSize />
      </div>
      <div className="min-w-0 space-y-2">
        {row.drift.length > 0 && (
          <ul
            aria-label={t('Out of date')}
            className="border-l-4 border-madder bg-linen px-3 py-2"
            {...explained(t('What the label said when it was printed, beside what is there now.'))}
          >
            {row.drift.slice(0, 4).map((drift, i) => (
              <li key={i}>{wordDrift(drift, household, getGroups(household))}</li>
            ))}
            {row.drift.length > 4 && <li>{t('and {drift} things more', { drift: row.drift.length - 4 })}</li>}
            <li>
              <Button look="quiet" onClick={onPick}>
                {t('Print this one again')}
              </Button>
            </li>
          </ul>
        )}
        {row.of.kind === 'place' && <OwnWords key={row.key} row={row} />}
      </div>
    </section>
  );
}

function OwnWords({ row }: { row: LabelRow }) {
  const household = useHousehold();
  const own = row.label?.words ?? '';
  const [text, setText] = useState(own);
  const lines = row.content ? wordPlaceContent(row.content, household) : [];
  const proposal = lines.length === 0 ? '' : lines.slice(0, 2).join('; ').slice(0, 60);
  const save = (words: string) => {
    setText(words);
    const { of } = row;
    return of.kind === 'place' ? act((now) => createLabelWords(now, FRESH_MARK, of.id, words)) : undefined;
  };
  return (
    <Form className="space-y-1" onSend={() => save(text)}>
      <TextField
        label={t('In large, in your own words')}
        placeholder={lines[0] ?? ''}
        of="places.label.words"
        value={text}
        hint={own === '' ? t('Left empty, it says what is in there now.') : undefined}
        onChange={(event) => setText(event.target.value)}
      />
      {row.judged !== null && (
        <p role="status" className="border-l-4 border-weld bg-linen px-3 py-2">
          {row.judged === 'vague'
            ? t('In a year these words will not tell you what is inside.')
            : t('None of these words has to do with what is inside.')}{' '}
          {proposal !== '' && (
            <>
              {t('Better:')} <strong>{proposal}</strong>{' '}
              <Button look="quiet" onClick={() => save('')}>
                {t('Say that')}
              </Button>
            </>
          )}
        </p>
      )}
      <div className="flex gap-3">
        <Button type="submit" disabled={text.trim() === own}>
          {t('Keep these words')}
        </Button>
        {own !== '' && (
          <Button look="quiet" onClick={() => save('')}>
            {t('Without them')}
          </Button>
        )}
      </div>
    </Form>
  );
}

/** A tape over the label: mm, or eighths of an inch. */
function Tape({ widthMm, scale, isInches }: { widthMm: number; scale: number; isInches: boolean }) {
  const step = isInches ? 25.4 / 8 : 1;
  const large = isInches ? 8 : 10;
  const ticks = Array.from({ length: Math.floor(widthMm / step) + 1 }, (_, i) => i);
  return (
    <svg
      aria-hidden
      data-name
      viewBox={`0 0 ${widthMm} 6`}
      width={`${widthMm * scale}mm`}
      className="block bg-weld/40"
      height={`${6 * scale}mm`}
    >
      {ticks.map((i) => (
        <line
          key={i}
          x1={i * step}
          x2={i * step}
          y1={6}
          y2={i % large === 0 ? 1.5 : i % (large / 2) === 0 ? 3.5 : 4.6}
          stroke="#22303c"
          strokeWidth={0.15}
        />
      ))}
      {ticks
        .filter((i) => i % large === 0 && i > 0)
        .map((i) => (
          <text key={i} x={i * step - 0.4} y={3.2} fontSize={2.6} textAnchor="end" fill="#22303c">
            {i / large}
          </text>
        ))}
    </svg>
  );
}

/** No screen says how large it is: the sewist holds a ruler to it once. */
function TrueSize() {
  const scale = useChoices((state) => state.screenScale);
  return (
    <details className="text-sm">
      <summary className="min-h-9 cursor-pointer py-1 text-woad">{t('Is it true on this screen?')}</summary>
      <p data-name>{t('Hold a ruler to the bar and move the slider until it is 5 cm long.')}</p>
      <svg aria-hidden width={`${50 * scale}mm`} height="12" className="my-1 block bg-ink" />
      <input
        type="range"
        aria-label={t('Size of a centimetre on this screen')}
        min={0.5}
        max={1.8}
        step={0.01}
        value={scale}
        className="w-full accent-woad"
        onChange={(event) => useChoices.setState({ screenScale: Number(event.target.value) })}
      />
    </details>
  );
}
