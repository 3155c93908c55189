import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { listTargets, type RowFault } from '../../../core/formats/csv/index.ts';
import { KINDS, type Kind } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { AreaField, SelectField } from '../../components/fields.tsx';
import { Figure, Page } from '../../components/Page.tsx';
import { useApp, useHousehold } from '../../state/app.ts';
import { useChoices } from '../../state/choices.ts';
import { capitalise, wordCount, wordKindPlural } from '../../text/index.ts';
import { wordRowFault } from '../../text/tables.ts';
import { useTableImport, type TableImporter } from './useTableImport.ts';
import { createImport } from '../../../core/acts/index.ts';

/** Brings a list in: pasted from a spreadsheet or opened from a file, looked over cell by cell, then taken in whole. */
export function ListPage() {
  const household = useHousehold();
  const importer = useTableImport(household);
  const { state } = importer;
  const edit = useApp((app) => app.edit);
  const navigate = useNavigate();
  const stashKind = useChoices((choices) => choices.stashKind);
  const pasted = (useLocation().state as { pasted?: string | Uint8Array } | null)?.pasted;
  const [isSaving, setSaving] = useState(false);
  const { open } = importer;
  const began = useRef(false);
  useEffect(() => {
    if (pasted === undefined || began.current) return;
    began.current = true;
    open(pasted, stashKind);
  }, [pasted, open, stashKind]);

  const { result, table, progress } = state;
  const isGood = result !== null && result.faults.length === 0 && result.things.length > 0;
  const takeIn = async () => {
    if (!isGood) return;
    setSaving(true);
    const words = wordCount(result.rows, 'row');
    const isDone = await edit(
      importer.getFrom(),
      (from) => createImport(from, `a list of ${words}`, result.things),
      `${words} came in.`,
    );
    setSaving(false);
    if (isDone) void navigate(`/stash/${state.kind}`);
  };

  return (
    <Page
      title="Bring in a list"
      foot={
        <>
          <Figure
            value={result ? result.rows.toLocaleString('en') : '–'}
            label="rows"
            how="Rows of the list that are not empty, without its heads."
          />
          <Figure
            value={result ? result.newItems.toLocaleString('en') : '–'}
            label="new things"
            how="Rows whose thing is not in the stash yet; alike rows are lots of one thing."
          />
          {result && result.changedItems > 0 && (
            <Figure value={result.changedItems.toLocaleString('en')} label="changed" />
          )}
          <Figure
            value={
              result ? `${result.faults.length.toLocaleString('en')}${result.faults.length >= 1000 ? '+' : ''}` : '–'
            }
            label="cells to mend"
          />
          {progress && (
            <p role="status" className="flex items-center gap-3">
              <progress aria-label="Reading" value={progress.rows} max={Math.max(1, progress.of)} />
              Reading, {progress.rows.toLocaleString('en')} rows
              <Button look="quiet" onClick={importer.leave}>
                Stop
              </Button>
            </p>
          )}
          <div className="ml-auto flex gap-2">
            {table && <Button onClick={importer.leave}>Another list</Button>}
            <Button look="strong" disabled={!isGood || isSaving} onClick={() => void takeIn()}>
              {isSaving ? 'Taking in…' : 'Take all in'}
            </Button>
          </div>
        </>
      }
    >
      {table === null ? <Source importer={importer} kind={stashKind} /> : <Preview importer={importer} />}
    </Page>
  );
}

/** Where the list comes from: a paste, a file, or dropped. */
function Source({ importer, kind: usual }: { importer: TableImporter; kind: Kind }) {
  const [kind, setKind] = useState(usual);
  const [text, setText] = useState('');
  const file = useRef<HTMLInputElement>(null);
  const openFile = async (chosen: File) => {
    importer.open(new Uint8Array(await chosen.arrayBuffer()), kind);
  };
  return (
    <div
      className="max-w-2xl space-y-4 px-5 py-4"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        const [chosen] = event.dataTransfer.files;
        if (chosen) void openFile(chosen);
      }}
    >
      <p>
        Copy rows out of a spreadsheet and paste them here, or open a CSV file. The first row may say what the columns
        are; one that says <em>kind</em> lets different things stand in one list. Nothing is taken in before you have
        seen it.
      </p>
      <SelectField label="The list is mostly of" value={kind} onChange={(event) => setKind(event.target.value as Kind)}>
        {KINDS.map((one) => (
          <option key={one} value={one}>
            {wordKindPlural(one)}
          </option>
        ))}
      </SelectField>
      <AreaField
        label="Paste rows here"
        rows={8}
        value={text}
        placeholder={'name\tlength\twidth\tcolour\nOat linen twill\t3.4 m\t140 cm\toat'}
        onChange={(event) => setText(event.target.value)}
        onPaste={(event) => {
          const rows = event.clipboardData.getData('text/plain');
          if (text !== '' || !rows.includes('\n')) return;
          event.preventDefault();
          importer.open(rows, kind);
        }}
      />
      <div className="flex flex-wrap gap-2">
        <Button look="strong" disabled={text.trim() === ''} onClick={() => importer.open(text, kind)}>
          Look at it
        </Button>
        <Button onClick={() => file.current?.click()}>Open a file</Button>
        <input
          ref={file}
          type="file"
          accept=".csv,.tsv,.txt,text/csv,text/plain"
          aria-label="List file"
          className="sr-only"
          tabIndex={-1}
          onChange={(event) => {
            const chosen = event.target.files?.[0];
            if (chosen) void openFile(chosen);
            event.target.value = '';
          }}
        />
      </div>
      {importer.state.trouble !== null && (
        <p role="alert" className="border-l-4 border-madder bg-linen p-3 font-semibold">
          {importer.state.trouble}
        </p>
      )}
    </div>
  );
}

const ROW_PX = 40;

function Preview({ importer }: { importer: TableImporter }) {
  const { units } = useHousehold().settings;
  const { table, mapping, hasHeader, kind, result, trouble } = importer.state;
  const [onlyFaults, setOnlyFaults] = useState(false);
  const frame = useRef<HTMLDivElement>(null);
  const targets = useMemo(
    () =>
      mapping.includes('kind')
        ? [...new Map(KINDS.flatMap(listTargets).map((one) => [one.id, one])).values()]
        : listTargets(kind),
    [kind, mapping],
  );
  const faults = useMemo(() => {
    const byRow = new Map<number, RowFault[]>();
    for (const fault of result?.faults ?? []) byRow.set(fault.row, [...(byRow.get(fault.row) ?? []), fault]);
    return byRow;
  }, [result]);
  const rows = useMemo(() => {
    const all = Array.from(
      { length: (table?.rows.length ?? 0) - (hasHeader ? 1 : 0) },
      (_, i) => i + (hasHeader ? 1 : 0),
    );
    return onlyFaults ? all.filter((row) => faults.has(row)) : all;
  }, [table, hasHeader, onlyFaults, faults]);
  const lacking = useMemo(
    () => [...new Set((result?.faults ?? []).flatMap((one) => (one.column < 0 ? (one.note ?? []) : [])))],
    [result],
  );
  const virtualizer = useVirtualizer({
    count: rows.length,
    getScrollElement: () => frame.current,
    estimateSize: (i) => (faults.has(rows[i]!) ? ROW_PX * 1.7 : ROW_PX),
    overscan: 10,
    getItemKey: (i) => `${rows[i]} ${faults.has(rows[i]!) ? 'x' : ''}`,
  });
  if (!table) return null;
  const shown = virtualizer.getVirtualItems();
  const above = shown[0]?.start ?? 0;
  const below = virtualizer.getTotalSize() - (shown.at(-1)?.end ?? 0);
  const firstFault = rows.findIndex((row) => faults.has(row));
  const toFault = () => {
    if (firstFault < 0) return;
    virtualizer.scrollToIndex(firstFault, { align: 'center' });
    requestAnimationFrame(() =>
      requestAnimationFrame(() => frame.current?.querySelector<HTMLInputElement>('input[aria-invalid=true]')?.focus()),
    );
  };
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-1 px-4 py-2 md:px-5">
        <label className="flex items-center gap-2">
          Mostly
          <select
            className="h-11 rounded border border-thread bg-paper px-2 md:h-8"
            value={kind}
            onChange={(event) => importer.settle({ kind: event.target.value as Kind })}
          >
            {KINDS.map((one) => (
              <option key={one} value={one}>
                {wordKindPlural(one)}
              </option>
            ))}
          </select>
        </label>
        <label className="flex min-h-11 items-center gap-2 md:min-h-8">
          <input
            type="checkbox"
            className="size-4 accent-woad"
            checked={hasHeader}
            onChange={(event) => importer.settle({ hasHeader: event.target.checked })}
          />
          The first row is headings
        </label>
        {faults.size > 0 && (
          <>
            <label className="flex min-h-11 items-center gap-2 md:min-h-8">
              <input
                type="checkbox"
                className="size-4 accent-woad"
                checked={onlyFaults}
                onChange={(event) => setOnlyFaults(event.target.checked)}
              />
              Only rows to mend
            </label>
            <Button look="quiet" onClick={toFault}>
              Go to the first
            </Button>
          </>
        )}
        {trouble !== null && (
          <p role="alert" className="font-semibold text-madder">
            {trouble}
          </p>
        )}
        {lacking.length > 0 && (
          <p role="alert" className="w-full font-semibold text-madder">
            {`No column is taken for the ${lacking.join(' and the ')}, which every one of them needs. Say above the column which it is.`}
          </p>
        )}
      </div>
      <div ref={frame} className="min-h-0 flex-1 overflow-auto px-4 pb-3 md:px-5">
        <table className="border-collapse" aria-rowcount={table.rows.length} aria-label="The list">
          <thead className="sticky top-0 z-1 bg-mist text-left">
            <tr>
              <th scope="col" className="pr-3 text-sm font-normal text-stone">
                Row
              </th>
              {mapping.map((id, c) => (
                <th key={c} scope="col" className="min-w-36 py-1 pr-3 align-bottom font-normal">
                  <span className="block max-w-52 truncate text-sm text-stone">
                    {hasHeader ? table.rows[0]?.[c] || `column ${c + 1}` : `column ${c + 1}`}
                  </span>
                  <select
                    aria-label={`Column ${c + 1} is`}
                    className={`h-9 w-full rounded border px-1 font-semibold ${id === null ? 'border-dashed border-stone/60 bg-mist text-stone' : 'border-thread bg-paper'}`}
                    value={id ?? ''}
                    onChange={(event) =>
                      importer.settle({
                        // A column of the app is filled from one place only.
                        mapping: mapping.map((one, i) =>
                          i === c ? event.target.value || null : one === event.target.value ? null : one,
                        ),
                      })
                    }
                  >
                    <option value="">left out</option>
                    {targets.map((target) => (
                      <option key={target.id} value={target.id}>
                        {capitalise(target.header)}
                      </option>
                    ))}
                  </select>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {above > 0 && (
              <tr aria-hidden>
                <td style={{ height: above }} />
              </tr>
            )}
            {shown.map(({ index }) => {
              const row = rows[index]!;
              const wrong = faults.get(row) ?? [];
              return (
                <tr key={row} aria-rowindex={row + 1} className="dotted-row h-10 align-top">
                  <td className="tabular pt-1.5 pr-3 text-sm text-stone">{row + 1}</td>
                  {mapping.map((id, c) => {
                    const fault = wrong.find((one) => one.column === c);
                    const text = table.rows[row]?.[c] ?? '';
                    return (
                      <td key={c} className={`pr-3 ${id === null ? 'text-stone/70' : ''}`}>
                        {fault ? (
                          <FaultCell
                            text={text}
                            name={`Row ${row + 1}, ${id ?? `column ${c + 1}`}`}
                            words={wordRowFault(fault, units)}
                            onCorrect={(next) => importer.correct(fault, next)}
                          />
                        ) : (
                          <span className="block max-w-60 truncate pt-1.5" title={text}>
                            {text}
                          </span>
                        )}
                      </td>
                    );
                  })}
                </tr>
              );
            })}
            {below > 0 && (
              <tr aria-hidden>
                <td style={{ height: below }} />
              </tr>
            )}
          </tbody>
        </table>
      </div>
    </>
  );
}

function FaultCell({
  text,
  name,
  words,
  onCorrect,
}: {
  text: string;
  name: string;
  words: string;
  onCorrect: (text: string) => void;
}) {
  const [typed, setTyped] = useState(text);
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        onCorrect(typed);
      }}
    >
      <input
        maxLength={2000}
        aria-label={name}
        aria-invalid
        className="h-8 w-full min-w-32 rounded border-2 border-madder bg-white px-1.5"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={() => typed !== text && onCorrect(typed)}
      />
      <span role="alert" className="block max-w-60 text-sm text-madder">
        {words}
      </span>
    </form>
  );
}
