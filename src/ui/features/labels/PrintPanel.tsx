import { useMemo, useRef, useState } from 'react';
import { createPortal } from 'react-dom';
import { drawLabel, getCell, layLabels, STOCKS, type LabelFace } from '../../../core/formats/label/index.ts';
import { createLabelled } from '../../../core/labels/index.ts';
import { toSvg, type Sheet } from '../../../core/formats/sheet/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { SelectField, TextField } from '../../components/fields.tsx';
import { saveFile } from '../../components/saveFile.ts';
import { savePdf } from '../../components/savePdf.ts';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { wordPrinterFault, wordStock } from '../../text/labels.ts';
import { FRESH_MARK, toLabelled, type LabelRow, type Section } from './labelFacts.ts';
import { SheetPicture } from './SheetPicture.tsx';
import { printLabel, usePrinter } from './usePrinter.ts';
import { useStock } from './useStock.ts';
import { t } from '../../language/index.ts';

/** More sheets are counted, not drawn. */
const SHOWN_SHEETS = 3;

interface PrintPanelProps {
  readonly section: Section;
  readonly rows: readonly LabelRow[];
  readonly faces: readonly LabelFace[];
}

/** The paper with the ticked labels on it, and the ways to print them. */
export function PrintPanel({ section, rows, faces }: PrintPanelProps) {
  const { units } = useHousehold().settings;
  const { stock, start, setStock, setStart } = useStock(section);
  const perSheet = stock.columns * stock.rows;
  const sheets = useMemo(() => layLabels(faces, stock, start), [faces, stock, start]);
  const count = t('{n, plural, one {# label} other {# labels}}', { n: rows.length });

  /** They count as printed from then on. */
  const remember = async (done: readonly LabelRow[], words: string) => {
    const subject =
      done.length === 1
        ? (faces[rows.indexOf(done[0]!)]?.title ?? t('1 label'))
        : t('{done} labels', { done: done.length });
    await act((now) => createLabelled(now, FRESH_MARK, done.map(toLabelled), subject, world.nowMs()), words);
  };
  const saved = async (what: string) => {
    if (stock.kind !== 'roll') setStart(((start - 1 + rows.length) % perSheet) + 1);
    await remember(rows, t('{printed}; they count as printed now. Print at 100 %.', { printed: what }));
  };
  const saveAll = async () => {
    await savePdf(sheets, t('Labels'), 'labels.pdf');
    await saved(t('Saved {count} as PDF', { count }));
  };
  const saveSvg = async () => {
    for (const [i, sheet] of sheets.entries())
      saveFile(
        toSvg(sheet),
        sheets.length === 1 ? 'labels.svg' : t('labels-{number}.svg', { number: i + 1 }),
        'image/svg+xml',
      );
    await saved(t('Saved {count} as SVG', { count }));
  };
  const print = async () => {
    window.print();
    await saved(t('Sent {count} to be printed', { count }));
  };
  return (
    <section aria-label={t('On paper')} className="stitched-t space-y-3 pt-3">
      <div className="flex flex-wrap items-end gap-3">
        <div className="w-56">
          <SelectField label={t('Paper')} value={stock.id} onChange={(event) => setStock(event.target.value)}>
            {STOCKS.map((one) => (
              <option key={one.id} value={one.id}>
                {wordStock(one, units)}
              </option>
            ))}
          </SelectField>
        </div>
        {perSheet > 1 && (
          <div className="w-24">
            <TextField
              label={t('First free')}
              type="number"
              min={1}
              max={perSheet}
              value={start}
              onChange={(event) => {
                const next = Math.round(Number(event.target.value));
                if (next >= 1 && next <= perSheet) setStart(next);
              }}
            />
          </div>
        )}
        <Button look="strong" data-key="s" disabled={rows.length === 0} onClick={() => void saveAll()}>
          {t('Save as PDF')} <kbd className="pl-1 font-normal">S</kbd>
        </Button>
        <Button disabled={rows.length === 0} onClick={() => void saveSvg()}>
          {t('Save as SVG')}
        </Button>
        <Button disabled={rows.length === 0} onClick={() => void print()}>
          {t('Print')}
        </Button>
      </div>
      <Printer rows={rows} faces={faces} size={[stock.labelWidthMm, stock.labelHeightMm]} onDone={remember} />
      {rows.length === 0 ? (
        <p className="text-stone">{t('Tick labels at the left, and they lie here as they will be printed.')}</p>
      ) : (
        <Sheets sheets={sheets} section={section} />
      )}
      {createPortal(
        <div className="label-sheets hidden print:block">
          {sheets.map((sheet, i) => (
            <SheetPicture key={i} sheet={sheet} width={`${sheet.widthMm}mm`} label={sheet.name} />
          ))}
        </div>,
        document.body,
      )}
    </section>
  );
}

/** The sheets, small; a label of the first one is pressed to begin there. */
function Sheets({ sheets, section }: { sheets: readonly Sheet[]; section: Section }) {
  const { stock, start, setStart } = useStock(section);
  const perSheet = stock.columns * stock.rows;
  return (
    <div className="grid grid-cols-1 gap-4 sm:grid-cols-2">
      {sheets.slice(0, stock.kind === 'roll' ? 6 : SHOWN_SHEETS).map((sheet, i) => (
        <figure key={i} className="relative min-w-0">
          <SheetPicture sheet={sheet} className="w-full border border-thread" label={sheet.name} />
          {i === 0 && perSheet > 1 && (
            <div className="absolute inset-0">
              <svg viewBox={`0 0 ${sheet.widthMm} ${sheet.heightMm}`} className="size-full">
                {Array.from({ length: perSheet }, (_, cell) => {
                  const { x, y } = getCell(stock, cell);
                  const isUsed = cell + 1 < start;
                  return (
                    <rect
                      key={cell}
                      x={x}
                      y={y}
                      width={stock.labelWidthMm}
                      height={stock.labelHeightMm}
                      fill={isUsed ? '#b9c2c2' : '#ffffff'}
                      fillOpacity={isUsed ? 0.6 : 0}
                      stroke="#b9c2c2"
                      strokeWidth={0.2}
                      strokeDasharray="1"
                      className="cursor-pointer"
                      onClick={() => setStart(cell + 1)}
                    >
                      <title>{t('Begin at label {cell}', { cell: cell + 1 })}</title>
                    </rect>
                  );
                })}
              </svg>
            </div>
          )}
          <figcaption className="text-sm text-stone" {...explained(t('Counted as they are laid on the paper.'))}>
            {sheet.name}
            {i === 0 && start > 1 && t('; the first {start} were used before', { start: start - 1 })}
          </figcaption>
        </figure>
      ))}
      {sheets.length > (stock.kind === 'roll' ? 6 : SHOWN_SHEETS) && (
        <p className="text-stone" {...explained(t('Sheets that are printed but not drawn here.'))}>
          {t('and {pages, plural, one {# more page} other {# more pages}}.', {
            pages: sheets.length - (stock.kind === 'roll' ? 6 : SHOWN_SHEETS),
          })}
        </p>
      )}
    </div>
  );
}

/** The label printer, where there is one: prints one after the other, stops where it stops, and goes on from there. */
function Printer({
  rows,
  faces,
  size: [w, h],
  onDone,
}: {
  rows: readonly LabelRow[];
  faces: readonly LabelFace[];
  size: readonly [number, number];
  onDone: (rows: readonly LabelRow[], words: string) => Promise<void>;
}) {
  const printer = usePrinter();
  const [run, setRun] = useState<{ done: number; of: number; note: string } | null>(null);
  const isStopped = useRef(false);
  /** What is still to come out after the printer stopped. */
  const [rest, setRest] = useState<{ rows: readonly LabelRow[]; faces: readonly LabelFace[] } | null>(null);
  const isBusy = run !== null && run.note === '';
  const print = async (todo: { rows: readonly LabelRow[]; faces: readonly LabelFace[] }) => {
    const of = todo.rows.length;
    isStopped.current = false;
    setRest(null);
    let done = 0;
    let note = '';
    for (const face of todo.faces) {
      setRun({ done, of, note: '' });
      const fault = isStopped.current
        ? 'stopped'
        : await printLabel({ name: face.title, widthMm: w, heightMm: h, marks: drawLabel(face, w, h) });
      if (fault !== null) {
        note =
          fault === 'stopped'
            ? t('Stopped after {done} of {all}.', { done, all: of })
            : wordPrinterFault(fault, done, of);
        break;
      }
      done += 1;
    }
    if (done > 0)
      await onDone(
        todo.rows.slice(0, done),
        t('{done, plural, one {# label} other {# labels}} came out of the printer.', { done }),
      );
    setRun(note === '' ? null : { done, of, note });
    if (note !== '') setRest({ rows: todo.rows.slice(done), faces: todo.faces.slice(done) });
  };
  if (printer === 'absent')
    return <p className="text-stone">{t('No label printer answers here; PDF, SVG and Print need none.')}</p>;
  return (
    <div aria-label={t('Label printer')} role="group" className="flex flex-wrap items-center gap-x-4 gap-y-1">
      <span className="text-stone" {...explained(t('What the label printer says of itself.'))}>
        {printer === null
          ? t('Looking for a label printer …')
          : !printer.isOn
            ? t('The label printer is off.')
            : printer.isJammed
              ? t('The label printer is jammed.')
              : t('Label printer: {left, plural, one {# label} other {# labels}} left.', { left: printer.left })}
      </span>
      {rest && rest.rows.length > 0 ? (
        <Button disabled={isBusy} onClick={() => void print(rest)}>
          {t('Go on with {rows, plural, one {# label} other {# labels}}', { rows: rest.rows.length })}
        </Button>
      ) : (
        <Button
          data-key="p"
          disabled={rows.length === 0 || isBusy || printer === null}
          onClick={() => void print({ rows, faces })}
        >
          {t('Print there')} <kbd className="pl-1 font-normal">P</kbd>
        </Button>
      )}
      {isBusy && (
        <Button
          look="quiet"
          onClick={() => {
            isStopped.current = true;
          }}
        >
          {t('Stop')}
        </Button>
      )}
      <a href="/devices/printer" target="_blank" rel="noreferrer" className="text-woad underline">
        {t('Its tray')}
      </a>
      {run && (
        <p
          role={run.note === '' ? 'status' : 'alert'}
          className="w-full"
          {...explained(t('Labels that came out, of those that were sent.'))}
        >
          {run.note === '' ? t('Printing {done} of {all} …', { done: run.done + 1, all: run.of }) : run.note}
        </p>
      )}
    </div>
  );
}
