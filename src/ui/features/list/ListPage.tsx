import { useEffect, useRef, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { KINDS, type Kind } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { AreaField, SelectField } from '../../components/fields.tsx';
import { Figure, Page } from '../../components/Page.tsx';
import { useHousehold } from '../../state/app.ts';
import { edit } from '../../state/hands.ts';
import { useChoices } from '../../state/choices.ts';
import { wordKindPlural } from '../../text/index.ts';
import { ListPreview } from './ListPreview.tsx';
import { useTableImport, type TableImporter } from './useTableImport.ts';
import { createImport } from '../../../core/acts/index.ts';
import { FileInput } from '../../components/FileInput.tsx';
import { formatNumber, t } from '../../language/index.ts';

/** Brings a list in: pasted from a spreadsheet or opened from a file, looked over cell by cell, then taken in whole. */
export function ListPage() {
  const household = useHousehold();
  const importer = useTableImport(household);
  const { state } = importer;
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
    const words = t('{n, plural, one {# row} other {# rows}}', { n: result.rows });
    const isDone = await edit(
      importer.getFrom(),
      (from) => createImport(from, t('a list of {words}', { words }), result.things),
      t('{words} came in.', { words }),
    );
    setSaving(false);
    if (isDone) void navigate(`/stash/${state.kind}`);
  };

  return (
    <Page
      title={t('Bring in a list')}
      foot={
        <>
          <Figure
            value={result ? formatNumber(result.rows) : '–'}
            label={t('rows')}
            how={t('Rows of the list that are not empty, without its heads.')}
          />
          <Figure
            value={result ? formatNumber(result.newItems) : '–'}
            label={t('new things')}
            how={t('Rows whose thing is not in the stash yet; alike rows are pieces of one thing.')}
          />
          {result && result.changedItems > 0 && (
            <Figure value={formatNumber(result.changedItems)} label={t('changed')} />
          )}
          <Figure
            value={result ? `${formatNumber(result.faults.length)}${result.faults.length >= 1000 ? '+' : ''}` : '–'}
            label={t('cells to mend')}
          />
          {progress && (
            <p role="status" className="flex items-center gap-3">
              <progress aria-label={t('Reading')} value={progress.rows} max={Math.max(1, progress.of)} />
              {t('Reading, {rows} rows', { rows: formatNumber(progress.rows) })}
              <Button look="quiet" onClick={importer.leave}>
                {t('Stop')}
              </Button>
            </p>
          )}
          <div className="ml-auto flex gap-2">
            {table && <Button onClick={importer.leave}>{t('Another list')}</Button>}
            <Button look="strong" disabled={!isGood || isSaving} onClick={() => void takeIn()}>
              {isSaving ? t('Taking in…') : t('Take all in')}
            </Button>
          </div>
        </>
      }
    >
      {table === null ? <Source importer={importer} kind={stashKind} /> : <ListPreview importer={importer} />}
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
        {t(
          'Copy rows out of a spreadsheet and paste them here, or open a CSV file. The first row may say what the columns are; one that says',
        )}{' '}
        <em>{t('kind')}</em>{' '}
        {t('lets different things stand in one list. Nothing is taken in before you have seen it.')}
      </p>
      <SelectField
        label={t('The list is mostly of')}
        value={kind}
        onChange={(event) => setKind(event.target.value as Kind)}
      >
        {KINDS.map((one) => (
          <option key={one} value={one}>
            {wordKindPlural(one)}
          </option>
        ))}
      </SelectField>
      <AreaField
        label={t('Paste rows here')}
        rows={8}
        value={text}
        placeholder={t('name	length	width	colour\nOat linen twill	3.4 m	140 cm	oat')}
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
          {t('Look at it')}
        </Button>
        <Button onClick={() => file.current?.click()}>{t('Open a file')}</Button>
        <FileInput
          ref={file}
          label={t('List file')}
          accept=".csv,.tsv,.txt,text/csv,text/plain"
          onFiles={([chosen]) => void openFile(chosen!)}
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
