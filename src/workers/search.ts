import { Told, type News } from './news.ts';

type Start = { readonly type: 'start'; readonly run: number };
type Stop = { readonly type: 'stop'; readonly run: number };

interface Scope<To, From> {
  onmessage: ((message: MessageEvent<To>) => void) | null;
  postMessage: (message: From) => void;
}

/** What a search needs of its worker. */
interface Watch<From> {
  readonly post: (message: From) => void;
  /** Lets the post box be looked into; false where the run was stopped or another begun. */
  readonly breathe: () => Promise<boolean>;
}

/**
 * Serves one search at a time in a worker: begun by `start`, ended by `stop`, its failures told. The household that it is
 * for may have been told ahead, in slices.
 */
export function serveSearch<S extends Start, From>(
  search: (start: S, watch: Watch<From>) => Promise<void>,
  fail: (run: number, note: string) => From,
): void {
  const scope = self as unknown as Scope<S | Stop | { readonly tell: News }, From>;
  let wantedRun = 0;
  let told: Told | null = null;
  scope.onmessage = ({ data }) => {
    if ('tell' in data) {
      told ??= new Told();
      told.hear(data.tell);
      return;
    }
    const { run } = data;
    if (data.type === 'stop') {
      if (wantedRun === run) wantedRun = 0;
      return;
    }
    wantedRun = run;
    const breathe = () => new Promise<boolean>((resolve) => setTimeout(() => resolve(wantedRun === run), 0));
    search(told ? { ...data, household: told.household } : data, {
      post: (message) => scope.postMessage(message),
      breathe,
    }).catch((error: unknown) => scope.postMessage(fail(run, String(error))));
  };
}
