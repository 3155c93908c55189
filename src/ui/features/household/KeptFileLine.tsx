import { format } from 'date-fns';
import { useApp } from '../../state/app.ts';
import { canKeepFile, goOnKeeping, pickFile, stopKeeping, useKeptFile } from '../../state/keptFile.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { t } from '../../language/index.ts';

/** The file that keeps itself up to date: how it stands with it, and what can be done. */
export function KeptFileLine() {
  const { file, state, note, writtenAtMs } = useKeptFile();
  const generation = useApp((now) => now.generation);
  if (!canKeepFile())
    return (
      <p className="mt-3 text-sm text-stone">
        {t('This browser cannot keep a file up to date by itself; save one now and then.')}
      </p>
    );
  if (!file)
    return (
      <p className="mt-3">
        <Button onClick={() => void pickFile()}>{t('Keep a file up to date')}</Button>
        <span className="mt-1 block text-sm text-stone">
          {t('Pick it once; it is written again by itself a little after you did something.')}
        </span>
      </p>
    );
  const isOther = file.generation !== generation;
  return (
    <div
      role="status"
      className={`mt-3 border-l-4 bg-linen px-3 py-2 ${state === 'failed' ? 'border-madder' : 'border-woad'}`}
    >
      <p {...explained(t('When the file was last written, read back and compared.'))}>
        {isOther
          ? t('{file} is of another household and is left as it is.', { file: file.handle.name })
          : state === 'asks'
            ? t('The browser wants to be asked again before it writes to {file}.', { file: file.handle.name })
            : state === 'failed'
              ? t('{file} could not be written: {reason}.', {
                  file: file.handle.name,
                  reason: note.replace(/\.$/, ''),
                })
              : state === 'writing'
                ? t('Writing {file} …', { file: file.handle.name })
                : writtenAtMs === null
                  ? t('{file} keeps itself up to date.', { file: file.handle.name })
                  : t('{file} keeps itself up to date; written at {time} and read back.', {
                      file: file.handle.name,
                      time: format(writtenAtMs, 'HH:mm'),
                    })}
      </p>
      <p className="flex flex-wrap gap-x-5">
        {!isOther && (state === 'asks' || state === 'failed') && (
          <Button look="quiet" onClick={() => void goOnKeeping()}>
            {state === 'asks' ? t('Go on with it') : t('Try again')}
          </Button>
        )}
        <Button look="quiet" onClick={() => void pickFile()}>
          {t('Another file')}
        </Button>
        <Button look="quiet" onClick={() => void stopKeeping()}>
          {t('Stop keeping it')}
        </Button>
      </p>
    </div>
  );
}
