/** Hands a file to the browser to be saved under that name. */
export function saveFile(contents: string | Uint8Array, name: string, type: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(
    new Blob([typeof contents === 'string' ? contents : contents.slice().buffer], { type }),
  );
  link.download = name;
  link.click();
  // The download has begun by then; the address is not needed any more.
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}
