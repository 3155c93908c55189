import { useMemo, useState } from 'react';
import { listTargets, type RowFault } from '../../../core/formats/csv/index.ts';
import { KINDS, type Kind } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { useLong, VirtualTable } from '../../components/VirtualTable.tsx';
import { useHousehold } from '../../state/app.ts';
import { COLUMN_WORDS } from '../../text/columns.ts';
import { midSentence } from '../../text/grammar.ts';
import { wordKindPlural } from '../../text/index.ts';
import { wordRowFault } from '../../text/tables.ts';
import type { TableImporter } from './useTableImport.ts';
import { t } from '../../language/index.ts';

const ROW_PX = 40;
/** A row with a fault says it under the cell. */
const FAULT_ROW_PX = 68;

type Faults = ReadonlyMap<number, readonly RowFault[]>;

/** The list as it would be taken in, cell by cell; what does not read is put right in its place. */
export function ListPreview({ importer }: { importer: TableImporter }) {
  const { table, mapping, hasHeader, result } = importer.state;
  const [onlyFaults, setOnlyFaults] = useState(false);
  const faults = useMemo(() => {
    const byRow = new Map<number, RowFault[]>();
    for (const fault of result?.faults ?? []) byRow.set(fault.row, [...(byRow.get(fault.row) ?? []), fault]);
    return byRow;
  }, [result]);
  const rows = useMemo(() => {
    const start = hasHeader ? 1 : 0;
    const all = Array.from({ length: (table?.rows.length ?? 0) - start }, (_, i) => i + start);
    return onlyFaults ? all.filter((row) => faults.has(row)) : all;
  }, [table, hasHeader, onlyFaults, faults]);
  const long = useLong(rows.length, {
    rowPx: (i) => (faults.has(rows[i]!) ? FAULT_ROW_PX : ROW_PX),
    overscan: 10,
    keyOf: (i) => `${rows[i]} ${faults.has(rows[i]!) ? 'x' : ''}`,
  });
  if (!table) return null;
  const firstFault = rows.findIndex((row) => faults.has(row));
  return (
    <>
      <PreviewBar
        importer={importer}
        hasFaults={faults.size > 0}
        onlyFaults={onlyFaults}
        onOnlyFaults={setOnlyFaults}
        onFirst={() => firstFault >= 0 && long.goTo(firstFault, 'input[aria-invalid=true]', 'center')}
      />
      <VirtualTable
        long={long}
        label={t('The list')}
        rowCount={table.rows.length}
        className="border-collapse"
        head={
          <thead className="sticky top-0 z-1 bg-mist text-left">
            <tr>
              <th scope="col" className="pr-3 text-sm font-normal text-stone">
                {t('Row')}
              </th>
              {mapping.map((_, c) => (
                <ColumnHead key={c} importer={importer} column={c} />
              ))}
            </tr>
          </thead>
        }
      >
        {(index) => <PreviewRow key={rows[index]} importer={importer} row={rows[index]!} faults={faults} />}
      </VirtualTable>
    </>
  );
}

interface PreviewBarProps {
  readonly importer: TableImporter;
  readonly hasFaults: boolean;
  readonly onlyFaults: boolean;
  readonly onOnlyFaults: (isOn: boolean) => void;
  readonly onFirst: () => void;
}

/** How the list is read, and the way to what does not read. */
function PreviewBar({ importer, hasFaults, onlyFaults, onOnlyFaults, onFirst }: PreviewBarProps) {
  const { hasHeader, kind, result, trouble } = importer.state;
  const lacking = [...new Set((result?.faults ?? []).flatMap((one) => (one.column < 0 ? (one.note ?? []) : [])))];
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-1 px-4 py-2 md:px-5">
      <label className="flex items-center gap-2">
        {t('Mostly')}
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
      <TickBox isOn={hasHeader} onTurn={(isOn) => importer.settle({ hasHeader: isOn })}>
        {t('The first row is headings')}
      </TickBox>
      {hasFaults && (
        <>
          <TickBox isOn={onlyFaults} onTurn={onOnlyFaults}>
            {t('Only rows to mend')}
          </TickBox>
          <Button look="quiet" onClick={onFirst}>
            {t('Go to the first')}
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
          {t('No column is taken for the {lacking}, which every one of them needs. Say above the column which it is.', {
            lacking: lacking.map((one) => midSentence(COLUMN_WORDS()[one] ?? one)).join(t(' and the ')),
          })}
        </p>
      )}
    </div>
  );
}

interface TickBoxProps {
  readonly isOn: boolean;
  readonly onTurn: (isOn: boolean) => void;
  readonly children: string;
}

function TickBox({ isOn, onTurn, children }: TickBoxProps) {
  return (
    <label className="flex min-h-11 items-center gap-2 md:min-h-8">
      <input
        type="checkbox"
        className="size-4 accent-woad"
        checked={isOn}
        onChange={(event) => onTurn(event.target.checked)}
      />
      {children}
    </label>
  );
}

/** What a column of the list is taken for. */
function ColumnHead({ importer, column }: { importer: TableImporter; column: number }) {
  const { table, mapping, hasHeader, kind } = importer.state;
  const targets = useMemo(
    () => (mapping.includes('kind') ? [...new Set(KINDS.flatMap(listTargets))] : listTargets(kind)),
    [kind, mapping],
  );
  const id = mapping[column] ?? null;
  const number = t('column {column}', { column: column + 1 });
  return (
    <th scope="col" className="min-w-36 py-1 pr-3 align-bottom font-normal">
      <span className="block max-w-52 truncate text-sm text-stone">
        {hasHeader ? table?.rows[0]?.[column] || number : number}
      </span>
      <select
        aria-label={t('Column {column} is', { column: column + 1 })}
        className={`h-9 w-full rounded border px-1 font-semibold ${id === null ? 'border-dashed border-stone/60 bg-mist text-stone' : 'border-thread bg-paper'}`}
        value={id ?? ''}
        onChange={({ target: { value } }) =>
          importer.settle({
            // A column of the app is filled from one place only.
            mapping: mapping.map((one, i) => (i === column ? value || null : one === value ? null : one)),
          })
        }
      >
        <option value="">{t('left out')}</option>
        {targets.map((target) => (
          <option key={target} value={target}>
            {COLUMN_WORDS()[target]}
          </option>
        ))}
      </select>
    </th>
  );
}

function PreviewRow({ importer, row, faults }: { importer: TableImporter; row: number; faults: Faults }) {
  const { units } = useHousehold().settings;
  const { table, mapping } = importer.state;
  const wrong = faults.get(row) ?? [];
  return (
    <tr aria-rowindex={row + 1} className="dotted-row h-10 align-top">
      <td className="tabular pt-1.5 pr-3 text-sm text-stone">{row + 1}</td>
      {mapping.map((id, c) => {
        const fault = wrong.find((one) => one.column === c);
        const text = table?.rows[row]?.[c] ?? '';
        return (
          <td key={c} className={`pr-3 ${id === null ? 'text-stone/70' : ''}`}>
            {fault ? (
              <FaultCell
                text={text}
                name={t('Row {row}, {column}', { row: row + 1, column: id ?? t('column {column}', { column: c + 1 }) })}
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
    <Form onSend={() => onCorrect(typed)}>
      <input
        maxLength={2000}
        aria-label={name}
        aria-invalid
        className="h-8 w-full min-w-32 rounded border-2 border-madder bg-field px-1.5"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={() => typed !== text && onCorrect(typed)}
      />
      <span role="alert" className="block max-w-60 text-sm text-madder">
        {words}
      </span>
    </Form>
  );
}
