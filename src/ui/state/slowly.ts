import { use } from 'react';
import { finish, type Slices } from '../../core/slices/index.ts';
import type { Household } from '../../core/records/index.ts';
import { breathe } from '../../workers/breathe.ts';
import { perLanguage } from '../language/index.ts';

/** So long a slice keeps the page from answering, ms. */
const SLICE_MS = 8;

/** Goes on with work for a slice; null where there is more to do. */
function goOn<T>(work: Slices<T>): { value: T } | null {
  const until = performance.now() + SLICE_MS;
  do {
    const step = work.next();
    if (step.done) return { value: step.value };
  } while (performance.now() < until);
  return null;
}

async function workThrough<T>(work: Slices<T>): Promise<T> {
  for (;;) {
    await breathe();
    const done = goOn(work);
    if (done) return done.value;
  }
}

/** A figure of a household that takes a while to work out. */
export interface Slow<T, Of extends object> {
  /** At once, where it cannot be waited for. */
  readonly get: (of: Of) => T;
  /** What is drawn with it is drawn when it is there; until then what was before, or what stands in its place. */
  readonly use: (of: Of) => T;
  /** As a part of other work in slices. */
  readonly inSlices: (of: Of) => Slices<T>;
}

/** As `derive`, for what takes long in a large household: screens have it worked out in slices. */
export function deriveSlowly<T, Of extends object = Household>(work: (of: Of) => Slices<T>): Slow<T, Of> {
  const knownIn = perLanguage(() => new WeakMap<Of, { value: T }>());
  const comingIn = perLanguage(() => new WeakMap<Of, Promise<T>>());
  const keep = (of: Of, value: T): T => {
    const kept = knownIn().get(of) ?? { value };
    knownIn().set(of, kept);
    return kept.value;
  };
  return {
    *inSlices(of) {
      return knownIn().get(of)?.value ?? keep(of, yield* work(of));
    },
    get: (of) => knownIn().get(of)?.value ?? keep(of, finish(work(of))),
    use: (of) => {
      const coming = comingIn();
      const promise = coming.get(of);
      // Also when it is there by now: React goes on with what it left, and finds the same hooks.
      if (promise) return use(promise);
      const hit = knownIn().get(of);
      if (hit) return hit.value;
      // Little is done on the spot: nothing that is drawn has to be put off for it.
      const begun = work(of);
      const done = goOn(begun);
      if (done) return keep(of, done.value);
      const rest = workThrough(begun).then((value) => keep(of, value));
      coming.set(of, rest);
      return use(rest);
    },
  };
}

/** One for each key, made when it is first asked for. */
export function slowlyBy<T, Of extends object = Household>(): (key: string, make: () => Slow<T, Of>) => Slow<T, Of> {
  const known = perLanguage(() => new Map<string, Slow<T, Of>>());
  return (key, make) => {
    const slow = known().get(key) ?? make();
    known().set(key, slow);
    return slow;
  };
}
