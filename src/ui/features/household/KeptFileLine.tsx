import { format } from 'date-fns';
import { useApp } from '../../state/app.ts';
import { canKeepFile, goOnKeeping, pickFile, stopKeeping, useKeptFile } from '../../state/keptFile.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';

/** The file that keeps itself up to date: how it stands with it, and what can be done. */
export function KeptFileLine() {
  const { file, state, note, writtenAtMs } = useKeptFile();
  const generation = useApp((now) => now.generation);
  if (!canKeepFile())
    return (
      <p className="mt-3 text-sm text-stone">
        This browser cannot keep a file up to date by itself; save one now and then.
      </p>
    );
  if (!file)
    return (
      <p className="mt-3">
        <Button onClick={() => void pickFile()}>Keep a file up to date</Button>
        <span className="mt-1 block text-sm text-stone">
          Pick it once; it is written again by itself a little after you did something.
        </span>
      </p>
    );
  const isOther = file.generation !== generation;
  return (
    <div
      role="status"
      className={`mt-3 border-l-4 bg-linen px-3 py-2 ${state === 'failed' ? 'border-madder' : 'border-woad'}`}
    >
      <p {...explained('When the file was last written, read back and compared.')}>
        {isOther
          ? `${file.handle.name} is of another household and is left as it is.`
          : state === 'asks'
            ? `The browser wants to be asked again before it writes to ${file.handle.name}.`
            : state === 'failed'
              ? `${file.handle.name} could not be written: ${note.replace(/\.$/, '')}.`
              : state === 'writing'
                ? `Writing ${file.handle.name} …`
                : `${file.handle.name} keeps itself up to date${writtenAtMs === null ? '' : `; written at ${format(writtenAtMs, 'HH:mm')} and read back`}.`}
      </p>
      <p className="flex flex-wrap gap-x-5">
        {!isOther && (state === 'asks' || state === 'failed') && (
          <Button look="quiet" onClick={() => void goOnKeeping()}>
            {state === 'asks' ? 'Go on with it' : 'Try again'}
          </Button>
        )}
        <Button look="quiet" onClick={() => void pickFile()}>
          Another file
        </Button>
        <Button look="quiet" onClick={() => void stopKeeping()}>
          Stop keeping it
        </Button>
      </p>
    </div>
  );
}
