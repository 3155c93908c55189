import { vi } from 'vitest';

let turn: Promise<unknown> = Promise.resolve();
let count = 0;

interface Scope {
  onmessage: ((message: { data: unknown }) => void) | null;
  postMessage: (data: unknown) => void;
}

/** A worker for tests where there are none: its file is run here, with a scope of its own and messages that are copied. */
export class InPlaceWorker {
  onmessage: ((message: { data: unknown }) => void) | null = null;
  onerror: ((event: { message: string }) => void) | null = null;
  onmessageerror: ((message: { data: unknown }) => void) | null = null;
  private isEnded = false;
  private readonly scope: Promise<Scope | null>;

  constructor(url: URL) {
    const scope: Scope = {
      onmessage: null,
      postMessage: (data) => {
        const copy: unknown = structuredClone(data);
        queueMicrotask(() => {
          if (!this.isEnded) this.onmessage?.({ data: copy });
        });
      },
    };
    count += 1;
    const file = `${url.pathname}?in-place=${count}`;
    const load = async () => {
      vi.stubGlobal('self', scope);
      try {
        await import(/* @vite-ignore */ file);
        return scope;
      } catch (error) {
        if (!this.isEnded) this.onerror?.({ message: String(error) });
        return null;
      } finally {
        vi.stubGlobal('self', globalThis);
      }
    };
    this.scope = turn.then(load);
    turn = this.scope;
  }

  postMessage(data: unknown): void {
    const copy: unknown = structuredClone(data);
    void this.scope.then((scope) => {
      if (!this.isEnded) scope?.onmessage?.({ data: copy });
    });
  }

  terminate(): void {
    this.isEnded = true;
  }
}
