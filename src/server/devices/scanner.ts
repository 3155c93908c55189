/** A made-up hand scanner: what it reads it sends to whoever listens, as if it were typed. */
export class HandScanner {
  private readonly listeners = new Set<(code: string) => void>();
  private readonly read: { readonly code: string; readonly heard: boolean }[] = [];

  /** What was read last comes first. */
  getRead(): readonly { readonly code: string; readonly heard: boolean }[] {
    return this.read.toReversed();
  }

  scan(code: string): void {
    this.read.push({ code, heard: this.listeners.size > 0 });
    if (this.read.length > 12) this.read.shift();
    for (const listener of this.listeners) listener(code);
  }

  listen(listener: (code: string) => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }
}
