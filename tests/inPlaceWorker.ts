import { AsyncLocalStorage } from 'node:async_hooks';

interface Scope {
  onmessage: ((message: { data: unknown }) => void) | null;
  postMessage: (data: unknown) => void;
}

const scopes = new AsyncLocalStorage<Scope>();

/**
 * What is run for a worker, however late, finds the scope of that worker as `self`; all else finds the page's.
 * For each file of tests anew: libraries bring a `self` of their own.
 */
export function prepareSelf(): void {
  Object.defineProperty(globalThis, 'self', { configurable: true, get: () => scopes.getStore() ?? globalThis });
}

/** A worker for tests where there are none: its file is run here, with a scope of its own and messages that are copied. */
export class InPlaceWorker {
  onmessage: ((message: { data: unknown }) => void) | null = null;
  onerror: ((event: { message: string }) => void) | null = null;
  onmessageerror: ((message: { data: unknown }) => void) | null = null;
  private isEnded = false;
  private readonly scope: Scope = {
    onmessage: null,
    postMessage: (data) => {
      const copy: unknown = structuredClone(data);
      queueMicrotask(() => {
        if (!this.isEnded) this.onmessage?.({ data: copy });
      });
    },
  };
  private readonly loaded: Promise<void>;

  constructor(url: URL) {
    // A name that no other has had, in whatever file of tests: one that is known already is not run again.
    const file = `${url.pathname}?in-place=${crypto.randomUUID()}`;
    this.loaded = scopes.run(this.scope, async () => {
      try {
        await import(/* @vite-ignore */ file);
        // A message to one that hears nothing would be waited for until its asker gives up.
        if (!this.scope.onmessage) this.tell(`${file} hears no messages`);
      } catch (error) {
        this.tell(String(error));
      }
    });
  }

  postMessage(data: unknown): void {
    const copy: unknown = structuredClone(data);
    void this.loaded.then(() => {
      if (!this.isEnded) scopes.run(this.scope, () => this.scope.onmessage?.({ data: copy }));
    });
  }

  terminate(): void {
    this.isEnded = true;
  }

  private tell(message: string): void {
    if (!this.isEnded) this.onerror?.({ message });
  }
}
