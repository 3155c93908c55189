/** An expected outcome: a value, or a fault that the caller words. Faults are data, never thrown. */
export type Result<T, F> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly fault: F };

export function ok<T>(value: T): { readonly ok: true; readonly value: T } {
  return { ok: true, value };
}

export function fail<F>(fault: F): { readonly ok: false; readonly fault: F } {
  return { ok: false, fault };
}
