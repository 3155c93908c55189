import type { InputHTMLAttributes, Ref } from 'react';

interface FileInputProps extends Omit<
  InputHTMLAttributes<HTMLInputElement>,
  'type' | 'onChange' | 'className' | 'tabIndex' | 'aria-label'
> {
  readonly ref: Ref<HTMLInputElement>;
  readonly label: string;
  /** Never called with none; the same file may be chosen again. */
  readonly onFiles: (files: readonly File[]) => void;
}

/** Asks for files; a button beside it opens it. */
export function FileInput({ label, onFiles, ...rest }: FileInputProps) {
  return (
    <input
      {...rest}
      type="file"
      aria-label={label}
      className="sr-only"
      tabIndex={-1}
      onChange={({ target }) => {
        const files = [...(target.files ?? [])];
        target.value = '';
        if (files.length > 0) onFiles(files);
      }}
    />
  );
}
